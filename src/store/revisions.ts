import { readDesign } from '@/core/document/readDesign';
import type { Design } from '@/core/document/schema/design';
import { analyseVariant, editDesign, type EditOutcome } from './edit';
import { comparisonComputed, comparisonDropped, comparisonStarted } from './sessionSlice';
import type { AppThunk } from './store';

/** A whole state without its record of revisions, as it is kept in one. */
function stateOf(design: Design): Record<string, unknown> {
  return structuredClone(Object.fromEntries(Object.entries(design).filter(([key]) => key !== 'revisions')));
}

function freshId(taken: readonly { readonly id: string }[]): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `revision${number}`)) number++;
  return `revision${number}`;
}

/** Keeps the present state under a name; it grew from the one that was kept or gone back to last. */
export const keepRevision = (name: string, notes = ''): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const id = freshId(design.revisions);
    return {
      ...design,
      basedOn: id,
      revisions: [
        ...design.revisions,
        {
          id,
          name,
          at: new Date().toISOString(),
          ...(design.basedOn ? { parent: design.basedOn } : {}),
          notes,
          design: stateOf(design),
        },
      ],
    };
  });

/** The state that a revision kept, migrated to this version; null with words when it cannot be read. */
export function stateOfRevision(design: Design, id: string): { design: Design } | { because: string } {
  const revision = design.revisions.find((candidate) => candidate.id === id);
  if (!revision) return { because: 'There is no such revision.' };
  const read = readDesign({ ...revision.design, revisions: [] });
  return read.ok
    ? { design: read.design }
    : { because: read.issues.map(({ path, message }) => `${path} ${message}`).join('; ') };
}

/** Goes on from a kept state: what is drawn becomes that state, the record stays. One step back. */
export const branchFrom = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const state = stateOfRevision(design, id);
    if ('because' in state) return design;
    const { tosses, flights, revisions, name } = design;
    return { ...state.design, name, tosses, flights, revisions, basedOn: id };
  });

/** Lays a kept state under the drawing and computes it. */
export const compareWith =
  (id: string | null): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const present = getState().document.present;
    if (id === null || !present) {
      dispatch(comparisonDropped());
      return;
    }
    const state = stateOfRevision(present, id);
    if ('because' in state) return;
    const name = present.revisions.find((revision) => revision.id === id)!.name;
    dispatch(comparisonStarted({ id, name, design: state.design }));
    const analysis = await dispatch(analyseVariant(state.design));
    if (analysis && getState().session.compared?.id === id) dispatch(comparisonComputed(analysis));
  };
