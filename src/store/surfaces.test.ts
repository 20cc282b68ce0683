import { field } from '@/core/2-document/edit/field';
import { said } from '#/tests/matchers';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession, settle, type TestSession } from '#/tests/session';
import { ADDED_KINDS } from '@/core/8-sizing/planform/addSurface';
import { withTipShape } from '@/core/3-shape/planform/panels';
import { wingSizesOf } from '@/core/8-sizing/planform/resize';
import { lockToggled, surfaceChosen } from './sessionSlice';
import { addSurface, editSurface, heldEdits, removeSurface, resizeWing, setSurfaceFields } from './surfaces';
import { undone } from './documentSlice';

let open: TestSession;
beforeEach(async () => {
  open = await openSession(demoDesign('lagoon-postman'));
});
const sizes = () => wingSizesOf(open.design());
const wing = () => open.design().surfaces[0]!;

describe('sizes from the panel', () => {
  test('a span is reached, in one step back', () => {
    const before = open.design();
    expect(open.dispatch(resizeWing('span', 1.4))).toBeNull();
    expect(sizes().span).toBeCloseTo(1.4, 6);
    open.dispatch(undone());
    expect(open.design()).toEqual(before);
  });

  test('locks are kept by typed sizes, stations and handles alike', () => {
    open.dispatch(lockToggled('area'));
    const { area } = sizes();
    open.dispatch(resizeWing('span', 1.4));
    expect(sizes().area).toBeCloseTo(area!, 6);
    const root = field('surfaces', 'wing', 'stations', 0, 'chord');
    open.dispatch(setSurfaceFields('wing', [root.to(230)], 'chord'));
    expect(sizes().area).toBeCloseTo(area!, 6);
    expect(wing().stations[0]!.chord).toBe(230);
    const held = heldEdits(open.design(), [root.to(250)], { locked: ['area'], driven: 'chord' });
    expect(held).toMatchObject({ because: null, edits: [{ field: '/surfaces' }] });
  });

  test('fins go along with the tip they stand on, dragged, typed or rounded off, and come back with it', async () => {
    const own = await openSession(demoDesign('storm-courier'));
    const before = own.design();
    const fin = () => own.design().surfaces.find(({ id }) => id === 'tipFins')!.position;
    const tip = field('surfaces', 'wing', 'stations', before.surfaces[0]!.stations.length - 1, 'distanceFromRoot');
    own.dispatch(setSurfaceFields('wing', [tip.to(500)], 'span'));
    expect(fin().y).toBeCloseTo(499.9, 1);
    own.dispatch(undone());
    expect(own.design()).toEqual(before);
    own.dispatch(resizeWing('span', 0.9));
    expect(fin().y).toBeCloseTo(450, 0);
    own.dispatch(undone());
    own.dispatch(editSurface('wing', (surface) => ({ ...surface, position: { ...surface.position, z: 30 } })));
    expect(fin().z - before.surfaces.find(({ id }) => id === 'tipFins')!.position.z).toBeCloseTo(30, 6);
  });

  test('what a lock forbids is refused in words and changes nothing', () => {
    open.dispatch(lockToggled('span'));
    const before = open.design();
    expect(said(open.dispatch(resizeWing('span', 1))?.message)).toMatch(/cannot change: the span is locked/);
    const longer = [field('surfaces', 'wing', 'stations', 2, 'distanceFromRoot').to(900)];
    expect(said(open.dispatch(setSurfaceFields('wing', longer, 'span'))?.message)).toMatch(/cannot change/);
    expect(open.design()).toBe(before);
    open.dispatch(lockToggled('span'));
    expect(open.dispatch(setSurfaceFields('wing', longer, 'span'))).toBeNull();
    expect(wing().stations[2]!.distanceFromRoot).toBe(900);
  });

  test('tails do not mind the locks of the wing', () => {
    open.dispatch(lockToggled('area'));
    const edit = [field('surfaces', 'tailplane', 'stations', 0, 'chord').to(155)];
    expect(open.dispatch(setSurfaceFields('tailplane', edit, 'chord'))).toBeNull();
    expect(open.design().surfaces[1]!.stations[0]!.chord).toBe(155);
  });
});

describe('surfaces come and go', () => {
  test.each(ADDED_KINDS)('a %s is added, chosen, computed and taken out again', async (kind) => {
    const count = open.design().surfaces.length;
    expect(open.dispatch(addSurface(kind))).toBeNull();
    const added = open.design().surfaces.at(-1)!;
    expect(open.design().surfaces).toHaveLength(count + 1);
    expect(open.session.store.getState().session.chosen.surface).toBe(added.id);
    await settle();
    expect(open.analysis().pitch.neutralPoint).not.toBeNull();
    expect(open.dispatch(removeSurface(added.id))).toBeNull();
    expect(open.design().surfaces).toHaveLength(count);
  });

  test('a surface that goes takes its mixes, tolerances and place in assemblies along', async () => {
    const tangled = await openSession({
      ...demoDesign('lagoon-postman'),
      mixes: [{ command: 'roll', terms: [{ control: 'aileron', left: 1, right: -1 }], drives: [] }],
      tolerances: [{ field: '/surfaces/wing/incidence', plusMinus: 0.5 }],
    });
    expect(tangled.dispatch(removeSurface('wing'))).toBeNull();
    const after = tangled.design();
    expect(after.mixes).toEqual([]);
    expect(after.tolerances).toEqual([]);
    expect(after.assemblies.flatMap(({ surfaces }) => surfaces)).not.toContain('wing');
    await settle();
    expect(said(tangled.analysis().pitch.reasons['neutralPoint'])).toMatch(/no wing/);
  });

  test('a shaped tip is a recipe on one surface', () => {
    open.dispatch(surfaceChosen({ surface: 'wing' }));
    expect(open.dispatch(editSurface('wing', (surface) => withTipShape(surface, 'rounded')))).toBeNull();
    expect(wing().stations.length).toBe(6);
    expect(open.design().surfaces[1]).toEqual(demoDesign('lagoon-postman').surfaces[1]);
  });
});
