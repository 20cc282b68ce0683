import { describe, expect, test } from 'vitest';
import { said } from '#/tests/matchers';
import { simpleAircraft } from '#/tests/designs';
import { analyse, type Analysis } from '@/core/analyse';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';

const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
const run = (design: Design) => analyse(design, { without: ['remedies', 'bands', 'workings'] });
const RANK = { note: 1, caution: 2, stop: 3 } as const;
const rankOf = ({ findings }: Analysis, id: string) => {
  const found = findings.find((finding) => finding.id === id);
  return found ? RANK[found.severity] : 0;
};

const chord = 0.2;
/** Balanced at a margin, flying hands off at cruise, and then with an error of the tail. */
const trimmedAt = (() => {
  const { pitch } = run(simpleAircraft(85));
  return (margin: number): Design => {
    let design = simpleAircraft(Math.round((pitch.neutralPoint! - margin * chord) * 1e7) / 1e4);
    for (let round = 0; round < 4; round++) {
      const { trim } = run(design);
      design = change(design, ['/surfaces/tail/incidence', degreesFromRadians(trim.tailIncidence!)]);
    }
    return design;
  };
})();

const MARGINS = [0.3, 0.15, 0.08, 0.04, 0.015, 0.003, -0.001, -0.02, -0.05];
const ERRORS = [0, 0.3, 0.8, 1.5, 3, 5];

describe('an error of the tail', () => {
  const trimmed = MARGINS.map(trimmedAt);
  const drawn = (design: Design, error: number) =>
    change(design, ['/surfaces/tail/incidence', design.surfaces[1]!.incidence + error]);
  const built = (design: Design, error: number) =>
    change(design, [
      '/surfaces/tail/asBuilt',
      {
        left: { incidence: design.surfaces[1]!.incidence + error },
        right: { incidence: design.surfaces[1]!.incidence + error },
      },
    ]);

  test.each([
    ['drawn', 'handsOffTrim', drawn],
    ['built', 'builtAngle', built],
    ['built', 'handsOffTrim', built],
  ] as const)('%s in: what %s says never gets milder as the margin shrinks or the error grows', (_, id, make) => {
    for (const sign of [1, -1]) {
      const ranks = trimmed.map((design) => ERRORS.map((error) => rankOf(run(make(design, sign * error)), id)));
      ranks.forEach((row, margin) =>
        row.forEach((rank, error) => {
          const place = `${id} at ${MARGINS[margin]} and ${sign * ERRORS[error]!}°`;
          if (error > 0) expect(rank, place).toBeGreaterThanOrEqual(row[error - 1]!);
          if (margin > 0 && error > 0) expect(rank, place).toBeGreaterThanOrEqual(ranks[margin - 1]![error]!);
        }),
      );
      expect(ranks.flat()).toContain(3 - (id === 'builtAngle' ? 1 : 0));
      // Rigged to fly hands off it says nothing as long as something holds it.
      expect(ranks.slice(0, 6).map((row) => row[0])).toEqual([0, 0, 0, 0, 0, 0]);
    }
  });

  test('lifts below nought are told as they are', () => {
    const { rigging } = run(drawn(trimmedAt(0.12), 2.5));
    expect(rigging.handsOffLift!).toBeLessThan(-0.02);
    expect(rigging.handsOffSpeed).toBeNull();
  });
});

test('a glider without elevator has an angle of the tail for level flight, and flies on it', () => {
  const glider = change(simpleAircraft(70), ['/surfaces/tail/controls', []], ['/surfaces/tail/incidence', -1]);
  let design = glider;
  for (let round = 0; round < 4; round++) {
    const { tailIncidence } = run(design).trim;
    design = change(design, ['/surfaces/tail/incidence', degreesFromRadians(tailIncidence!)]);
  }
  const { trim, rigging } = run(design);
  expect(trim.elevator).toBeNull();
  expect(trim.residualMoment!).toBeCloseTo(0, 6);
  expect(rigging.handsOffLift!).toBeCloseTo(trim.liftCoefficient!, 3);
  expect(Math.abs(run(glider).trim.residualMoment!)).toBeGreaterThan(0.01);
});

describe('measured angles together', () => {
  const design = trimmedAt(0.1);
  const tailDrawn = design.surfaces[1]!.incidence;
  const sides = (incidence: number) => ({ left: { incidence }, right: { incidence } });
  const both = (wing: number, tail: number) =>
    analyse(
      change(design, ['/surfaces/wing/asBuilt', sides(3 + wing)], ['/surfaces/tail/asBuilt', sides(tailDrawn + tail)]),
      { without: ['bands'] },
    );
  const found = (analysis: Analysis, id = 'builtAngle') => analysis.findings.find((finding) => finding.id === id);

  test('equal errors are harmless, and that is said', () => {
    const analysis = both(1.5, 1.5);
    expect(found(analysis)).toBeUndefined();
    const finding = found(analysis, 'equalErrors')!;
    expect(finding.severity).toBe('note');
    expect(said(finding.message)).toMatch(/^(Wing|Tail).*, (Wing|Tail).*leave the trim as it was/);
    expect(finding.remedies).toEqual([]);
  });

  test('the pair is named, and the one shim offered first takes all of it', () => {
    const analysis = both(1.5, -1.5);
    const finding = found(analysis)!;
    expect(finding.severity).toBe('caution');
    expect(said(finding.message)).toMatch(/Wing is built 1\.5° nose up.*Tail is built 1\.5° nose down|Tail .*Wing/);
    expect(finding.remedies.length).toBeGreaterThan(0);
    const mended = run(
      withFields(
        change(design, ['/surfaces/wing/asBuilt', sides(4.5)], ['/surfaces/tail/asBuilt', sides(tailDrawn - 1.5)]),
        finding.remedies[0]!.change,
      ),
    );
    expect(rankOf(mended, 'builtAngle')).toBeLessThanOrEqual(1);
    expect(Math.abs(mended.trim.elevator!)).toBeLessThan(0.01);
  });

  test('decalage as drawn and as flown', () => {
    const { rigging } = both(1.5, -1.5);
    expect(degreesFromRadians(rigging.decalageDrawn!)).toBeCloseTo(3 - tailDrawn, 9);
    expect(degreesFromRadians(rigging.decalageFlown!)).toBeCloseTo(6 - tailDrawn, 9);
    expect(run(change(design, ['/surfaces', [design.surfaces[0]]])).rigging.decalageDrawn).toBeNull();
  });
});

describe('a control that was set off its neutral', () => {
  const set = (angle: number) =>
    analyse(change(trimmedAt(0.1), ['/surfaces/tail/controls/elevator/asBuilt', { left: angle, right: angle }]), {
      without: ['bands', 'workings'],
    });

  test('is judged with the other measured angles, and mended at its linkage', () => {
    const found = set(4).findings.find(({ id }) => id === 'builtAngle')!;
    expect(said(found.message)).toMatch(/stands 4.0° down of its neutral/);
    expect(found.severity).toBe('caution');
    expect(found.remedies.map(({ label }) => said(label)).join()).toMatch(/to its neutral at its linkage/);
    expect(set(0.1).findings.some(({ id }) => id === 'builtAngle')).toBe(false);
  });

  test('moves the hands-off lift by what is said', () => {
    const [off, true_] = [set(2), set(0)];
    const found = off.findings.find(({ id }) => id === 'builtAngle')!;
    const moved = off.rigging.handsOffLift! - true_.rigging.handsOffLift!;
    expect(found.numbers['moved']!.value / moved).toBeCloseTo(1, 0);
  });
});
