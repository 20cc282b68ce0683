import { z } from 'zod';
import { SI_SYMBOL, type UnitKind } from '@/core/1-base/units/unitKind';
import type { Group } from './group';
import { GROUPS } from './page';
import { isPoint, meaningOf, partsOf } from './schemaParts';

/** One number of the analysis: where it stands, its SI unit, what it means. */
export interface UnitRow {
  readonly key: string;
  readonly unit: string;
  readonly meaning: string;
}

function rowsOf(schema: z.ZodType, key: string): UnitRow[] {
  const { unit, description } = meaningOf(schema);
  if (unit) return [{ key, unit: SI_SYMBOL[unit], meaning: (description ?? '').replace(/ \[[^\]]*\]$/, '') }];
  return partsOf(schema).flatMap(([part, inner]) => rowsOf(inner, part === '[]' ? `${key}[]` : `${key}.${part}`));
}

/** A number that stands once in a group: its key there, the kind of its unit, its meaning with that of what holds it. */
export interface ScalarRow {
  readonly key: string;
  readonly unit: UnitKind;
  readonly meaning: string;
}

const AXES = ['aft', 'right', 'up'] as const;

/** Numbers of a group that are no entries of lists and tables; points number by number. */
export function scalarsOf(schema: z.ZodType, within: readonly string[] = []): ScalarRow[] {
  const { unit, description = '' } = meaningOf(schema);
  const own = description.replace(/ \[[^\]]*\]$/, '');
  const meaning = [...within.slice(0, -1).map(inWords), own].join(': ');
  const key = within.join('.');
  if (unit && isPoint(schema))
    return AXES.map((axis, place) => ({ key: `${key}.${place}`, unit, meaning: `${meaning}, ${axis}` }));
  if (unit) return [{ key, unit, meaning }];
  return partsOf(schema).flatMap(([part, inner]) =>
    part === '[]' || part === '*' ? [] : scalarsOf(inner, [...within, part]),
  );
}

/** `shortPeriod` as “Short period”. */
const inWords = (key: string): string => {
  const words = key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** Every number that an analysis holds, with unit and meaning. */
export const tableOfUnits = (): UnitRow[] => GROUPS.flatMap(({ id, schema }) => rowsOf(schema, id));

const REASONS = z.record(z.string(), z.string()).meta({ description: 'Why a number is null, under the same key' });

/** A group as it is printed: an object has its reasons beside it. */
const printedSchema = ({ schema, hasReasons }: Group): z.ZodType =>
  hasReasons && schema instanceof z.ZodObject ? schema.extend({ reasons: REASONS }) : schema;

/** JSON Schema of what the command line prints. */
export function analysisJsonSchema(): unknown {
  const whole = z.object({
    format: z.literal('inclinar-analysis'),
    version: z.literal(2),
    ...Object.fromEntries(GROUPS.map((group) => [group.id, printedSchema(group).describe(group.title)])),
  });
  return z.toJSONSchema(whole, {
    target: 'draft-2020-12',
    override: ({ zodSchema, jsonSchema }) => {
      if (!meaningOf(zodSchema as unknown as z.ZodType).isSentence) return;
      delete jsonSchema.anyOf;
      jsonSchema.type = 'string';
    },
  });
}
