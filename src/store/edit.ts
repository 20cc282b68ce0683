import type { Analysis } from '@/core/analyse';
import type { Words } from '@/core/1-base/words/phrase';
import { checkChange } from '@/core/2-document/edit/checkChange';
import type { FieldChange } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import type { Remedy } from '@/core/7-verdict/finding';
import { ghostTaken, previewArrived, previewAsked } from './analysisSlice';
import { documentEdited } from './documentSlice';
import { dragEnded, dragStarted } from './sessionSlice';
import type { AppThunk } from './reduxStore';

/** Null when the edit was taken, else why not. */
export type EditOutcome = { readonly path: string; readonly message: Words } | null;

/** Replaces the document by a new state whose changed parts were checked; an invalid one changes nothing. */
export const editDesign =
  (recipe: (design: Design) => Design, gesture?: string): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const present = getState().document.present;
    if (!present) return null;
    const checked = checkChange(present, recipe(present));
    if (!checked.ok) return checked.issues[0]!;
    dispatch(documentEdited({ design: checked.design, gesture }));
    return null;
  };

/** Sets fields; fins stay on the tips they stand on. Edits that share a gesture are undone together. */
export const setFields = (change: readonly FieldChange[], gesture?: string): AppThunk<EditOutcome> =>
  editDesign((design) => keptOnTips(design, withFields(design, change)), gesture);

/** A handle is dragged from now on; what it lies on, from the outside inwards. */
export const startDrag =
  (on: readonly string[] = []): AppThunk =>
  (dispatch) => {
    dispatch(ghostTaken());
    dispatch(dragStarted(on));
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
  (dispatch, getState, { jobs }) => {
    const { present, key } = getState().document;
    if (!present) return;
    dispatch(previewAsked(remedy));
    const design = keptOnTips(present, withFields(present, remedy.change));
    void jobs
      .ask('analyse', { design, options: { without: ['remedies'] } }, { lane: 'preview', slot: 'remedy' })
      .then((outcome) => {
        if (outcome.kind === 'done' && getState().document.key === key)
          dispatch(previewArrived({ remedy, analysis: outcome.output.analysis }));
      });
  };

/** The numbers of a changed copy, without showing it anywhere; null when it could not be computed or is not wanted any more. */
export const analyseVariant =
  (
    design: Design,
    { signal, slot }: { signal?: AbortSignal; slot?: string } = {},
  ): AppThunk<Promise<Analysis | null>> =>
  async (_dispatch, _getState, { jobs }) => {
    const input = { design, options: { without: ['remedies'] } } as const;
    const outcome = await jobs.ask('analyse', input, { lane: 'preview', signal, slot });
    return outcome.kind === 'done' ? outcome.output.analysis : null;
  };
