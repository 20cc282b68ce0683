import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { type MassItem, massItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Equipment } from '@/core/2-document/catalogue/library';
import { readWeights } from '@/files/weightsTable';
import { editDesign, type EditOutcome } from './edit';
import type { DrawerEntry } from './settingsSlice';
import type { AppThunk } from './reduxStore';
import type { Words } from '@/core/1-base/words/phrase';

export function freshItemId({ massItems }: Design): string {
  let number = massItems.length + 1;
  while (massItems.some(({ id }) => id === `part${number}`)) number++;
  return `part${number}`;
}

/** Puts a bought part or an empty line in, about where it balances now, so that nothing moves until it is placed. */
export const addItem =
  (from: Equipment | DrawerEntry | null): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const cg = getState().analysis.current?.mass.cg;
    return dispatch(
      editDesign((design) => {
        const id = freshItemId(design);
        const item: MassItem = massItemSchema.parse({
          id,
          name: from?.name ?? `Part ${design.massItems.length + 1}`,
          category: from?.category ?? 'other',
          mass: from?.mass ?? 10,
          position: {
            x: Math.round(millimetresFromMetres(cg?.[0] ?? 0.2)),
            y: 0,
            z: Math.round(millimetresFromMetres(cg?.[2] ?? 0)),
          },
          ...(from?.size ? { size: { ...from.size } } : {}),
        });
        return { ...design, massItems: [...design.massItems, item] };
      }),
    );
  };

/** Takes equipment out, with the assemblies and tolerances that name it. */
export const removeItem = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    massItems: design.massItems.filter((item) => item.id !== id),
    tolerances: design.tolerances.filter(({ field }) => !field.startsWith(`/massItems/${id}/`)),
    assemblies: design.assemblies.map((assembly) => ({
      ...assembly,
      massItems: assembly.massItems.filter((item) => item !== id),
    })),
  }));

export type PasteOutcome =
  | { readonly ok: true; readonly changed: number; readonly added: number }
  | { readonly ok: false; readonly message: Words };

/** Takes rows of weights over, all or none. One step back. */
export const pasteWeights =
  (text: string): AppThunk<PasteOutcome> =>
  (dispatch, getState) => {
    const design = getState().document.present;
    if (!design) return { ok: false, message: 'No design is open.' };
    const read = readWeights(design, text);
    if (!read.ok) return read;
    const weighed = <Part extends { readonly id: string; readonly measuredMass?: number }>(part: Part): Part =>
      read.weighed.has(part.id) ? { ...part, measuredMass: read.weighed.get(part.id) } : part;
    const outcome = dispatch(
      editDesign((current) => ({
        ...current,
        massItems: [...read.items],
        surfaces: current.surfaces.map(weighed),
        bodies: current.bodies.map(weighed),
      })),
    );
    return outcome ? { ok: false, message: outcome.message } : { ok: true, changed: read.changed, added: read.added };
  };
