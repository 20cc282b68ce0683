import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { SizingResult } from '@/core/8-sizing/sizeDesign';

export interface SizingState {
  /** Layouts still to be sized; nought when nothing goes on. */
  readonly left: number;
  readonly asked: number;
  readonly results: readonly SizingResult[];
  readonly failure: string | null;
  /** Counts the requests, so that a late answer of an older one is not shown. */
  readonly run: number;
}

const initialState: SizingState = { left: 0, asked: 0, results: [], failure: null, run: 0 };

export const sizingSlice = createSlice({
  name: 'sizing',
  initialState,
  reducers: {
    sizingStarted: (state, { payload }: PayloadAction<{ count: number; keep: boolean }>) => ({
      left: payload.count,
      asked: payload.count,
      results: payload.keep ? state.results : [],
      failure: null,
      run: state.run + 1,
    }),
    layoutSized: (state, { payload }: PayloadAction<SizingResult>) => ({
      ...state,
      left: state.left - 1,
      results: [...state.results, payload],
    }),
    sizingFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, left: 0, failure: payload }),
    sizingCancelled: (state) => ({ ...state, left: 0, run: state.run + 1 }),
    sizingCleared: (state) => ({ ...initialState, run: state.run + 1 }),
  },
});

export const { sizingStarted, layoutSized, sizingFailed, sizingCancelled, sizingCleared } = sizingSlice.actions;
