import { expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { chance } from '#/tests/madeUpFlights';
import { findRuns, type FoundRun } from './findRuns';
import { madeUpRecording, type Piece } from './madeUpRecorder';
import type { Track } from './track';

const FLIGHTS = Math.min(200, 10 * Number(process.env['CAMPAIGN'] ?? 1));
const glideRatioAt = (speed: number) => 9 - 0.06 * (speed - 9) ** 2;

const overlap = (piece: Piece, { from, to }: FoundRun) =>
  Math.max(0, Math.min(piece.to, to) - Math.max(piece.from, from)) / (piece.to - piece.from);

test('nine of ten known pieces of made-up recordings are found, as what they are, and little else', () => {
  let [known, right, other] = [0, 0, 0];
  const [speedsOff, glidesOff]: [number[], number[]] = [[], []];
  for (let seed = 1; seed <= FLIGHTS; seed++) {
    const { normal, even } = chance(seed);
    const stall = 5 + 3 * even();
    const { track, pieces } = madeUpRecording({ stall, speeds: [1.5 * stall, 2 * stall], glideRatioAt, normal });
    const found = findRuns(track);
    known += pieces.length;
    const used = new Set<FoundRun>();
    for (const piece of pieces) {
      const run = found.find((one) => one.run.kind === piece.kind && overlap(piece, one) > 0.5);
      if (!run) continue;
      right++;
      used.add(run);
      speedsOff.push(Math.abs(run.run.speed! / piece.speed - 1));
      if (run.run.glideRatio !== undefined)
        glidesOff.push(Math.abs(run.run.glideRatio / glideRatioAt(piece.speed) - 1));
    }
    other += found.length - used.size;
  }
  expect(right / known).toBeGreaterThan(0.9);
  expect(other / known).toBeLessThan(0.3);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  expect(mean(speedsOff)).toBeLessThan(0.04);
  expect(mean(glidesOff)).toBeLessThan(0.12);
});

/** Seconds of flight at a rate. */
const flown = (seconds: number, at: (t: number) => { speed: number; height: number; throttle?: number }): Track =>
  Array.from({ length: Math.round(seconds * 10) + 1 }, (_, index) => ({ t: index / 10, ...at(index / 10) }));

test('a steady glide has the ratio of its speed to its sink; one that slows down is counted with what speed it lost', () => {
  const steady = findRuns(flown(12, (t) => ({ speed: 10, height: 60 - t, throttle: 0 })));
  expect(steady).toHaveLength(1);
  expectWithin(steady[0]!.run.glideRatio!, Math.sqrt(99), 0.001);
  // From 11 to 9.8 m/s in 12 s it gives up 0.1 m/s² of speed: 0.106 m/s of sink that the height does not show.
  const slowing = findRuns(flown(12, (t) => ({ speed: 11 - 0.1 * t, height: 60 - t, throttle: 0 })));
  expectWithin(slowing[0]!.run.glideRatio!, 10.35 / (1 + (10.4 * 0.1) / 9.80665), 0.01);
});

test('without a throttle column level is what holds its height; what changes speed is no run, nor what is short', () => {
  expect(findRuns(flown(10, () => ({ speed: 12, height: 30 }))).map(({ run }) => run.kind)).toEqual(['level']);
  expect(findRuns(flown(10, (t) => ({ speed: 6 + t, height: 30, throttle: 0.5 })))).toEqual([]);
  expect(findRuns(flown(3, () => ({ speed: 12, height: 30 })))).toEqual([]);
  expect(findRuns([])).toEqual([]);
});

test('slowed down and dropped is a stall at its least speed; a slow pass that keeps its height is none', () => {
  const dip = (drops: number) => (t: number) => ({
    speed: t < 6 ? 12 - t : t < 8 ? 6 + 2.2 * (t - 6) : 10.4,
    height: 40 - (t > 6 ? drops * Math.min(2, t - 6) : 0),
    throttle: 0,
  });
  const found = findRuns(flown(14, dip(2))).filter(({ run }) => run.kind === 'stall');
  expect(found).toHaveLength(1);
  expectWithin(found[0]!.run.speed!, 6.1, 0.05);
  expect(findRuns(flown(14, dip(0))).filter(({ run }) => run.kind === 'stall')).toEqual([]);
});
