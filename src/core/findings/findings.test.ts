import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '../analyse';
import { withFields } from '../document/applyChange';
import type { Design } from '../document/schema/design';
import { RULES } from './rules';

const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
const found = (design: Design) => analyse(design, { withoutRemedies: true }).findings.map(({ id }) => id);

const base = simpleAircraft(85);
const numbers = analyse(base, { withoutRemedies: true });
const aft = numbers.window.aft! * 1000;
const forward = numbers.window.forward! * 1000;
const at = (x: number) => simpleAircraft(x);
const stallSpeed = numbers.stall.speed!;

/** For each rule a document that fires it and one just short that does not. */
const PAIRS: Record<string, readonly [Design, Design]> = {
  nothingWeighed: [change(base, ['/massItems', []]), base],
  balanceAft: [at(aft + 0.2), at(aft - 0.2)],
  balanceForward: [at(forward - 3), at(forward + 3)],
  packOutOfTravel: [
    change(at(aft + 40), ['/massItems/pack/attachment/from', aft + 30]),
    change(at(aft + 5), ['/massItems/pack/attachment/from', aft - 60]),
  ],
  stifferThanWanted: [
    change(base, ['/balance/maximumStaticMargin', numbers.pitch.staticMargin! - 0.002]),
    change(base, ['/balance/maximumStaticMargin', numbers.pitch.staticMargin! + 0.002]),
  ],
  narrowWindow: [
    change(base, ['/surfaces/tail/controls/elevator/throwUp', 0], ['/balance/minimumStaticMargin', 0.3]),
    base,
  ],
  cruiseNearStall: [
    change(base, ['/conditions/cruiseSpeed', 1.2 * stallSpeed]),
    change(base, ['/conditions/cruiseSpeed', 1.35 * stallSpeed]),
  ],
  elevatorAtStop: [change(base, ['/surfaces/tail/incidence', 10]), base],
  pitchFloor: [change(at(forward + 2), ['/surfaces/tail/controls/elevator/throwUp', 6]), base],
  tipStall: [
    change(base, ['/surfaces/wing/stations/1/chord', 60], ['/surfaces/wing/stations/0/chord', 240]),
    change(base, ['/surfaces/wing/stations/1/chord', 180]),
  ],
  weakFin: [change(base, ['/surfaces/fin/stations/1/distanceFromRoot', 40]), base],
  overWeight: [change(base, ['/brief/maximumMass', 599]), change(base, ['/brief/maximumMass', 601])],
};

describe('rules', () => {
  test('every rule has its pair', () => {
    expect(Object.keys(PAIRS).sort()).toEqual(RULES.map(({ id }) => id).sort());
  });

  test.each(Object.entries(PAIRS))('%s fires, and just short of it does not', (id, [firing, quiet]) => {
    expect(found(firing)).toContain(id);
    expect(found(quiet)).not.toContain(id);
  });

  test.each(Object.entries(PAIRS))(
    '%s says what is wrong in a sentence with numbers that are numbers',
    (id, [firing]) => {
      const finding = analyse(firing, { withoutRemedies: true }).findings.find((candidate) => candidate.id === id)!;
      expect(finding.message).toMatch(/^[A-Z].{30,}\.$/);
      expect(finding.message).not.toMatch(/NaN|undefined|null/);
      expect(Object.values(finding.numbers).every(Number.isFinite)).toBe(true);
      expect(finding.source.length).toBeGreaterThan(3);
    },
  );
});

const RANK = { stop: 2, caution: 1, note: 0 };

describe('remedies', () => {
  const documents: [string, Design][] = [
    ...Object.entries(PAIRS).map(([id, [firing]]) => [`firing ${id}`, firing] as [string, Design]),
    ...DEMO_NAMES.map((name) => [name, demoDesign(name)] as [string, Design]),
  ];

  test.each(documents)('%s: each one offered removes its finding and brings nothing worse', (_, design) => {
    const before = analyse(design);
    for (const finding of before.findings) {
      for (const remedy of finding.remedies) {
        const after = analyse(withFields(design, remedy.change), { withoutRemedies: true });
        expect(
          after.findings.map(({ id }) => id),
          remedy.label,
        ).not.toContain(finding.id);
        for (const other of after.findings) {
          const known = before.findings.find(({ id }) => id === other.id);
          expect(RANK[other.severity], `${remedy.label} brings ${other.id}`).toBeLessThanOrEqual(
            known ? RANK[known.severity] : RANK[finding.severity] - 1,
          );
        }
      }
    }
  });

  test('there is one for a tail-heavy aircraft with a pack that can move, and none while dragging', () => {
    const tailHeavy = change(at(aft + 8), ['/massItems/pack/attachment/from', -300]);
    const balance = analyse(tailHeavy).findings.find(({ id }) => id === 'balanceAft')!;
    expect(balance.remedies.map(({ label }) => label).join()).toMatch(/Slide Pack forward/);
    expect(analyse(tailHeavy, { withoutRemedies: true }).findings.flatMap(({ remedies }) => remedies)).toEqual([]);
  });
});
