import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { pressPoint } from '#/tests/noPlot';
import { choose, fill, Now, show } from '#/tests/render';
import { direct } from '#/tests/session';
import { finish } from '@/core/1-base/steps';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import { numbersOf } from '@/core/6-groups/solve';
import { field } from '@/core/2-document/edit/field';
import { undone } from '@/store/documentSlice';
import { setFields } from '@/store/edit';
import type { JobClient } from '@/workers/lanes';
import * as download from '../shell/download';
import { CompareSheet } from './CompareSheet';
import { CompareStage } from './CompareStage';
import { otherInputs, varied } from './compareWords';

const design = demoDesign('tern-tender');
const stage = (jobs?: JobClient) =>
  show(
    design,
    <Now
      of={(now) => (
        <>
          <CompareStage design={now} />
          <CompareSheet design={now} />
        </>
      )}
    />,
    jobs,
  );

/** Builds seldom where it is not how often that counts. */
const seldom: JobClient = {
  ...direct,
  ask: (name, input, how) => direct.ask(name, name === 'tolerate' ? { ...input, draws: 64 } : input, how),
};

test('built a thousand times: how often verdicts hold, what spreads and what costs most; older than a change it says so', async () => {
  const { hand, dispatch } = await stage();
  expect(screen.getByText(/^Build it a thousand times, each a little off/)).toBeTruthy();
  await hand.click(screen.getByRole('button', { name: 'Build it 1,000 times' }));
  const told = await screen.findByRole('region', { name: 'As it may be built' }, { timeout: 30_000 });
  const expected = finish(tolerate(design, { draws: 1000, seed: 1 }));
  if (!expected.ok) throw new Error(expected.because);
  const list = within(told).getAllByRole('listitem');
  expect(list[0]!.textContent).toContain('Flies off the hand at first try');
  expect(list[0]!.textContent).toContain(`${Math.round(100 * expected.chances.firstThrow!)} %`);
  const row = within(told).getByRole('row', { name: /^Hands-off lift/ });
  expect(row.textContent).toMatch(/angle of .+, \d+ %/);
  expect(screen.getAllByText(/^Off by, ±1σ: /).length).toBe(expected.tolerances.length);
  const { together } = expected.tighten;
  const tighten = told.querySelector('[data-tighten]');
  expect(tighten === null).toBe(together === null);
  if (together?.share)
    expect(tighten!.textContent).toContain(`${Math.round(100 * together.share)} % of what it is off`);
  dispatch(setFields([field('surfaces', design.surfaces[0]!.id, 'incidence').to(3)]));
  expect(await screen.findByText('Built before the last change: build it again.')).toBeTruthy();
}, 60_000);

test('inputs are called by what they are: usual ones, those that move several numbers, and any other by its place', () => {
  expect(varied(design, '/surfaces/wing/incidence')).toBe('Wing: incidence');
  expect(varied(design, 'tips/wing')).toBe('Wing: span, its tips cut');
  expect(varied(design, '/surfaces/wing/stations/1/dihedral')).toBe('Wing, station 2, dihedral');
  expect(varied(design, '/surfaces/none/incidence')).toBe('/surfaces/none/incidence');
});

