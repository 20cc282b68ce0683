import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer';
import type { Design } from '../schema/design';
import { reconcile } from './reconcile';

enablePatches();

/** What one edit changed, both ways. Parts that stayed are shared with the states on either side. */
export interface Step {
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** The way from one state to another: only what differs is held. */
export function stepBetween(before: Design, after: Design): Step {
  const [, patches, inverse] = produceWithPatches(before, (draft) => bring(draft, before, after));
  return { patches, inverse };
}

export const stepForward = (design: Design, { patches }: Step): Design => applyPatches(design, [...patches]);
export const stepBack = (design: Design, { inverse }: Step): Design => applyPatches(design, [...inverse]);

/**
 * Whether what a step did still stands as it left it, so that it can be taken
 * back without touching what somebody else did since; forward: whether what
 * was there before it stands.
 */
export function stillStands(design: Design, { patches, inverse }: Step, way: 'back' | 'forward'): boolean {
  return (way === 'back' ? patches : inverse).every(({ op, path, value }) => {
    const owner = path
      .slice(0, -1)
      .reduce<unknown>((part, key) => (isPart(part) ? (part as Keyed)[key] : undefined), design);
    const last = path.at(-1)!;
    if (!isPart(owner)) return false;
    if (op === 'remove') return !Object.hasOwn(owner, last);
    const there = (owner as Keyed)[last];
    return Object.hasOwn(owner, last) && Object.is(reconcile(there, value as unknown), there);
  });
}

type Keyed = Record<string | number, unknown>;
type Part = Record<string, unknown> | unknown[];
const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null;

/** Writes into the draft of a part what differs in the other; lists of one length member by member. */
function bring(draft: unknown, before: unknown, after: unknown): void {
  const target = draft as Record<string, unknown>;
  const from = before as Record<string, unknown>;
  const to = after as Record<string, unknown>;
  for (const key of new Set([...Object.keys(from), ...Object.keys(to)])) {
    const [a, b] = [from[key], to[key]];
    if (Object.is(a, b)) continue;
    if (!Object.hasOwn(to, key)) delete target[key];
    else if (isAlike(a, b)) bring(target[key], a, b);
    else target[key] = b;
  }
}

/** Both objects, or both lists of the same length: what differs lies within. */
function isAlike(a: unknown, b: unknown): boolean {
  if (!isPart(a) || !isPart(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  return !Array.isArray(a) || a.length === (b as unknown[]).length;
}
