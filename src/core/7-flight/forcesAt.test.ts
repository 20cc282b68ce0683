import { expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { forcesAt } from './forcesAt';

const recordOf = (place: (t: number) => readonly [number, number, number]) => {
  const t = Array.from({ length: 60 }, (_, index) => index / 50);
  const places = t.map(place);
  const [x, y, z] = [0, 1, 2].map((axis) => places.map((one) => one[axis]!));
  return { t, x, y, z } as never;
};

test('a steady glide lifts cos γ and drags sin γ of the weight', () => {
  const slope = 0.12;
  const { lift, drag, whole } = forcesAt(
    recordOf((t) => [8 * Math.cos(slope) * t, 0, 50 - 8 * Math.sin(slope) * t]),
    30,
  )!;
  expectWithin(lift, Math.cos(slope), 1e-9);
  expectWithin(drag, Math.sin(slope), 1e-9);
  expectWithin(whole[2], 1, 1e-9);
});

test('thrown without air there is none; round a circle V²/(g r) holds it in', () => {
  const thrown = forcesAt(
    recordOf((t) => [6 * t, 0, 20 + 3 * t - (9.80665 * t ** 2) / 2]),
    25,
  )!;
  expect(Math.hypot(...thrown.whole)).toBeLessThan(1e-9);
  const [radius, speed] = [12, 9];
  const turning = forcesAt(
    recordOf((t) => [radius * Math.sin((speed * t) / radius), radius * (1 - Math.cos((speed * t) / radius)), 20]),
    0,
  )!;
  const sideways = speed ** 2 / (9.80665 * radius);
  expectWithin(turning.lift, Math.hypot(1, sideways), 1e-3);
  expect(Math.abs(turning.drag)).toBeLessThan(1e-3);
});

test('a record of a moment says nothing', () => {
  const short = { t: [0, 0.02, 0.04], x: [0, 1, 2], y: [0, 0, 0], z: [1, 1, 1] } as never;
  expect(forcesAt(short, 1)).toBeNull();
});
