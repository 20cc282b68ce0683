import { z } from 'zod';
import type { Meaning } from './keys';

/** Takes off what says that a value may be missing. */
function within(schema: z.ZodType): z.ZodType {
  return schema instanceof z.ZodNullable ? (schema.unwrap() as z.ZodType) : schema;
}

/** True for the three numbers of a point or a direction. */
export const isPoint = (schema: z.ZodType): boolean => within(schema) instanceof z.ZodTuple;

export const meaningOf = (schema: z.ZodType): Meaning & { readonly isSentence?: boolean } =>
  (schema.meta() ?? within(schema).meta() ?? {}) as Meaning & { isSentence?: boolean };

/** The parts of a value: keys of an object, `[]` for the entries of a list, `*` for those of a table. */
export function partsOf(schema: z.ZodType): readonly (readonly [string, z.ZodType])[] {
  const inner = within(schema);
  if (inner instanceof z.ZodObject) return Object.entries(inner.shape as Record<string, z.ZodType>);
  if (inner instanceof z.ZodArray) return [['[]', inner.element as z.ZodType]];
  if (inner instanceof z.ZodRecord) return [['*', inner.valueType as z.ZodType]];
  return [];
}
