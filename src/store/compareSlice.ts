import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import type { SweepTold, TolerancesTold } from '@/workers/contract';

/** A sweep as it is asked for: a field by its path, its ends in the unit of the document, and what is looked at. */
export interface SweepAsked {
  readonly field: string;
  readonly from: number;
  readonly to: number;
  readonly output: string;
}

/** What goes on in the worker. */
export type CompareWork = 'tolerances' | 'sweep';

export interface CompareState {
  readonly progress: Readonly<Record<CompareWork, Progress | null>>;
  readonly tolerated: { readonly of: Design; readonly result: TolerancesTold } | null;
  readonly swept: { readonly of: Design; readonly asked: SweepAsked; readonly result: SweepTold } | null;
  readonly failure: string | null;
  /** Counts the requests of each kind, so that a late answer of an older one is not shown. */
  readonly runs: Readonly<Record<CompareWork, number>>;
}

const initialState: CompareState = {
  progress: { tolerances: null, sweep: null },
  tolerated: null,
  swept: null,
  failure: null,
  runs: { tolerances: 0, sweep: 0 },
};

const without = (state: CompareState, work: CompareWork): CompareState['progress'] => ({
  ...state.progress,
  [work]: null,
});

export const compareSlice = createSlice({
  name: 'compare',
  initialState,
  reducers: {
    compareStarted: (state, { payload }: PayloadAction<CompareWork>) => ({
      ...state,
      failure: null,
      progress: { ...state.progress, [payload]: { done: 0, total: 1 } },
      runs: { ...state.runs, [payload]: state.runs[payload] + 1 },
    }),
    compareWentOn: (state, { payload }: PayloadAction<{ work: CompareWork; progress: Progress }>) => ({
      ...state,
      progress: { ...state.progress, [payload.work]: payload.progress },
    }),
    tolerancesTold: (state, { payload }: PayloadAction<NonNullable<CompareState['tolerated']>>) => ({
      ...state,
      progress: without(state, 'tolerances'),
      tolerated: payload,
    }),
    sweepTold: (state, { payload }: PayloadAction<NonNullable<CompareState['swept']>>) => ({
      ...state,
      progress: without(state, 'sweep'),
      swept: payload,
    }),
    compareEnded: (state, { payload }: PayloadAction<{ work: CompareWork; message: string | null }>) => ({
      ...state,
      progress: without(state, payload.work),
      failure: payload.message,
      runs: { ...state.runs, [payload.work]: state.runs[payload.work] + 1 },
    }),
  },
});

export const { compareStarted, compareWentOn, tolerancesTold, sweepTold, compareEnded } = compareSlice.actions;
