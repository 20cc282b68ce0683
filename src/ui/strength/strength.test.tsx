import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, fill, Now, show } from '#/tests/render';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { undone } from '@/store/documentSlice';
import { BoardParts } from '../weights/BoardParts';
import { SurfaceStage } from '../surface/SurfaceStage';
import { StrengthStage } from './StrengthStage';

const fact = (label: string | RegExp) => screen.getByText(label).parentElement!.textContent!;
const stage = () => show(demoDesign('polly-drift'), <Now of={(design) => <StrengthStage design={design} />} />);

describe('the stage', () => {
  test('says what it bears and what bends, and opens the workings', async () => {
    const { analysis, hand } = await stage();
    const { strength } = analysis();
    expect(fact('Breaks at cruise speed under')).toContain(
      `${Number(strength.breakingLoadFactor!.toFixed(1))} × its weight`,
    );
    const shift = strength.neutralPointShiftAtDive!;
    expect(fact('Neutral point in the dive')).toMatch(
      new RegExp(
        `${Math.abs(millimetresFromMetres(shift)).toFixed(1).replace('.', '\\.')} mm ${shift < 0 ? 'ahead' : 'aft'}$`,
      ),
    );
    expect(fact('Turned there')).toMatch(/\d° leading edge (up|down)$/);
    expect(fact(/turns away$/)).toContain('Wing');
    await hand.click(screen.getByRole('button', { name: /Load factor that breaks it/ }));
    const working = within(await screen.findByRole('dialog', { name: /Load factor that breaks it/ }));
    expect(working.getByText('Stiffness there')).toBeTruthy();
    expect(working.getByText(/differ by a third/)).toBeTruthy();
  });

  test('a dive over less height reaches less speed; undone, it is as before', async () => {
    const { analysis, hand, dispatch } = await stage();
    const before = analysis().strength.diveSpeed!;
    await fill(hand, 'Over a height of (m)', '5');
    await waitFor(() => expect(analysis().strength.diveSpeed!).toBeLessThan(before - 1));
    dispatch(undone());
    await waitFor(() => expect(analysis().strength.diveSpeed!).toBe(before));
  });

  test('what holds the pack is chosen, and then checked', async () => {
    const { analysis, hand, design } = await stage();
    const pack = design().massItems.find(({ category }) => category === 'battery')!;
    expect(analysis().strength.checks.some(({ kind }) => kind === 'packHeld')).toBe(false);
    await choose(hand, pack.name, 'a strap');
    await waitFor(() => expect(analysis().strength.checks.some(({ kind }) => kind === 'packHeld')).toBe(true));
    expect(await screen.findByText('Held when it lands')).toBeTruthy();
    await choose(hand, pack.name, 'not said');
    await waitFor(() => expect(design().massItems.find(({ id }) => id === pack.id)!.heldBy).toBeUndefined());
  });

  test('a rod that was bent counts as what it showed', async () => {
    const { analysis, hand, design } = await stage();
    const [wing] = design().surfaces;
    await hand.click(screen.getByRole('button', { name: 'Add' }));
    await hand.click(await screen.findByRole('menuitem', { name: /Carbon tube 6/ }));
    await waitFor(() => expect(design().surfaces[0]!.spars).toHaveLength(wing!.spars.length + 1));
    const laid = analysis().strength.tipDeflection!;
    await hand.click(screen.getByRole('button', { name: 'I bent one' }));
    await fill(hand, 'It sank by', '200');
    await waitFor(() => expect(analysis().strength.tipDeflection!).toBeGreaterThan(1.02 * laid));
    await hand.click(screen.getByRole('button', { name: 'Forget that' }));
    await waitFor(() => expect(analysis().strength.tipDeflection!).toBeCloseTo(laid, 9));
  });
});

