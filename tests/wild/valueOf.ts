import fc from 'fast-check';
import { z } from 'zod';

/** How far made-up values go: over the whole range with a liking for its ends, or where hand-built aircraft are. */
export type Temper = 'tame' | 'extreme';

const WORDS = ['', 'Wing', 'Ala è à la', 'constructor', '__proto__', '=1+1', '@home', 'a,b;c', 'x'.repeat(60), '  '];
const NAMES = ['wing', 'tail', 'a', 'B_2', 'x-1', 'constructor', 'toString', 'hasOwnProperty', 'valueOf'];
/** Longest made-up list; the schema may allow more. */
const LONGEST = 5;

interface NumberBounds {
  readonly minValue: number | null;
  readonly maxValue: number | null;
  readonly isInt: boolean;
}

function numberOf(schema: z.ZodNumber, temper: Temper): fc.Arbitrary<number> {
  const { minValue, maxValue, isInt } = schema as unknown as NumberBounds;
  const min = minValue === null || minValue < -1e6 ? -1e6 : minValue;
  const max = maxValue === null || maxValue > 1e6 ? 1e6 : maxValue;
  if (isInt) return fc.integer({ min, max });
  const anywhere = fc.double({ min, max, noNaN: true });
  if (temper === 'tame') return anywhere;
  const near = [0, 1e-9, -1e-9, 1, (min + max) / 2].filter((value) => value >= min && value <= max);
  return fc.oneof(
    { arbitrary: anywhere, weight: 3 },
    { arbitrary: fc.constantFrom(min, max), weight: 2 },
    { arbitrary: fc.constantFrom(...near, min), weight: 1 },
  );
}

function textOf(schema: z.ZodString): fc.Arbitrary<string> {
  const candidates = [...WORDS, ...NAMES, '/surfaces/0/incidence', '2026-05-04T10:00:00.000Z'];
  return fc.constantFrom(...candidates.filter((text) => schema.safeParse(text).success));
}

/** Made-up input that a schema takes, rules across fields aside. @throws when a kind of schema is new here */
export function valueOf(schema: z.ZodType, temper: Temper): fc.Arbitrary<unknown> {
  if (schema instanceof z.ZodNumber) return numberOf(schema, temper);
  if (schema instanceof z.ZodString) return textOf(schema);
  if (schema instanceof z.ZodBoolean) return fc.boolean();
  if (schema instanceof z.ZodEnum) return fc.constantFrom(...schema.options);
  if (schema instanceof z.ZodLiteral) return fc.constantFrom(...schema.values);
  if (schema instanceof z.ZodOptional) return fc.option(valueOf(inner(schema), temper), { nil: undefined });
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault)
    return fc.oneof({ arbitrary: valueOf(inner(schema), temper), weight: 3 }, fc.constant(undefined));
  if (schema instanceof z.ZodTuple)
    return fc.tuple(...schema.def.items.map((item) => valueOf(item as z.ZodType, temper)));
  if (schema instanceof z.ZodArray) return listOf(schema as z.ZodArray<z.ZodType>, temper);
  if (schema instanceof z.ZodDiscriminatedUnion || schema instanceof z.ZodUnion)
    return fc.oneof(...schema.def.options.map((option) => valueOf(option as z.ZodType, temper)));
  if (schema instanceof z.ZodObject)
    return fc.record(
      Object.fromEntries(
        Object.entries(schema.shape as Record<string, z.ZodType>).map(([key, part]) => [key, valueOf(part, temper)]),
      ),
    );
  if (schema instanceof z.ZodRecord) return fc.constant({});
  throw new TypeError(`Nothing can be made up for a ${schema.def.type}.`);
}

const inner = (schema: { def: { innerType: unknown } }): z.ZodType => schema.def.innerType as z.ZodType;

function listOf(schema: z.ZodArray<z.ZodType>, temper: Temper): fc.Arbitrary<unknown[]> {
  const lengths = Array.from({ length: LONGEST + 1 }, (_, length) => length);
  const allowed = lengths.filter((length) => isLength(schema, length));
  const minLength = allowed[0] ?? LONGEST;
  return fc.array(valueOf(schema.element, temper), { minLength, maxLength: Math.max(minLength, allowed.at(-1) ?? 0) });
}

/** Whether a list may have this length, whatever its members. */
function isLength(schema: z.ZodArray<z.ZodType>, length: number): boolean {
  const issues = schema.safeParse(Array.from({ length }, () => null)).error?.issues ?? [];
  return issues.every(({ code }) => code !== 'too_small' && code !== 'too_big');
}
