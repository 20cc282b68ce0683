import { checkChange } from '@/core/2-document/edit/checkChange';
import { readField, splitField } from '@/core/2-document/edit/fieldPath';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { unitOfField } from '@/core/2-document/fieldUnits';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';

/** A design, or why there is none. */
export type Varied = { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly because: string };

/** One thing that is varied: a field of the document, or what moves several together. */
export interface VariedInput {
  readonly name: string;
  /** Unit of its values, as the document has it; empty for pure numbers. */
  readonly unit: string;
  /** What it is in a design; null where it is not set. */
  readonly valueIn: (design: Design) => number | null;
  readonly set: (design: Design, value: number) => Varied;
}

const fault = (because: string): { readonly ok: false; readonly because: string } => ({ ok: false, because });

/**
 * Any number of the document by its path, such as `/surfaces/wing/incidence`.
 * Values are checked as if they were typed: what the format does not allow is
 * told with the place and the limit.
 */
export function variedField(
  design: Design,
  path: string,
): { readonly ok: true; readonly input: VariedInput } | { readonly ok: false; readonly because: string } {
  const names = splitField(path);
  const parent = readField(design, names.slice(0, -1).join('/'));
  const now = readField(design, path);
  if (names.length === 0 || typeof parent !== 'object' || parent === null)
    return fault(`${path} is no field of this design: parts are named by their id, such as /surfaces/wing/incidence.`);
  if (now !== undefined && typeof now !== 'number')
    return fault(`${path} holds ${now === null ? 'nothing' : `a ${typeof now}`}, and only numbers can be varied.`);
  const set = (of: Design, value: number): Varied => {
    const checked = checkChange(of, keptOnTips(of, withFields(of, [{ field: path, value }])));
    if (checked.ok) return checked;
    const [issue] = checked.issues;
    return fault(`${issue?.path ?? path} ${issue?.message ?? 'is not allowed'} (${value} was asked)`);
  };
  return {
    ok: true,
    input: {
      name: path,
      unit: unitOfField(path),
      valueIn: (of) => {
        const value = readField(of, path);
        return typeof value === 'number' ? value : null;
      },
      set,
    },
  };
}
