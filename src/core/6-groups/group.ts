import type { z } from 'zod';
import type { Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { Solution } from './solution/solution';
import type { Working } from './working';
import { emptyValue, type Printed } from './keys';

/** Why a number is null, under the same key. */
export type Reasons = Readonly<Record<string, Words | undefined>>;

/** Groups that a group reads; only earlier ones of `page.ts` can be named. */
export type Needs = Readonly<Record<string, Group>>;
export type ValuesOf<Needed extends Needs> = { readonly [Name in keyof Needed]: ValueOf<Needed[Name]> };
export type ValueOf<G> = G extends Group<string, infer Value> ? Value : never;

/** One group of numbers: keys with unit and meaning, how they are computed, and their workings. */
export interface Group<Id extends string = string, Value = unknown, Needed extends Needs = Needs> {
  readonly id: Id;
  /** What it is about, in words. */
  readonly title: string;
  /** Keys with unit and meaning; type, emptiness, contract, JSON Schema and the table of units come from here. */
  readonly schema: z.ZodType;
  /** True when a null has its reason under the same key. */
  readonly hasReasons: boolean;
  readonly needs: Needed;
  compute(solution: Solution, needed: ValuesOf<Needed>): Value;
  /** The value when nothing can be solved, and why. */
  empty(why: Words, design: Design): Value;
  explain(solution: Solution, value: Value, needed: ValuesOf<Needed>): Working[];
}

interface Recipe<Id extends string, Value, Needed extends Needs> {
  readonly id: Id;
  readonly title: string;
  readonly needs: Needed;
  readonly compute: (solution: Solution, needed: ValuesOf<Needed>) => Value;
  readonly empty?: (why: Words, design: Design) => Value;
  readonly explain?: (solution: Solution, value: Value, needed: ValuesOf<Needed>) => Working[];
}

export type Numbers<Keys extends z.ZodRawShape> = Printed<z.ZodObject<Keys>> & { readonly reasons: Reasons };

/** Every key null, or without entries, for the same reason. */
export function emptyNumbers<Keys extends z.ZodRawShape>(keys: z.ZodObject<Keys>, why: Words): Numbers<Keys> {
  const values = emptyValue(keys) as Record<string, unknown>;
  const nulls = Object.keys(values).filter((key) => values[key] === null);
  return { ...values, reasons: Object.fromEntries(nulls.map((key) => [key, why])) } as Numbers<Keys>;
}

/** The same reason under every key whose value is null. */
export const reasonsOfNulls = (values: Readonly<Record<string, unknown>>, why: Words): Record<string, Words> =>
  Object.fromEntries(Object.keys(values).flatMap((key) => (values[key] === null ? [[key, why] as const] : [])));

/** A group of named numbers; a null has its reason under the same key. */
export function numbersGroup<Id extends string, Keys extends z.ZodRawShape, Needed extends Needs>(
  keys: z.ZodObject<Keys>,
  recipe: Recipe<Id, Numbers<Keys>, Needed>,
): Group<Id, Numbers<Keys>, Needed> {
  return {
    explain: () => [],
    empty: (why) => emptyNumbers(keys, why),
    ...recipe,
    schema: keys,
    hasReasons: true,
  };
}

/** A group that is a list, a table by name, or one thing that may be missing; empty by its kind. */
export function valueGroup<Id extends string, Schema extends z.ZodType, Needed extends Needs>(
  schema: Schema,
  recipe: Recipe<Id, Printed<Schema>, Needed>,
): Group<Id, Printed<Schema>, Needed> {
  return {
    explain: () => [],
    empty: () => emptyValue(schema) as Printed<Schema>,
    ...recipe,
    schema,
    hasReasons: false,
  };
}
