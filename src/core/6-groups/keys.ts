import { z } from 'zod';
import type { In } from '@/core/1-base/units/convert';
import { SI_SYMBOL, type UnitKind } from '@/core/1-base/units/unitKind';

/** What a schema says of one number of the analysis. */
export interface Meaning {
  readonly unit?: UnitKind;
  readonly description?: string;
}

type ReadonlyDeep<Value> = Value extends number | string | boolean | null | undefined
  ? Value
  : { readonly [Key in keyof Value]: ReadonlyDeep<Value[Key]> };

/** The type of a value as a schema describes it, read only. */
export type Printed<Schema extends z.ZodType> = ReadonlyDeep<z.output<Schema>>;

const told = (unit: UnitKind, meaning: string) => ({ unit, description: `${meaning} [${SI_SYMBOL[unit]}]` });

/** A number whose type carries its SI unit. */
type Quantity<Kind extends UnitKind> = z.ZodType<In<(typeof SI_SYMBOL)[Kind]>>;

/** A number that is always there. */
export const quantity = <Kind extends UnitKind>(unit: Kind, meaning: string): Quantity<Kind> =>
  z.number().meta(told(unit, meaning)) as unknown as Quantity<Kind>;

/** A number that may be null, with its reason. */
export const maybe = <Kind extends UnitKind>(unit: Kind, meaning: string): z.ZodNullable<Quantity<Kind>> =>
  z.number().nullable().meta(told(unit, meaning)) as unknown as z.ZodNullable<Quantity<Kind>>;

/** Three numbers along x (aft), y (right), z (up). */
export const vector = (unit: UnitKind, meaning: string) =>
  z.tuple([z.number(), z.number(), z.number()]).meta(told(unit, meaning));

export const text = (meaning: string) => z.string().meta({ description: meaning });

/** A sentence; in the core it is a phrase, whoever prints it makes it a text. */
export const sentenceKey = (meaning: string) =>
  z
    .union([
      z.string(),
      z.array(
        z.union([
          z.string(),
          z.object({
            value: z.number(),
            unit: z.enum(Object.keys(SI_SYMBOL) as UnitKind[]),
            digits: z.int().optional(),
          }),
        ]),
      ),
    ])
    .meta({ description: meaning, isSentence: true });

/** What a value is while nothing is known: null where it may be, no entries in lists, its parts each empty. */
export function emptyValue(schema: z.ZodType): unknown {
  if (schema instanceof z.ZodNullable) return null;
  if (schema instanceof z.ZodArray) return [];
  if (schema instanceof z.ZodRecord) return {};
  if (schema instanceof z.ZodObject)
    return Object.fromEntries(
      Object.entries(schema.shape as Record<string, z.ZodType>).map(([key, part]) => [key, emptyValue(part)]),
    );
  throw new TypeError('A key of the analysis must be able to be empty: make it nullable, a list or a table.');
}
