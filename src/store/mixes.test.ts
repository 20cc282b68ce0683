import { beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import 'fake-indexeddb/auto';
import { openSession, settle } from '#/tests/session';
import { field } from '@/core/2-document/edit/field';
import { setFields } from './edit';
import { addMode, changeMix, removeMode, resetMix, setModeNeutral } from './mixes';
import { removeDrive } from './airframe';
import { removeControl } from './surfaces';

type Open = Awaited<ReturnType<typeof openSession>>;
let open: Open;
const roll = () => open.analysis().lateral.rollFromAileron!;
const pitch = () => open.analysis().pitch.momentFromElevator!;

beforeEach(async () => {
  open = await openSession(demoDesign('lagoon-postman'));
});

describe('mixes', () => {
  test('the first change writes the usual mix out; the other side and the other controls stay', async () => {
    const before = roll();
    expect(open.design().mixes).toEqual([]);
    expect(open.dispatch(changeMix('roll', { control: 'aileron' }, 'left', 0.5))).toBeNull();
    expect(open.design().mixes).toEqual([
      { command: 'roll', terms: [{ control: 'aileron', left: 0.5, right: -1 }], drives: [] },
    ]);
    await settle();
    expect(roll() / before).toBeCloseTo(0.75, 2);
    open.dispatch(resetMix('roll'));
    expect(open.design().mixes).toEqual([]);
  });

  test('flaps follow the elevator when they are told to', async () => {
    const before = pitch();
    for (const side of ['left', 'right'] as const)
      open.dispatch(changeMix('pitch', { control: 'aileron' }, side, -0.5));
    expect(
      open
        .design()
        .mixes[0]!.terms.map(({ control }) => control)
        .sort(),
    ).toEqual(['aileron', 'elevator']);
    await settle();
    expect(pitch()).not.toBeCloseTo(before, 2);
  });

  test('a drive that tilts lifts the nose by its thrust ahead of the balance point', async () => {
    const drive = open.design().propulsion[0]!.id;
    open.dispatch(setFields([field('propulsion', drive, 'tiltTravel').to(20)]));
    open.dispatch(changeMix('pitch', { drive }, 'right', 1));
    await settle();
    const { tilt, drag, mass, reference } = open.analysis();
    const arm = mass.cg![0] - open.design().propulsion[0]!.position.x / 1000;
    const lifted = (drag.total! * Math.sin((20 * Math.PI) / 180) * arm) / reference.meanChord!;
    expect(tilt[0]!.pitch).toBeCloseTo(lifted, 9);
    expect(tilt[0]!.pitchAtFullThrust!).toBeGreaterThan(3 * tilt[0]!.pitch);
    open.dispatch(removeDrive(drive));
    expect(open.design().mixes.flatMap(({ drives }) => drives)).toEqual([]);
  });

  test('a control that goes takes what mixes and modes say of it along', () => {
    open.dispatch(changeMix('roll', { control: 'aileron' }, 'left', 0.5));
    open.dispatch(addMode());
    open.dispatch(setModeNeutral('mode1', 'aileron', 3));
    expect(open.dispatch(removeControl('wing', 'aileron'))).toBeNull();
    expect(open.design().mixes).toEqual([]);
    expect(open.design().modes[0]!.neutrals).toEqual([]);
  });
});

describe('flight modes', () => {
  test('one that is added is flown as drawn; its neutrals and mixes are its own', async () => {
    const drawn = open.analysis().trim.elevator!;
    open.dispatch(addMode());
    await settle();
    expect(open.analysis().trim.elevator).toBeCloseTo(drawn, 9);
    open.dispatch(setModeNeutral('mode1', 'elevator', -2));
    open.dispatch(changeMix('roll', { control: 'aileron' }, 'right', -0.5));
    await settle();
    expect(open.analysis().trim.elevator! - drawn).toBeCloseTo((2 * Math.PI) / 180, 2);
    expect(open.design().mixes).toEqual([]);
    expect(open.design().modes[0]!.mixes[0]!.terms[0]).toEqual({ control: 'aileron', left: 1, right: -0.5 });
  });

  test('three at most; taken out, it is flown as drawn again', () => {
    for (let count = 0; count < 3; count++) expect(open.dispatch(addMode())).toBeNull();
    expect(open.dispatch(addMode())?.message).toBeTruthy();
    expect(open.design().mode).toBe('mode3');
    open.dispatch(removeMode('mode3'));
    expect(open.design().mode).toBeUndefined();
    expect(open.design().modes.map(({ id }) => id)).toEqual(['mode1', 'mode2']);
  });
});
