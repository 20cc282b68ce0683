import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { METRIC, formatValue } from '@/words/formatQuantity';

const workingsOf = (name: string) =>
  new Map(analyse(demoDesign(name), { without: ['remedies'] }).workings.map((working) => [working.id, working]));

/** Numbers that every powered design with the usual controls explains. */
const HEADLINES = [
  'meanChord',
  'neutralPoint',
  'centreOfGravity',
  'staticMargin',
  'wingLoading',
  'stallSpeed',
  'trimAlpha',
  'window',
  'drag',
  'approach',
  'downwash',
  'elevator',
  'zeroLiftMoment',
  'pitchDamping',
  'yawStiffness',
  'dihedralEffect',
  'rollDamping',
  'yawDamping',
  'rollFromAileron',
  'bestGlide',
  'minimumSink',
  'pitchFloor',
  'maximumLift',
  'neutralPointWithoutTail',
  'tailIncidence',
  'breakingLoadFactor',
  'flightLoadFactor',
  'diveSpeed',
  'tipDeflection',
  'divergenceSpeed',
  'boomPitchFactor',
  'staticThrust',
  'cruiseElectricPower',
  'duration',
  'climbRate',
  'maximumSpeed',
];

describe('workings', () => {
  test('the trainer explains every headline', () => {
    const workings = workingsOf('lagoon-postman');
    expect(HEADLINES.filter((id) => !workings.has(id))).toEqual([]);
  });

  test.each(DEMO_NAMES)('%s: each has words, values and a band that is a number', (name) => {
    const workings = [...workingsOf(name).values()];
    expect(new Set(workings.map(({ id }) => id)).size).toBe(workings.length);
    for (const working of workings) {
      expect(Number.isFinite(working.value), working.id).toBe(true);
      if (working.band !== null) expect(working.band, working.id).toBeGreaterThanOrEqual(0);
      for (const words of [
        working.name,
        working.symbol,
        working.formula,
        working.source,
        working.range,
        working.bandBecause,
      ]) {
        expect(words, working.id).not.toMatch(/undefined|NaN|^$/);
      }
      for (const { value, unit, name: of } of working.inputs) {
        expect(Number.isFinite(value), `${working.id}: ${of}`).toBe(true);
        expect(formatValue(value, unit, METRIC)).toMatch(/\d/);
      }
    }
  });

  test('the values put in give the number that comes out', () => {
    const workings = workingsOf('lagoon-postman');
    const value = (id: string, symbol: string) =>
      workings.get(id)!.inputs.find((entry) => entry.symbol === symbol)!.value;
    const stall = workings.get('stallSpeed')!;
    const inside =
      (2 * value('stallSpeed', 'm') * value('stallSpeed', 'g')) /
      (value('stallSpeed', 'ρ') * value('stallSpeed', 'S') * value('stallSpeed', 'C_Lmax'));
    expectWithin(stall.value, Math.sqrt(inside), 1e-12);
    expectWithin(
      workings.get('staticMargin')!.value,
      (value('staticMargin', 'x_NP') - value('staticMargin', 'x_CG')) / value('staticMargin', 'c̄'),
      1e-12,
    );
    expectWithin(workings.get('wingLoading')!.value, value('wingLoading', 'm') / value('wingLoading', 'S'), 1e-12);
    expectWithin(workings.get('window')!.value, value('window', 'x_a') - value('window', 'x_f'), 1e-12);
    const slope = value('drag', 'C_L') ** 2 / (Math.PI * value('drag', 'A') * value('drag', 'e'));
    expectWithin(slope, value('drag', 'C_Di'), 1e-9);
    expectWithin(
      value('neutralPoint', 'x₀') -
        (value('neutralPoint', 'C_mα') / value('neutralPoint', 'C_Lα')) * value('neutralPoint', 'c̄'),
      workings.get('neutralPoint')!.value,
      0.005,
    );
  });
});
