interface Known<Value> {
  readonly from: readonly unknown[];
  readonly value: Value;
}

/**
 * What is worked out about an object from other things, known again as long as
 * all of these are the same; of each object the last few answers, the newest
 * first. Forgotten with the object.
 * @param most answers of one object that are kept
 */
export function knownFrom<Of extends object, Value>(
  most = 1,
): (of: Of, from: readonly unknown[], make: () => Value) => Value {
  const known = new WeakMap<Of, readonly Known<Value>[]>();
  return (of, from, make) => {
    const before = known.get(of) ?? [];
    const same = before.find((one) => isSame(one.from, from));
    if (same) return same.value;
    const value = make();
    known.set(of, [{ from, value }, ...before].slice(0, most));
    return value;
  };
}

const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((thing, index) => Object.is(thing, other[index]));
