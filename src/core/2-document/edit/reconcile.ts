/**
 * The second value with every part that equals its counterpart in the first
 * replaced by that counterpart, so that what did not change keeps its identity.
 */
export function reconcile<Value>(before: unknown, after: Value): Value {
  if (Object.is(before, after)) return after;
  if (typeof before !== 'object' || typeof after !== 'object' || before === null || after === null) return after;
  if (Array.isArray(before) !== Array.isArray(after)) return after;
  const old = before as Record<string, unknown>;
  const keys = Object.keys(after);
  const parts = keys.map((key) => [key, reconcile(old[key], (after as Record<string, unknown>)[key])] as const);
  const isSame =
    parts.every(([key, part]) => Object.hasOwn(old, key) && Object.is(part, old[key])) &&
    keys.length === Object.keys(before).length;
  if (isSame) return before as Value;
  return (Array.isArray(after) ? parts.map(([, part]) => part) : Object.fromEntries(parts)) as Value;
}
