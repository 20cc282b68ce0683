import { describe, expect, test } from 'vitest';
import { z } from 'zod';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, simpleAircraft } from '#/tests/designs';
import { said } from '#/tests/matchers';
import type { Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { analysisJsonSchema, tableOfUnits } from './describe';
import { partsOf } from './schemaParts';
import { GROUPS } from './page';
import { numbersOf } from './solve';

const CASES: readonly (readonly [string, Design])[] = [
  ...DEMO_NAMES.map((name) => [name, demoDesign(name)] as const),
  ['nothing drawn', designOf([])],
  ['nothing weighed', { ...simpleAircraft(), massItems: [] }],
];

/** Numbers that only count or point. */
const WITHOUT_UNIT = new Set(['sections[].station']);

/** Every key below a value as the table of units writes it, with what stands there. */
function keysIn(given: z.ZodType, value: unknown, key: string): [string, unknown][] {
  const schema = given instanceof z.ZodNullable ? (given.unwrap() as z.ZodType) : given;
  if (typeof value !== 'object' || value === null || schema instanceof z.ZodTuple || isSentence(schema))
    return [[key, value]];
  const parts = new Map(partsOf(schema));
  return Object.entries(value).flatMap(([name, inner]) => {
    if (name === 'reasons') return [];
    const step = parts.has('[]') ? '[]' : parts.has('*') ? '*' : name;
    const part = parts.get(step);
    if (!part) return [[`${key}: ${name} is in no schema`, Number.NaN] as [string, unknown]];
    return keysIn(part, inner, step === '[]' ? `${key}[]` : `${key}.${step}`);
  });
}
const isSentence = (schema: z.ZodType) => (schema.meta() as { isSentence?: boolean } | undefined)?.isSentence === true;

describe('the contract that the schemas are', () => {
  test.each(CASES)('%s: every group is what its schema says, whole and no more', (_, design) => {
    const numbers = numbersOf(design);
    for (const { id, schema, hasReasons } of GROUPS) {
      const value = numbers[id] as Record<string, unknown> & { reasons?: Record<string, Words> };
      const parsed = schema.safeParse(value);
      expect(parsed.success, `${id}: ${parsed.error?.message}`).toBe(true);
      if (!hasReasons) continue;
      for (const [key, part] of Object.entries(value))
        if (part === null) expect(said(value.reasons![key]), `${id}.${key}`).toMatch(/.{10,}/);
    }
  });

  test('every number of the fleet has its unit and meaning', () => {
    const known = new Set([...tableOfUnits().map(({ key }) => key), ...WITHOUT_UNIT]);
    const seen = new Set<string>();
    for (const [, design] of CASES) {
      const numbers = numbersOf(design);
      for (const { id, schema } of GROUPS)
        for (const [key, value] of keysIn(schema, numbers[id], id)) if (typeof value === 'number') seen.add(key);
    }
    expect([...seen].filter((key) => !known.has(key))).toEqual([]);
    expect(seen.size).toBeGreaterThan(120);
    for (const { key, unit, meaning } of tableOfUnits()) {
      expect(unit, key).toBeTruthy();
      expect(meaning, key).toMatch(/.{8,}/);
    }
  });

  test('a group reads only groups above it', () => {
    const above = new Set<string>();
    for (const { id, needs } of GROUPS) {
      for (const name of Object.keys(needs)) expect(above, `${id} reads ${name}`).toContain(name);
      above.add(id);
    }
  });

  test('the JSON Schema asks for every group by name', () => {
    const { required, properties } = analysisJsonSchema() as { required: string[]; properties: Record<string, object> };
    for (const { id, title } of GROUPS) {
      expect(required).toContain(id);
      expect(properties[id]).toMatchObject({ description: title });
    }
  });
});
