import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { boundsOf, type Path } from '@/core/3-shape/outline/path';
import { areaOfPart, boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { cutListOf } from '../../cutList';
import type { CutPart } from '../../part';
import { placeIn } from '../../seat';

const MATERIALS = [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400 }];
const construction = { material: 'board' };
const frames = [0, 200, 400, 700].map((x) => ({ x, width: 60, top: 40, bottom: -40 }));
const pack = (more: object = {}) => ({
  id: 'pack',
  category: 'battery',
  mass: 100,
  position: { x: 210, y: 0, z: -10 },
  size: { length: 80, width: 30, height: 20 },
  attachment: { kind: 'slides', from: 150, to: 300 },
  ...more,
});
const bodyOf = (more: object = {}, others: object = {}, surfaces: object[] = []) => {
  const design = designOf(
    [{ ...trapezoid(500, 160), position: { x: 900, y: 0, z: 500 } }, ...surfaces] as never,
    {
      materials: MATERIALS,
      bodies: [{ id: 'pod', frames, construction, ...more }],
      ...others,
    } as never,
  );
  return cutListOf(design);
};
const ofKind = (parts: readonly CutPart[], kind: CutPart['kind']) =>
  parts.filter((part) => part.kind === kind && part.owner === 'pod');
const size = (part: CutPart | undefined) => {
  const { left, right, bottom, top } = boundsOfPart(part!.outline);
  return [right - left, top - bottom];
};
const sizeOfPath = (path: Path) => {
  const { left, right, bottom, top } = boundsOf([path]);
  return [right - left, top - bottom];
};

describe('the bay of a pack', () => {
  const { parts } = bodyOf({}, { massItems: [pack()] });

  test('its tray reaches over the whole bay, its hatch lies over it, the top goes on before and behind', () => {
    // Half a pack and 5 mm beyond both ends of the bay.
    expectWithin(size(ofKind(parts, 'tray')[0])[0]!, 150 + 80 + 10, 1e-9);
    const [hatch] = ofKind(parts, 'hatch');
    expectWithin(size(hatch)[0]!, 240, 1e-9);
    expectWithin(size(hatch)[1]!, 50, 1e-9);
    const tops = ofKind(parts, 'top');
    expect(tops.map(({ name }) => name)).toEqual(['pod, top 1', 'pod, top 2']);
    expectWithin(tops.reduce((sum, top) => sum + size(top)[0]!, 0) + 240, 700, 1e-9);
    expect(ofKind(parts, 'bottom')).toHaveLength(1);
  });

  test('formers within it are open above, wide enough for the pack, with a floor at its tray; others are whole', () => {
    const formers = ofKind(parts, 'former');
    const open = formers.filter(({ outline }) => outline.edge.vertices.length > 4);
    expect(open.map(({ name }) => name)).toEqual(['pod, former 2']);
    const [{ outline, seat }] = open as [CutPart];
    const xs = outline.edge.vertices.map(({ x }) => x).toSorted((a, b) => a - b);
    // The inner corners of the opening.
    expect(xs.at(-3)! - xs[2]!).toBeGreaterThan(30);
    const floors = outline.edge.vertices
      .filter(({ x }) => x > xs[0]! + 1 && x < xs.at(-1)! - 1)
      .map(({ x, y }) => placeIn(seat!, [x, y])[2]);
    const floor = Math.min(...floors);
    // Under the pack, less the tray: −10 − 10 − 5.
    expectWithin(floor, -25, 1e-6);
  });

  test('a pack that is fixed has its own place only; without a pack there is neither tray nor hatch', () => {
    const fixed = bodyOf({}, { massItems: [pack({ attachment: { kind: 'fixed' } })] }).parts;
    expectWithin(size(ofKind(fixed, 'tray')[0])[0]!, 90, 1e-9);
    const none = bodyOf().parts;
    expect([...ofKind(none, 'tray'), ...ofKind(none, 'hatch')]).toEqual([]);
  });
});

