import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { degrees, metres, plain, say } from '@/core/1-base/words/phrase';
import { withFields } from '@/core/2-document/edit/withFields';
import { sentence } from '@/words/formatQuantity';
import { believableFinding } from './believableFinding';
import type { Finding } from './finding';
import { dragHeight } from './rules/dragHeight';

const finding = (turn: number, label: number): Finding => ({
  id: 'sample',
  severity: 'stop',
  stage: 'tail',
  source: '',
  message: say`It takes ${degrees(turn)} of turn.`,
  numbers: { turn: degrees(turn), other: metres(0.2) },
  remedies: [
    { label: say`Move it by ${metres(label)}`, change: [] },
    { label: 'Another way', change: [] },
  ],
});

describe('what a finding tells can be known', () => {
  test('sound amounts stay as they are', () => {
    expect(believableFinding(finding(3, 0.1))).toEqual(finding(3, 0.1));
  });

  test('an amount beyond belief is said as its limit, and the finding stays', () => {
    const told = believableFinding(finding(-1e156, 0.1))!;
    expect(told.severity).toBe('stop');
    expect(sentence(told.message)).toBe('It takes under −180.0° of turn.');
    expect(told.numbers['turn']!.value).toBe(-Math.PI);
    expect(told.numbers['other']).toEqual(metres(0.2));
  });

  test('what is no number is not said', () => {
    expect(believableFinding(finding(NaN, 0.1))).toBeNull();
    expect(believableFinding({ ...finding(1, 1), numbers: { only: plain(NaN) } })).toBeNull();
  });

  test.each([NaN, Infinity, 31])('a remedy of %s metres is none', (label) => {
    expect(believableFinding(finding(1, label))!.remedies.map(({ label: text }) => text)).toEqual(['Another way']);
  });

  test('limits beyond a million are words alone', () => {
    const told = believableFinding({ ...finding(1, 1), message: say`A ratio of ${plain(1e12)}.` })!;
    expect(sentence(told.message)).toBe('A ratio of over a million.');
  });
});

test('a pitch control that moves next to nothing is asked for no more than half a turn', () => {
  const design = withFields(simpleAircraft(85), [
    {
      field: '/dragItems',
      value: [{ id: 'd', name: '', dragArea: 20000, position: { x: 100, y: 0, z: 800 }, mirrored: false }],
    },
  ]);
  const analysis = analyse(design, { without: ['remedies'] });
  const faint = { ...analysis, pitch: { ...analysis.pitch, momentFromElevator: -4e-158 } };
  const told = dragHeight.check(design, faint)!;
  expect(told.numbers['asked']!.value).toBe(-Math.PI);
  expect(sentence(told.message)).toContain('it takes over 180.0° of pitch control');
});
