import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Analysis } from '@/core/analyse';

export interface AnalysisState {
  readonly current: Analysis | null;
  /** Of the state before the change that is going on: the ghost on the beam. */
  readonly ghost: Analysis | null;
  readonly preview: { readonly label: string; readonly analysis: Analysis } | null;
  /** Label of the remedy that is being looked at, so that a late answer is not shown. */
  readonly previewAsked: string | null;
  readonly failure: string | null;
  readonly milliseconds: number | null;
  /** Counts arrivals, so that the end of a drag can be waited for. */
  readonly arrivals: number;
}

const initialState: AnalysisState = {
  current: null,
  ghost: null,
  preview: null,
  previewAsked: null,
  failure: null,
  milliseconds: null,
  arrivals: 0,
};

export const analysisSlice = createSlice({
  name: 'analysis',
  initialState,
  reducers: {
    analysisArrived: (state, { payload }: PayloadAction<{ analysis: Analysis; milliseconds: number }>) => ({
      ...state,
      current: payload.analysis,
      milliseconds: payload.milliseconds,
      failure: null,
      arrivals: state.arrivals + 1,
    }),
    analysisFailed: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      failure: payload,
      arrivals: state.arrivals + 1,
    }),
    analysisCleared: () => initialState,
    ghostTaken: (state) => ({ ...state, ghost: state.current }),
    ghostDropped: (state) => ({ ...state, ghost: null }),
    previewArrived: (state, { payload }: PayloadAction<{ label: string; analysis: Analysis }>) =>
      payload.label === state.previewAsked ? { ...state, preview: payload } : state,
    previewAsked: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      previewAsked: payload,
    }),
    previewDropped: (state) => ({ ...state, preview: null, previewAsked: null }),
  },
});

export const {
  analysisArrived,
  analysisFailed,
  analysisCleared,
  ghostTaken,
  ghostDropped,
  previewArrived,
  previewAsked,
  previewDropped,
} = analysisSlice.actions;
