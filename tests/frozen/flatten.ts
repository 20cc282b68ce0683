import { createHash } from 'node:crypto';

/** Numbers of an analysis by path; a list, which would be long, by a digest of all its digits. */
export function flatten(value: unknown, path = ''): Record<string, number | string | null> {
  if (Array.isArray(value)) return { [path]: createHash('sha256').update(JSON.stringify(value)).digest('base64url') };
  if (typeof value === 'number' || value === null) return { [path]: value };
  if (typeof value !== 'object') return {};
  return Object.assign(
    {},
    ...Object.entries(value).flatMap(([key, entry]) =>
      key === 'reasons' ? [] : [flatten(entry, path === '' ? key : `${path}.${key}`)],
    ),
  ) as Record<string, number | string | null>;
}
