// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { show } from '#/tests/render';
import { PhoneTilt } from './PhoneTilt';

class Orientation {
  static requestPermission: (() => Promise<string>) | undefined;
}

beforeEach(() => {
  Orientation.requestPermission = undefined;
  vi.stubGlobal('DeviceOrientationEvent', Orientation);
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 5, configurable: true });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 0, configurable: true });
});

let clock = 0;
/** The phone lies at an angle for a while, as the sensor shows it ten times a second. */
const lies = (beta: number | null, times: number) => {
  for (let index = 0; index < times; index++) {
    clock += 100;
    const event = Object.assign(new Event('deviceorientation'), { beta });
    Object.defineProperty(event, 'timeStamp', { value: clock });
    act(() => void window.dispatchEvent(event));
  }
};

test('a slope is read, turned between, and taken without the zero of the phone', async () => {
  const onRead = vi.fn();
  const { hand } = await show(demoDesign('lagoon-postman'), <PhoneTilt of="left" onRead={onRead} />);
  await hand.click(screen.getByRole('button', { name: 'Read left by this phone' }));
  expect(screen.getByRole('status').textContent).toMatch(/^Lay the phone flat/);
  lies(null, 1);
  lies(3.4, 20);
  expect(screen.getByRole('status').textContent).toMatch(/^Now turn it end for end/);
  lies(80, 2);
  lies(-2.6, 25);
  await waitFor(() => expect(onRead).toHaveBeenCalledExactlyOnceWith(3));
  expect(screen.getByRole('button', { name: 'Read left by this phone' })).toBeTruthy();
});

test('refused, not there, gone in the middle, and stopped: each is said, and nothing is taken', async () => {
  const onRead = vi.fn();
  const { hand } = await show(demoDesign('lagoon-postman'), <PhoneTilt of="right" onRead={onRead} />);
  const read = () => hand.click(screen.getByRole('button', { name: 'Read right by this phone' }));
  Orientation.requestPermission = () => Promise.resolve('denied');
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/^The tilt sensor was refused/);
  Orientation.requestPermission = () => Promise.resolve('granted');
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/^This device shows no tilt/);
  await read();
  lies(1, 4);
  expect((await screen.findByRole('alert')).textContent).toMatch(/^The tilt sensor has gone silent/);
  await read();
  lies(1, 4);
  await hand.click(screen.getByRole('button', { name: 'Stop' }));
  lies(1, 30);
  vi.stubGlobal('DeviceOrientationEvent', undefined);
  delete (globalThis as { DeviceOrientationEvent?: unknown }).DeviceOrientationEvent;
  await read();
  expect((await screen.findByRole('alert')).textContent).toMatch(/over https/);
  expect(onRead).not.toHaveBeenCalled();
});

test('a screen that no hand holds offers no sensor', async () => {
  Object.defineProperty(navigator, 'maxTouchPoints', { value: 0, configurable: true });
  await show(demoDesign('lagoon-postman'), <PhoneTilt of="left" onRead={vi.fn()} />);
  expect(screen.queryByRole('button')).toBeNull();
});
