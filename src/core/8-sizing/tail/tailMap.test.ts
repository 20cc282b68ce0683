import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { demoDesign } from '#/demo';
import type { FieldChange } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import { numbersOf } from '@/core/6-groups/solve';
import { placeOfTail, tailAxes, tailMapRow, tailMovedTo } from './tailMap';

describe('map of a tail', () => {
  const design = simpleAircraft();
  const tail = design.surfaces.find(({ role }) => role === 'tailplane')!;
  const today = placeOfTail(design, tail, 'arm')!;

  test('a tail that is brought to a place stands there', () => {
    const wanted = { area: 1.3 * today.area, across: 1.2 * today.across };
    const moved = withFields(design, tailMovedTo(design, tail, 'arm', wanted));
    const there = placeOfTail(
      moved,
      moved.surfaces.find(({ id }) => id === tail.id)!,
      'arm',
    )!;
    expect(there.area / wanted.area).toBeCloseTo(1, 2);
    expect(there.across).toBeCloseTo(wanted.across, 3);
  });

  test('in motion bodies weigh what they weighed a moment ago: what slides is within a millimetre, and exact once it rests', () => {
    for (const name of ['lagoon-postman', 'harbour-steward', 'atoll-freighter']) {
      const drawn = demoDesign(name);
      const own = drawn.surfaces.find(({ role }) => role === 'tailplane')!;
      const from = placeOfTail(drawn, own, 'arm')!;
      const to = (share: number) => ({ area: share * from.area, across: (1 + (share - 1) / 2) * from.across });
      const packOf = (of: readonly FieldChange[]) => of.at(-1)!.value as number;
      for (const share of [0.8, 1.15, 1.3]) {
        const exact = tailMovedTo(drawn, own, 'arm', to(share));
        const partsAt = (place: number) =>
          numbersOf(withFields(drawn, tailMovedTo(drawn, own, 'arm', to(place))), { quick: true }).mass.parts;
        expect(tailMovedTo(drawn, own, 'arm', to(share), partsAt(share))).toEqual(exact);
        const behind = tailMovedTo(drawn, own, 'arm', to(share), partsAt(share - 0.02));
        expect(behind.slice(0, -1)).toEqual(exact.slice(0, -1));
        expect(Math.abs(packOf(behind) - packOf(exact)), `${name} ${share}`).toBeLessThanOrEqual(1);
      }
    }
  });

  test('today’s place gives today’s margin; more area and more arm give more, as S l tells', () => {
    const whole = numbersOf(design);
    const row = (across: number, areas: readonly number[]) =>
      tailMapRow({ design, surface: tail.id, kind: 'arm', areas, across });
    const [here, larger] = row(today.across, [today.area, 1.5 * today.area]);
    expect(Math.abs(here!.staticMargin! - whole.pitch.staticMargin!)).toBeLessThan(0.01);
    expect(Math.abs(here!.yawStiffness! - whole.lateral.yawStiffness!)).toBeLessThan(0.005);
    const [longer] = row(1.5 * today.across, [today.area]);
    const gain = {
      area: larger!.staticMargin! - here!.staticMargin!,
      arm: longer!.staticMargin! - here!.staticMargin!,
    };
    // The neutral point goes with the tail volume: half as much again of either gains about alike.
    expect(gain.area).toBeGreaterThan(0.05);
    expect(gain.arm / gain.area).toBeGreaterThan(0.75);
    expect(gain.arm / gain.area).toBeLessThan(1.45);
  });

  test('axes run around today, also ahead of the wing', () => {
    const { areas, across } = tailAxes(today, 'arm');
    expect(areas.length * across.length).toBeGreaterThanOrEqual(63);
    expect(areas[0]!).toBeLessThan(today.area);
    expect(areas.at(-1)!).toBeGreaterThan(today.area);
    const ahead = tailAxes({ area: 1, across: -0.4 }, 'arm').across;
    expect(ahead).toEqual(ahead.toSorted((a, b) => a - b));
    expect(ahead[0]!).toBeLessThan(-0.4);
  });

  test('a V by its angle: steeper gives yaw and takes pitch', () => {
    const vee = demoDesign('gannet-vee');
    const surface = vee.surfaces.find(({ role }) => role === 'vTail')!;
    const { area } = placeOfTail(vee, surface, 'angle')!;
    const at = (across: number) =>
      tailMapRow({ design: vee, surface: surface.id, kind: 'angle', areas: [area], across })[0]!;
    expect(at(45).yawStiffness!).toBeGreaterThan(at(25).yawStiffness! + 0.01);
    expect(at(45).staticMargin!).toBeLessThan(at(25).staticMargin! - 0.01);
  });

  test('what cannot be drawn is not known', () => {
    expect(tailMapRow({ design, surface: 'none', kind: 'arm', areas: [0.1], across: 1 })).toEqual([
      { staticMargin: null, yawStiffness: null },
    ]);
  });
});
