import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { numbersOf } from '../solve';
import { momentCurves, type MomentInput } from './momentCurves';

const known: MomentInput = {
  pitch: { liftSlope: 5, momentSlope: -0.5, zeroLiftAlpha: -0.04, zeroLiftMoment: 0.05 },
  trim: { liftCoefficient: 0.4, thrustMoment: -0.008, climbThrustMoment: -0.03, speed: 12 },
  stall: { liftCoefficient: 1.1 },
  rigging: { handsOffLift: null },
};

describe('moment over angle of attack', () => {
  test('by hand: 0.05 − 0.1 C_L vanishes at 0.5, at 12 √0.8 m/s', () => {
    const { curves, stallAlpha } = momentCurves(known)!;
    expect(stallAlpha).toBeCloseTo(-0.04 + 0.22, 9);
    const [off, cruise, full] = curves;
    expect(off!.settling).toEqual({
      kind: 'settles',
      alpha: expect.closeTo(0.06, 9) as number,
      lift: expect.closeTo(0.5, 9) as number,
      speed: expect.closeTo(12 * Math.sqrt(0.8), 9) as number,
    });
    // −0.008 at 0.4 is −0.02 for each of lift: 0.05/0.12.
    expect(cruise!.settling).toMatchObject({ lift: expect.closeTo(0.05 / 0.12, 9) as number });
    // −0.03 at 1.1/1.69 is −0.0461 for each: 0.05/0.1461.
    expect(full!.settling).toMatchObject({ lift: expect.closeTo(0.05 / (0.1 + 0.03 * (1.69 / 1.1)), 9) as number });
    expect(off!.atStall).toBeCloseTo(0.05 - 0.11, 9);
  });

  test.each([
    ['dives', { zeroLiftMoment: -0.02 }],
    ['stalls', { zeroLiftMoment: 0.13 }],
    ['holdsNothing', { momentSlope: 0.1 }],
  ] as const)('%s', (kind, changed) => {
    expect(momentCurves({ ...known, pitch: { ...known.pitch, ...changed } })!.curves[0]!.settling.kind).toBe(kind);
  });

  test('unknown stays unknown', () => {
    expect(momentCurves({ ...known, stall: { liftCoefficient: null } })).toBeNull();
    const glider = { ...known, trim: { ...known.trim, thrustMoment: null, climbThrustMoment: null } };
    expect(momentCurves(glider)!.curves.map(({ power }) => power)).toEqual(['off']);
  });

  test('without power it settles where the lattice lets it settle, which is near the straight line of C_m0 and C_mα', () => {
    expect(momentCurves({ ...known, rigging: { handsOffLift: 0.47 } })!.curves[0]!.settling).toMatchObject({
      lift: 0.47,
    });
    for (const name of DEMO_NAMES.filter((_, index) => index % 3 === 0)) {
      const numbers = numbersOf(demoDesign(name), { without: ['bands'] });
      const straight = momentCurves({ ...numbers, rigging: { handsOffLift: null } })?.curves[0]?.settling;
      const { handsOffLift } = numbers.rigging;
      if (straight?.kind === 'settles' && handsOffLift !== null)
        expect(Math.abs(straight.lift - handsOffLift), name).toBeLessThan(0.03);
      else if (straight?.kind === 'dives') expect(handsOffLift ?? 0, name).toBeLessThan(0.05);
    }
  });
});
