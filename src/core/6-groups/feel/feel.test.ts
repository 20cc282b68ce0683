import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { numbersOf } from '../solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { effectiveTurn } from '@/core/5-aero/controlHold';
import { manoeuvreMargin } from '@/core/5-aero/manoeuvreMargin';
import { hornFor, linkageTravel } from './linkage';

const grid = { strips: 10, chordwise: 4 };
const numbers = (design = simpleAircraft()) => numbersOf(design, { grid, without: ['remedies'] });

describe('linkage', () => {
  test('a 12 mm arm through 45° on a 17 mm horn gives 29.9°', () => {
    expect(linkageTravel({ travel: 45, arm: 12, horn: 17 }).degrees).toBeCloseTo(
      (Math.asin((12 * Math.SQRT1_2) / 17) * 180) / Math.PI,
      12,
    );
    expect(linkageTravel({ travel: 45, arm: 20, horn: 10 })).toEqual({ degrees: 90, binds: true });
  });
  test('the horn for a travel gives that travel', () => {
    const servo = { travel: 50, arm: 11, horn: 14 };
    expect(linkageTravel({ ...servo, horn: hornFor(servo, 23) }).degrees).toBeCloseTo(23, 10);
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
