import { z } from 'zod';
import { type Design, designSchema, LIST_MEMBERS, type ListName } from '../schema/design';
import { checkReferences } from '../schema/references';
import { type DocumentIssue, describeIssue } from '../issue';
import { reconcile } from './reconcile';

export type Checked =
  { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly issues: readonly DocumentIssue[] };

type Shape = Record<keyof Design, z.ZodType>;
const SHAPE = designSchema.shape as unknown as Shape;

/**
 * Checks what an edit changed and nothing else: members of a list that are new
 * or differ, parts that differ, and that everything pointed to exists. The
 * result keeps the identity of whatever is equal to what it was.
 */
export function checkChange(before: Design, after: Design): Checked {
  if (before === after) return { ok: true, design: before };
  const issues: z.core.$ZodIssue[] = [];
  const checked: Partial<Record<keyof Design, unknown>> = {};
  for (const key of keysOf(before, after)) {
    if (Object.is(before[key], after[key])) continue;
    const list = isListName(key) ? checkList(key, before[key], after[key]) : checkWhole(key, after[key]);
    if (list.issues.length > 0) issues.push(...list.issues);
    else checked[key] = reconcile(before[key], list.value);
  }
  if (issues.length > 0) return { ok: false, issues: issues.map((issue) => describeIssue(issue, designSchema)) };
  const design = { ...after, ...checked } as Design;
  const references = referenceIssues(design);
  return references.length > 0 ? { ok: false, issues: references } : { ok: true, design };
}

function keysOf(before: Design, after: Design): (keyof Design)[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Design)[];
}

interface Part {
  readonly value: unknown;
  readonly issues: readonly z.core.$ZodIssue[];
}

const isListName = (key: keyof Design): key is ListName => Object.hasOwn(LIST_MEMBERS, key);

function checkWhole(key: keyof Design, value: unknown): Part {
  const schema = SHAPE[key] as z.ZodType | undefined;
  if (!schema) return under([], z.strictObject({}).safeParse({ [key]: value }), value);
  return under([key], schema.safeParse(value), value);
}

function checkList(key: ListName, before: readonly unknown[], after: readonly unknown[]): Part {
  if (!Array.isArray(after)) return checkWhole(key, after);
  const { member, most } = LIST_MEMBERS[key];
  const known = new Set(before);
  if (after.length > most)
    return under(
      [key],
      z
        .array(z.unknown())
        .max(most, { error: `must hold at most ${most} entries` })
        .safeParse(after),
      after,
    );
  const parts = after.map((entry, index): Part =>
    known.has(entry)
      ? { value: entry, issues: [] }
      : reconciled(under([key, index], member.safeParse(entry), entry), entry),
  );
  return { value: parts.map(({ value }) => value), issues: parts.flatMap(({ issues }) => issues) };
}

/** Parsing copies; what it did not alter stays the object that it was. */
const reconciled = ({ value, issues }: Part, entry: unknown): Part => ({ value: reconcile(entry, value), issues });

function under(path: readonly (string | number)[], result: z.ZodSafeParseResult<unknown>, raw: unknown): Part {
  return result.success
    ? { value: result.data, issues: [] }
    : { value: raw, issues: result.error.issues.map((issue) => ({ ...issue, path: [...path, ...issue.path] })) };
}

function referenceIssues(design: Design): DocumentIssue[] {
  const issues: DocumentIssue[] = [];
  checkReferences(design, (path, message) => issues.push({ path: `/${path.join('/')}`, message }));
  return issues;
}
