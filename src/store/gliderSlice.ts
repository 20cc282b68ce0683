import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { Degrees, Fraction, Metres, MetresPerSecond } from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { LaunchKind } from '@/core/7-flight/launches';
import type { PilotName } from '@/core/7-flight/pilots';
import type { Toss } from '@/core/7-flight/toss/settings';
import type { SmallMade } from '@/core/7-flight/toss/smallGlider';
import type { Spread } from '@/core/7-flight/toss/tossOften';
import type { Change, Tossed } from '@/core/7-flight/toss/virtualToss';
import type { ScalesCompared, TossesTell } from '@/workers/contract';

/** How the glider is thrown on the screen. */
export interface TossAsked {
  readonly scale: number;
  /** Null as an arm throws it. */
  readonly speed: MetresPerSecond | null;
  readonly path: Degrees;
  readonly height: Metres;
  readonly pilot: PilotName;
  readonly launch: LaunchKind;
  /** Of a line or wheels: whether what they do is flown too. */
  readonly fromRest: boolean;
  /** Of the drives; 0 without power. */
  readonly throttle: Fraction;
  /** Against the throw. */
  readonly wind: MetresPerSecond;
  readonly isGusty: boolean;
  readonly change: Change | null;
}

/** What goes on in the worker, one after another. */
export type GliderWork = 'toss' | 'often' | 'tell' | 'scales' | 'small';

export interface GliderState {
  readonly asked: TossAsked;
  readonly progress: Readonly<Record<GliderWork, Progress | null>>;
  readonly tossed: { readonly of: Design; readonly asked: TossAsked; readonly result: Tossed } | null;
  readonly spread: { readonly of: Design; readonly asked: TossAsked; readonly result: Spread } | null;
  readonly told: { readonly of: Design; readonly by: readonly Toss[]; readonly result: TossesTell } | null;
  readonly scales: { readonly of: Design; readonly scale: number; readonly result: ScalesCompared } | null;
  readonly small: { readonly of: Design; readonly board: Material | null; readonly result: SmallMade } | null;
  readonly failure: string | null;
  /** Counts the requests of each kind, so that a late answer of an older one is not shown. */
  readonly runs: Readonly<Record<GliderWork, number>>;
}

const initialState: GliderState = {
  asked: {
    scale: 1,
    speed: null,
    path: 0,
    height: 1.8,
    pilot: 'handsOff',
    launch: 'hand',
    fromRest: true,
    throttle: 0,
    wind: 0,
    isGusty: false,
    change: null,
  },
  progress: { toss: null, often: null, tell: null, scales: null, small: null },
  tossed: null,
  spread: null,
  told: null,
  scales: null,
  small: null,
  failure: null,
  runs: { toss: 0, often: 0, tell: 0, scales: 0, small: 0 },
};

const without = (state: GliderState, work: GliderWork): GliderState['progress'] => ({
  ...state.progress,
  [work]: null,
});

export const gliderSlice = createSlice({
  name: 'glider',
  initialState,
  reducers: {
    tossAsked: (state, { payload }: PayloadAction<Partial<TossAsked>>) => ({
      ...state,
      asked: { ...state.asked, ...payload },
    }),
    gliderStarted: (state, { payload }: PayloadAction<GliderWork>) => ({
      ...state,
      failure: null,
      progress: { ...state.progress, [payload]: { done: 0, total: 1 } },
      runs: { ...state.runs, [payload]: state.runs[payload] + 1 },
    }),
    gliderWentOn: (state, { payload }: PayloadAction<{ work: GliderWork; progress: Progress }>) => ({
      ...state,
      progress: { ...state.progress, [payload.work]: payload.progress },
    }),
    tossFlown: (state, { payload }: PayloadAction<NonNullable<GliderState['tossed']>>) => ({
      ...state,
      progress: without(state, 'toss'),
      tossed: payload,
    }),
    throwsFlown: (state, { payload }: PayloadAction<NonNullable<GliderState['spread']>>) => ({
      ...state,
      progress: without(state, 'often'),
      spread: payload,
    }),
    tossesTold: (state, { payload }: PayloadAction<NonNullable<GliderState['told']>>) => ({
      ...state,
      progress: without(state, 'tell'),
      told: payload,
    }),
    scalesCompared: (state, { payload }: PayloadAction<NonNullable<GliderState['scales']>>) => ({
      ...state,
      progress: without(state, 'scales'),
      scales: payload,
    }),
    smallTold: (state, { payload }: PayloadAction<NonNullable<GliderState['small']>>) => ({
      ...state,
      progress: without(state, 'small'),
      small: payload,
    }),
    gliderFailed: (state, { payload }: PayloadAction<{ work: GliderWork; message: string | null }>) => ({
      ...state,
      progress: without(state, payload.work),
      failure: payload.message,
      runs: { ...state.runs, [payload.work]: state.runs[payload.work] + 1 },
    }),
  },
});

export const {
  tossAsked,
  gliderStarted,
  gliderWentOn,
  tossFlown,
  throwsFlown,
  tossesTold,
  scalesCompared,
  smallTold,
  gliderFailed,
} = gliderSlice.actions;
