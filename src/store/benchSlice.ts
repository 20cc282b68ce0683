import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import type { GateVerdict } from '@/core/8-bench/judgeGate';

export interface BenchState {
  /** What gates bear and what was read means, of which design. */
  readonly judged: { readonly of: Design; readonly verdicts: readonly GateVerdict[] } | null;
  readonly failure: string | null;
  /** The design that is built against a made-up airframe; null while nothing is rehearsed. */
  readonly rehearsing: string | null;
}

const initialState: BenchState = { judged: null, failure: null, rehearsing: null };

export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    gatesJudged: (state, { payload }: PayloadAction<NonNullable<BenchState['judged']>>): BenchState => ({
      ...state,
      judged: payload,
      failure: null,
    }),
    rehearsed: (state, { payload }: PayloadAction<string | null>): BenchState => ({ ...state, rehearsing: payload }),
    gatesFailed: (state, { payload }: PayloadAction<string>): BenchState => ({ ...state, failure: payload }),
  },
});

export const { gatesJudged, gatesFailed, rehearsed } = benchSlice.actions;
