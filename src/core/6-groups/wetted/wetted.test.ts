import { describe, expect, test } from 'vitest';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import type { Section } from '@/core/2-document/schema/section';
import { numbersOf } from '../solve';

type SectionInput = Partial<Section> & Pick<Section, 'kind'>;

/** A wing of one section, half span 600 mm, at 11 m/s. */
function wingOf(section: SectionInput, root = 200, tip = root) {
  const stations = [
    { distanceFromRoot: 0, chord: root, section, dihedral: 5 },
    { distanceFromRoot: 600, chord: tip, section },
  ] as never;
  return numbersOf(designOf([trapezoid(600, root, tip, { stations })], { conditions: { cruiseSpeed: 11 } })).wetted;
}

describe('wetted area', () => {
  test('of a thin plate is twice its plan', () => {
    const { surfaces, total } = wingOf({ kind: 'curvedPlate', thickness: 0.5, camber: 0 });
    expectWithin(surfaces[0]!.area, 2 * 1.2 * 0.2, 2e-3);
    expectWithin(surfaces[0]!.overPlan, 2, 2e-3);
    expect(total).toBe(surfaces[0]!.area);
  });

  // Raymer, Aircraft Design, eq. 7.12: S_wet/S = 1.977 + 0.52 t/c over 5 % of thickness.
  test.each([0.08, 0.12, 0.15])('of a four-digit section %d thick is what the textbook says', (thicknessRatio) => {
    const { surfaces } = wingOf({ kind: 'fourDigit', thicknessRatio, camber: 0, camberPosition: 0.4 }, 220, 140);
    expectWithin(surfaces[0]!.overPlan, 1.977 + 0.52 * thicknessRatio, 0.01);
    expectWithin(surfaces[0]!.area, surfaces[0]!.overPlan * 1.2 * 0.18, 1e-12);
  });
});

describe('Reynolds numbers', () => {
  test('at sea level in the standard atmosphere: 0.2 m at 11 m/s are 150 600', () => {
    const wing = wingOf({ kind: 'flatPlate', thickness: 5 }).surfaces[0]!;
    expectWithin(wing.reynolds, (1.225 * 11 * 0.2) / 1.789e-5, 1e-3);
    expect(wing.reynoldsLeast).toBeCloseTo(wing.reynolds, 6);
  });

  test('a pointed wing has its least at the tip, its mean at two thirds of the root', () => {
    const { reynolds, reynoldsLeast } = wingOf({ kind: 'flatPlate', thickness: 3 }, 200, 20).surfaces[0]!;
    expectWithin(reynoldsLeast / reynolds, 0.02 / ((2 / 3) * 0.2 * ((1 + 0.1 + 0.01) / 1.1)), 1e-9);
  });

  test('at the stall they go down with the speed, and are unknown without a weight', () => {
    const design = simpleAircraft(85);
    const { wetted, stall } = numbersOf(design);
    expect(wetted.surfaces.map(({ surface }) => surface)).toEqual(['wing', 'tail', 'fin']);
    for (const { reynolds, reynoldsAtStall } of wetted.surfaces)
      expect(reynoldsAtStall! / reynolds).toBeCloseTo(stall.speed! / 11, 9);
    expect(numbersOf({ ...design, massItems: [] }).wetted.surfaces[0]!.reynoldsAtStall).toBeNull();
  });

  test('without surfaces there is nothing, with its reason', () => {
    const { total, surfaces, reasons } = numbersOf(designOf([])).wetted;
    expect([total, surfaces]).toEqual([null, []]);
    expect(reasons['total']).toBeTruthy();
  });
});
