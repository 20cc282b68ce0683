import { expectWithin } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { simpleAircraft, boxBody } from '#/tests/designs';
import { analyse, type Analysis } from '@/core/analyse';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { turned, turnForNeutral, withChords, withDihedral, withLength, withThrows } from './changes';

const run = (design: Design) => analyse(design, { without: ['remedies'] });
const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
/** The amounts of a finding, SI. */
function numbersOf(analysis: Analysis, id: string): Record<string, number> | undefined {
  const found = analysis.findings.find((finding) => finding.id === id);
  return found && Object.fromEntries(Object.entries(found.numbers).map(([name, { value }]) => [name, value]));
}
const base = simpleAircraft(85);

/** What a finding says, beside the same number computed by hand from the document or another group. */
describe('findings say what is', () => {
  test('launch: a fifth above the stall', () => {
    const analysis = run(change(base, ['/massItems/lump/mass', 2500]));
    expect(numbersOf(analysis, 'fastForLaunch')!['asked']).toBeCloseTo(1.2 * analysis.speeds.stall!, 12);
  });

  test('loading and span against the brief', () => {
    const heavy = run(change(base, ['/brief/targetWingLoading', 1500]));
    expect(numbersOf(heavy, 'loadingOverBrief')!['wingLoading']).toBeCloseTo(
      heavy.mass.total! / heavy.reference.area!,
      12,
    );
    const wide = run(change(base, ['/brief/maximumSpan', 1000]));
    expect(numbersOf(wide, 'spanOverBrief')).toEqual({ span: wide.reference.span, limit: 1 });
  });

  test('the built angle moves the hands-off lift by what turning the surface does', () => {
    // Cruise flown hands off, so that both are derivatives of the same state.
    const neutral = degreesFromRadians(run(base).trim.tailIncidence!);
    const trimmed = change(base, ['/surfaces/tail/incidence', neutral]);
    const error = neutral + 0.3;
    const built = run(
      change(trimmed, ['/surfaces/tail/asBuilt', { left: { incidence: error }, right: { incidence: error } }]),
    );
    const drawn = run(trimmed);
    const said = numbersOf(built, 'builtAngle')!['moved']!;
    expectWithin(said, built.rigging.handsOffLift! - drawn.rigging.handsOffLift!, 0.02);
    const redrawn = run(change(base, ['/surfaces/tail/incidence', error]));
    expect(built.rigging.handsOffLift).toBeCloseTo(redrawn.rigging.handsOffLift!, 9);
  });

  test('the pack: place and end of travel from a sum of moments', () => {
    const far = change(simpleAircraft(150), ['/massItems/pack/attachment/from', 140]);
    const analysis = run(far);
    const { wanted } = numbersOf(analysis, 'packOutOfTravel')!;
    const moved = run(change(far, ['/massItems/pack/position/x', wanted! * 1000]));
    expect(moved.mass.cg![0]).toBeCloseTo(analysis.window.aft!, 9);
  });

  test('off its centre: the lever of one part', () => {
    const analysis = run(change(base, ['/massItems/lump/position/y', 60]));
    expect(numbersOf(analysis, 'offCentre')!['off']).toBeCloseTo((0.5 * 0.06) / analysis.mass.total!, 12);
  });

  test('weight that crept in', () => {
    const analysis = run(change(base, ['/massItems/lump/measuredMass', 560]));
    expect(numbersOf(analysis, 'weightCreep')).toEqual({ measured: 0.56, computed: 0.5 });
  });

  test('drag high up: the moment of its area', () => {
    const high = change(base, [
      '/dragItems',
      [{ id: 'd', name: '', dragArea: 20000, position: { x: 100, y: 0, z: 800 }, mirrored: false }],
    ]);
    const analysis = run(high);
    const lever = 0.8 - analysis.mass.cg![2];
    expect(numbersOf(analysis, 'dragHeight')!['moment']).toBeCloseTo(
      (0.02 * lever) / (analysis.reference.area! * analysis.reference.meanChord!),
      9,
    );
  });

  test('the hinge: fuselage half width against the inboard end', () => {
    const design = change(base, ['/surfaces/tail/controls/elevator/from', 0.1], ['/bodies', [boxBody(60)]]);
    // 10 % of 220 mm outboard, 30 mm of half width.
    expect(numbersOf(run(design), 'hingeRub')!['gap']).toBeCloseTo((22 - 30) / 1000, 6);
  });
});

describe('changes that remedies are made of', () => {
  const wing = base.surfaces[0]!;

  test('a turned surface turns where it is built, else where it is drawn', () => {
    expect(turned(wing, 1.5)).toEqual([{ field: '/surfaces/wing/incidence', value: 4.5 }]);
    const built = { ...wing, asBuilt: { left: { incidence: 2 }, right: { tipTwist: 1 } } };
    expect(turned(built, -1)).toEqual([{ field: '/surfaces/wing/asBuilt/left/incidence', value: 1 }]);
  });

  test('the turn for a neutral control leaves the control neutral', () => {
    for (const name of ['lagoon-postman', 'petrel-inverted', 'heron-canard']) {
      const design = change(demoDesign(name), [
        '/conditions/cruiseSpeed',
        demoDesign(name).conditions.cruiseSpeed * 1.15,
      ]);
      const analysis = run(design);
      const turn = turnForNeutral(design, analysis)!;
      const after = run(withFields(design, turned(turn.surface, turn.degrees)));
      expect(Math.abs(after.trim.elevator!), name).toBeLessThan(
        Math.max(0.003, 0.06 * Math.abs(analysis.trim.elevator!)),
      );
    }
  });

  test('chords, lengths and dihedral change by what is said', () => {
    const deeper = withFields(base, withChords(wing, 1.1)).surfaces[0]!;
    expect(deeper.stations.map(({ chord }) => chord)).toEqual([220, 220]);
    const longer = withFields(base, withLength(wing, 1.1)).surfaces[0]!;
    expect(longer.stations[1]!.distanceFromRoot).toBe(660);
    expect(withFields(base, withDihedral(wing, 2)).surfaces[0]!.stations[0]!.dihedral).toBe(6);
  });

  test('throws stay within what a hinge can do', () => {
    const throws = withThrows(base, ['aileron'], 9);
    expect(throws.map(({ value }) => value)).toEqual([45, 45]);
    expect(withThrows(base, ['aileron'], 0.001).map(({ value }) => value)).toEqual([2, 2]);
    expect(withThrows(base, ['flap'], 2)).toEqual([]);
  });
});

describe('the fleet', () => {
  test.each(DEMO_NAMES.filter((name) => name !== 'reef-surveyor'))('%s has nothing to stop for', (name) => {
    expect(run(demoDesign(name)).findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  test('the one that went wrong is caught, before anything was built', () => {
    const { findings } = analyse(demoDesign('reef-surveyor'));
    const stop = findings.find(({ id }) => id === 'balanceAft')!;
    expect(stop.severity).toBe('stop');
    expect(stop.remedies.length).toBeGreaterThan(0);
  });
});
