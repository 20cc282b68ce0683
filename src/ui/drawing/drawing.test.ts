import { reaches } from './HandleMark';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { withFields } from '@/core/2-document/edit/withFields';
import { designSchema } from '@/core/2-document/schema/design';
import { sheetTargets, snapLength } from '@/words/snap';
import {
  dihedralHandles,
  type Handle,
  incidenceHandle,
  itemHandle,
  itemHandles,
  spanEdits,
  surfaceHandles,
} from './handles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import type { Path } from '@/core/3-shape/outline/path';
import { bodyPlan, bodySide, hingeLines, planOutline, sideOutline } from '@/core/3-shape/outline/views';
import { planFrame } from './planFrame';
import { bodySolid, surfaceSolid } from './solids';
import { FITTED, zoomedAt } from './useZoom';

const fleet = DEMO_NAMES.map((name) => [name, demoDesign(name)] as const);
const postman = demoDesign('lagoon-postman');
const wing = postman.surfaces[0]!;
const handle = (list: readonly Handle[], id: string) => list.find((candidate) => candidate.id === id)!;

test('a press between two handles belongs to the nearer one; alone they reach far', () => {
  expect(
    reaches([
      [0, 0],
      [20, 0],
      [200, 0],
    ]),
  ).toEqual([10, 10, 15]);
  expect(
    reaches([
      [0, 0],
      [3, 4],
    ]),
  ).toEqual([7, 7]);
});

describe('handles', () => {
  test.each(fleet)('%s: every handle moves something, both ways, and stays valid', (_, design) => {
    const handles = [
      ...design.surfaces.flatMap((surface) => [...surfaceHandles(surface), ...dihedralHandles(surface)]),
      ...itemHandles(design, true),
    ];
    expect(new Set(handles.map(({ id }) => id)).size).toBe(handles.length);
    for (const { id, edits, label, valueText, at } of handles) {
      expect(at.every(Number.isFinite), id).toBe(true);
      expect(`${label} ${valueText}`, id).not.toMatch(/NaN|undefined/);
      for (const [dx, dy] of [
        [7, 7],
        [-7, -7],
        [99999, 99999],
        [-99999, -99999],
      ] as const) {
        const changed = designSchema.safeParse(withFields(design, edits(dx, dy)));
        // A surface in the plane of symmetry cannot lean, and stations keep their order: nothing else is refused.
        if (!changed.success) expect(changed.error.issues[0]!.message, id).toMatch(/must be|root to tip|frame before/);
      }
    }
  });

  test('the tip follows the hand along the board, and sweeps', () => {
    const tip = handle(surfaceHandles(wing), 'wing-tip');
    const projected = Math.cos((4 * Math.PI) / 180);
    const moved = withFields(postman, tip.edits(10, 25 * projected)).surfaces[0]!.stations.at(-1)!;
    expect(moved.distanceFromRoot).toBeCloseTo(645, 9);
    expect(moved.leadingEdgeOffset).toBeCloseTo(32, 6);
  });

  test('lengths meet sheet sizes when they are near', () => {
    const targets = sheetTargets(postman.materials);
    const snap = (length: number) => snapLength(length, { units: { length: 'mm' }, targets, pull: 4 });
    const tip = handle(surfaceHandles(wing, snap), 'wing-tip');
    // Half of a metre sheet is 500 mm, two thirds of it are not a target.
    expect(withFields(postman, tip.edits(0, -118)).surfaces[0]!.stations.at(-1)!.distanceFromRoot).toBe(500);
  });

  test('incidence goes by the leading edge, dihedral by the tip from ahead', () => {
    const [incidence] = incidenceHandle(wing);
    const turned = withFields(postman, incidence!.edits(0, 210 * Math.tan((2 * Math.PI) / 180)));
    expect(turned.surfaces[0]!.incidence).toBeCloseTo(wing.incidence + 2, 9);
    const lifted = withFields(
      postman,
      dihedralHandles(wing)[0]!.edits(0, 430 * (Math.sin(0.14) - Math.sin((4 * Math.PI) / 180))),
    );
    expect(lifted.surfaces[0]!.stations[0]!.dihedral).toBeCloseTo((0.14 * 180) / Math.PI, 1);
    expect(incidenceHandle(postman.surfaces[2]!)).toEqual([]);
    expect(dihedralHandles(postman.surfaces[2]!)).toEqual([]);
  });

  test('a part stops at the ends of its bay, and only the free ones rise', () => {
    const pack = postman.massItems.find(({ id }) => id === 'pack')!;
    const place = (edits: readonly { field: string; value: unknown }[]) =>
      withFields(postman, edits).massItems.find(({ id }) => id === 'pack')!.position;
    expect(place(itemHandle(pack).edits(900, 0)).x).toBe(210);
    expect(place(itemHandle(pack).edits(-900, 0)).x).toBe(50);
    expect(itemHandles(postman, false).map(({ id }) => id)).toEqual(['pack-place']);
    expect(place(handle(itemHandles(postman, true), 'pack-place').edits(0, 5)).z).toBe(pack.position.z + 5);
  });

  test('a typed span scales every station, and its rod with them: dragged as well', () => {
    const edits = spanEdits(wing, 2);
    expect(edits.map(({ value }) => value)).toEqual([860, 1240, 0, 1120]);
    const tip = handle(surfaceHandles(wing), 'wing-tip');
    const [own] = withFields(postman, tip.edits(0, -62)).surfaces;
    const [length, rod] = [own!.stations.at(-1)!.distanceFromRoot, own!.spars[0]!];
    expect(length).toBeLessThan(560);
    expect(rod.end.distanceFromRoot / length).toBeCloseTo(560 / 620, 3);
    expect(rod.end.x).toBe(wing.spars[0]!.end.x);
  });
});

