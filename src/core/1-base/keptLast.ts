/** What was worked out for the last so many keys; the oldest goes first. */
export function keptLast<Value>(most: number, make: (key: string) => Value): (key: string) => Value {
  const kept = new Map<string, Value>();
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
