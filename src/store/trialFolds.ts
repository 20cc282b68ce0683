import type { TrialFold } from '@/core/2-document/records/recordKinds';
import type { AppThunk } from './reduxStore';

/** Adds a trial fold of a board, to be filled in with what it showed. */
export const addTrialFold =
  (material: string): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { session, document } = getState();
    if (session.id === null) return;
    const taken = await designs.records.ids('trialFolds', session.id);
    let number = taken.size + 1;
    while (taken.has(`fold${number}`)) number++;
    const fold: TrialFold = {
      id: `fold${number}`,
      at: new Date().toISOString(),
      ...(document.present?.basedOn ? { revision: document.present.basedOn } : {}),
      material,
      noseRadius: 12,
      angle: 180,
      shortfall: 0,
      scoredFace: 'inner',
      notes: '',
    };
    await designs.records.put('trialFolds', session.id, fold);
  };

/** Changes what a trial fold showed. */
export const changeTrialFold =
  (
    fold: TrialFold,
    part: Partial<Pick<TrialFold, 'shortfall' | 'angle' | 'scoredFace' | 'stripCut' | 'chordReached'>>,
  ): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id !== null) await designs.records.put('trialFolds', id, { ...fold, ...part });
  };

/** Takes a trial fold out; the answer puts it back. */
export const dropTrialFold =
  (fold: string): AppThunk<Promise<() => Promise<void>>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    return id === null ? () => Promise.resolve() : designs.records.remove('trialFolds', id, fold);
  };
