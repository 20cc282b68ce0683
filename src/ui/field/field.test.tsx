import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, fill, Now, show } from '#/tests/render';
import { decimal, METRIC } from '@/words/formatQuantity';
import { gatesOf, readingAt } from '@/core/8-bench/gates';
import { flightSchema, trialFoldSchema } from '@/core/2-document/records/recordKinds';
import { readGate } from '@/store/bench';
import { FAULTS } from '@/core/8-field/faults';
import { causeWords, changeWords } from './fieldWords';
import { FieldStage } from './FieldStage';

const stage = async () => {
  const open = await show(demoDesign('lagoon-postman'), <Now of={(design) => <FieldStage design={design} />} />);
  const { id } = open.session.store.getState().session;
  const flights = () => open.designs.records.heads('flights', id!);
  return { ...open, flights };
};

test('a flight is logged with what was pressed: what it did, clicks as degrees, what was ticked', async () => {
  const { hand, flights, session } = await stage();
  await hand.type(screen.getByRole('textbox', { name: 'Own item' }), 'Float line coiled{Enter}');
  await hand.click(await screen.findByRole('checkbox', { name: 'Float line coiled' }));
  await hand.click(screen.getByRole('button', { name: 'dives hands off' }));
  await hand.click(screen.getByRole('radio', { name: 'worse' }));
  await hand.click(screen.getByRole('radio', { name: 'light' }));
  for (let click = 0; click < 3; click++)
    await hand.click(screen.getByRole('button', { name: 'Pitch trim found: one click up' }));
  await hand.click(screen.getByRole('button', { name: /^Roll trim found: not looked at/ }));
  await hand.click(screen.getByRole('button', { name: 'Log the flight' }));
  await waitFor(async () => expect(await flights()).toHaveLength(1));
  const [flight] = await flights();
  expect(flight).toMatchObject({ did: ['divesHandsOff'], verdict: 'worse', wind: 2, ticked: ['Float line coiled'] });
  // Behind the wing nose up is trailing edge up.
  expect(flight!.runs).toMatchObject([{ kind: 'level', from: 'hand', roll: 0 }]);
  expect(flight!.runs[0]!.pitch).toBeCloseTo(-0.9, 9);
  expect(session.store.getState().field.ticked).toEqual([]);
  expect(await screen.findByRole('button', { name: /^1\. dives hands off; worse/ })).toBeTruthy();
});

