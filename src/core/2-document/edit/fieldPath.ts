/**
 * Paths into a design document, such as `/surfaces/wing/stations/1/chord`:
 * members of a list are named by their id where they have one, else by place.
 */
export function splitField(path: string): string[] {
  return path.split('/').filter((part) => part !== '');
}

/** The key under which `name` is found in `container`, or undefined. */
export function resolveKey(container: unknown, name: string): string | number | undefined {
  if (Array.isArray(container)) {
    const byId = container.findIndex((member: unknown) => isRecord(member) && member['id'] === name);
    if (byId >= 0) return byId;
    const place = Number(name);
    return Number.isInteger(place) && place >= 0 && place < container.length ? place : undefined;
  }
  return isRecord(container) && Object.hasOwn(container, name) ? name : undefined;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null;
}

function child(container: unknown, key: string | number): unknown {
  return (container as Record<string | number, unknown>)[key];
}

/** Value at a path; undefined when there is none. */
export function readField(root: unknown, path: string): unknown {
  let current = root;
  for (const name of splitField(path)) {
    const key = resolveKey(current, name);
    if (key === undefined) return undefined;
    current = child(current, key);
  }
  return current;
}

/**
 * Sets the value at a path in place (meant for drafts and fresh copies).
 * @throws RangeError when a part of the path before the last does not exist.
 */
export function writeFieldInPlace(root: unknown, path: string, value: unknown): void {
  const names = splitField(path);
  const last = names.pop();
  if (last === undefined) throw new RangeError('An empty path names no field.');
  let current = root;
  for (const name of names) {
    const key = resolveKey(current, name);
    if (key === undefined) throw new RangeError(`There is no "${name}" on the way to ${path}.`);
    current = child(current, key);
  }
  const key = resolveKey(current, last) ?? last;
  (current as Record<string | number, unknown>)[key] = value;
}
