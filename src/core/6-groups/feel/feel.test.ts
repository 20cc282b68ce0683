import { servoSchema } from '@/core/2-document/schema/surface';
import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { numbersOf } from '../solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { effectiveTurn } from '@/core/5-aero/controlHold';
import { manoeuvreMargin } from '@/core/5-aero/manoeuvreMargin';
import { hornFor, linkageTravel } from './linkage';

const grid = { strips: 10, chordwise: 4 };
const numbers = (design = simpleAircraft()) => numbersOf(design, { grid, without: ['remedies'] });

const servo = (given: object) => servoSchema.parse(given);

describe('linkage', () => {
  test('a 12 mm arm through 45° on a 17 mm horn gives 29.9°', () => {
    expect(linkageTravel(servo({ horn: 17 })).degrees).toBeCloseTo(
      (Math.asin((12 * Math.SQRT1_2) / 17) * 180) / Math.PI,
      12,
    );
    expect(linkageTravel(servo({ arm: 20, horn: 10 }))).toEqual({ degrees: 90, binds: true });
  });
  test('the horn for a travel gives that travel', () => {
    const given = servo({ travel: 50, arm: 11, horn: 14 });
    expect(linkageTravel({ ...given, horn: hornFor(given, 23) }).degrees).toBeCloseTo(23, 10);
  });
});

test('manoeuvre margin by hand: K = 0.1, C_mq = −8, μ = 20 gives 0.3', () => {
  // μ = 2m/(ρ S c̄) = 2 · 0.49/(1.225 · 0.2 · 0.2) = 20.
  expect(
    manoeuvreMargin({ staticMargin: 0.1, pitchDamping: -8, mass: 0.49, density: 1.225, area: 0.2, meanChord: 0.2 }),
  ).toBeCloseTo(0.3, 10);
});

describe('feel of a whole aircraft', () => {
  test('steady roll rate is where roll power and damping cancel', () => {
    const { feel, lateral, reference } = numbers();
    const roll = feel.axes.find(({ axis }) => axis === 'roll')!;
    const rateTerm = (roll.response * reference.span!) / (2 * feel.speed!);
    const held = effectiveTurn((20 * Math.PI) / 180);
    expect(lateral.rollFromAileron! * held + lateral.rollDamping! * rateTerm).toBeCloseTo(0, 10);
  });

  test('rudder banks into the turn through dihedral, and out of it through anhedral', () => {
    const design = simpleAircraft();
    expect(numbers(design).feel.bankByRudder!).toBeGreaterThan(0);
    const drooped = withFields(design, [{ field: '/surfaces/wing/stations/0/dihedral', value: -8 }]);
    expect(numbers(drooped).feel.bankByRudder!).toBeLessThan(0);
  });

  test('heavy or light, the same throw asks the same of the wing: nobody is told to take throw away for weight', () => {
    const withMass = (grams: number) =>
      numbers(withFields(simpleAircraft(60), [{ field: '/massItems/lump/mass', value: grams }])).feel.axes.find(
        ({ axis }) => axis === 'pitch',
      )!;
    const [light, heavy] = [withMass(300), withMass(3000)];
    expect(heavy.measure).toBeLessThan(1.2 * light.measure);
    expect(heavy.response).toBeLessThanOrEqual(light.response + 1e-9);
  });

  test('no load factor beyond the stall, no sideslip beyond the fin, no bank beyond a right angle', () => {
    const wild = withFields(
      simpleAircraft(110),
      ['wing/controls/aileron', 'tail/controls/elevator', 'fin/controls/rudder'].flatMap((control) => [
        { field: `/surfaces/${control}/throwUp`, value: 60 },
        { field: `/surfaces/${control}/throwDown`, value: 60 },
      ]),
    );
    const { feel, stall, trim } = numbers(withFields(wild, [{ field: '/conditions/cruiseSpeed', value: 30 }]));
    const of = (name: string) => feel.axes.find(({ axis }) => axis === name)!;
    expect(feel.speed!).toBeCloseTo(2 * stall.speed!, 9);
    const lift = trim.liftCoefficient! * (trim.speed! / feel.speed!) ** 2;
    expect(of('pitch').response).toBeLessThanOrEqual(stall.liftCoefficient! / lift - 1 + 1e-9);
    expect(of('yaw').response).toBeLessThanOrEqual(0.35);
    expect(Math.abs(feel.bankByRudder!)).toBeLessThanOrEqual(Math.PI / 2);
    expect(of('roll').response).toBeLessThan(25);
  });

  test('less travel feels calmer, and the share that would mend it does', () => {
    const design = simpleAircraft(40);
    const wild = withFields(design, [
      { field: '/surfaces/wing/controls/aileron/throwUp', value: 50 },
      { field: '/surfaces/wing/controls/aileron/throwDown', value: 50 },
    ]);
    const before = numbers(wild).feel.axes.find(({ axis }) => axis === 'roll')!;
    expect(before.feel).toBe('tooMuch');
    const throws = 50 * before.travelShare!;
    const mended = withFields(wild, [
      { field: '/surfaces/wing/controls/aileron/throwUp', value: throws },
      { field: '/surfaces/wing/controls/aileron/throwDown', value: throws },
    ]);
    expect(numbers(mended).feel.axes.find(({ axis }) => axis === 'roll')!.feel).toBe('calm');
  });
});