describe('the paper', () => {
  const paper = { width: 796, height: 620, whole: false, sideOnly: false, zoom: FITTED };

  test.each(fleet)('%s lies on it whole, in one scale', (_, design) => {
    const placed = placeAll(design.surfaces);
    const extents = extentsOf(design, placed);
    for (const whole of [false, true]) {
      const frame = planFrame({ ...paper, whole, extents });
      const { u, plan, side } = frame;
      expect(u(extents.xMin)).toBeGreaterThanOrEqual(0);
      expect(u(extents.xMax)).toBeLessThanOrEqual(paper.width);
      expect(plan(extents.yMax)).toBeGreaterThanOrEqual(0);
      expect(side(extents.zMin)).toBeLessThanOrEqual(paper.height);
      // The views do not lie on one another, and a millimetre is as long in each direction.
      expect(side(extents.zMax)).toBeGreaterThan(plan(whole ? -extents.yMax : 0));
      expect(u(100) - u(0)).toBeCloseTo(plan(0) - plan(100), 9);
    }
    for (const surface of placed) {
      const inside = ({ vertices }: Path) =>
        vertices.every(({ x, y }) => x >= extents.xMin - 1e-6 && x <= extents.xMax + 1e-6 && Number.isFinite(y));
      const plan = planOutline(surface);
      expect(plan === null || inside(plan)).toBe(true);
      expect(sideOutline(surface, 5).every(inside)).toBe(true);
      expect(hingeLines(surface, 'plan').every(inside)).toBe(true);
    }
    for (const body of design.bodies) {
      expect(bodyPlan(body).vertices).toHaveLength(2 * body.frames.length);
      expect(bodySide(body).vertices).toHaveLength(2 * body.frames.length);
    }
  });

  test('zooming keeps the place under the hand, within its range', () => {
    const near = zoomedAt(FITTED, 2, 100, -40);
    // A point p of the view shows document place (p − shift)/factor: the same before and after.
    expect((100 - near.x) / near.factor).toBeCloseTo(100, 9);
    expect((-40 - near.y) / near.factor).toBeCloseTo(-40, 9);
    expect(zoomedAt(near, 1e9, 0, 0).factor).toBe(12);
    expect(zoomedAt(near, 1e-9, 0, 0).factor).toBe(0.4);
    const there = zoomedAt(zoomedAt(FITTED, 1.25, 7, 3), 0.8, 7, 3);
    expect(there.factor).toBeCloseTo(1, 12);
    expect(there.x).toBeCloseTo(0, 9);
  });

  test('an empty design has a paper of some size', () => {
    const extents = extentsOf({ ...postman, surfaces: [], bodies: [], massItems: [], propulsion: [], wheels: [] }, []);
    expect(extents.xMax).toBeGreaterThan(extents.xMin);
  });
});

describe('solids', () => {
  test.each(fleet)('%s: triangles of numbers, left the mirror of right', (_, design) => {
    for (const surface of placeAll(design.surfaces)) {
      const right = surfaceSolid(surface, 1, 1);
      const left = surfaceSolid(surface, -1, 1);
      expect(right.length % 9).toBe(0);
      expect(right.every(Number.isFinite)).toBe(true);
      const mirrored = (index: number) => (index % 3 === 1 ? -right[index]! : right[index]!);
      expect([...left.keys()].every((index) => Math.abs(left[index]! - mirrored(index)) < 1e-4)).toBe(true);
    }
    for (const body of design.bodies) expect(bodySolid(body, 1).every(Number.isFinite)).toBe(true);
  });

  test('a wing is as wide as it is drawn, and steeper angles lift its nose', () => {
    const [placed] = placeAll(postman.surfaces);
    const ys = [...surfaceSolid(placed!, 1, 1)].filter((_, index) => index % 3 === 1);
    expect(Math.max(...ys)).toBeCloseTo(placed!.stations.at(-1)!.y * 1000, 0);
    const turned = placeAll([{ ...wing, incidence: 3 }])[0]!;
    const rear = (steeper: number) =>
      Math.min(...[...surfaceSolid(turned, 1, steeper)].filter((_, index) => index % 3 === 2));
    expect(rear(6)).toBeLessThan(rear(1));
  });
});
