// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, fill, Now, show } from '#/tests/render';
import { finish } from '@/core/1-base/steps';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { field } from '@/core/2-document/edit/field';
import { setFields } from '@/store/edit';
import { CompareSheet } from './CompareSheet';
import { CompareStage } from './CompareStage';

// Curves are drawn by a library that wants a real page: their numbers are what counts here.
vi.mock('../charts/Chart', () => ({
  default: ({ caption, lines }: { caption: string; lines: { name: string; x: number[]; y: number[] }[] }) => (
    <pre data-testid="chart">{JSON.stringify({ caption, lines })}</pre>
  ),
}));

afterEach(cleanup);

const design = demoDesign('tern-tender');
const stage = () =>
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
  );

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
  dispatch(setFields([field('surfaces', design.surfaces[0]!.id, 'incidence').to(3)]));
  expect(await screen.findByText('Built before the last change: build it again.')).toBeTruthy();
}, 60_000);

test('one number goes from one end to the other; the design stays as it is', async () => {
  const { hand, design: now } = await stage();
  const [wing] = design.surfaces;
  await choose(hand, 'Goes through', `${wing!.name}: root chord`);
  await fill(hand, 'From', '180');
  await fill(hand, 'To', '240');
  await choose(hand, 'Shows', 'Static margin');
  await hand.click(screen.getByRole('button', { name: 'Sweep it' }));
  const chart = await screen.findByTestId('chart', undefined, { timeout: 30_000 });
  const { caption, lines } = JSON.parse(chart.textContent!) as {
    caption: string;
    lines: { name: string; x: number[]; y: number[] }[];
  };
  expect(caption).toBe(`Static margin over ${wing!.name}: root chord`);
  expect(lines.map(({ name }) => name)).toEqual(expect.arrayContaining(['Static margin', 'least wanted']));
  expect([lines[0]!.x[0], lines[0]!.x.at(-1), lines[0]!.x.length]).toEqual([180, 240, 21]);
  expect(lines[0]!.y[0]).not.toBeCloseTo(lines[0]!.y.at(-1)!, 1);
  expect(now()).toEqual(design);
  // Ends that the document does not allow are told with their limit.
  await choose(hand, 'Goes through', `${wing!.name}: incidence`);
  await fill(hand, 'To', '70');
  await hand.click(screen.getByRole('button', { name: 'Sweep it' }));
  expect(await screen.findByText(/must lie between/)).toBeTruthy();
}, 60_000);

test('what goes on can be stopped', async () => {
  const { hand } = await stage();
  await hand.click(screen.getByRole('button', { name: 'Build it 1,000 times' }));
  const stop = screen.queryByRole('button', { name: 'Stop' });
  if (stop) await hand.click(stop);
  await waitFor(() => expect(screen.getByRole('button', { name: 'Build it 1,000 times' })).toBeTruthy(), {
    timeout: 30_000,
  });
}, 60_000);