test('a number gets a ± of its own, in the document, and loses it again', async () => {
  const { hand, design: now, dispatch, designs, id } = await stage(seldom);
  const [wing] = design.surfaces;
  const cg = millimetresFromMetres(numbersOf(design).mass.cg![0]);
  const at = '2026-11-20T10:00:00Z';
  await designs.records.put('benchReadings', id, {
    id: 'r1',
    what: 'balance',
    value: cg + 2,
    plusMinus: 1,
    at,
    notes: '',
  });
  await choose(hand, 'Give a number its own ±', `${wing!.name}: root chord`);
  await fill(hand, `± ${wing!.name}: root chord`, '6');
  expect(now().tolerances).toEqual([{ field: `/surfaces/${wing!.id}/stations/0/chord`, plusMinus: 6 }]);
  await hand.click(screen.getByRole('button', { name: 'Build it 1,000 times' }));
  const off = await screen.findByText(`Off by, ±1σ: ${wing!.name.toLowerCase()}: root chord`, undefined, {
    timeout: 30_000,
  });
  expect(off.parentElement!.textContent).toContain('3 mm');
  // The balance point that two scales found is built about.
  const balance = screen.getByText('Off by, ±1σ: balance point').parentElement!;
  expect(balance.textContent).toMatch(/0\.5 mm.*about where it was read, 2 mm behind the drawn one/);
  dispatch(undone());
  expect(now().tolerances).toEqual([]);
  // Any other number of the document may be off too.
  const label = 'Give a number its own ±';
  await choose(hand, label, 'another number…');
  await choose(hand, `${label}: of what`, 'Conditions');
  await choose(hand, `${label}: which`, /temperature/);
  await fill(hand, /^± .*temperature/, '8');
  expect(now().tolerances).toEqual([{ field: '/conditions/temperature', plusMinus: 8 }]);
  expect(screen.queryByRole('combobox', { name: `${label}: which` })).toBeNull();
}, 60_000);

test('one number goes from one end to the other; the design stays as it is until a place is taken over', async () => {
  const { hand, design: now, designs, id } = await stage();
  await hand.click(screen.getByRole('radio', { name: 'One number' }));
  const [wing] = design.surfaces;
  await choose(hand, 'Goes through', `${wing!.name}: root chord`);
  await fill(hand, 'From', '180');
  await fill(hand, 'To', '240');
  await choose(hand, 'Shows', 'Static margin');
  await hand.click(screen.getByRole('button', { name: 'Sweep it' }));
  const chart = await screen.findByTestId('plot', undefined, { timeout: 30_000 });
  const lines = JSON.parse(chart.textContent!) as { name: string; x: number[]; y: number[] }[];
  expect(screen.getByRole('table', { name: `Static margin over ${wing!.name}: root chord` })).toBeTruthy();
  expect(lines.map(({ name }) => name)).toEqual(expect.arrayContaining(['Static margin', 'least wanted']));
  expect([lines[0]!.x[0], lines[0]!.x.at(-1), lines[0]!.x.length]).toEqual([180, 240, 21]);
  expect(lines[0]!.y[0]).not.toBeCloseTo(lines[0]!.y.at(-1)!, 1);
  expect(now()).toEqual(design);
  await pressPoint(chart, { x: 186 });
  await hand.click(await screen.findByRole('button', { name: 'Take it over as a revision' }));
  await waitFor(() => expect(now().surfaces[0]!.stations[0]!.chord).toBeCloseTo(186, 9));
  await waitFor(async () => expect((await designs.records.heads('revisions', id)).length).toBe(1));
  // Ends that the document does not allow are told with their limit.
  await choose(hand, 'Goes through', `${wing!.name}: incidence`);
  await fill(hand, 'To', '70');
  await hand.click(screen.getByRole('button', { name: 'Sweep it' }));
  expect(await screen.findByText(/must lie between/)).toBeTruthy();
}, 60_000);

test('parts of one name are told apart, and no number is offered twice', () => {
  const [item, ...items] = design.massItems;
  const alike = { ...design, massItems: [{ ...item!, name: 'Wing' }, ...items] };
  const parts = otherInputs(alike).map(({ part }) => part);
  expect(parts).toEqual(expect.arrayContaining([`Wing (${design.surfaces[0]!.id})`, `Wing (${item!.id})`]));
  expect(new Set(parts).size).toBe(parts.length);
  const paths = otherInputs(alike).flatMap((one) => one.paths);
  expect(new Set(paths).size).toBe(paths.length);
  expect(paths).toContain(`/massItems/${item!.id}/mass`);
});

