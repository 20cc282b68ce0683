import { z } from 'zod';
import { judged, mostOf } from '@/core/1-base/units/mostBelievable';
import { meaningOf, partsOf } from './schemaParts';

/*
 * The last gate before a number is told: what is no number, or lies beyond
 * anything that the models behind it can know, becomes null with a reason, an
 * entry of a list goes, and where neither is possible the limit stands for it.
 */

const WHY = {
  broken: 'It could not be computed from these sizes and weights: look for a part of no size or no weight.',
  beyond:
    'It comes out beyond anything that the model knows, so it is not shown: look for a size, place or weight that is far off.',
} as const;

const GONE = Symbol('gone');
type Gate = (value: unknown) => unknown;

const same: Gate = (value) => value;
const gates = new WeakMap<z.ZodType, Gate>();

/** Passes the values of one schema; made once, so that an analysis costs no walk through schemas. */
function gateOf(schema: z.ZodType): Gate {
  const known = gates.get(schema);
  if (known) return known;
  const gate = makeGate(schema);
  gates.set(schema, gate);
  return gate;
}

function makeGate(schema: z.ZodType): Gate {
  if (meaningOf(schema).isSentence) return same;
  if (schema instanceof z.ZodNullable) {
    const inner = schema.unwrap() as z.ZodType;
    const { unit } = meaningOf(schema);
    const within = inner instanceof z.ZodNumber ? numberGate(inner, unit) : gateOf(inner);
    return (value) => {
      if (value === null) return null;
      const passed = within(value);
      return passed === GONE || (passed !== value && typeof value === 'number') ? null : passed;
    };
  }
  if (schema instanceof z.ZodNumber) return numberGate(schema);
  if (schema instanceof z.ZodTuple) {
    const { unit } = meaningOf(schema);
    const gate = numberGate(schema, unit);
    return (value) => all(value as readonly unknown[], gate);
  }
  if (schema instanceof z.ZodArray) {
    const { unit } = meaningOf(schema);
    const gate = unit ? numberGate(schema, unit) : gateOf(schema.element as z.ZodType);
    return (value) => some(value as readonly unknown[], gate);
  }
  const parts = partsOf(schema).map(([key, part]) => [key, gateOf(part)] as const);
  if (parts.length === 0) return same;
  const every = parts.find(([key]) => key === '*')?.[1];
  return (value) =>
    fields(
      value as Record<string, unknown>,
      every ? Object.keys(value as object).map((key) => [key, every] as const) : parts,
    );
}

function numberGate(schema: z.ZodType, unit = meaningOf(schema).unit): Gate {
  return (value) => {
    if (typeof value !== 'number') return value;
    const verdict = judged(value, unit);
    if (verdict === 'broken') return GONE;
    return verdict === 'beyond' ? Math.sign(value) * mostOf(unit) : value;
  };
}

/** A list that is whole or not there. */
function all(list: readonly unknown[], gate: Gate): unknown {
  const passed = list.map(gate);
  if (passed.includes(GONE)) return GONE;
  return passed.some((value, index) => value !== list[index]) ? passed : list;
}

/** A list that may lose entries. */
function some(list: readonly unknown[], gate: Gate): unknown {
  const passed = list.map(gate);
  return passed.some((value, index) => value !== list[index]) ? passed.filter((value) => value !== GONE) : list;
}

function fields(value: Record<string, unknown>, parts: readonly (readonly [string, Gate])[]): unknown {
  let changed: Record<string, unknown> | null = null;
  for (const [key, gate] of parts) {
    const passed = gate(value[key]);
    if (passed === GONE) return GONE;
    if (passed === value[key]) continue;
    changed ??= { ...value };
    changed[key] = passed;
  }
  return changed ?? value;
}

/** A group's value with nothing in it that nobody can believe; null when too little of it is left. */
export function believable<Value>(schema: z.ZodType, value: Value, hasReasons: boolean): Value | null {
  const passed = gateOf(schema)(value) as Value | typeof GONE;
  if (passed === GONE) return null;
  if (passed === value || !hasReasons) return passed;
  const before = value as Record<string, unknown> & { readonly reasons: Record<string, unknown> };
  const after = passed as typeof before;
  const lost = Object.keys(after).filter((key) => after[key] === null && before[key] !== null);
  const why = (key: string) =>
    typeof before[key] === 'number' && !Number.isNaN(before[key]) ? WHY.beyond : WHY.broken;
  return {
    ...after,
    reasons: { ...before.reasons, ...Object.fromEntries(lost.map((key) => [key, why(key)])) },
  } as Value;
}

/** Why a whole group is missing when too little of it could be believed. */
export const NOT_BELIEVED = WHY.broken;
