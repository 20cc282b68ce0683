import 'fake-indexeddb/auto';
import { screen, waitFor } from '@testing-library/react';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { fill, Now, show } from '#/tests/render';
import { turnBySticks } from '@/core/8-bench/sightSticks';
import { Checks } from './Checks';

const stage = async () => {
  const open = await show(demoDesign('lagoon-postman'), <Now of={(design) => <Checks design={design} />} />);
  return { ...open, kept: () => open.designs.records.heads('benchReadings', open.id) };
};

test('sticks of half a metre that stand 8.73 mm apart are turned by a degree', () => {
  expect(turnBySticks(500 * Math.sin(Math.PI / 180), 500)).toBeCloseTo(1, 9);
  expect(turnBySticks(-250, 500)).toBeCloseTo(-30, 9);
});

test('a warp within what no pilot feels is right; beyond that it is said which way, and what was typed stays', async () => {
  const { hand, kept } = await stage();
  const label = /^Wing: tips apart on sticks of 500 mm/;
  await fill(hand, label, '4');
  expect(await screen.findByText('Right.')).toBeTruthy();
  const field = await fill(hand, label, '12');
  expect(await screen.findByText('Warped by 1.4°, left nose up: twist it back.')).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe('12');
  expect((await kept()).find(({ id }) => id === 'warp-wing')!.value).toBeCloseTo(1.375, 3);
  await hand.clear(field);
  await hand.type(field, '{Enter}');
  await waitFor(async () => expect(await kept()).toEqual([]));
});

test('thrust is taken for the drive and said against the computed; its line against the drawn one', async () => {
  const { hand, design, analysis } = await stage();
  const before = analysis().power.staticThrust!;
  await fill(hand, /: thrust of one$/, '600');
  await waitFor(() => expect(design().propulsion[0]!.benchTest?.thrust).toBe(600));
  expect(await screen.findByText(/^\d+ % of what was computed/)).toBeTruthy();
  await waitFor(() => expect(analysis().power.staticThrust).not.toBeCloseTo(before, 6));
  expect(analysis().power.staticThrust! / 9.80665).toBeCloseTo(0.6, 1);
  const drawn = design().propulsion[0]!.downThrust;
  await fill(hand, /: thrust line, nose down$/, String(drawn + 2));
  expect(await screen.findByText('It points 2° farther down than drawn: shim the motor.')).toBeTruthy();
});

test('range and failsafe are ticked, and unticked they are gone', async () => {
  const { hand, kept } = await stage();
  const box = screen.getByRole('checkbox', { name: /^Failsafe closes the throttle/ });
  await hand.click(box);
  await waitFor(async () => expect((await kept()).map(({ id }) => id)).toEqual(['check-failsafe']));
  await hand.click(box);
  await waitFor(async () => expect(await kept()).toEqual([]));
});
