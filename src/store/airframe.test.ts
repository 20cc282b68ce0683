import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession, settle, type TestSession } from '#/tests/session';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { sparPlaces } from '@/core/3-shape/pattern/sparPlace';
import {
  addBody,
  addDragItem,
  addDrive,
  addSpar,
  changeFrames,
  removeBody,
  removeDragItem,
  removeDrive,
  removeSpar,
} from './airframe';
import { setFields } from './edit';

let open: TestSession;
beforeEach(async () => {
  open = await openSession(demoDesign('storm-courier'));
});

describe('rods', () => {
  test('run through 30 % of the chord at both ends, however swept', async () => {
    const before = open.analysis().mass.total!;
    const stock = ROD_STOCK[3]!;
    expect(open.dispatch(addSpar('wing', stock))).toBeNull();
    const wing = open.design().surfaces[0]!;
    const spar = wing.spars.at(-1)!;
    const places = sparPlaces(wing, spar.id);
    expect(places[0]!.fraction).toBeCloseTo(0.3, 2);
    expect(places.at(-1)!.fraction).toBeCloseTo(0.3, 2);
    await settle();
    const length = Math.hypot(spar.end.distanceFromRoot, spar.end.x - spar.start.x) / 1000;
    expect((open.analysis().mass.total! - before) * 1000).toBeCloseTo(2 * length * stock.linearDensity, 9);
    open.dispatch(removeSpar('wing', spar.id));
    await settle();
    expect(open.analysis().mass.total).toBeCloseTo(before, 12);
  });

  test('two of a kind have names of their own', () => {
    open.dispatch(addSpar('wing', ROD_STOCK[0]!));
    open.dispatch(addSpar('wing', ROD_STOCK[0]!));
    const ids = open.design().surfaces[0]!.spars.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('bodies', () => {
  test('a frame comes between two, and the last two stay', () => {
    const [body] = open.design().bodies;
    const count = body!.frames.length;
    open.dispatch(changeFrames(body!.id, { after: 0 }));
    const frames = open.design().bodies[0]!.frames;
    expect(frames).toHaveLength(count + 1);
    expect(frames[1]!.x).toBe(Math.round((body!.frames[0]!.x + body!.frames[1]!.x) / 2));
    open.dispatch(changeFrames(body!.id, { after: frames.length - 1 }));
    expect(open.design().bodies[0]!.frames.at(-1)!.x).toBe(frames.at(-1)!.x + 100);
    for (let left = 10; left > 0; left--) open.dispatch(changeFrames(body!.id, { without: 0 }));
    expect(open.design().bodies[0]!.frames).toHaveLength(2);
  });

  test('a body comes in as long as the aircraft and weighs something; what rode on one that goes stays', async () => {
    const before = open.analysis().mass.total!;
    expect(open.dispatch(addBody())).toBeNull();
    await settle();
    expect(open.analysis().mass.total!).toBeGreaterThan(before + 0.01);
    const added = open.design().bodies.at(-1)!;
    open.dispatch(setFields([field('massItems', 'receiver', 'attachment').to({ kind: 'movesWith', body: added.id })]));
    expect(open.dispatch(removeBody(added.id))).toBeNull();
    expect(open.design().massItems.find(({ id }) => id === 'receiver')!.attachment).toEqual({ kind: 'fixed' });
    await settle();
    expect(open.analysis().mass.total).toBeCloseTo(before, 12);
  });

  test('frames out of order are refused with the place', () => {
    const [body] = open.design().bodies;
    const outcome = open.dispatch(setFields([field('bodies', body!.id, 'frames', 1, 'x').to(-500)]));
    expect(outcome).toMatchObject({ path: '/bodies/0/frames/1/x', message: 'must lie aft of the frame before it' });
  });
});

describe('drives and drag', () => {
  test.each(['tractor', 'pusher'] as const)('a %s sits at its end and goes again', async (kind) => {
    const count = open.design().propulsion.length;
    expect(open.dispatch(addDrive(kind))).toBeNull();
    const drive = open.design().propulsion.at(-1)!;
    const ends = open.design().bodies.flatMap(({ frames, position }) => frames.map(({ x }) => position.x + x));
    expect(kind === 'tractor' ? drive.position.x < Math.min(...ends) : drive.position.x > Math.max(...ends)).toBe(true);
    open.dispatch(removeDrive(drive.id));
    expect(open.design().propulsion).toHaveLength(count);
  });

  test('something in the wind costs glide', async () => {
    const glide = open.analysis().speeds.glideRatio!;
    open.dispatch(addDragItem());
    const [item] = open.design().dragItems;
    open.dispatch(setFields([field('dragItems', item!.id, 'dragArea').to(3000)]));
    await settle();
    expect(open.analysis().speeds.glideRatio!).toBeLessThan(glide - 0.3);
    open.dispatch(removeDragItem(item!.id));
    await settle();
    expect(open.analysis().speeds.glideRatio).toBeCloseTo(glide, 9);
  });
});
