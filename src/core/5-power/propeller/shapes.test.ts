import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Newtons } from '@/core/1-base/units/convert';
import { bladeArea, foldedDragArea, stoppedDragArea, windmillingDragArea } from './atRest';
import { bladeAt, usualPropeller } from './blade';
import { turning } from './bladeElements';
import { angleForLift, bladeSection } from './bladeSection';
import { idealEfficiency } from './momentum';
import { twistFor, type TwistInput } from './twist';
import { twistTemplates } from '@/core/4-parts/kinds/twistTemplate';

const air = airAt(0, 15);

describe('without power', () => {
  const propeller = usualPropeller(0.25, 0.15, 2);
  const disc = (Math.PI / 4) * 0.25 ** 2;

  test('solidity lies in the usual 0.06–0.10, a stopped one drags about 1.1 of its blades', () => {
    const area = bladeArea(propeller);
    expect(area / disc).toBeGreaterThan(0.06);
    expect(area / disc).toBeLessThan(0.1);
    expectWithin(stoppedDragArea(propeller, 10, air), 1.1 * area, 0.4);
  });

  test('a folded one is next to nothing, a smaller one costs less with the square', () => {
    const stopped = stoppedDragArea(propeller, 10, air);
    expect(foldedDragArea(propeller)).toBeLessThan(0.05 * stopped);
    const half = stoppedDragArea(usualPropeller(0.125, 0.075, 2), 10, air);
    // Its blades stall a little later in the slower Reynolds numbers.
    expectWithin(half / stopped, 0.25, 0.05);
    expectWithin(stoppedDragArea({ ...propeller, blades: 4 }, 10, air) / stopped, 2, 0.02);
  });

  test('windmilling: thrust back where the blades give just the torque that holds them; held too fast it stands', () => {
    const free = windmillingDragArea(propeller, 10, air, 0)!;
    expect(free).toBeGreaterThan(0);
    expect(free).toBeLessThan(stoppedDragArea(propeller, 10, air));
    expect(windmillingDragArea(propeller, 10, air, 1)).toBeNull();
    // A bearing that takes something slows it, on the way to one that stands.
    expect(windmillingDragArea(propeller, 10, air, 0.002)!).toBeGreaterThan(free);
    expect(windmillingDragArea(propeller, 10, air, 0.002)!).toBeLessThan(stoppedDragArea(propeller, 10, air));
  });

  test('steep blades let the wind through, flat ones stand against it', () => {
    const at = (pitch: number) => stoppedDragArea(usualPropeller(0.25, pitch, 2), 10, air);
    expect(at(0.3)).toBeLessThan(at(0.1));
  });
});

describe('the twist of a hand-made blade', () => {
  const usual = usualPropeller(0.3, 0.2, 2);
  const wanted: TwistInput = {
    diameter: 0.3,
    blades: 2,
    chordAt: (share) => bladeAt(usual.places, share).chord,
    speed: 8,
    perSecond: 60,
    thrust: 1.5 as Newtons,
    air,
  };
  const twist = twistFor(wanted)!;

  test('gives the thrust that was asked, within what momentum allows', () => {
    expectWithin(turning(twist.propeller, 8, 60, air).thrust, 1.5, 1e-3);
    const efficiency = (1.5 * 8) / twist.power;
    const loading = 1.5 / (0.5 * air.density * 64 * ((Math.PI / 4) * 0.09));
    expect(efficiency).toBeLessThan(idealEfficiency(loading));
    expect(efficiency).toBeGreaterThan(0.45);
  });

  test('falls from hub to tip, and takes less power than a straight blade or the usual one set to the same thrust', () => {
    const angles = twist.propeller.places.map(({ angle }) => angle);
    expect(angles.slice(0, -1)).toEqual(angles.slice(0, -1).toSorted((a, b) => b - a));
    expect(twist.straightPower!).toBeGreaterThan(1.03 * twist.power);
    // The usual shape of some pitch that gives as much.
    const others = Array.from({ length: 60 }, (_, index) => usualPropeller(0.3, 0.1 + 0.004 * index, 2));
    const same = others.reduce((near, one) =>
      Math.abs(turning(one, 8, 60, air).thrust - 1.5) < Math.abs(turning(near, 8, 60, air).thrust - 1.5) ? one : near,
    );
    expect(turning(same, 8, 60, air).torque * 2 * Math.PI * 60).toBeGreaterThan(0.995 * twist.power);
  });

  test('what the chords do not give is refused; what is too narrow is named', () => {
    expect(twistFor({ ...wanted, thrust: 60 as Newtons })).toBeNull();
    const thin = twistFor({ ...wanted, chordAt: (share) => 0.45 * bladeAt(usual.places, share).chord });
    expect(thin?.narrow.length ?? 1).toBeGreaterThan(0);
  });

  test('a section turned to lift so much lifts so much', () => {
    for (const reynolds of [3e4, 1e5])
      expectWithin(bladeSection(angleForLift(0.7, reynolds), reynolds).lift, 0.7, 1e-9);
  });

  test('templates slope as the blade does, and hold its middle at one height', () => {
    const templates = twistTemplates(twist.propeller.places);
    templates.forEach(({ outline }, index) => {
      const [, , outer, inner] = outline as [never, never, [number, number], [number, number]];
      const slope = Math.atan2(outer[1] - inner[1], outer[0] - inner[0]);
      expectWithin(slope, twist.propeller.places[index]!.angle, 1e-9);
    });
    const middles = templates.map(({ outline }) => (outline[2]![1] + outline[3]![1]) / 2);
    expect(Math.max(...middles) - Math.min(...middles)).toBeLessThan(1e-12);
    expect(Math.min(...templates.flatMap(({ outline }) => outline.slice(2).map(([, up]) => up)))).toBeGreaterThan(0);
  });
});