test('any number of the design goes through its range, and any number of the analysis is looked at', async () => {
  const { hand } = await stage();
  await hand.click(screen.getByRole('radio', { name: 'One number' }));
  await choose(hand, 'Goes through', 'another number…');
  await choose(hand, 'Goes through: of what', 'Conditions');
  await choose(hand, 'Goes through: which', /elevation/);
  await fill(hand, 'From (m)', '0');
  await fill(hand, 'To (m)', '2000');
  await choose(hand, 'Shows', 'another number…');
  await choose(hand, 'Shows: of what', 'Stall');
  await choose(hand, 'Shows: which', /^Stall speed at that droop/);
  await choose(hand, 'Shows: of what', 'Strength');
  await choose(hand, 'Shows: which', 'Fastest speed in the dive of the document');
  await hand.click(screen.getByRole('button', { name: 'Sweep it' }));
  const chart = await screen.findByTestId('plot', undefined, { timeout: 30_000 });
  const [line] = JSON.parse(chart.textContent!) as { name: string; x: number[]; y: number[] }[];
  expect(line!.name).toBe('Strength: Fastest speed in the dive of the document');
  expect([line!.x[0], line!.x.at(-1)]).toEqual([0, 2000]);
  const high = numbersOf({ ...design, conditions: { ...design.conditions, elevation: 2000 } });
  expect(line!.y.at(-1)).toBeCloseTo(high.strength.diveSpeed!, 6);
  // Another one is looked at without sweeping anew.
  await choose(hand, 'Shows', 'Stall speed');
  const again = JSON.parse((await screen.findByTestId('plot')).textContent!) as { y: number[] }[];
  expect(again[0]!.y.at(-1)).toBeCloseTo(high.stall.speed!, 6);
  // Back to what is usual, the two steps are gone.
  await choose(hand, 'Goes through', 'Cruise speed');
  expect(screen.queryByRole('combobox', { name: 'Goes through: which' })).toBeNull();
}, 60_000);

test('two numbers make a map with what is drawn and what is asked; a place of it is tried', async () => {
  const { hand, design: now, dispatch, analysis } = await stage();
  // As heavy as it is drawn parts the map, a wing of five metres is nowhere on it.
  const grams = gramsFromKilograms(analysis().mass.total!);
  dispatch(setFields([field('brief', 'maximumMass').to(grams), field('brief', 'maximumSpan').to(5000)]));
  const before = now();
  await hand.click(screen.getByRole('radio', { name: 'One number' }));
  const [wing] = design.surfaces;
  await choose(hand, 'Goes through', `${wing!.name}: all chords`);
  await choose(hand, 'and, for a map', 'Cruise speed');
  await choose(hand, 'Shows', 'Static margin');
  await hand.click(screen.getByRole('button', { name: 'Map it' }));
  const drawn = await screen.findByTestId('plot', undefined, { timeout: 60_000 });
  const traces = JSON.parse(drawn.textContent!) as {
    name: string;
    x: number[];
    y: number[];
    z?: (number | null)[][];
    mode?: string;
    contours?: { type?: string; value: number };
  }[];
  const map = traces[0]!;
  expect([map.x.length, map.y.length, map.z!.length]).toEqual([11, 11, 11]);
  expect(traces.find(({ mode }) => mode === 'markers')).toMatchObject({ name: 'as drawn', x: [100] });
  const limits = traces.filter(({ contours }) => contours?.type === 'constraint');
  const least = { name: 'least wanted', contours: { value: 100 * design.balance.minimumStaticMargin } };
  expect(limits[0]).toMatchObject({ ...least, z: map.z });
  // What is asked of other numbers stands in it where it parts the map, and is told where it does not.
  expect(limits.slice(1)).toMatchObject([{ name: 'Mass: most wanted', contours: { value: grams / 1000 } }]);
  const heaviest = limits[1]!.z!.map((row) => row.at(-1)!);
  heaviest.forEach((mass) => expect(mass).toBeGreaterThan(grams / 1000));
  expect(screen.getByText('All over this map within its limit: span.')).toBeTruthy();
  // Deeper chords bring the neutral point nearer the balance point, in chords, at every speed.
  map.z!.forEach((row) => expect(row[0]).toBeGreaterThan(row.at(-1)!));
  await pressPoint(drawn, { x: map.x[0]!, y: map.y.at(-1)! });
  expect(await screen.findByText(/all chords 80 %, Cruise speed/)).toBeTruthy();
  // All numbers are known at every place: another one is looked at without mapping anew.
  expect(screen.getByText('Best glide ratio').nextElementSibling!.textContent).toMatch(/^[\d.]+$/);
  await choose(hand, 'Shows', 'Mass');
  expect(screen.getByRole('table', { name: /^Mass over / })).toBeTruthy();
  expect(now()).toEqual(before);
}, 90_000);

