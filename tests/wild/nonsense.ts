import type { z } from 'zod';
import type { Words } from '@/core/1-base/words/phrase';
import type { Analysis } from '@/core/analyse';
import { GROUPS } from '@/core/6-groups/page';
import { meaningOf, partsOf } from '@/core/6-groups/schemaParts';
import { type DisplayUnits, formatValue, METRIC, sentence } from '@/words/formatQuantity';

const IMPERIAL: DisplayUnits = { length: 'in', mass: 'oz', speed: 'mph' };

/** What no sentence may hold: what is no number, a word of the machine, or digits that nobody reads. */
const NONSENSE = /NaN|undefined|Infinity|\[object|\bnull\b|unknown|\d[eE][+-]?\d|\d{7,}|\.\d{5,}/;

/** Nothing that is told has a magnitude beyond this, in SI. */
const MOST = 1e9;

type Report = (place: string, what: string) => void;

function inWords(words: Words, place: string, report: Report): void {
  for (const units of [METRIC, IMPERIAL]) {
    const text = sentence(words, units);
    if (NONSENSE.test(text) || text.trim() === '') report(place, text);
  }
}

function inNumber(value: number, place: string, report: Report): void {
  if (!(Math.abs(value) <= MOST)) report(place, String(value));
}

function inValue(schema: z.ZodType, value: unknown, place: string, report: Report): void {
  if (typeof value === 'number') return inNumber(value, place, report);
  if (value === null || typeof value !== 'object') return;
  if (meaningOf(schema).isSentence) return inWords(value as Words, place, report);
  const parts = new Map(partsOf(schema));
  for (const [key, entry] of Object.entries(value)) {
    const part = parts.get(key) ?? parts.get('*') ?? parts.get('[]');
    if (part) inValue(part, entry, `${place}.${key}`, report);
    else if (typeof entry === 'number') inNumber(entry, `${place}.${key}`, report);
  }
}

/** Every number, reason, sentence and working of an analysis that should not be there, with its place. */
export function nonsenseIn(analysis: Analysis): string[] {
  const found: string[] = [];
  const report: Report = (place, what) => found.push(`${place}: ${what}`);
  for (const { id, schema, hasReasons } of GROUPS) {
    const value = analysis[id];
    inValue(schema, value, id, report);
    if (!hasReasons) continue;
    const { reasons } = value as { readonly reasons: Record<string, Words | undefined> };
    for (const [key, reason] of Object.entries(reasons)) if (reason) inWords(reason, `${id}.reasons.${key}`, report);
    for (const [key, part] of Object.entries(value as object))
      if (part === null && !reasons[key]) report(`${id}.${key}`, 'is null without a reason');
  }
  for (const { id, message, numbers, remedies } of analysis.findings) {
    inWords(message, `finding ${id}`, report);
    for (const { label } of remedies) inWords(label, `remedy of ${id}`, report);
    for (const [key, { value }] of Object.entries(numbers)) inNumber(value, `finding ${id}.${key}`, report);
  }
  for (const { id, value, band, unit, inputs, ...texts } of analysis.workings) {
    for (const number of [value, band ?? 0]) inWords(formatValue(number, unit, METRIC), `working ${id}`, report);
    for (const one of inputs) inWords(formatValue(one.value, one.unit, METRIC), `working ${id}, ${one.name}`, report);
    for (const text of [texts.name, texts.formula, texts.range, texts.bandBecause])
      inWords(text, `working ${id}`, report);
  }
  return found;
}
