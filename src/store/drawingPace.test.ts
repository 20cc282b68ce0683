import { expect, test } from 'vitest';
import { drawingPace } from './drawingPace';

/** Frames that come when they are told to. */
function frames() {
  let [time, waiting]: [number, ((at: number) => void) | null] = [0, null];
  return {
    next: (back: (at: number) => void) => void (waiting = back),
    isAsked: () => waiting !== null,
    pass: (count: number, each: number) => {
      for (let index = 0; index < count; index++) {
        time += each;
        const back = waiting;
        waiting = null;
        back?.(time);
      }
    },
  };
}

/** How many times as long as an answer of 20 ms is waited, after so many asks. */
const after = (pace: ReturnType<typeof drawingPace>, asks: number): number => {
  for (let count = 1; count < asks; count++) pace.wait(20);
  return pace.wait(20) / 20;
};

test('while frames come late more and more is left to the drawing, within bounds; in time again, less', () => {
  const drawn = frames();
  const pace = drawingPace(() => true, drawn.next);
  pace.watch();
  drawn.pass(30, 16.7);
  expect(after(pace, 5)).toBe(2);
  drawn.pass(60, 30);
  expect(after(pace, 1)).toBeGreaterThan(2.5);
  expect(after(pace, 20)).toBe(5);
  drawn.pass(60, 16.7);
  expect(after(pace, 1)).toBeLessThan(5);
  expect(after(pace, 100)).toBe(2);
});

test('numbers that take long do not wait longer for the drawing than 150 ms, or twice as long as they took', () => {
  const drawn = frames();
  const pace = drawingPace(() => true, drawn.next);
  pace.watch();
  drawn.pass(60, 40);
  expect(after(pace, 20)).toBe(5);
  expect(pace.wait(50)).toBe(150);
  expect(pace.wait(100)).toBe(200);
});

test('a single late frame is none that counts', () => {
  const drawn = frames();
  const pace = drawingPace(() => true, drawn.next);
  pace.watch();
  drawn.pass(60, 16.7);
  drawn.pass(1, 25);
  expect(after(pace, 10)).toBe(2);
});

test('frames are watched as long as something is dragged, and anew in the next drag', () => {
  const drawn = frames();
  let isDragging = true;
  const pace = drawingPace(() => isDragging, drawn.next);
  pace.watch();
  drawn.pass(60, 40);
  expect(after(pace, 20)).toBe(5);
  isDragging = false;
  drawn.pass(1, 40);
  expect(drawn.isAsked()).toBe(false);
  // A long rest is no late frame.
  drawn.pass(1, 60_000);
  isDragging = true;
  pace.watch();
  drawn.pass(30, 16.7);
  expect(after(pace, 100)).toBe(2);
});

test('where no frames are drawn it is as on a machine with time', () => {
  const pace = drawingPace(() => true, undefined);
  pace.watch();
  expect(after(pace, 10)).toBe(2);
});
