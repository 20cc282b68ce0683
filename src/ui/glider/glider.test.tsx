import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, fill, Now, show } from '#/tests/render';
import { finish } from '@/core/1-base/steps';
import { tossVirtually } from '@/core/7-flight/toss/virtualToss';
import type { Contradiction } from '@/core/7-flight/toss/infer';
import type { Toss } from '@/core/7-flight/toss/settings';
import type { TossesTell } from '@/workers/contract';
import { tossesTold } from '@/store/gliderSlice';
import { GliderStage } from './GliderStage';
import { TossPlot } from './TossPlot';

const tosses: readonly Toss[] = [
  { id: 'toss1', at: '2026-05-01T10:00:00Z', scale: 1, result: 'steadyGlide', track: [], notes: '' },
];
const own = { value: 0.01, sigma: 0.004 };
const all = { decalage: own, balance: own, drag: own, warp: own };

/** What a worker would answer. */
const toldOf = (contradictions: readonly Contradiction[]): TossesTell => ({
  ok: true,
  inferred: { errors: all, prior: all, handsOffLift: { value: 0.5, sigma: 0.04 }, priorLift: null, contradictions },
  correction: {
    aim: 0.4,
    off: 0.1,
    turn: { surface: 'wing', angle: 0.02, sigma: 0.004, shim: 0.0015 },
    balance: { moves: -0.003, sigma: 0.001 },
    ballast: { mass: 0.006, at: 0.02, moves: -0.003 },
  },
  next: { shim: 0.5, launchSpeed: 9, sigma: 0.03 },
  chord: 0.2,
});

const NAME = 'tideline-plank';
const stage = () => show(demoDesign(NAME), <Now of={(design) => <GliderStage design={design} />} />);

test('a toss is told in steps of half a second, and plays', async () => {
  const toss = { design: demoDesign(NAME), scale: 1, path: 0, height: 1.8, pilot: 'handsOff', change: null } as const;
  const tossed = finish(tossVirtually(toss));
  if (!tossed.ok) throw new Error(tossed.because);
  const { hand } = await show(toss.design, <TossPlot tossed={tossed} design={toss.design} />);
  const table = await screen.findByRole('table', { name: 'The toss in steps of half a second' });
  expect(within(table).getAllByRole('row').length).toBeGreaterThan(3);
  expect(document.body.textContent).toMatch(/Speed\d/);
  const time = screen.getByRole('slider', { name: 'Time' });
  expect(time.getAttribute('aria-valuetext')).toBe('0 s');
  await hand.click(screen.getByRole('button', { name: 'Play' }));
  expect(screen.getByRole('button', { name: 'Stop' })).toBeTruthy();
});

test('a throw asks for what an arm and a field can do, and changes one thing beside it', async () => {
  const { session, hand } = await stage();
  await fill(hand, 'Speed', '400');
  expect(document.body.textContent).toMatch(/must lie between 1 and 40/);
  await fill(hand, 'Speed', '11');
  await choose(hand, 'Beside it, changed', 'balance aft by');
  await fill(hand, 'By', '6');
  expect(session.store.getState().glider.asked).toMatchObject({ speed: 11, change: { what: 'balance', by: 6 } });
  await fill(hand, 'Scale', '0.5');
  const small = screen.getByRole('group', { name: 'The small glider' });
  expect(small.textContent).toMatch(/Flies alike at a mass of/);
  expect(small.textContent).toMatch(/71 %/);
  expect(small.textContent).toMatch(/Ballast at the balance point|Too heavy by/);
  await hand.click(within(small).getByRole('button', { name: 'Glide of both' }));
  const both = await within(small).findByRole('table', { name: /Glide of the large and of the small one/ });
  const [, lift] = within(both).getAllByRole('row');
  const [large, little] = within(lift!)
    .getAllByRole('cell')
    .map(({ textContent }) => Number(textContent));
  expect(little).toBeLessThanOrEqual(large!);
  await hand.click(within(small).getByRole('button', { name: 'Cut it at this scale' }));
  expect(session.store.getState().plans.scale).toBe(0.5);
});

test('one press logs a toss; numbers are typed after it; what is on the glider stays for the next; out and back', async () => {
  const { designs, id, hand } = await stage();
  const logged = () => designs.records.heads('tosses', id);
  await hand.click(screen.getByRole('button', { name: 'ballooned' }));
  await screen.findByRole('textbox', { name: 'Distance (m)' });
  await fill(hand, 'Distance (m)', '14.5');
  await fill(hand, 'Shim, nose up', '0.5');
  await waitFor(async () =>
    expect(await logged()).toMatchObject([{ result: 'ballooned', distance: 14.5, shim: 0.5, scale: 1 }]),
  );
  await fill(hand, 'Time (s)', '9000');
  expect(document.body.textContent).toMatch(/must lie between 0 and 3600/);
  await hand.click(screen.getByRole('button', { name: 'glided' }));
  await screen.findByText(/2\. glided/);
  const [, second] = await logged();
  expect(second).toMatchObject({ result: 'steadyGlide', shim: 0.5 });
  expect(second).not.toHaveProperty('distance');
  await hand.click(screen.getByRole('button', { name: 'Take toss 2 out' }));
  await waitFor(async () => expect(await logged()).toHaveLength(1));
});

test('what tosses tell is a value with its band and a shim; tosses that contradict are named instead', async () => {
  const { dispatch, hand, design } = await stage();
  await hand.click(screen.getByRole('button', { name: 'glided' }));
  const group = await screen.findByRole('group', { name: 'What tosses tell' });
  dispatch(tossesTold({ of: design(), by: tosses, result: toldOf([]) }));
  await waitFor(() => expect(group.textContent).toMatch(/0\.5 ±0\.04/));
  expect(group.textContent).toMatch(/a shim of 1\.5 mm under its leading edge/);
  expect(group.textContent).toMatch(/6 g of ballast/);
  expect(group.textContent).toMatch(/Told before the last change/);
  expect(group.textContent).toMatch(/For the large one that is .* at \d.*° ±0\.2°/);
  dispatch(
    tossesTold({
      of: design(),
      by: tosses,
      result: toldOf([{ toss: 'toss1', what: 'distance', sigmas: 4.2 }]),
    }),
  );
  await waitFor(() => expect(group.textContent).toMatch(/toss 1: its distance lies 4\.2 standard deviations off/));
  expect(group.textContent).not.toMatch(/a shim of/);
});