describe('what lies on a body and passes it', () => {
  const wing = (more: object = {}) => ({
    ...trapezoid(400, 160),
    id: 'top-wing',
    position: { x: 250, y: 0, z: 39 },
    construction,
    ...more,
  });

  test('a wing laid on top takes the top away under itself, and only there', () => {
    const tops = ofKind(bodyOf({}, {}, [wing()]).parts, 'top');
    expect(tops).toHaveLength(2);
    expectWithin(
      tops.reduce((sum, top) => sum + size(top)[0]!, 0),
      700 - 160.6,
      2e-3,
    );
  });

  test('banded on, there are two dowels that stand out on both sides, and their holes in the sides', () => {
    const { parts, rods } = bodyOf({}, {}, [wing({ mount: { kind: 'bands' } })]);
    expect(rods.map(({ name, length }) => [name, length])).toEqual([
      ['pod, dowel 1', 90],
      ['pod, dowel 2', 90],
    ]);
    const [side] = ofKind(parts, 'side');
    expect(side!.outline.holes).toHaveLength(2);
    for (const hole of side!.outline.holes) expectWithin(sizeOfPath(hole)[0]!, 4.6, 1e-9);
    const low = frames.map((frame) => ({ ...frame, top: 40, bottom: 22 }));
    const flat = bodyOf({ frames: low }, {}, [wing({ mount: { kind: 'bands' } })]);
    expect(flat.faults.map(({ message }) => said(message)).join()).toMatch(/too low for dowels|in two/);
  });

  test('bolted on, there is a plate with a hole under its rear', () => {
    const { parts } = bodyOf({}, {}, [wing({ mount: { kind: 'screws' } })]);
    const [plate] = ofKind(parts, 'mount');
    expect(said(plate!.notes[0])).toMatch(/nylon bolt of 5 mm/);
    expectWithin(sizeOfPath(plate!.outline.holes[0]!)[0]!, 5.6, 1e-9);
  });

  test('where an elevator passes the wall, all its travel stays clear', () => {
    const tail = (throwUp: number) => ({
      ...trapezoid(200, 100),
      id: 'tail',
      role: 'tailplane',
      position: { x: 560, y: 0, z: 0 },
      construction,
      controls: [
        { id: 'elevator', function: 'elevator', hingeInboard: 0.6, hingeOutboard: 0.6, throwUp, throwDown: throwUp },
      ],
    });
    const openOf = (throwUp: number) => {
      const [side] = ofKind(bodyOf({}, {}, [tail(throwUp)]).parts, 'side');
      return boundsOf(side!.outline.holes);
    };
    const [small, large] = [openOf(5), openOf(25)];
    // Behind the hinge 40 mm swing up and down.
    expect(large.top).toBeGreaterThan(40 * Math.sin((25 * Math.PI) / 180));
    expect(large.top - small.top).toBeGreaterThan(
      40 * (Math.sin((25 * Math.PI) / 180) - Math.sin((5 * Math.PI) / 180)) - 1,
    );
  });

  test('a fin that begins within the body has a slot in the top, one that stands on it a mark', () => {
    const fin = (z: number) => ({
      ...trapezoid(150, 100),
      id: 'fin',
      role: 'fin',
      mirrored: false,
      position: { x: 590, y: 0, z },
      stations: [
        { distanceFromRoot: 0, chord: 100, dihedral: 90 },
        { distanceFromRoot: 150, chord: 80 },
      ].map((station) => ({ ...station, section: { kind: 'flatPlate', thickness: 5 } })),
      construction,
    });
    const [through] = ofKind(bodyOf({}, {}, [fin(20)]).parts, 'top');
    expectWithin(areaOfPart(through!.outline), 700 * 50 - 100.6 * 5.6, 1e-3);
    expect(said(through!.notes[0])).toMatch(/goes through its slot/);
    const [marked] = ofKind(bodyOf({}, {}, [fin(40)]).parts, 'top');
    expectWithin(areaOfPart(marked!.outline), 700 * 50, 1e-9);
    expect(said(marked!.notes[0])).toMatch(/stands on its mark/);
  });
});

