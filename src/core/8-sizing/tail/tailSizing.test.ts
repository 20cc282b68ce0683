import { expectWithin, said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designOf, simpleAircraft } from '#/tests/designs';
import { numbersOf } from '@/core/6-groups/solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { shareByArm } from '@/core/3-shape/planform/shareByArm';
import { sizeTail } from './tailSizing';

const grid = { strips: 10, chordwise: 4 };
const tailplane = (design: ReturnType<typeof simpleAircraft>) =>
  design.surfaces.find(({ role }) => role === 'tailplane')!;

test('scaling keeps shape and quarter chord', () => {
  const design = simpleAircraft();
  const before = integratePlanforms([placeSurface(tailplane(design))])!;
  const after = integratePlanforms([
    placeSurface(tailplane(withFields(design, scaledSurface(tailplane(design), 1.44)))),
  ])!;
  expect(after.area / before.area).toBeCloseTo(1.44, 9);
  expect(after.meanChordLeadingEdge + after.meanChord / 4).toBeCloseTo(
    before.meanChordLeadingEdge + before.meanChord / 4,
    3,
  );
});

test('shares fall with the arm, and the ends are held', () => {
  // As people use the rule: a third on 2 to 2.5 chords, a fifth on four, a fourteenth for the fin.
  for (const arm of [2, 2.5]) expect(Math.abs(shareByArm('level', arm) - 1 / 3)).toBeLessThan(0.02);
  expect(shareByArm('level', -4)).toBeCloseTo(0.2, 9);
  expect(shareByArm('level', 9)).toBe(0.14);
  expect(Math.abs(shareByArm('fin', 0.45) - 1 / 14)).toBeLessThan(0.002);
  expect(shareByArm('fin', 0.1)).toBe(0.09);
});

describe('three schools', () => {
  test('each reaches what it aims at, by the whole analysis', () => {
    const design = simpleAircraft();
    const { id } = tailplane(design);
    const sized = sizeTail({ design, surface: id, aims: { volume: 0.6, result: 0.15 } });
    if (sized.kind !== 'sized') throw new Error(sized.because);
    const changed = (index: number) =>
      numbersOf(withFields(design, sized.proposals[index]!.change), { grid, without: ['remedies'] });
    expect(changed(1).tails.find(({ surface }) => surface === id)!.horizontal).toBeCloseTo(0.6, 3);
    expectWithin(changed(2).pitch.staticMargin, 0.15, 1e-3);
    expectWithin(sized.proposals[2]!.staticMargin, 0.15, 1e-3);
  });

  test('a fin is sized for yaw stiffness', () => {
    const design = demoDesign('lagoon-postman');
    const fin = design.surfaces.find(({ role }) => role === 'fin')!;
    const sized = sizeTail({ design, surface: fin.id, aims: { volume: 0.04, result: 0.08 } });
    if (sized.kind !== 'sized') throw new Error(sized.because);
    expect(sized.isFin).toBe(true);
    expect(sized.proposals[2]!.yawStiffness!).toBeCloseTo(0.08, 4);
  });

  test('the balance stays while the tail grows: the pack slides', () => {
    const design = simpleAircraft();
    const sized = sizeTail({ design, surface: tailplane(design).id, aims: { volume: 0.6, result: 0.15 } });
    if (sized.kind !== 'sized') throw new Error(sized.because);
    const place = (of: ReturnType<typeof simpleAircraft>) => numbersOf(of, { grid }).mass.cg![0];
    for (const { change, overComputed, area } of sized.proposals) {
      expect(place(withFields(design, change))).toBeCloseTo(place(design), 4);
      expect(overComputed).toBeCloseTo(area! / sized.proposals[2]!.area! - 1, 9);
    }
  });

  test('a V-tail is sized for yaw as well as for pitch', () => {
    const design = demoDesign('gannet-vee');
    const { id } = design.surfaces.find(({ role }) => role === 'vTail')!;
    const areaFor = (result: number, yaw: number) => {
      const sized = sizeTail({ design, surface: id, aims: { volume: 0.5, result, yaw } });
      if (sized.kind !== 'sized') throw new Error(sized.because);
      expect(said(sized.proposals[0]!.words)).toMatch(/seen from above and .* from the side/);
      return sized.proposals[2]!;
    };
    const easy = areaFor(0.1, 0.03);
    const hard = areaFor(0.1, 0.11);
    expect(hard.area!).toBeGreaterThan(1.2 * easy.area!);
    expect(hard.yawStiffness!).toBeCloseTo(0.11, 3);
  });

  test('an aim out of reach says what would help', () => {
    const design = simpleAircraft();
    const sized = sizeTail({ design, surface: tailplane(design).id, aims: { volume: 0.5, result: 0.98 } });
    if (sized.kind !== 'sized') throw new Error(sized.because);
    expect(said(sized.proposals[2]!.because)).toMatch(/lengthen the arm/);
    const other = sizeTail({ design, surface: tailplane(design).id, aims: { volume: 0.5, result: -0.45 } });
    expect(other.kind === 'sized' && said(other.proposals[2]!.because)).toMatch(/shorten the arm|a sixth/);
  });

  test('without a wing or a mass it says so', () => {
    expect(sizeTail({ design: designOf([]), surface: 'none', aims: { volume: 1, result: 0.1 } }).kind).toBe(
      'impossible',
    );
    const weightless = { ...simpleAircraft(), massItems: [] };
    const sized = sizeTail({
      design: {
        ...weightless,
        surfaces: weightless.surfaces.map((surface) => ({ ...surface, construction: undefined })),
      },
      surface: tailplane(weightless).id,
      aims: { volume: 0.5, result: 0.1 },
    });
    expect(sized.kind === 'sized' && said(sized.proposals[2]!.because)).toMatch(/Nothing has a mass/);
  });
});
