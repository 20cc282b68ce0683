import { withControlsThatAre } from '@/core/2-document/edit/mixesKept';
import { isWing } from '@/core/2-document/schema/roles';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { type AddedKind, addedSurface } from '@/core/8-sizing/planform/addSurface';
import { holdSizes, resizeWings, type WingSize } from '@/core/8-sizing/planform/resize';
import { editDesign, type EditOutcome, setFields } from './edit';
import { surfaceChosen } from './sessionSlice';
import type { AppThunk } from './reduxStore';
import { say, type Words } from '@/core/1-base/words/phrase';

/** What an edit moves first: locks stretch the other. */
export type Driven = 'span' | 'chord';

/** The edits with the locked sizes brought back; those of a refused edit are none. */
export function heldEdits(
  design: Design,
  edits: readonly FieldChange[],
  hold: { readonly locked: readonly WingSize[]; readonly driven: Driven },
): { readonly edits: readonly FieldChange[]; readonly because: Words | null } {
  if (hold.locked.length === 0) return { edits, because: null };
  const held = holdSizes(design, withFields(design, edits), hold);
  return 'because' in held
    ? { edits: [], because: held.because }
    : { edits: [field('surfaces').to(held.surfaces)], because: null };
}

const isOfWing = (design: Design, id: string) =>
  design.surfaces.some((surface) => surface.id === id && isWing(surface));

/** Fields of one surface; on wings the locks are kept. */
export const setSurfaceFields =
  (id: string, edits: readonly FieldChange[], driven: Driven | null): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const design = getState().document.present;
    const { locked } = getState().session;
    if (!design || driven === null || locked.length === 0 || !isOfWing(design, id)) return dispatch(setFields(edits));
    const held = heldEdits(design, edits, { locked, driven });
    return held.because === null
      ? dispatch(setFields(held.edits))
      : { path: '', message: say`cannot change: ${held.because}` };
  };

/** Brings one size of the wings to a value, the locked ones staying. */
export const resizeWing =
  (size: WingSize, value: number): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const design = getState().document.present;
    if (!design) return null;
    const result = resizeWings(design, { size, value }, getState().session.locked);
    return result.kind === 'impossible'
      ? { path: '', message: say`cannot change: ${result.because}` }
      : dispatch(editDesign(() => keptOnTips(design, result.design)));
  };

/** Replaces one surface by what a recipe makes of it. */
export const editSurface = (id: string, recipe: (surface: Surface) => Surface): AppThunk<EditOutcome> =>
  editDesign((design) =>
    keptOnTips(design, {
      ...design,
      surfaces: design.surfaces.map((surface) => (surface.id === id ? recipe(surface) : surface)),
    }),
  );

export const addSurface =
  (kind: AddedKind): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const design = getState().document.present;
    if (!design) return null;
    const surface = addedSurface(design, kind);
    const outcome = dispatch(editDesign((current) => ({ ...current, surfaces: [...current.surfaces, surface] })));
    if (!outcome) dispatch(surfaceChosen({ surface: surface.id }));
    return outcome;
  };

/** Takes a surface out, with the mixes, tolerances and assemblies that name it. */
export const removeSurface = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const gone = design.surfaces.find((surface) => surface.id === id);
    const controls = new Set(gone?.controls.map((control) => control.id));
    return {
      ...withControlsThatAre(design, (control) => !controls.has(control)),
      surfaces: design.surfaces.filter((surface) => surface.id !== id),
      tolerances: design.tolerances.filter(({ field }) => !field.startsWith(`/surfaces/${id}/`)),
      assemblies: design.assemblies.map((assembly) => ({
        ...assembly,
        surfaces: assembly.surfaces.filter((surface) => surface !== id),
      })),
    };
  });

/** Takes a control out, with what mixes and flight modes say of it. */
export const removeControl = (surface: string, control: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...withControlsThatAre(design, (id) => id !== control),
    surfaces: design.surfaces.map((other) =>
      other.id === surface ? { ...other, controls: other.controls.filter(({ id }) => id !== control) } : other,
    ),
    tolerances: design.tolerances.filter(({ field }) => !field.startsWith(`/surfaces/${surface}/controls/${control}/`)),
  }));
