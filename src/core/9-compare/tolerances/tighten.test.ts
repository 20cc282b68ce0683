import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { toleratedAircraft } from './builtAircraft';
import { normalDraws } from './draws';
import { AIM, tightenings } from './tighten';
import { tolerate } from './tolerances';

const design = demoDesign('lagoon-postman');
const withOwn = (...tolerances: Design['tolerances']): Design => ({ ...design, tolerances });
const aircraftOf = (of: Design) => {
  const aircraft = toleratedAircraft(of);
  if (!aircraft.ok) throw new Error(aircraft.because);
  return aircraft;
};

describe('a ± on any number', () => {
  test.each([
    ['/surfaces/wing/stations/1/chord', 8],
    ['/surfaces/tailplane/position/x', 15],
    ['/massItems/pack/position/x', 12],
    ['/massItems/pack/mass', 20],
  ])('%s: what is off moves margin, mass and hands-off lift as the whole analysis has it', (field, plusMinus) => {
    const own = withOwn({ field, plusMinus });
    const aircraft = aircraftOf(own);
    expect(aircraft.reasons).toEqual({});
    const by = plusMinus / 2;
    const off = Float64Array.from(aircraft.tolerances, ({ id }) => (id === field ? by : 0));
    const none = new Float64Array(off.length);
    const [drawn, built] = [aircraft.built(none), aircraft.built(off)];
    const parts = field.split('/');
    const now = parts.slice(1).reduce<unknown>((at, key) => {
      const list = at as readonly { id?: string }[];
      return Array.isArray(at) ? (list.find(({ id }) => id === key) ?? list[Number(key)]) : (at as never)[key];
    }, design) as number;
    const changed = numbersOf(withFields(design, [{ field, value: now + by }]), { without: ['bands'] });
    const shift = changed.pitch.staticMargin! - drawn.staticMargin;
    expect(Math.abs(shift)).toBeGreaterThan(1e-4);
    expect(Math.abs(built.staticMargin - changed.pitch.staticMargin!)).toBeLessThan(0.05 * Math.abs(shift) + 2e-4);
    expectWithin(built.mass, changed.mass.total!, 2e-3);
    expect(Math.abs(built.handsOffLift! - changed.rigging.handsOffLift!)).toBeLessThan(0.01);
  });

  test('what cannot be taken is told, and moves nothing', () => {
    const gone = aircraftOf(withOwn({ field: '/surfaces/none/stations/0/chord', plusMinus: 3 }));
    expect(gone.reasons['/surfaces/none/stations/0/chord']).toMatch(/is no field of this design/);
    const wide = aircraftOf(withOwn({ field: '/surfaces/wing/stations/1/chord', plusMinus: 9000 }));
    expect(wide.reasons['/surfaces/wing/stations/1/chord']).toMatch(/must lie between/);
    const told = finish(tolerate(wide.design, { draws: 32, seed: 1 }));
    expect(told.ok && told.reasons['/surfaces/wing/stations/1/chord']).toBeTruthy();
  });
});

describe('tightening', () => {
  test.each(DEMO_NAMES)('%s: at the spread that suffices nine and a half in ten hold', (name) => {
    const aircraft = toleratedAircraft(demoDesign(name));
    if (!aircraft.ok) return;
    const normals = normalDraws(400, aircraft.tolerances.length, 3);
    const { alone: found, together } = tightenings(aircraft, normals);
    for (const { id, sigma, exact } of found) {
      expect(exact).toBeLessThanOrEqual(1);
      if (sigma === null) {
        expect(exact).toBeLessThan(AIM);
        continue;
      }
      const closer = {
        ...aircraft,
        tolerances: aircraft.tolerances.map((one) => (one.id === id ? { ...one, sigma } : one)),
      };
      // With it as close as that nothing is left to be tightened.
      expect(tightenings(closer, normals)).toEqual({ alone: [], together: null });
      expect(sigma).toBeLessThan(aircraft.tolerances.find((one) => one.id === id)!.sigma);
    }
    if (together)
      expect(together.exact).toBeGreaterThanOrEqual(
        Math.max(0, ...found.filter(({ id }) => /^incidence|^warp|^balance/.test(id)).map(({ exact }) => exact)) - 0.02,
      );
    if (together?.share) {
      const all = {
        ...aircraft,
        tolerances: aircraft.tolerances.map((one) =>
          /^(incidence|warp|balance|mass|field)$/.test(one.kind) ? { ...one, sigma: one.sigma * together.share! } : one,
        ),
      };
      expect(tightenings(all, normals).together).toBeNull();
    }
    expect(found.map(({ exact }) => exact)).toEqual(found.map(({ exact }) => exact).toSorted((a, b) => b - a));
  });

  test('a sloppy angle is what has to come down, and by as much as it is too sloppy', () => {
    const calm = demoDesign('kittiwake-winglet');
    const tail = calm.surfaces.find(({ role }) => role === 'tailplane' || role === 'vTail')!.id;
    const off = (plusMinus: number) =>
      aircraftOf({ ...calm, tolerances: [{ field: `/surfaces/${tail}/incidence`, plusMinus }] });
    const wide = off(4);
    const normals = normalDraws(500, wide.tolerances.length, 1);
    const [first] = tightenings(wide, normals).alone;
    expect(first!.id).toBe(`incidence ${tail}`);
    const [same] = tightenings(off(8), normals).alone;
    if (first!.sigma === null || same!.sigma === null) throw new Error('an exact tailplane does');
    expectWithin(same!.sigma, first!.sigma, 0.1);
  });
});

test('a distribution counts every draw, and holds what it should keep to', () => {
  const told = finish(tolerate(design, { draws: 256, seed: 5 }));
  if (!told.ok) throw new Error(told.because);
  const margin = told.outputs['pitch.staticMargin']!;
  expect(margin.counts.reduce((sum, count) => sum + count, 0)).toBe(256);
  expect(margin.limits).toEqual({
    least: design.balance.minimumStaticMargin,
    most: design.balance.maximumStaticMargin,
  });
  expect(margin.from).toBeLessThan(margin.p05);
  expect(margin.to).toBeGreaterThan(margin.p95);
  // Most lie about the middle, few at the ends.
  expect(Math.max(...margin.counts.slice(8, 16))).toBeGreaterThan(Math.max(margin.counts[0]!, margin.counts.at(-1)!));
});
