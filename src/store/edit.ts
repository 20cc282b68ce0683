import type { Analysis } from '@/core/analyse';
import { withFields } from '@/core/2-document/applyChange';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import type { Words } from '@/core/1-base/words/phrase';
import type { Remedy } from '@/core/7-verdict/finding';
import { ghostTaken, previewArrived, previewAsked, previewDropped } from './analysisSlice';
import { documentEdited } from './documentSlice';
import { dragEnded, dragStarted } from './sessionSlice';
import type { AppThunk } from './store';

export interface FieldEdit {
  readonly field: string;
  readonly value: unknown;
}

/** Null when the edit was taken, else why not. */
export type EditOutcome = { readonly path: string; readonly message: Words } | null;

/** Replaces the document by a checked new state; an invalid one changes nothing. */
export const editDesign =
  (recipe: (design: Design) => Design, gesture?: string): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const present = getState().document.present;
    if (!present) return null;
    const checked = designSchema.safeParse(recipe(present));
    if (!checked.success) {
      const [issue] = checked.error.issues;
      return { path: `/${issue!.path.join('/')}`, message: issue!.message };
    }
    dispatch(previewDropped());
    dispatch(documentEdited({ design: checked.data, gesture }));
    return null;
  };

/** Sets fields by path. Edits that share a gesture are undone together. */
export const setFields = (change: readonly FieldEdit[], gesture?: string): AppThunk<EditOutcome> =>
  editDesign((design) => withFields(design, change), gesture);

export const startDrag = (): AppThunk => (dispatch) => {
  dispatch(ghostTaken());
  dispatch(dragStarted());
};

export const endDrag = (): AppThunk => (dispatch) => {
  dispatch(dragEnded());
};

/** Takes a remedy; the state before it stays on the beam as a ghost. */
export const applyRemedy =
  ({ change }: Remedy): AppThunk<EditOutcome> =>
  (dispatch) => {
    dispatch(ghostTaken());
    return dispatch(setFields(change));
  };

/** Computes what a remedy would do and shows it beside the present state. */
export const previewRemedy =
  (remedy: Remedy): AppThunk =>
  (dispatch, getState, { preview }) => {
    const { present } = getState().document;
    if (!present) return;
    dispatch(previewAsked(remedy));
    void preview.request(withFields(present, remedy.change), { without: ['remedies'] }).then((outcome) => {
      if (outcome.kind === 'done' && getState().document.present === present) {
        dispatch(previewArrived({ remedy, analysis: outcome.analysis }));
      }
    });
  };

/** The numbers of a changed copy, without showing it anywhere; null when it could not be computed or something newer was asked. */
export const analyseVariant =
  (design: Design): AppThunk<Promise<Analysis | null>> =>
  async (_dispatch, _getState, { preview }) => {
    const outcome = await preview.request(design, { without: ['remedies'] });
    return outcome.kind === 'done' ? outcome.analysis : null;
  };
