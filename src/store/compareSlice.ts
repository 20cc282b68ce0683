import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import type { OutputRow } from '@/core/9-compare/outputs';
import type { SearchTold } from '@/core/9-compare/search/search';
import type { Variant } from '@/core/9-compare/variants/variant';
import type { InputRange, SearchInput, SweepTold, TolerancesTold } from '@/workers/contract';

/** A sweep as it is asked for: one input or two, what slides along, and what is looked at. */
export interface SweepAsked {
  readonly inputs: readonly InputRange[];
  readonly slides: string | null;
  readonly output: string;
}

/** A search as it is asked for. */
export type SearchAsked = Omit<SearchInput, 'design'>;

/** A design that is set beside others, and what it comes to once that is known. */
export interface VariantBeside {
  readonly key: string;
  readonly name: string;
  readonly design: Design;
  readonly told: Variant | null;
  readonly failure: string | null;
  /** Number of the request that computes it: what an older one brings is not taken. */
  readonly asked: number;
}

/** As many are set side by side, the drawn one among them. */
export const MOST_VARIANTS = 6;
/** Key of the one that is drawn. */
export const DRAWN = 'drawn';

/** What goes on in the worker. */
export type CompareWork = 'tolerances' | 'sweep' | 'search';

/** What the stage shows. */
export const COMPARISONS = ['built', 'sweep', 'variants', 'search'] as const;
export type Comparison = (typeof COMPARISONS)[number];

export interface CompareState {
  readonly shown: Comparison;
  readonly progress: Readonly<Record<CompareWork, Progress | null>>;
  readonly tolerated: { readonly of: Design; readonly result: TolerancesTold } | null;
  readonly swept: { readonly of: Design; readonly asked: SweepAsked; readonly result: SweepTold } | null;
  /** Place of the sweep that is looked at; null for none. */
  readonly picked: number | null;
  readonly searched: { readonly of: Design; readonly asked: SearchAsked; readonly result: SearchTold } | null;
  readonly variants: readonly VariantBeside[];
  readonly failure: string | null;
  /** Every number that a sweep may look at; none before it is asked for. */
  readonly outputs: readonly OutputRow[];
  /** Counts the requests of each kind, so that a late answer of an older one is not shown. */
  readonly runs: Readonly<Record<CompareWork, number>>;
}

const initialState: CompareState = {
  shown: 'built',
  progress: { tolerances: null, sweep: null, search: null },
  tolerated: null,
  swept: null,
  picked: null,
  searched: null,
  variants: [],
  failure: null,
  outputs: [],
  runs: { tolerances: 0, sweep: 0, search: 0 },
};

const without = (state: CompareState, work: CompareWork): CompareState['progress'] => ({
  ...state.progress,
  [work]: null,
});

export const compareSlice = createSlice({
  name: 'compare',
  initialState,
  reducers: {
    comparisonShown: (state, { payload }: PayloadAction<Comparison>) => ({ ...state, shown: payload, failure: null }),
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
      picked: null,
    }),
    /** What of the sweep is looked at: all of it was computed. */
    sweepShown: (state, { payload }: PayloadAction<string>) =>
      state.swept === null
        ? state
        : { ...state, swept: { ...state.swept, asked: { ...state.swept.asked, output: payload } } },
    outputsTold: (state, { payload }: PayloadAction<readonly OutputRow[]>) => ({ ...state, outputs: payload }),
    placePicked: (state, { payload }: PayloadAction<number | null>) => ({ ...state, picked: payload }),
    searchTold: (state, { payload }: PayloadAction<NonNullable<CompareState['searched']>>) => ({
      ...state,
      progress: without(state, 'search'),
      searched: payload,
    }),
    /** Sets one beside the others, or what is drawn now in place of what was. */
    variantSet: (state, { payload }: PayloadAction<Pick<VariantBeside, 'key' | 'name' | 'design' | 'asked'>>) => {
      const fresh = { ...payload, told: null, failure: null };
      const place = state.variants.findIndex(({ key }) => key === payload.key);
      // What was told of an older state stands until the new one is known.
      if (place >= 0)
        return { ...state, variants: state.variants.with(place, { ...fresh, told: state.variants[place]!.told }) };
      if (state.variants.length >= MOST_VARIANTS) return state;
      return { ...state, variants: payload.key === DRAWN ? [fresh, ...state.variants] : [...state.variants, fresh] };
    },
    variantTold: (state, { payload }: PayloadAction<Pick<VariantBeside, 'key' | 'asked' | 'told' | 'failure'>>) => ({
      ...state,
      variants: state.variants.map((one) =>
        one.key === payload.key && one.asked === payload.asked ? { ...one, ...payload } : one,
      ),
    }),
    variantDropped: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      variants: state.variants.filter(({ key }) => key !== payload),
    }),
    compareEnded: (state, { payload }: PayloadAction<{ work: CompareWork; message: string | null }>) => ({
      ...state,
      progress: without(state, payload.work),
      failure: payload.message,
      runs: { ...state.runs, [payload.work]: state.runs[payload.work] + 1 },
    }),
  },
});

export const {
  comparisonShown,
  compareStarted,
  compareWentOn,
  tolerancesTold,
  sweepTold,
  sweepShown,
  outputsTold,
  placePicked,
  searchTold,
  variantSet,
  variantTold,
  variantDropped,
  compareEnded,
} = compareSlice.actions;
