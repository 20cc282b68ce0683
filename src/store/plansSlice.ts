import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { LaidOut } from '@/workers/contract';
import type { Design } from '@/core/2-document/schema/design';

export interface PlansState {
  /** How far the laying out has come; null when nothing goes on. */
  readonly progress: Progress | null;
  /** True when someone stopped it, until it begins anew. */
  readonly isStopped: boolean;
  /** What was laid out last, and for which state of the design. */
  readonly laid: (LaidOut & { readonly of: Design; readonly scale: number }) | null;
  readonly failure: string | null;
  /** Part that is looked at, by its id. */
  readonly chosen: string | null;
  /** Of what is cut against the aircraft itself; 1 is full size. */
  readonly scale: number;
  /** Counts the requests, so that a late answer of an older one is not shown. */
  readonly run: number;
}

const initialState: PlansState = {
  progress: null,
  isStopped: false,
  laid: null,
  failure: null,
  chosen: null,
  scale: 1,
  run: 0,
};

export const plansSlice = createSlice({
  name: 'plans',
  initialState,
  reducers: {
    layingStarted: (state) => ({
      ...state,
      progress: { done: 0, total: 1 },
      isStopped: false,
      failure: null,
      run: state.run + 1,
    }),
    layingWentOn: (state, { payload }: PayloadAction<Progress>) => ({
      ...state,
      progress: state.progress && payload,
    }),
    laidOut: (state, { payload }: PayloadAction<NonNullable<PlansState['laid']>>) => ({
      ...state,
      progress: null,
      laid: payload,
    }),
    layingFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, progress: null, failure: payload }),
    layingStopped: (state) => ({ ...state, progress: null, isStopped: true, run: state.run + 1 }),
    layingCancelled: (state) => ({ ...state, progress: null, run: state.run + 1 }),
    partChosen: (state, { payload }: PayloadAction<string | null>) => ({ ...state, chosen: payload }),
    planScaleSet: (state, { payload }: PayloadAction<number>) => ({ ...state, scale: payload }),
    plansCleared: (state) => ({ ...initialState, run: state.run + 1 }),
  },
});

/** The part that is looked at; a piece of one that was split is looked at as the whole. */
export const partChosenOf = ({ parts }: LaidOut['list'], chosen: string | null) =>
  chosen === null
    ? undefined
    : parts.find(({ id }) => id === chosen || chosen.startsWith(`${id}-piece`) || chosen.startsWith(`${id}-brace`));

export const {
  layingStarted,
  layingWentOn,
  laidOut,
  layingFailed,
  layingStopped,
  layingCancelled,
  partChosen,
  planScaleSet,
  plansCleared,
} = plansSlice.actions;
