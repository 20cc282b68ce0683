/** What was worked out for the last so many keys, alike where they are the same text or object; the oldest goes first. */
export function keptLast<Key, Value>(most: number, make: (key: Key) => Value): (key: Key) => Value {
  const kept = new Map<Key, Value>();
  return (key) => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const made = make(key);
    const [oldest] = kept.keys();
    if (kept.size >= most && oldest !== undefined) kept.delete(oldest);
    kept.set(key, made);
    return made;
  };
}
