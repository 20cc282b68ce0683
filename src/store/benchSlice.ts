import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import type { GateVerdict } from '@/core/8-bench/judgeGate';

export interface BenchState {
  /** What gates bear and what was read means, of which design. */
  readonly judged: { readonly of: Design; readonly verdicts: readonly GateVerdict[] } | null;
  readonly failure: string | null;
}

const initialState: BenchState = { judged: null, failure: null };

export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    gatesJudged: (_, { payload }: PayloadAction<NonNullable<BenchState['judged']>>): BenchState => ({
      judged: payload,
      failure: null,
    }),
    gatesFailed: (state, { payload }: PayloadAction<string>): BenchState => ({ ...state, failure: payload }),
  },
});

export const { gatesJudged, gatesFailed } = benchSlice.actions;
