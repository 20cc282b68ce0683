import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { freshSection } from '@/core/3-shape/section/freshSection';
import { SECTION_BUILDS, SECTION_KINDS } from '@/core/3-shape/section/kinds';
import { thicknessWorking } from './sections';

/** Thickness over a chord of 200 mm on board of 5 mm, by hand from the formula of each kind. */
const BY_HAND = {
  flatPlate: 5 / 200,
  steppedPlate: 10 / 200,
  curvedPlate: 5 / 200,
  reflexed: 5 / 200,
  foldedOverSpar: (12 + 10) / 200,
  fourDigit: 0.1,
  ribsUnderFilm: 0.11,
} as const;

describe('the working of a thickness', () => {
  test.each(Object.entries(BY_HAND))('%s: %d of the chord', (kind, thickness) => {
    const section = freshSection(kind as keyof typeof BY_HAND, { kind: 'flatPlate', thickness: 5, edge: 'rounded' })!;
    const stations = [
      { distanceFromRoot: 0, chord: 200, section },
      { distanceFromRoot: 600, chord: 200, section },
    ];
    const { workings } = analyse(designOf([trapezoid(600, 200, 200, { stations })]), { without: ['remedies'] });
    const working = workings.find(({ id }) => id === thicknessWorking('wing', 1))!;
    expect(working.value).toBeCloseTo(thickness, 3);
    expect(working.inputs.at(-1)).toMatchObject({ symbol: 'c', value: 0.2 });
    expect(working.formula).toMatch(/t\/c|\/c/);
  });

  test('no kind without a fresh one is left out but that of a file', () => {
    const fresh = SECTION_KINDS.filter((kind) => SECTION_BUILDS[kind].fresh !== null);
    expect(Object.keys(BY_HAND).sort()).toEqual([...fresh].sort());
  });
});
