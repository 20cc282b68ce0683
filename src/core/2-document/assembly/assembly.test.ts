import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { withFields } from '../edit/withFields';
import { type Design, designSchema } from '../schema/design';
import { combinationsOf, mountCombination } from './combinations';
import { isSame, mountParts, partsOf, sharedChanges, withSharedParts } from './sharedParts';

const board = { id: 'b5', thickness: 5, arealDensity: 400 };
/** The simple aircraft with its wing as an assembly, a body, and something that moves with the body. */
const carrier = (more: Partial<Parameters<typeof simpleAircraft>[1]> = {}): Design =>
  designSchema.parse({
    ...withFields(simpleAircraft(90, { materials: [board] }), [
      { field: '/surfaces/wing/construction', value: { material: 'b5' } },
      { field: '/surfaces/wing/position/x', value: 40 },
    ]),
    bodies: [
      {
        id: 'pod',
        position: { x: 10 },
        frames: [
          { x: 0, width: 40, top: 20, bottom: -20 },
          { x: 300, width: 30, top: 10, bottom: -10 },
        ],
      },
    ],
    assemblies: [
      { id: 'wingSet', name: 'Wing set', kind: 'wing', sharedId: 'shared-1', surfaces: ['wing'] },
      { id: 'podSet', name: 'Pod', kind: 'pod', bodies: ['pod'], massItems: ['pack'] },
    ],
    ...more,
  });
const design = carrier();
const wingSet = design.assemblies[0]!;

describe('parts apart from a design', () => {
  test('are taken relative to their origin, with their sheets', () => {
    const parts = partsOf(design, wingSet);
    expect(parts.surfaces[0]!.position).toEqual({ x: 0, y: 0, z: 0 });
    expect(parts.materials.map(({ id }) => id)).toEqual(['b5']);
    const pod = partsOf(design, design.assemblies[1]!);
    expect(pod.massItems[0]!.attachment).toMatchObject({ kind: 'slides', from: -110, to: 390 });
  });

  test('mounted again where they were, nothing changes', () => {
    const again = mountParts(design, 'wingSet', partsOf(design, wingSet), {
      name: 'Wing set',
      sharedId: 'shared-1',
      isSame: true,
    });
    expect(designSchema.parse(again).surfaces.find(({ id }) => id === 'wing')).toEqual(design.surfaces[0]);
    expect(analyse(again, { without: ['remedies'] }).pitch).toEqual(
      analyse(designSchema.parse(again), { without: ['remedies'] }).pitch,
    );
  });

  test('hang where the assembly of the other design hangs, under names that are free', () => {
    const other = carrier({});
    const moved = withFields(other, [
      { field: '/surfaces/wing/position/x', value: 75 },
      { field: '/materials/b5/arealDensity', value: 320 },
    ]);
    const canard = {
      ...partsOf(design, wingSet),
      surfaces: [{ ...design.surfaces[0]!, id: 'tail', position: { x: 0, y: 0, z: 5 } }],
    };
    const mounted = designSchema.parse(
      mountParts(moved, 'wingSet', canard, { name: 'Other wing', sharedId: 'shared-2' }),
    );
    const surface = mounted.surfaces[0]!;
    expect(surface.id).toBe('tail-2');
    expect(surface.position).toEqual({ x: 75, y: 0, z: 5 });
    // The sheet differs from the one of the same name, so it comes in beside it.
    expect(surface.construction!.material).toBe('b5-2');
    expect(mounted.materials.map(({ id, arealDensity }) => [id, arealDensity])).toEqual([
      ['b5', 320],
      ['b5-2', 400],
    ]);
    expect(mounted.assemblies[0]).toMatchObject({ name: 'Other wing', sharedId: 'shared-2', surfaces: ['tail-2'] });
  });

  test('what depended on parts that went is mended, never left dangling', () => {
    const tangled = designSchema.parse({
      ...design,
      mixes: [{ command: 'roll', terms: [{ control: 'aileron', left: 1, right: -1 }] }],
      tolerances: [{ field: '/surfaces/wing/incidence', plusMinus: 0.5 }],
      massItems: [...design.massItems, { id: 'cam', mass: 20, attachment: { kind: 'movesWith', body: 'pod' } }],
    });
    const bare = { surfaces: [], bodies: [], massItems: [], propulsion: [], materials: [] };
    const noWing = designSchema.parse(mountParts(tangled, 'wingSet', bare, { name: 'None' }));
    expect(noWing.mixes).toEqual([]);
    expect(noWing.tolerances).toEqual([]);
    const noPod = designSchema.parse(mountParts(tangled, 'podSet', bare, { name: 'None' }));
    expect(noPod.massItems.find(({ id }) => id === 'cam')!.attachment).toEqual({ kind: 'fixed' });
    expect(() => mountParts(design, 'nothing', bare, { name: '' })).toThrow(RangeError);
  });
});

describe('sharing', () => {
  const longer = withFields(design, [{ field: '/surfaces/wing/stations/1/distanceFromRoot', value: 700 }]);

  test('a change of a shared part is seen, a change of anything else is not', () => {
    expect(sharedChanges(design, longer).map(({ sharedId }) => sharedId)).toEqual(['shared-1']);
    expect(sharedChanges(design, withFields(design, [{ field: '/massItems/lump/mass', value: 400 }]))).toEqual([]);
    // Where it hangs belongs to each design, not to the parts.
    expect(sharedChanges(design, withFields(design, [{ field: '/surfaces/wing/position/x', value: 90 }]))).toEqual([]);
  });

  test('another design follows, at its own place and with its own names', () => {
    const follower = designSchema.parse({
      ...carrier(),
      surfaces: carrier().surfaces.map((surface) =>
        surface.id === 'wing' ? { ...surface, id: 'mainWing', position: { x: 66, y: 0, z: 8 } } : surface,
      ),
      assemblies: [{ id: 'w', name: 'Wing set', kind: 'wing', sharedId: 'shared-1', surfaces: ['mainWing'] }],
    });
    const [change] = sharedChanges(design, longer);
    const followed = designSchema.parse(withSharedParts(follower, 'shared-1', change!.parts, 'Wing set'));
    const wing = followed.surfaces.find(({ id }) => id === 'mainWing')!;
    expect(wing.stations[1]!.distanceFromRoot).toBe(700);
    expect(wing.position).toEqual({ x: 66, y: 0, z: 8 });
    expect(isSame(partsOf(followed, followed.assemblies[0]!), change!.parts)).toBe(true);
  });
});

test('every combination of what can hang at the slots, each a whole design', () => {
  const parts = partsOf(design, wingSet);
  const choice = (name: string, factor: number) => ({
    sharedId: name,
    name,
    parts: {
      ...parts,
      surfaces: parts.surfaces.map((surface) => ({
        ...surface,
        stations: surface.stations.map((station) => ({ ...station, chord: station.chord * factor })),
      })),
    },
  });
  const slots = [
    { assembly: 'wingSet', choices: [choice('narrow', 0.8), choice('wide', 1.2)] },
    { assembly: 'podSet', choices: [] },
  ];
  const list = combinationsOf(design, slots);
  expect(list.map(({ names }) => names.join())).toEqual(['narrow,Pod', 'wide,Pod']);
  const chords = list.map(
    (combination) => designSchema.parse(mountCombination(design, slots, combination)).surfaces[0]!.stations[0]!.chord,
  );
  expect(chords).toEqual([160, 240]);
});
