import { expect, test, vi } from 'vitest';
import { answerPause } from './answerPause';
import { frameWatch } from './frames';

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

test('while frames come late lateness grows, within bounds; in time again, it falls', () => {
  const drawn = frames();
  const { watch, lateness } = frameWatch(() => true, drawn.next);
  watch();
  drawn.pass(30, 16.7);
  expect(lateness()).toBe(0);
  drawn.pass(12, 30);
  expect(lateness()).toBeGreaterThan(0.3);
  expect(lateness()).toBeLessThan(1);
  drawn.pass(60, 30);
  expect(lateness()).toBe(1);
  drawn.pass(60, 16.7);
  expect(lateness()).toBeLessThan(1);
  drawn.pass(100, 16.7);
  expect(lateness()).toBe(0);
});

test('a single late frame is none that counts', () => {
  const drawn = frames();
  const { watch, lateness } = frameWatch(() => true, drawn.next);
  watch();
  drawn.pass(60, 16.7);
  drawn.pass(1, 33);
  expect(lateness()).toBe(0);
});

test('frames are watched as long as something is dragged, and anew in the next drag', () => {
  const drawn = frames();
  let isDragging = true;
  const { watch, lateness } = frameWatch(() => isDragging, drawn.next);
  watch();
  drawn.pass(60, 40);
  expect(lateness()).toBe(1);
  isDragging = false;
  drawn.pass(1, 40);
  expect(drawn.isAsked()).toBe(false);
  // A long rest is no late frame.
  drawn.pass(1, 60_000);
  isDragging = true;
  watch();
  drawn.pass(60, 16.7);
  expect(lateness()).toBe(0);
});

test('what is drawn beside is done at once while frames come in time; else one after each frame, and all of it at the end', () => {
  vi.useFakeTimers();
  const drawn = frames();
  let isDragging = true;
  const { watch, inTurn } = frameWatch(() => isDragging, drawn.next);
  const done: string[] = [];
  const ask = (name: string) => inTurn(() => void done.push(name));
  const drawOne = () => {
    drawn.pass(1, 40);
    vi.runAllTimers();
  };
  watch();
  expect(ask('in time')).toBeNull();
  expect(done).toEqual(['in time']);
  drawn.pass(60, 40);
  const [, leave] = ['first', 'taken back', 'second', 'third', 'fourth'].map(ask);
  leave!();
  expect(done).toEqual(['in time']);
  drawOne();
  expect(done).toEqual(['in time', 'first']);
  drawOne();
  expect(done).toEqual(['in time', 'first', 'second']);
  isDragging = false;
  drawOne();
  expect(done).toEqual(['in time', 'first', 'second', 'third', 'fourth']);
  expect(ask('at rest')).toBeNull();
  vi.useRealTimers();
});

test('where no frames are drawn it is as on a machine with time', () => {
  const { watch, lateness } = frameWatch(() => true, undefined);
  watch();
  expect(lateness()).toBe(0);
});

test('the later frames come the longer after an answer the next one is asked for, from twice to eight times what it took', () => {
  expect([0, 0.5, 1].map((lateness) => answerPause(20, lateness))).toEqual([40, 100, 160]);
});

test('numbers that take long do not wait longer for the drawing than 250 ms, or twice as long as they took', () => {
  expect(answerPause(50, 1)).toBe(250);
  expect(answerPause(150, 1)).toBe(300);
});
