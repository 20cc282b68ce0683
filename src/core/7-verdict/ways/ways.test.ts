import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import { designSchema } from '@/core/2-document/schema/design';
import { carriedByWings, shifted } from './carried';
import { balanceWays, standReadings } from './ways';

const numbersOf = (design: ReturnType<typeof simpleAircraft>) => analyse(design, { without: ['remedies'] });

describe('ways to balance at a target', () => {
  const design = simpleAircraft(110);
  const numbers = numbersOf(design);
  const target = numbers.mass.cg![0] - 0.012;

  test('the pack lands where a direct re-computation balances, to 1e-6 mm', () => {
    const way = balanceWays(design, numbers, target).find(({ kind }) => kind === 'slide')!;
    expect(way.works).toBe(true);
    const again = numbersOf(withFields(design, way.change));
    expect(Math.abs(again.mass.cg![0] - target) * 1000).toBeLessThan(1e-6);
  });

  test('ballast does the same, and comes as a part of its own', () => {
    const way = balanceWays(design, numbers, target).find(({ kind }) => kind === 'ballast')!;
    const changed = designSchema.parse(withFields(design, way.change));
    expect(changed.massItems.at(-1)).toMatchObject({ id: 'ballast', category: 'ballast' });
    // Placed on a whole millimetre, its mass to the last digit.
    expect(Math.abs(numbersOf(changed).mass.cg![0] - target) * 1000).toBeLessThan(0.2);
    const more = balanceWays(changed, numbersOf(changed), target - 0.002).find(({ kind }) => kind === 'ballast')!;
    expect(said(more.label)).toMatch(/^Ballast to/);
    expect(Math.abs(numbersOf(withFields(changed, more.change)).mass.cg![0] - (target - 0.002)) * 1000).toBeLessThan(
      1e-6,
    );
  });

  test('out of travel it says so, and what would help', () => {
    const shut = withFields(design, [{ field: '/massItems/pack/attachment/from', value: 100 }]);
    const way = balanceWays(shut, numbersOf(shut), target).find(({ kind }) => kind === 'slide')!;
    expect(way.works).toBe(false);
    expect(said(way.because)).toMatch(
      /beyond the front end of its bay: lengthen the bay, move something else, or add ballast/,
    );
  });

  test('moving the wing gives the margin that the target would', () => {
    const real = demoDesign('reef-surveyor');
    const before = numbersOf(real);
    const aim = before.mass.cg![0] - 0.015;
    const way = balanceWays(real, before, aim).find(({ kind }) => kind === 'wing')!;
    const wanted = before.pitch.neutralPoint! - aim;
    const off = (candidate: typeof way) => {
      const after = numbersOf(withFields(real, candidate.change));
      return { after, off: Math.abs(after.pitch.neutralPoint! - after.mass.cg![0] - wanted) };
    };
    // The first guess knows how much of the neutral point stays with the tail; mended twice it is there.
    const first = off(way);
    expect(first.off).toBeLessThan(0.08 * 0.015);
    let reached = way;
    for (let turn = 0; turn < 4; turn++) reached = reached.mend!(off(reached).after) ?? reached;
    expect(off(reached).off).toBeLessThan(2e-4);
  });

  test('the wing takes along what sits on it: tip fins, its servos, its drives', () => {
    const kittiwake = demoDesign('kittiwake-winglet');
    const tips = kittiwake.surfaces.filter(({ role }) => role === 'tipFin').map(({ id }) => id);
    const { surfaces } = carriedByWings(kittiwake);
    for (const id of tips) expect(surfaces.has(id)).toBe(true);
    const winged = designSchema.parse({
      ...simpleAircraft(110),
      massItems: [
        ...simpleAircraft(110).massItems,
        { id: 'servo', mass: 9, category: 'servo', position: { x: 90, y: 300 }, mirrored: true },
        { id: 'nose', mass: 9, category: 'servo', position: { x: 90, y: 0 } },
      ],
      propulsion: [{ id: 'left', mirrored: true, position: { x: -20, y: 200 } }],
    });
    const carried = carriedByWings(winged);
    expect([...carried.massItems]).toEqual(['servo']);
    expect([...carried.propulsion]).toEqual(['left']);
    const moved = withFields(winged, shifted(winged, carried, 7.25));
    expect(moved.massItems.find(({ id }) => id === 'servo')!.position.x).toBeCloseTo(97.3, 9);
    expect(moved.massItems.find(({ id }) => id === 'nose')!.position.x).toBe(90);
  });

  test('a pod takes along what moves with it', () => {
    const pod = designSchema.parse({
      ...design,
      bodies: [
        {
          id: 'pod',
          measuredMass: 80,
          frames: [
            { x: 0, width: 40, top: 20, bottom: -20 },
            { x: 200, width: 40, top: 20, bottom: -20 },
          ],
        },
      ],
      massItems: [
        ...design.massItems,
        { id: 'cam', mass: 60, position: { x: 50 }, attachment: { kind: 'movesWith', body: 'pod' } },
      ],
    });
    const at = numbersOf(pod);
    const way = balanceWays(pod, at, at.mass.cg![0] - 0.01).find(({ kind }) => kind === 'pod')!;
    expect(numbersOf(withFields(pod, way.change)).mass.cg![0]).toBeCloseTo(at.mass.cg![0] - 0.01, 4);
  });

  test('without a mass there is no way', () => {
    const bare = withFields(design, [{ field: '/massItems', value: [] }]);
    expect(balanceWays(bare, numbersOf(bare), 0.1)).toEqual([]);
  });
});

test('two scales share the weight by their distance', () => {
  const readings = standReadings({ total: 0.6, x: 0.1 }, 0.05, 0.55)!;
  expect(readings.rear).toBeCloseTo(0.06, 12);
  expect(readings.front + readings.rear).toBeCloseTo(0.6, 12);
  expect(standReadings({ total: 1, x: 0 }, 0.1, 0.1)).toBeNull();
});
