import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import { printAnalysis } from '@/words/printAnalysis';
import frozen from './answers.json';
import { flatten } from './flatten';

/**
 * The answers of the whole fleet before the house was rebuilt, to the last
 * digit. What changes numbers on purpose takes this file away.
 */
interface Answer {
  readonly numbers: Record<string, number | string | null>;
  readonly workings: Record<string, [number, number | null]>;
  readonly findings: [string, string, [string, unknown][][]][];
}
const answers = frozen as unknown as Record<string, Answer>;

const optionsOf = (variant: string | undefined) =>
  variant === 'wind' ? ({ wake: 'wind' } as const) : variant === 'bare' ? { surfacesOnly: true } : {};

test('the whole fleet was frozen', () => {
  expect(Object.keys(answers).filter((name) => !name.includes('.'))).toEqual([...DEMO_NAMES].sort());
});

test.each(Object.keys(answers))('%s: every number as it was', (key) => {
  const [name, variant] = key.split('.') as [string, string | undefined];
  const printed = printAnalysis(analyse(demoDesign(name), optionsOf(variant))) as Record<string, unknown> & {
    workings: { id: string; value: number; band: number | null }[];
    findings: { id: string; severity: string; remedies: { change: { field: string; value: unknown }[] }[] }[];
  };
  const { numbers, workings, findings } = answers[key]!;
  const now = flatten(Object.fromEntries(Object.entries(printed).filter(([group]) => group !== 'workings')));
  // Keys may have come since; none may have gone, and none may differ in any digit.
  expect(Object.fromEntries(Object.keys(numbers).map((path) => [path, now[path]]))).toEqual(numbers);
  expect(Object.keys(numbers).length).toBeGreaterThan(60);
  const workingsNow = new Map(printed.workings.map(({ id, value, band }) => [id, [value, band]]));
  expect(Object.fromEntries(Object.keys(workings).map((id) => [id, workingsNow.get(id)]))).toEqual(workings);
  expect(
    printed.findings.map(({ id, severity, remedies }) => [
      id,
      severity,
      remedies.map(({ change }) => change.map(({ field, value }) => [field, value])),
    ]),
  ).toEqual(findings);
});