test('a tube along the fuselage stiffens the boom, a cover of glass as well', async () => {
  const { analysis, hand, design } = await show(
    demoDesign('kittiwake-winglet'),
    <Now of={(now) => <BoardParts design={now} />} />,
  );
  const body = design().bodies[0]!;
  const before = analysis().strength.boomPitchFactor!;
  await hand.click(screen.getByRole('button', { name: new RegExp(`^${body.name}`) }));
  await hand.click(screen.getByRole('button', { name: 'Rod or tube' }));
  await hand.click(await screen.findByRole('menuitem', { name: /Carbon tube 10/ }));
  await waitFor(() => expect(analysis().strength.boomPitchFactor!).toBeGreaterThan(before + 0.005));
  await hand.click(screen.getByRole('button', { name: /^Take Carbon tube/ }));
  await waitFor(() => expect(design().bodies[0]!.rods).toEqual(body.rods));
  await fill(hand, 'Tape or cover (dm²)', '20');
  await choose(hand, 'That cover is', /^glass/);
  await waitFor(() => expect(analysis().strength.boomPitchFactor!).toBeGreaterThan(before + 0.001));
});

test('a joint that was weighed counts with what it gained, until it is forgotten', async () => {
  const { analysis, hand, design } = await show(
    demoDesign('kittiwake-winglet'),
    <Now of={(now) => <BoardParts design={now} />} />,
  );
  const body = design().bodies[0]!;
  const massOf = () => analysis().mass.parts.find(({ id }) => id === body.id)!.computed;
  await hand.click(screen.getByRole('button', { name: new RegExp(`^${body.name}`) }));
  await fill(hand, 'Glued joints, each side', '1000');
  await waitFor(() => expect(design().bodies[0]!.construction!.glueLength).toBe(1000));
  await waitFor(() => expect(massOf()).toBeGreaterThan(0));
  await hand.click(screen.getByRole('button', { name: 'I weighed a joint' }));
  await fill(hand, 'Joint, long', '200');
  await fill(hand, 'It gained', '2');
  expect(await screen.findByText(/^Counts with 10 g\/m\./)).toBeTruthy();
  await waitFor(() => expect(design().bodies[0]!.construction!.glueTest).toEqual({ length: 200, weight: 2 }));
  const more = (10 - body.construction!.glueDensity) / 1000;
  const weighed = massOf();
  await hand.click(screen.getByRole('button', { name: 'Forget that joint' }));
  await waitFor(() => expect(weighed - massOf()).toBeCloseTo(more, 6));
});

test('servo, play and pushrod of a control are typed where it is, and checked', async () => {
  const { analysis, hand, design } = await show(
    demoDesign('gannet-vee'),
    <Now of={(now) => <SurfaceStage design={now} roles={['vTail']} kinds={[]} empty="No tail." />} />,
  );
  const [control] = design().surfaces.find(({ role }) => role === 'vTail')!.controls;
  const linkage = () => analysis().strength.linkages.find((one) => one.control === (control!.name || control!.id))!;
  await hand.click(screen.getByRole('button', { name: new RegExp(`^${control!.name}`) }));
  await hand.click(screen.getByRole('button', { name: 'Add linkage' }));
  await screen.findByRole('textbox', { name: 'Servo arm' });
  await fill(hand, 'Servo gives (N·cm)', '4');
  await waitFor(() => expect(linkage().torqueShare).toBeGreaterThan(0.1));
  await fill(hand, 'Play at the horn', '1');
  await waitFor(() => expect(linkage().slop).toBeGreaterThan(0.03));
  expect(linkage().bucklingShare).toBeNull();
  await choose(hand, 'Pushrod', /Carbon rod 2/);
  await waitFor(() => expect(linkage().bucklingShare).toBeGreaterThan(0));
  const short = linkage().bucklingShare!;
  await fill(hand, 'Held every', '240');
  // Euler: four times the load over the double length.
  await waitFor(() => expect(linkage().bucklingShare! / short).toBeCloseTo(4, 6));
  await choose(hand, 'Pushrod', 'not known');
  await waitFor(() => expect(linkage().bucklingShare).toBeNull());
});
