import { produce } from 'immer';
import type { Design } from '../schema/design';
import { writeFieldInPlace } from './fieldPath';

/**
 * A design with fields set to new values; every part off their paths is the
 * same object as before. Paths may come as data, so they are looked up.
 * @throws RangeError when a path does not exist
 */
export function withFields(design: Design, change: readonly { field: string; value: unknown }[]): Design {
  return produce(design, (draft) => {
    for (const { field, value } of change) writeFieldInPlace(draft, field, value);
  });
}
