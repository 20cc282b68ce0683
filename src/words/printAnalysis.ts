import type { z } from 'zod';
import type { Analysis } from '@/core/analyse';
import type { Words } from '@/core/1-base/words/phrase';
import { meaningOf, partsOf } from '@/core/6-groups/schemaParts';
import type { Reasons } from '@/core/6-groups/group';
import { GROUPS } from '@/core/6-groups/page';
import type { Finding } from '@/core/7-verdict/finding';
import { sentence } from './formatQuantity';

/** An analysis as plain data for whoever reads it elsewhere: sentences are texts, in metric units. */
export function printAnalysis(analysis: Analysis): unknown {
  const groups = GROUPS.map(({ id, schema, hasReasons }) => {
    const value = analysis[id];
    const printed = printValue(schema, value);
    if (!hasReasons) return [id, printed];
    const { reasons } = value as { readonly reasons: Reasons };
    return [id, { ...(printed as object), reasons: printReasons(reasons) }];
  });
  return { ...analysis, ...Object.fromEntries(groups), findings: analysis.findings.map(printFinding) };
}

function printReasons(reasons: Reasons): Record<string, string> {
  return Object.fromEntries(
    Object.entries(reasons).flatMap(([key, words]) => (words === undefined ? [] : [[key, sentence(words)]])),
  );
}

function printValue(schema: z.ZodType, value: unknown): unknown {
  if (value === null || typeof value !== 'object') return value;
  if (meaningOf(schema).isSentence) return sentence(value as Words);
  const parts = partsOf(schema);
  const [first] = parts;
  if (!first) return value;
  if (Array.isArray(value)) return value.map((entry) => printValue(first[1], entry));
  const of = new Map(parts);
  return Object.fromEntries(
    Object.entries(value).map(([key, entry]) => {
      const part = of.get(key) ?? of.get('*');
      return [key, part ? printValue(part, entry) : entry];
    }),
  );
}

function printFinding({ message, numbers, remedies, ...rest }: Finding) {
  return {
    ...rest,
    message: sentence(message),
    numbers: Object.fromEntries(Object.entries(numbers).map(([name, { value }]) => [name, value])),
    remedies: remedies.map(({ label, change, brings }) => ({
      label: sentence(label),
      change,
      ...(brings ? { brings: sentence(brings) } : {}),
    })),
  };
}
