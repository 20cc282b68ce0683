import type { Design } from '@/core/2-document/schema/design';
import type { FoldOfSheet } from '@/core/3-shape/pattern/foldPattern';
import { USUAL_LAYOUT } from '@/core/4-parts/layout';
import { laidOut, layingCancelled, layingFailed, layingStarted, layingStopped, layingWentOn } from './plansSlice';
import type { AppThunk } from './reduxStore';

const SLOT = 'plans';

/** Ends the laying out that goes on, because nobody looks at it any more. */
export const cancelLaying =
  (): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(layingCancelled());
    jobs.cancel(SLOT);
  };

/** Ends it because someone said so: it stays ended until it is asked for or the design changes. */
export const stopLaying =
  (): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(layingStopped());
    jobs.cancel(SLOT);
  };

/** Lays the parts of a design, its skins as trial folds of their boards ask, on sheets in the worker; a newer request or a cancel ends it. */
export const layOutParts =
  (design: Design, folds: readonly FoldOfSheet[], scale = 1): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    dispatch(layingStarted());
    const { run } = getState().plans;
    const isCurrent = () => getState().plans.run === run;
    const outcome = await jobs.ask(
      'layOut',
      { design, folds, options: { ...USUAL_LAYOUT, scale } },
      { lane: 'long', slot: SLOT, onProgress: (progress) => isCurrent() && dispatch(layingWentOn(progress)) },
    );
    if (!isCurrent()) return;
    if (outcome.kind === 'done') dispatch(laidOut({ ...outcome.output, of: design, scale }));
    else if (outcome.kind === 'failed') dispatch(layingFailed(outcome.message));
    else dispatch(layingCancelled());
  };
