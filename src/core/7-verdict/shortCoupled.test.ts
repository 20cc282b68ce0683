import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { Finding } from './finding';

const found = (design: Design) => analyse(design, { without: ['remedies'] }).findings;
const one = (list: readonly Finding[], id: string) => list.find((finding) => finding.id === id);

/** A made-up model whose tail sits close behind its wing, balanced at a margin and trimmed hands off for cruise. */
function shortCoupled(margin: number): Design {
  let design = withFields(simpleAircraft(60), [
    { field: '/surfaces/tail/position/x', value: 330 },
    { field: '/surfaces/fin/position/x', value: 330 },
    { field: '/surfaces/wing/incidence', value: 2 },
    { field: '/conditions/cruiseSpeed', value: 12 },
  ]);
  for (let round = 0; round < 4; round++) {
    const { pitch, reference, trim, mass } = analyse(design, { without: ['remedies'] });
    const shift = 1000 * (pitch.neutralPoint! - margin * reference.meanChord! - mass.cg![0]);
    design = withFields(design, [
      { field: '/massItems/lump/position/x', value: design.massItems[0]!.position.x + (shift * 600) / 500 },
      { field: '/surfaces/tail/incidence', value: (trim.tailIncidence! * 180) / Math.PI },
    ]);
  }
  return design;
}

const built = (design: Design, error: number) => {
  const { incidence } = design.surfaces.find(({ id }) => id === 'tail')!;
  return withFields(design, [
    {
      field: '/surfaces/tail/asBuilt',
      value: { left: { incidence: incidence + error }, right: { incidence: incidence + error } },
    },
  ]);
};

describe('a short-coupled model', () => {
  const narrow = shortCoupled(0.05);
  const ERROR = -1.5;

  test('passes as drawn', () => {
    expect(
      found(narrow).filter(
        ({ severity, stage }) => severity === 'stop' || (severity !== 'note' && stage === 'rigging'),
      ),
    ).toEqual([]);
  });

  test('built off, it trims beyond its stall: a stop with the lift, the angle and the shim', () => {
    const finding = one(found(built(narrow, ERROR)), 'handsOffTrim')!;
    expect(finding.severity).toBe('stop');
    const { rigging, stall } = analyse(built(narrow, ERROR), { without: ['remedies'] });
    expect(rigging.handsOffLift).toBeGreaterThan(stall.liftCoefficient!);
    expect(said(finding.message)).toContain(rigging.handsOffLift!.toFixed(2));
    expect(said(finding.message)).toMatch(/1\.5° nose down of the drawing/);
    // tan 1.5° over the 140 mm of its root chord.
    expect(140 * Math.tan((1.5 * Math.PI) / 180)).toBeCloseTo(3.7, 1);
    const remedies = analyse(built(narrow, ERROR)).findings.find(({ id }) => id === 'handsOffTrim')!.remedies;
    expect(said(remedies[0]!.label)).toBe('Shim Tail 3.7 mm under its leading edge, as drawn');
  });

  test('with a wide margin the same error is only a caution', () => {
    const wide = built(shortCoupled(0.2), ERROR);
    expect(found(wide).filter(({ stage, severity }) => stage === 'rigging' && severity === 'stop')).toEqual([]);
    expect(one(found(wide), 'builtAngle')).toMatchObject({ severity: 'caution' });
  });

  test('with one wing panel off by itself it is told the roll', () => {
    const warped = withFields(narrow, [{ field: '/surfaces/wing/asBuilt', value: { right: { incidence: 4 } } }]);
    const finding = one(found(warped), 'leftRight')!;
    // More angle on the right lifts the right side: it rolls to the left.
    expect(said(finding.message)).toMatch(/rolls to the left at \d+° a second/);
    expect(finding.severity).not.toBe('note');
  });
});
