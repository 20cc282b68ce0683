import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import type { Design } from '@/core/2-document/schema/design';
import { makeRehearsal } from './rehearsal';

const design = simpleAircraft(130);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

test('a drag is rehearsed once all is quiet, each time as another aircraft, and not for ever', () => {
  const seen: Design[] = [];
  const rehearsal = makeRehearsal((one) => seen.push(one));
  rehearsal.awaitQuiet(design);
  vi.advanceTimersByTime(1000);
  expect(seen).toHaveLength(0);
  vi.advanceTimersByTime(20_000);
  expect(seen).toHaveLength(30);
  const chords = seen.map(({ surfaces }) => surfaces[0]!.stations[0]!.chord);
  expect(new Set(chords).size).toBe(30);
  expect(Math.max(...chords) - design.surfaces[0]!.stations[0]!.chord).toBeLessThan(0.05);
  rehearsal.awaitQuiet(design);
  vi.advanceTimersByTime(20_000);
  expect(seen).toHaveLength(30);
});

test('a job stops it, and it goes on where it was after the next quiet', () => {
  let count = 0;
  const rehearsal = makeRehearsal(() => (count += 1));
  rehearsal.awaitQuiet(design);
  vi.advanceTimersByTime(1545);
  const before = count;
  expect(before).toBeGreaterThan(2);
  rehearsal.interrupt();
  vi.advanceTimersByTime(20_000);
  expect(count).toBe(before);
  rehearsal.awaitQuiet(design);
  vi.advanceTimersByTime(20_000);
  expect(count).toBe(30);
});

test('a design that cannot be analysed ends it without a word', () => {
  let count = 0;
  const rehearsal = makeRehearsal(() => {
    count += 1;
    throw new Error('no');
  });
  rehearsal.awaitQuiet(design);
  vi.advanceTimersByTime(20_000);
  expect(count).toBe(1);
});
