import 'fake-indexeddb/auto';
import { act, screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { fill, Now, show } from '#/tests/render';
import { showing, standIn } from '@/core/8-bench/instruments/standIn';
import { rehearsed } from '@/store/benchSlice';
import { meterChosen } from '@/store/settingsSlice';
import { LogFlight } from '../field/LogFlight';
import { BenchStage } from './BenchStage';

/** The streams that were opened, and what they can be made to say. */
const streams: FakeStream[] = [];
class FakeStream {
  readonly heard = new Map<string, (event: { data: string }) => void>();
  isClosed = false;
  constructor(readonly address: string) {
    streams.push(this);
  }
  addEventListener(name: string, hear: (event: { data: string }) => void): void {
    this.heard.set(name, hear);
  }
  close(): void {
    this.isClosed = true;
  }
  /** Says one value: what stands on a stand, or blows, `count` values after the first. */
  says(at: number, values: readonly number[], kind: 'stand' | 'wind' = 'stand', count = 0): void {
    const still = kind === 'stand' ? { zero: [2, -1] } : { zero: [0], noise: 0.2 };
    const device = { ...standIn(kind, 1), ...still, drift: 0, bumpsEvery: 1e9 };
    const shown = showing(device, count, at, { values, since: -9, before: values });
    this.heard.get('shown')?.({ data: JSON.stringify(shown) });
  }
  /** Says what stands on a stand for two seconds, or blows for six. */
  stands(from: number, values: readonly number[], kind: 'stand' | 'wind' = 'stand'): void {
    for (let count = 0; count < (kind === 'stand' ? 22 : 62); count++)
      act(() => this.says(from + count / 10, values, kind, count));
  }
}

const asked: [string, unknown][] = [];
beforeEach(() => {
  streams.length = 0;
  asked.length = 0;
  vi.stubGlobal('EventSource', FakeStream);
  vi.stubGlobal('fetch', (address: string, init?: { body: string }) => {
    asked.push([address, init && JSON.parse(init.body)]);
    return Promise.resolve(new Response('{}', { headers: { 'Content-Type': 'application/json' } }));
  });
});

const stage = () => show(demoDesign('lagoon-postman'), <Now of={(design) => <BenchStage design={design} />} />);

test('what is weighed counts, and what it will fly at is known better for it', async () => {
  const { hand, design } = await stage();
  const before = (await screen.findByText(/^\d+(\.\d)? g ± \d+(\.\d)? g$/)).textContent;
  const band = (text: string | null) => Number(/± ([\d.]+)/.exec(text ?? '')![1]);
  await fill(hand, 'Wing', '150');
  await waitFor(() => expect(design().surfaces[0]!.measuredMass).toBe(150));
  await waitFor(() => expect(band(screen.getByText(/ g ± /).textContent)).toBeLessThan(band(before)));
  expect(screen.getByText(/% (heavier|lighter)$/)).toBeTruthy();
  await hand.clear(screen.getByRole('textbox', { name: 'Wing' }));
  await hand.keyboard('{Enter}');
  await waitFor(() => expect(design().surfaces[0]!.measuredMass).toBeUndefined());
});

test('two scales say where it balances, how far the pack has to slide, and the reading is kept', async () => {
  const { hand } = await stage();
  await fill(hand, 'Front support at', '200');
  await fill(hand, 'Rear support at', '400');
  await fill(hand, 'Front scale', '200');
  await fill(hand, 'Rear scale', '200');
  const told = await screen.findByRole('status', { name: 'Balance on two scales' });
  expect(told.textContent).toMatch(/It weighs400 g.*It balances at300 mm/);
  expect(told.textContent).toMatch(/behind where it was computed\. Slide .* forward/);
  await hand.click(screen.getByRole('button', { name: 'Keep this reading' }));
  await screen.findByText('Kept: 300 mm');
  await fill(hand, 'Rear support at', '150');
  expect((await screen.findByRole('alert')).textContent).toMatch(/^The rear support must lie behind/);
});

test('the made-up stand is read empty first, then with the aircraft on it; gone, it says so and nothing is taken', async () => {
  const { hand, dispatch, id } = await stage();
  dispatch(meterChosen('standIn'));
  dispatch(rehearsed(id));
  const begin = () => hand.click(screen.getByRole('button', { name: 'Read the balance stand' }));
  await waitFor(begin);
  await waitFor(() => expect(streams.at(-1)!.address).toBe('/instruments/stream/stand'));
  streams.at(-1)!.stands(0, [0, 0]);
  await hand.click(await screen.findByRole('button', { name: 'It lies on it' }));
  expect(asked.at(-1)).toEqual(['/instruments/lay', { kind: 'stand', on: { stand: true } }]);
  streams.at(-1)!.stands(5, [210, 190]);
  await waitFor(() => expect(screen.getByRole('textbox', { name: 'Front scale' })).toHaveProperty('value', '210'));
  expect(screen.getByRole('textbox', { name: 'Rear scale' })).toHaveProperty('value', '190');
  await waitFor(() => expect(streams.at(-1)!.isClosed).toBe(true));
  await begin();
  await waitFor(() => expect(streams.at(-1)!.isClosed).toBe(false));
  act(() => streams.at(-1)!.heard.get('empty')!({ data: '{}' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /battery of the made-up instrument is empty\. Nothing/,
  );
  await hand.click(screen.getByRole('button', { name: 'New battery' }));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
});

test('what is pressed while a value comes in stands, though the page was not drawn anew in between', async () => {
  const { dispatch, id, hand } = await stage();
  dispatch(meterChosen('standIn'));
  dispatch(rehearsed(id));
  await waitFor(() => hand.click(screen.getByRole('button', { name: 'Read the balance stand' })));
  await waitFor(() => expect(streams.at(-1)!.address).toBe('/instruments/stream/stand'));
  streams.at(-1)!.stands(0, [0, 0]);
  const press = await screen.findByRole('button', { name: 'It lies on it' });
  // Within one act nothing is drawn: the value meets the reading as it was before the press.
  await act(async () => {
    press.click();
    await new Promise((resolve) => setTimeout(resolve, 20));
    streams.at(-1)!.says(3, [0, 0]);
  });
  expect(asked.at(-1)![0]).toBe('/instruments/lay');
  expect(screen.queryByRole('button', { name: 'It lies on it' })).toBeNull();
  expect(screen.getByText('Leave it alone.')).toBeTruthy();
});

test('an anemometer says the wind of a flight, without having to be empty first', async () => {
  const { hand, dispatch, id, designs } = await show(demoDesign('lagoon-postman'), <LogFlight />);
  dispatch(meterChosen('standIn'));
  dispatch(rehearsed(id));
  await waitFor(() => hand.click(screen.getByRole('button', { name: 'Read the wind' })));
  await waitFor(() => expect(streams.at(-1)!.address).toBe('/instruments/stream/wind'));
  streams.at(-1)!.stands(0, [3.4], 'wind');
  await screen.findByText(/^3\.[345] m\/s by the anemometer\.$/);
  await hand.click(screen.getByRole('button', { name: 'Log the flight' }));
  await waitFor(async () => expect(await designs.records.heads('flights', id)).toHaveLength(1));
  const [flight] = await designs.records.heads('flights', id);
  expect(Math.abs(flight!.wind! - 3.4)).toBeLessThan(0.2);
});

test('travels are read in degrees or at the edge, judged against the drawing, kept and taken away', async () => {
  const { hand } = await stage();
  const told = await screen.findByRole('status', { name: 'Throws of Elevator' });
  expect(told.textContent).toMatch(/^To be read with full stick: up /);
  const drawn = Number((await screen.findByRole('textbox', { name: 'Elevator up, left' })).getAttribute('placeholder'));
  await fill(hand, 'Elevator up, left', String(drawn / 2));
  await waitFor(() => expect(told.textContent).toMatch(/^Up on the left it travels .*move the pushrod/));
  await hand.click(screen.getByRole('radio', { name: 'at the edge' }));
  await fill(hand, 'Elevator up, left', '900');
  expect(await screen.findByText(/must lie between 0 and \d+ mm/)).toBeTruthy();
  const edge = Number(screen.getByRole('textbox', { name: 'Elevator up, right' }).getAttribute('placeholder'));
  await hand.keyboard('{Escape}');
  await fill(hand, 'Elevator up, left', String(edge));
  await waitFor(() => expect(told.textContent).toMatch(/^To be read/));
  await hand.clear(screen.getByRole('textbox', { name: 'Elevator up, left' }));
  await hand.keyboard('{Enter}');
  await waitFor(() => expect(screen.getByRole('textbox', { name: 'Elevator up, left' })).toHaveProperty('value', ''));
});
