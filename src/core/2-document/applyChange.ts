import { writeFieldInPlace } from './fieldPath';
import type { Design } from './schema/design';

/** A copy of a design with fields set to new values. @throws RangeError when a path does not exist */
export function withFields(design: Design, change: readonly { field: string; value: unknown }[]): Design {
  const copy = structuredClone(design);
  for (const { field, value } of change) writeFieldInPlace(copy, field, value);
  return copy;
}
