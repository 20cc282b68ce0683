import type { Revision } from '@/core/2-document/records/recordKinds';
import { readDesign } from '@/core/2-document/readDesign';
import type { Design } from '@/core/2-document/schema/design';
import type { RecordHead } from '@/storage/database';
import { documentAmended } from './documentSlice';
import { analyseVariant, editDesign, type EditOutcome } from './edit';
import { comparisonComputed, comparisonDropped, comparisonStarted } from './sessionSlice';
import type { AppThunk } from './reduxStore';

const NOT_OPEN = { path: '/', message: 'No design is open.' } as const;
const GONE = { path: '/revisions', message: 'There is no such revision.' } as const;

/** A name that no revision has, readable or not. */
export function freshRevisionId(taken: ReadonlySet<string>): string {
  let number = taken.size + 1;
  while (taken.has(`revision${number}`)) number++;
  return `revision${number}`;
}

/**
 * Keeps the present state under a name; it grew from the one that was kept or
 * gone back to last. A row of its own: undo does not take it back.
 */
export const keepRevision =
  (name: string, notes = ''): AppThunk<Promise<EditOutcome>> =>
  async (dispatch, getState, { designs }) => {
    const { session, document } = getState();
    const { present } = document;
    if (session.id === null || !present) return NOT_OPEN;
    const id = freshRevisionId(await designs.records.ids('revisions', session.id));
    const revision: Revision = {
      id,
      name,
      at: new Date().toISOString(),
      ...(present.basedOn ? { parent: present.basedOn } : {}),
      notes,
      design: { ...present },
    };
    await designs.records.put('revisions', session.id, revision);
    const now = getState().document.present;
    if (now && getState().session.id === session.id) dispatch(documentAmended({ ...now, basedOn: id }));
    return null;
  };

/** The state that a revision of the open design kept, migrated to this version; words when it cannot be read. */
export const stateOfRevision =
  (id: string): AppThunk<Promise<{ readonly design: Design; readonly name: string } | { readonly because: string }>> =>
  async (_dispatch, getState, { designs }) => {
    const open = getState().session.id;
    if (open === null) return { because: NOT_OPEN.message };
    const head = await designs.records.head('revisions', open, id);
    if (!head) return { because: GONE.message };
    const read = readDesign(await designs.records.body('revisions', open, id));
    return read.ok
      ? { design: read.design, name: head.name }
      : { because: read.issues.map(({ path, message }) => `${path} ${message}`).join('; ') };
  };

/** Goes on from a kept state: what is drawn becomes that state. One step back. */
export const branchFrom =
  (id: string): AppThunk<Promise<EditOutcome>> =>
  async (dispatch, getState) => {
    const open = getState().session.id;
    const state = await dispatch(stateOfRevision(id));
    if ('because' in state) return { path: '/revisions', message: state.because };
    if (getState().session.id !== open) return NOT_OPEN;
    return dispatch(editDesign(({ name }) => ({ ...state.design, name, basedOn: id })));
  };

/** Takes a kept state out of the record; those that grew from it keep its parent. Answers how to put it back. */
export const dropRevision =
  (id: string): AppThunk<Promise<() => Promise<void>>> =>
  async (dispatch, getState, { designs }) => {
    const open = getState().session.id;
    const nothing = () => Promise.resolve();
    const gone = open === null ? undefined : await designs.records.head('revisions', open, id);
    if (open === null || !gone) return nothing;
    const children = (await designs.records.heads('revisions', open)).filter(({ parent }) => parent === id);
    const putBack = await designs.records.remove('revisions', open, id);
    const adopt = async (parent: string | undefined) => {
      for (const child of children) await designs.records.change('revisions', open, child.id, { parent });
    };
    await adopt(gone.parent);
    const before = getState().document.present;
    const wasBase = before?.basedOn === id && getState().session.id === open;
    if (wasBase) dispatch(documentAmended({ ...before, basedOn: gone.parent }));
    return async () => {
      await putBack();
      await adopt(id);
      const now = getState().document.present;
      if (wasBase && now && getState().session.id === open && now.basedOn === gone.parent)
        dispatch(documentAmended({ ...now, basedOn: id }));
    };
  };

/** Lays a kept state under the drawing and computes it; null takes it away. Says why when it cannot be read. */
export const compareWith =
  (id: string | null): AppThunk<Promise<EditOutcome>> =>
  async (dispatch, getState) => {
    if (id === null) {
      dispatch(comparisonDropped());
      return null;
    }
    const state = await dispatch(stateOfRevision(id));
    if ('because' in state) return { path: '/revisions', message: state.because };
    dispatch(comparisonStarted({ id, name: state.name, design: state.design }));
    void dispatch(analyseVariant(state.design, { slot: 'compared' })).then((analysis) => {
      if (analysis && getState().session.compared?.id === id) dispatch(comparisonComputed(analysis));
    });
    return null;
  };

export type RevisionHead = RecordHead<'revisions'>;