test('designs stand side by side with best and worst, what moved by part, and as a table to save', async () => {
  const saved = vi.spyOn(download, 'downloadFile').mockImplementation(() => undefined);
  const { hand, designs, dispatch } = await stage();
  await designs.create(demoDesign('evening-lifter'));
  await hand.click(screen.getByRole('radio', { name: 'Side by side' }));
  await choose(hand, 'Set beside', 'Evening Lifter');
  const beside = await screen.findByRole('region', { name: 'Side by side' }, { timeout: 30_000 });
  await waitFor(() => expect(screen.queryByText('computing…')).toBeNull(), { timeout: 30_000 });
  const mass = beside.querySelector('[data-row="mass.total"]')!;
  expect(mass.textContent).toMatch(/worst.*g.*best.*g/);
  expect(beside.querySelector('[data-moved="B"]')!.textContent).toMatch(/Balance point [+−][\d.]+ mm/);
  await hand.click(within(beside).getByRole('button', { name: 'CSV of these numbers' }));
  expect(String(saved.mock.calls[0]![0].parts[0])).toMatch(
    /^name,reference.span,.*\r\nTern Tender,.*\r\nEvening Lifter,/s,
  );
  // What is drawn anew stands there anew.
  dispatch(setFields([field('surfaces', design.surfaces[0]!.id, 'stations', 0, 'chord').to(260)]));
  const first = () => beside.querySelector('[data-row="reference.area"]')!.textContent;
  const before = first();
  await waitFor(() => expect(first()).not.toBe(before), { timeout: 30_000 });
  await hand.click(screen.getByRole('button', { name: 'Take Evening Lifter away' }));
  expect(beside.querySelector('[data-moved="B"]')).toBeNull();
}, 90_000);

test('a search tells designs that meet the brief; one is taken over, one step back', async () => {
  const { hand, design: now, dispatch } = await stage();
  await hand.click(screen.getByRole('radio', { name: 'Search' }));
  await hand.click(screen.getByRole('button', { name: 'Lock Wing: all chords' }));
  await hand.click(screen.getByRole('button', { name: 'Search' }));
  const found = await screen.findByRole('region', { name: 'Found' }, { timeout: 80_000 });
  expect(within(found).getByRole('heading', { level: 2 }).textContent).toMatch(/^(Meets the brief|Nothing between)/);
  expect(found.textContent).toMatch(/Wing: span, stretched [\d.]+ %/);
  await hand.click(within(found).getByRole('button', { name: 'Take 1 over as a revision' }));
  await waitFor(() => expect(now().surfaces[0]!.stations).not.toEqual(design.surfaces[0]!.stations));
  expect(now().name).toBe(design.name);
  dispatch(undone());
  expect(now().surfaces).toEqual(design.surfaces);
}, 90_000);

test('what goes on can be stopped', async () => {
  const going = new Map<string, () => void>();
  const endless: JobClient = {
    ...direct,
    ask: (name, input, how) =>
      name === 'tolerate'
        ? new Promise((done) => going.set(how.slot!, () => done({ kind: 'superseded' })))
        : direct.ask(name, input, how),
    cancel: (slot) => {
      going.get(slot)?.();
      going.delete(slot);
    },
  };
  const { hand } = await stage(endless);
  await hand.click(screen.getByRole('button', { name: 'Build it 1,000 times' }));
  expect(screen.queryByRole('button', { name: 'Build it 1,000 times' })).toBeNull();
  expect(going.size).toBe(1);
  await hand.click(await screen.findByRole('button', { name: 'Stop' }));
  expect(await screen.findByRole('button', { name: 'Build it 1,000 times' })).toBeTruthy();
  expect(going.size).toBe(0);
  expect(screen.queryByRole('region', { name: 'As it may be built' })).toBeNull();
});
