import 'fake-indexeddb/auto';
import { act, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { show } from '#/tests/render';
import { TiltReading } from './TiltReading';

const GATE = { step: 'wing-mount-gate' };

const Orientation: { requestPermission: (() => Promise<string>) | undefined } = { requestPermission: undefined };

beforeEach(() => {
  Orientation.requestPermission = undefined;
  vi.stubGlobal('DeviceOrientationEvent', Orientation);
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 5, configurable: true });
});
afterEach(() => {
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 0, configurable: true });
});

/** The sensor shows something. */
const shows = (beta: number | null) =>
  act(() => void window.dispatchEvent(Object.assign(new Event('deviceorientation'), { beta })));
/** The phone is laid down and left alone: it settles, and then nothing more is told of it. */
const isLaid = (beta: number) => [beta + 3, beta + 0.2, beta].forEach(shows);
const says = (words: RegExp) => waitFor(() => expect(screen.getByRole('status').textContent).toMatch(words));

test('a slope is read, turned between, and taken without the zero of the phone', async () => {
  const onRead = vi.fn();
  const { hand } = await show(demoDesign('lagoon-postman'), <TiltReading gate={GATE} side="left" onRead={onRead} />);
  await hand.click(screen.getByRole('button', { name: 'Read left by this phone' }));
  await says(/^Lay the phone flat/);
  shows(null);
  // In the middle of a move nothing is taken, however long it says no more.
  shows(40);
  shows(20);
  await new Promise((done) => setTimeout(done, 2000));
  await says(/^Lay the phone flat/);
  isLaid(3.4);
  await says(/^Now turn it end for end/);
  shows(80);
  await says(/^Leave it alone/);
  isLaid(-2.6);
  await waitFor(() => expect(onRead).toHaveBeenCalledExactlyOnceWith(3));
  expect(screen.getByRole('button', { name: 'Read left by this phone' })).toBeTruthy();
});

test('a knock is not taken for a turn: two readings that are alike are asked about', async () => {
  const onRead = vi.fn();
  const { hand } = await show(demoDesign('lagoon-postman'), <TiltReading gate={GATE} side="left" onRead={onRead} />);
  await hand.click(screen.getByRole('button', { name: 'Read left by this phone' }));
  isLaid(3.4);
  await says(/^Now turn it end for end/);
  // Knocked, and lying as before.
  shows(9);
  isLaid(3.4);
  await says(/^Both readings are alike/);
  await hand.click(screen.getByRole('button', { name: 'Not yet' }));
  await says(/^Now turn it end for end/);
  expect(onRead).not.toHaveBeenCalled();
  shows(80);
  isLaid(3.4);
  await says(/^Both readings are alike/);
  await hand.click(screen.getByRole('button', { name: 'It was turned' }));
  expect(onRead).toHaveBeenCalledExactlyOnceWith(0);
});

test('refused, not there, gone in the middle, and stopped: each is said, and nothing is taken', async () => {
  const onRead = vi.fn();
  const { hand } = await show(demoDesign('lagoon-postman'), <TiltReading gate={GATE} side="right" onRead={onRead} />);
  const read = () => hand.click(screen.getByRole('button', { name: 'Read right by this phone' }));
  Orientation.requestPermission = () => Promise.resolve('denied');
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/^The tilt sensor was refused/);
  Orientation.requestPermission = () => Promise.resolve('granted');
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/^This device shows no tilt/);
  await read();
  await says(/^Lay the phone flat/);
  isLaid(1);
  Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true });
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
  expect((await screen.findByRole('alert')).textContent).toMatch(/^The page was left/);
  // What it showed before is not shown again meanwhile.
  await new Promise((done) => setTimeout(done, 350));
  expect(screen.getByRole('alert').textContent).toMatch(/^The page was left/);
  Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true });
  await read();
  await says(/^Lay the phone flat/);
  isLaid(1);
  await hand.click(screen.getByRole('button', { name: 'Stop' }));
  isLaid(1);
  vi.stubGlobal('DeviceOrientationEvent', undefined);
  delete (globalThis as { DeviceOrientationEvent?: unknown }).DeviceOrientationEvent;
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/over https/);
  expect(onRead).not.toHaveBeenCalled();
});

test('a screen that no hand holds offers no sensor', async () => {
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 0, configurable: true });
  await show(demoDesign('lagoon-postman'), <TiltReading gate={GATE} side="left" onRead={vi.fn()} />);
  expect(screen.queryByRole('button')).toBeNull();
});