test('a recording becomes runs of its flight, in place of an earlier one; what is none is refused and why', async () => {
  const { hand, flights } = await stage();
  await hand.click(screen.getByRole('button', { name: 'flew well' }));
  await hand.click(screen.getByRole('button', { name: 'Pitch trim found: one click up' }));
  await hand.click(screen.getByRole('button', { name: 'Log the flight' }));
  await hand.click(await screen.findByRole('button', { name: /^1\. flew well/ }));
  for (let again = 0; again < 2; again++) {
    await hand.click(screen.getByRole('button', { name: 'Made-up recorder' }));
    await screen.findByText(/^Found in it: \d level, cruise power/);
    await waitFor(async () => expect((await flights())[0]!.runs.some(({ from }) => from === 'recorder')).toBe(true));
  }
  const { runs } = (await flights())[0]!;
  expect(runs.filter(({ from }) => from === 'hand')).toHaveLength(1);
  expect(runs.length).toBeLessThan(14);
  const file = screen.getByLabelText('Recording of this flight');
  await hand.upload(file, new File(['time_s,height_m\n0,1'], 'log.csv', { type: 'text/csv' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/^log\.csv was not taken\. The heads/);
});

test('two changes at once are said not to be told apart; a click is calibrated and bounded', async () => {
  const { hand, session } = await stage();
  const changed = screen.getByRole('textbox', { name: 'Changed before this flight, one thing' });
  await hand.type(changed, 'pack 5 mm forward');
  expect(screen.queryByText(/^Two things at once/)).toBeNull();
  await hand.type(changed, '; tail 1° down');
  expect(screen.getByText(/^Two things at once/)).toBeTruthy();
  await fill(hand, 'One click turns a control', '9');
  expect(document.body.textContent).toMatch(/must lie between 0.01° and 5°/);
  await fill(hand, 'One click turns a control', '0.25');
  expect(session.store.getState().settings.clickDegrees).toBe(0.25);
});

test('a flight that is opened takes runs, and a crash that is not weighed; taken out it can be put back', async () => {
  const { hand, flights, design, dispatch } = await stage();
  await hand.click(screen.getByRole('button', { name: 'flew well' }));
  await hand.click(screen.getByRole('button', { name: 'Log the flight' }));
  await hand.click(await screen.findByRole('button', { name: /^1\. flew well/ }));
  await hand.click(screen.getByRole('button', { name: 'Add a run' }));
  await screen.findByRole('textbox', { name: 'Glide ratio' });
  await fill(hand, 'Glide ratio', '7.5');
  await waitFor(async () => expect((await flights())[0]!.runs).toMatchObject([{ kind: 'glide', glideRatio: 7.5 }]));
  await hand.click(screen.getByRole('checkbox', { name: 'It crashed' }));
  const broke = await screen.findByRole('textbox', { name: /^What broke/ });
  await hand.type(broke, 'tail boom, left tip');
  await hand.tab();
  await waitFor(async () => expect((await flights())[0]!.crash?.broke).toEqual(['tail boom', 'left tip']));
  const reopened = screen.getAllByRole('checkbox', { name: /, incidence$/ })[0]!;
  await hand.click(reopened);
  await waitFor(async () => expect((await flights())[0]!.crash?.gates).toHaveLength(1));
  const [wing] = (await flights())[0]!.crash!.gates;
  const gate = gatesOf(design()).find(({ step }) => step === wing)!;
  dispatch(readGate(gate, 'left', gate.expected + 1));
  expect(readingAt(design(), gate, 'left')).toBeCloseTo(gate.expected + 1, 6);
  await hand.click(await screen.findByRole('button', { name: 'Open it again' }));
  expect(readingAt(design(), gate, 'left')).toBeUndefined();
  const list = screen.getByRole('group', { name: 'Flights' });
  expect(within(list).getByRole('button', { name: /^1\. crashed; flew well/ })).toBeTruthy();
  await hand.click(within(list).getByRole('button', { name: 'Take flight 1 out' }));
  await waitFor(async () => expect(await flights()).toEqual([]));
});

test('stalls that are learned count in this design when asked, are shown with their evidence, and forgotten again', async () => {
  const { hand, design, designs, id, session, analysis } = await stage();
  const told = analysis().speeds.stall!;
  await designs.records.put(
    'flights',
    id,
    flightSchema.parse({
      id: 'flight1',
      at: '2026-06-01T10:00:00Z',
      runs: [1.12, 1.1, 1.11].map((times) => ({ kind: 'stall', speed: told * times })),
    }),
  );
  expect(await screen.findByText(/^3 stalls: greatest lift 8\d % ±\d+ % of the table$/)).toBeTruthy();
  await hand.click(screen.getByRole('button', { name: 'Learn it' }));
  await waitFor(() => expect(session.store.getState().settings.evidence).toHaveLength(1));
  await hand.click(await screen.findByRole('button', { name: 'Count with them here' }));
  const { greatestLift } = design().figures!;
  expect(greatestLift).toBeLessThan(0.97);
  await waitFor(() => expect(analysis().speeds.stall! / told).toBeCloseTo(1 / Math.sqrt(greatestLift), 2));
  await hand.click(screen.getByRole('button', { name: 'Forget greatest lift of Lagoon Postman' }));
  await waitFor(() => expect(session.store.getState().settings.evidence).toEqual([]));
  await hand.click(screen.getByRole('button', { name: 'Count by the tables again' }));
  await waitFor(() => expect(analysis().speeds.stall).toBeCloseTo(told, 9));
});

test('a trial fold and a bent strip are learned too: what half a turn takes more, and how stiff boards come out', async () => {
  const { hand, design, designs, id, session } = await stage();
  const board = design().materials[0]!;
  await designs.records.put(
    'trialFolds',
    id,
    trialFoldSchema.parse({
      id: 'fold1',
      at: '2026-06-01T10:00:00Z',
      material: board.id,
      noseRadius: 12,
      angle: 180,
      shortfall: 1.5,
      scoredFace: 'inner',
    }),
  );
  const line = await screen.findByText(/^1 trial fold: folds scored inside 1\.5 mm ±1 mm more for half a turn of/);
  await hand.click(within(line.parentElement!).getByRole('button', { name: 'Learn it' }));
  await hand.click(await screen.findByRole('button', { name: 'Count with them here' }));
  const { foldInside, spreads, stiffness } = design().figures!;
  expect(foldInside).toBeGreaterThan(0.04);
  expect(foldInside).toBeLessThan(1.5 / (Math.PI * board.thickness));
  expect(spreads.foldInside).toBeGreaterThan(0.02);
  expect(stiffness).toBe(1);
  await hand.click(screen.getByRole('button', { name: 'Forget folds scored inside of Lagoon Postman' }));
  await waitFor(() => expect(session.store.getState().settings.evidence).toEqual([]));
});

test('a row that cuts a fin back is planned, told, judged step by step, and begins a new design where it was good', async () => {
  const { hand, designs, id } = await stage();
  await hand.click(screen.getByRole('button', { name: 'Plan a row' }));
  expect((await screen.findAllByText(/turns into the wind −\d+ %/)).length).toBe(4);
  const rows = () => designs.records.heads('experiments', id);
  await choose(hand, 'Verdict at 90 %', 'the same');
  await waitFor(async () => expect((await rows())[0]!.cutBack!.steps[0]!.verdict).toBe('same'));
  expect(await screen.findByText('Good from 90 % to the drawing; 3 steps are not flown yet.')).toBeTruthy();
  await choose(hand, 'Verdict at 80 %', 'worse');
  expect(await screen.findByText('Good from 90 % to the drawing, worse at 80 %.')).toBeTruthy();
  await hand.click(screen.getByRole('button', { name: 'New design at 90 %' }));
  await waitFor(async () => {
    const [made] = (await designs.list()).filter(({ name }) => name === 'Lagoon Postman, cut back');
    expect(made).toBeTruthy();
  });
});

test('before it flies it is said what it should do: speeds, trims, and which way it wants to go', async () => {
  const open = await stage();
  const analysis = open.analysis();
  const told = await screen.findByRole('group', { name: 'What it should do' });
  expect(told.textContent).toContain(`Stalls at${decimal(analysis.speeds.stall!, 1)} m/s`);
  // Its thrust line lies so that full throttle raises the nose or drops it by some degrees.
  const more = analysis.power.pitchControlAtFullPower! - analysis.trim.elevatorPowerOff!;
  expect(told.textContent).toMatch(
    more > 0 ? /full throttle it wants to raise its nose: push/ : /drop its nose: hold back/,
  );
});

test('every cause is said with its size and its side, and every change the other way', () => {
  for (const fault of FAULTS) {
    const [one, other] = [2, -0.5].map((size) => causeWords({ fault, size }, METRIC)) as [string, string];
    expect(one).not.toBe(other);
    expect(one).not.toMatch(/NaN|undefined/);
    const tells = { what: 'roll', speed: null, by: 0.02, sigma: 0.01 } as const;
    expect(changeWords({ fault, by: -2, moves: null, shim: null, tells, isThereAndBack: false }, METRIC)).toMatch(
      /\.$/,
    );
  }
  expect(causeWords({ fault: 'balance', size: 6 }, METRIC)).toMatch(/^It balances 6 mm farther aft than drawn/);
  expect(causeWords({ fault: 'mass', size: -0.08 }, METRIC)).toBe('It is 8 % lighter than thought');
});