describe('fittings and formers', () => {
  test('rods run through every former they reach, with their play', () => {
    const rods = [{ id: 'boom', from: 150, to: 700, y: 0, z: 10, shape: 'round', width: 8 }];
    const formers = ofKind(bodyOf({ rods }).parts, 'former');
    expect(formers.map(({ outline }) => outline.holes.length)).toEqual([0, 1, 1, 1]);
    const [hole] = formers[1]!.outline.holes;
    expectWithin(sizeOfPath(hole!)[0]!, 8.6, 0.01);
    const { left, right, bottom, top } = boundsOf([hole!]);
    const [, y, z] = placeIn(formers[1]!.seat!, [(left + right) / 2, (bottom + top) / 2]);
    expect([y, z]).toEqual([expect.closeTo(0, 3), expect.closeTo(10, 3)]);
  });

  test('each leg has a plate on the bottom; without wheels there is a skid', () => {
    const wheels = [{ id: 'main', position: { x: 220, y: 80, z: -90 }, diameter: 50, mirrored: true }];
    const on = bodyOf({}, { wheels }).parts;
    const [plate] = ofKind(on, 'mount');
    expect(placeIn(plate!.seat!, [20, 0])[0]).toBeCloseTo(220, 9);
    expect(ofKind(on, 'skid')).toEqual([]);
    expectWithin(size(ofKind(bodyOf().parts, 'skid')[0])[0]!, 0.3 * 700, 1e-9);
  });

  test('sides are as long as their walls are, where the body narrows; of two layers there are four', () => {
    const narrow = [0, 300].map((x, index) => ({ x, width: 100 - 80 * index, top: 30, bottom: -30 }));
    const [side] = ofKind(bodyOf({ frames: narrow, construction: { ...construction, layers: 2 } }).parts, 'side');
    expectWithin(size(side)[0]!, Math.hypot(300, 40), 1e-9);
    expect(side).toMatchObject({ count: 4, mirrored: 2 });
    const formers = ofKind(bodyOf({ frames: narrow, construction: { ...construction, layers: 2 } }).parts, 'former');
    expectWithin(size(formers[0])[0]!, 100 - 2 * 10 - 0.4, 1e-9);
  });

  test('doublers leave the formers less room, and have the openings of the sides', () => {
    const doubled = { ...construction, doublers: [{ from: 150, to: 450 }] };
    const wing = { ...trapezoid(400, 100), id: 'mid', position: { x: 250, y: 0, z: 0 }, construction };
    const { parts } = bodyOf({ construction: doubled }, {}, [wing]);
    expectWithin(size(ofKind(parts, 'former')[1])[0]!, 60 - 4 * 5 - 0.4, 1e-9);
    const [doubler] = ofKind(parts, 'doubler');
    expect(doubler!.outline.holes).toHaveLength(1);
    const [side] = ofKind(parts, 'side');
    expectWithin(sizeOfPath(doubler!.outline.holes[0]!)[0]!, sizeOfPath(side!.outline.holes[0]!)[0]!, 1e-3);
  });

  test('boxes that lie within an upright board are let into it', () => {
    const plank = frames.map((frame) => ({ ...frame, width: 5 }));
    const { parts } = bodyOf({ kind: 'plank', frames: plank }, { massItems: [pack()] });
    const [layer] = ofKind(parts, 'layer');
    expectWithin(sizeOfPath(layer!.outline.holes[0]!)[0]!, 81, 1e-9);
    const high = bodyOf({ kind: 'plank', frames: plank }, { massItems: [pack({ position: { x: 210, y: 0, z: 35 } })] });
    expect(ofKind(high.parts, 'layer')[0]!.outline.holes).toEqual([]);
  });
});
