import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import { speedPolar, wins } from './speedPolar';

describe('over speed', () => {
  const line = (of: (speed: number) => number) =>
    Array.from({ length: 21 }, (_, index) => [5 + index, of(5 + index)] as const);

  test('each wins where it is lower', () => {
    const won = wins(
      line((speed) => speed),
      line(() => 12),
    );
    expect(won.map(({ who }) => who)).toEqual(['first', 'second']);
    expect(won[0]!.to).toBeCloseTo(12, 0);
    expect(won[1]!.from).toBeCloseTo(12, 0);
    expect(
      wins(
        line(() => 3),
        line(() => 3.001),
      ),
    ).toEqual([]);
    expect(
      wins(
        line(() => 3),
        [],
      ),
    ).toEqual([]);
    expect(
      wins(
        line(() => 2),
        line(() => 3),
      ),
    ).toHaveLength(1);
  });

  test('power is weight times sink, and drag times speed: the same', () => {
    const design = demoDesign('lagoon-postman');
    const analysis = analyse(design, { without: ['remedies', 'bands'] });
    const polar = speedPolar(design, analysis);
    expect(polar.sink.length).toBeGreaterThan(10);
    const weight = analysis.mass.total! * 9.80665;
    for (const [index, [speed, drag]] of polar.drag.entries()) {
      const sink = polar.sink[index]![1];
      // Glides are flat: the cosine of the path stays near one.
      if (sink / speed < 0.2) expect((drag * speed) / (weight * sink)).toBeCloseTo(1, 1);
    }
    for (let index = 1; index < polar.sink.length; index++)
      expect(polar.sink[index]![0]).toBeGreaterThan(polar.sink[index - 1]![0]);
  });
});
