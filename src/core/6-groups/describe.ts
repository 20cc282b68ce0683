import { z } from 'zod';
import { SI_SYMBOL } from '@/core/1-base/units/unitKind';
import type { Group } from './group';
import { GROUPS } from './page';
import { meaningOf, partsOf } from './schemaParts';

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
