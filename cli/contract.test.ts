import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { CONTRACT } from '#/tests/contract';
import { analyse, type Analysis } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';

const whole = new Map<string, Analysis>();
const analysisOf = (name: string) => {
  const known = whole.get(name) ?? analyse(demoDesign(name), { without: ['remedies'] });
  whole.set(name, known);
  return known;
};

describe.each(DEMO_NAMES)('%s', (name) => {
  test('has every promised key, a reason beside every null', () => {
    const analysis = analysisOf(name);
    expect(analysis).toMatchObject({ format: 'inclinar-analysis', version: 2 });
    for (const [group, keys] of Object.entries(CONTRACT)) {
      const values = analysis[group as keyof Analysis] as unknown as Record<string, unknown>;
      const reasons = values['reasons'] as Record<string, string>;
      for (const key of keys) {
        expect(values, `${group}.${key}`).toHaveProperty(key);
        if (values[key] === null) expect(said(reasons[key]), `${group}.${key}`).toMatch(/.{10,}/);
      }
    }
  });

  test('keeps the conventions of signs and sums', () => {
    const { pitch, lateral, mass, reference, lift, trim, drag, speeds, stall } = analysisOf(name);
    expect(pitch.liftSlope).toBeGreaterThan(1.5);
    expect(pitch.staticMargin).toBeCloseTo((pitch.neutralPoint! - mass.cg![0]) / reference.meanChord!, 12);
    expect(Math.sign(pitch.momentSlope!)).toBe(-Math.sign(pitch.staticMargin!));
    expect(reference.aspectRatio).toBeCloseTo(reference.span! ** 2 / reference.area!, 9);
    expect(lateral.rollDamping).toBeLessThan(0);
    expect(lateral.yawDamping).toBeLessThan(0);
    expect(lateral.sideForceSlope).toBeLessThan(0);
    if (lateral.rollFromAileron !== null) expect(lateral.rollFromAileron).toBeGreaterThan(0);
    if (lateral.yawFromRudder !== null) expect(lateral.yawFromRudder).toBeGreaterThan(0);
    expect(Object.values(lift.shares!).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(trim.speed).toBe(demoDesign(name).conditions.cruiseSpeed);
    expect(drag.total!).toBeGreaterThanOrEqual(drag.induced! + drag.profile! - 1e-12);
    expect(speeds.approach!).toBeGreaterThanOrEqual(1.3 * speeds.stall! - 1e-9);
    // A slender delta has no place where its stall starts.
    if (stall.startsAtSpanFraction !== null) {
      expect(stall.startsAtSpanFraction).toBeGreaterThanOrEqual(0);
      expect(stall.startsAtSpanFraction).toBeLessThanOrEqual(1);
    } else expect(said(stall.reasons['startsAtSpanFraction'])).toMatch(/vortices/);
  });
});

describe('what the options leave out', () => {
  test('surfaces only: no fuselage, propeller or viscosity, and said so', () => {
    for (const name of ['lagoon-postman', 'storm-courier']) {
      const bare = analyse(demoDesign(name), { surfacesOnly: true, without: ['remedies'] });
      expect(bare.drag.profile).toBeNull();
      expect(said(bare.drag.reasons['profile'])).toMatch(/Viscosity is left out/);
      expect(bare.stall.liftCoefficient).toBeNull();
      expect(bare.trim.thrustMoment).toBeNull();
      const without = analyse({ ...demoDesign(name), propulsion: [] }, { surfacesOnly: true, without: ['remedies'] });
      expect(without.pitch.liftSlope).toBeCloseTo(bare.pitch.liftSlope!, 12);
    }
  });

  test('a drag is computed on fewer panels, within half a percent of the chord', () => {
    for (const name of ['lagoon-postman', 'tandem-ferry', 'storm-courier', 'tern-tender']) {
      const quick = analyse(demoDesign(name), { quick: true, without: ['remedies'] });
      const { pitch, reference } = analysisOf(name);
      expect(Math.abs(quick.pitch.neutralPoint! - pitch.neutralPoint!) / reference.meanChord!, name).toBeLessThan(
        0.006,
      );
      expect(said(quick.pitch.reasons['neutralPointBand'])).toMatch(/when the drag ends/);
    }
  });

  test('wakes along the wind move the neutral point by about the band that is shown', () => {
    for (const name of ['lagoon-postman', 'heron-canard']) {
      const design = withFields(demoDesign(name), [{ field: '/propulsion', value: [] }]);
      const [datum, wind] = (['datum', 'wind'] as const).map((wake) =>
        analyse(design, { wake, without: ['remedies'] }),
      );
      const moved = Math.abs(wind!.pitch.neutralPoint! - datum!.pitch.neutralPoint!);
      expect(moved).toBeLessThan(datum!.pitch.neutralPointBand! + 0.03 * datum!.reference.meanChord!);
    }
  });
});
