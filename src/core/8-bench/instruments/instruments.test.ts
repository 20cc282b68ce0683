import { describe, expect, test } from 'vitest';
import { steadiness } from '../steady';
import { START, TILT_STEADY, type TwoWay, withShown } from '../twoWay';
import { INSTRUMENT_KINDS, type Showing } from './instrument';
import { serialLine } from './serialLine';
import { evenNumber, normalNumber, showing, standIn } from './standIn';

const still = (values: readonly number[]) => ({ values, since: -100, before: values });

describe('a made-up instrument', () => {
  test('shows what lies on it, off by its zero, trembling as it should', () => {
    const meter = { ...standIn('tilt', 3), drift: 0, bumpsEvery: 1e9, zero: [0.4] };
    const shown = Array.from({ length: 2000 }, (_, count) => showing(meter, count, count / 10, still([3]))!.values[0]!);
    const mean = shown.reduce((sum, value) => sum + value, 0) / shown.length;
    expect(mean).toBeCloseTo(3.4, 2);
    const sigma = Math.sqrt(shown.reduce((sum, value) => sum + (value - mean) ** 2, 0) / shown.length);
    // Its own trembling and that of its steps, s/√12.
    expect(sigma).toBeCloseTo(Math.hypot(meter.noise, 0.05 / Math.sqrt(12)), 2);
  });

  test('creeps, goes over to what is laid on, and is empty in the end', () => {
    const scale = { ...standIn('scale', 5), noise: 0, bumpsEvery: 1e9, drift: 0.01, lasts: 500 };
    const at = (t: number) => showing(scale, 0, t, { values: [800], since: 0, before: [0] })!.values[0]!;
    expect(at(0)).toBeCloseTo(scale.zero[0]!, -0.5);
    expect(at(0.25) - scale.zero[0]!).toBeGreaterThan(480);
    expect(at(10) - scale.zero[0]!).toBeCloseTo(800, -0.5);
    expect(at(400) - at(10)).toBeCloseTo(3.9, -0.5);
    expect(showing(scale, 0, 499, still([0]))!.battery).toBeCloseTo(0.002, 6);
    expect(showing(scale, 0, 500, still([0]))).toBeNull();
  });

  test('knocked, it is not steady; before and after it is', () => {
    const meter = { ...standIn('tilt', 8), bumpsEvery: 20 };
    const from = (start: number, end: number) =>
      Array.from({ length: Math.round(10 * (end - start)) }, (_, index) => {
        const t = start + index / 10;
        return { t, value: showing(meter, Math.round(10 * t), t, still([2]))!.values[0]! };
      });
    expect(steadiness(from(17, 20), TILT_STEADY)!.isSteady).toBe(true);
    expect(steadiness(from(18, 20.5), TILT_STEADY)!.isSteady).toBe(false);
    expect(steadiness(from(20.6, 23), TILT_STEADY)!.isSteady).toBe(true);
  });

  test('read both ways its zero falls out, whatever it is', () => {
    let worst = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const meter = standIn('tilt', seed);
      let state: TwoWay = START;
      let count = 0;
      let laid = { values: [2.3], since: 0, before: [25] };
      while (state.phase !== 'done' && count < 600) {
        const shown: Showing = showing(meter, count, count / 10, laid)!;
        const next: TwoWay = withShown(state, { t: shown.t, value: shown.values[0]! });
        if (next.phase === 'turning' && state.phase === 'forward')
          laid = { values: [-2.3], since: count / 10 + 1, before: [-30] };
        state = next;
        count++;
      }
      if (state.phase !== 'done') throw new Error(`seed ${seed} never stands`);
      worst = Math.max(worst, Math.abs(state.slope - 2.3));
    }
    expect(worst).toBeLessThan(0.09);
  });

  test('its numbers are even and normal, and always the same', () => {
    const count = 20_000;
    const even = Array.from({ length: count }, (_, place) => evenNumber(7, place));
    const normal = Array.from({ length: count }, (_, place) => normalNumber(7, place));
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / count;
    expect(mean(even)).toBeCloseTo(0.5, 1.5);
    expect(mean(even.map((value) => value ** 2))).toBeCloseTo(1 / 3, 1.5);
    expect(Math.abs(mean(normal))).toBeLessThan(3 / Math.sqrt(count));
    expect(mean(normal.map((value) => value ** 2))).toBeCloseTo(1, 1);
    expect(evenNumber(7, 12)).toBe(even[12]);
    for (const kind of INSTRUMENT_KINDS) expect(standIn(kind, 2)).toEqual(standIn(kind, 2));
  });
});

describe('a line of a serial instrument', () => {
  test.each([
    ['tilt 2.35 deg', 'tilt', [2.35]],
    ['  TILT -0.4\r', 'tilt', [-0.4]],
    ['scale 812 g', 'scale', [812]],
    ['stand 402 411.5 g', 'stand', [402, 411.5]],
    ['pull .5 N', 'pull', [0.5]],
    ['wind 3.1 m/s', 'wind', [3.1]],
  ] as const)('“%s” is read', (text, kind, values) => {
    expect(serialLine(text)).toEqual({ ok: true, kind, values });
  });

  test.each([
    ['', /is no instrument/],
    ['ruler 3 mm', /“ruler” is no instrument/],
    ['tilt', /A number is missing/],
    ['tilt 2,35', /A number is missing/],
    ['tilt NaN', /A number is missing/],
    ['stand 402 g', /Two numbers are missing/],
    ['tilt 2.35 g', /“g” is not its unit/],
    ['scale 812 g again', /“g again” is not its unit/],
    [`tilt ${'1'.repeat(100)}`, /too long/],
  ])('“%s” is refused, and how it should read is said', (text, because) => {
    const read = serialLine(text);
    expect(read).toMatchObject({ ok: false, because: expect.stringMatching(because) as unknown });
    expect(!read.ok && read.because).toContain('“tilt 2.35 deg”');
  });
});
