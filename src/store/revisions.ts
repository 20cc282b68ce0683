import { readDesign } from '@/core/2-document/readDesign';
import type { Design } from '@/core/2-document/schema/design';
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
export const branchFrom =
  (id: string): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const present = getState().document.present;
    if (!present) return null;
    const state = stateOfRevision(present, id);
    if ('because' in state) return { path: '/revisions', message: state.because };
    return dispatch(
      editDesign(({ tosses, flights, revisions, name }) => ({
        ...state.design,
        name,
        tosses,
        flights,
        revisions,
        basedOn: id,
      })),
    );
  };

/** Takes a kept state out of the record; those that grew from it keep its parent. */
export const dropRevision = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const gone = design.revisions.find((revision) => revision.id === id);
    const adopt = (parent: string | undefined) => (parent === id ? gone?.parent : parent);
    return {
      ...design,
      basedOn: adopt(design.basedOn),
      revisions: design.revisions
        .filter((revision) => revision.id !== id)
        .map((revision) => ({ ...revision, parent: adopt(revision.parent) })),
    };
  });

/** Lays a kept state under the drawing and computes it; null takes it away. Says why when it cannot be read. */
export const compareWith =
  (id: string | null): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const present = getState().document.present;
    if (id === null || !present) {
      dispatch(comparisonDropped());
      return null;
    }
    const state = stateOfRevision(present, id);
    if ('because' in state) return { path: '/revisions', message: state.because };
    const name = present.revisions.find((revision) => revision.id === id)!.name;
    dispatch(comparisonStarted({ id, name, design: state.design }));
    void dispatch(analyseVariant(state.design)).then((analysis) => {
      if (analysis && getState().session.compared?.id === id) dispatch(comparisonComputed(analysis));
    });
    return null;
  };
