import { describe, expect, test } from 'vitest';
import { analyse, findingsStepwise } from '@/core/analyse';
import { finish } from '@/core/1-base/steps';
import { prepare } from '@/core/6-groups/solution/prepare';
import { MOST_PANELS } from '@/core/5-aero/lattice';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { largestDesign } from './largest';
import { nonsenseIn } from './nonsense';

describe('the largest document', () => {
  test.each([1, 6, 24])(
    'of %i surfaces is computed on a lattice of a size that can be waited for, and says so',
    (surfaces) => {
      const design = largestDesign(surfaces);
      expect(prepare(design, {})!.lattice.panels).toBeLessThanOrEqual(MOST_PANELS);
      const analysis = analyse(design, { without: ['remedies'] });
      expect(nonsenseIn(analysis)).toEqual([]);
      expect(analysis.findings.map(({ id }) => id)).toContain('coarseLattice');
    },
  );

  test('of usual size keeps the whole lattice, and one that was asked for is cut just so', () => {
    expect(prepare(simpleAircraft(), {})!.lattice.isCoarse).toBe(false);
    const bends = largestDesign(2);
    expect(prepare(bends, { grid: { strips: 18, chordwise: 5 } })!.lattice.panels).toBeGreaterThan(MOST_PANELS);
  });

  test('a coarse lattice of a plain wing is within two percent of the usual one', () => {
    const slope = (strips: number, chordwise: number) =>
      analyse(designOf([trapezoid(600, 200)]), { grid: { strips, chordwise } }).pitch.liftSlope!;
    expect(Math.abs(slope(6, 3) / slope(18, 5) - 1)).toBeLessThan(0.02);
  });

  test('trials are bounded, every finding gets its share, and what was not tried is counted', () => {
    const design = largestDesign(1);
    const findings = finish(findingsStepwise(design));
    for (const id of ['balanceAft', 'packOutOfTravel'])
      expect(findings.find((finding) => finding.id === id)!.untried).toBeGreaterThan(100);
    // A usual design is tried whole.
    expect(finish(findingsStepwise(simpleAircraft(130))).every(({ untried }) => untried === undefined)).toBe(true);
  });
});
