import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { DriveParts } from '@/core/2-document/catalogue/driveParts';
import type { ChoiceResult } from '@/core/8-sizing/chooseDrive';

export interface ChoiceState {
  /** How far the trying has come; null when nothing goes on. */
  readonly progress: Progress | null;
  /** What was tried, for which drive, and what came of it. */
  readonly tried: { readonly drive: string; readonly parts: DriveParts } | null;
  readonly result: ChoiceResult | null;
  readonly failure: string | null;
  /** Counts the requests, so that a late answer of an older one is not shown. */
  readonly run: number;
}

const initialState: ChoiceState = { progress: null, tried: null, result: null, failure: null, run: 0 };

export const choiceSlice = createSlice({
  name: 'choice',
  initialState,
  reducers: {
    choosingStarted: (state, { payload }: PayloadAction<NonNullable<ChoiceState['tried']>>) => ({
      ...initialState,
      progress: { done: 0, total: 1 },
      tried: payload,
      run: state.run + 1,
    }),
    choosingWentOn: (state, { payload }: PayloadAction<Progress>) => ({
      ...state,
      progress: state.progress && payload,
    }),
    driveChosen: (state, { payload }: PayloadAction<ChoiceResult>) => ({ ...state, progress: null, result: payload }),
    choosingFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, progress: null, failure: payload }),
    choosingCancelled: (state) => ({ ...state, progress: null, run: state.run + 1 }),
    choosingCleared: (state) => ({ ...initialState, run: state.run + 1 }),
  },
});

export const { choosingStarted, choosingWentOn, driveChosen, choosingFailed, choosingCancelled, choosingCleared } =
  choiceSlice.actions;
