import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Analysis } from '@/core/analyse';
import type { SectionKind } from '@/core/2-document/schema/section';

/** Another section beside the drawn one, on the whole aircraft. */
export interface BesideState {
  /** How the other is built; empty as drawn, null what is worth comparing. */
  readonly kind: SectionKind | '' | null;
  /** Board that it is cut from; empty as drawn. */
  readonly sheet: string;
  /** Its name in words, and what the aircraft then comes to. */
  readonly other: { readonly name: string; readonly analysis: Analysis } | null;
}

const initialState: BesideState = { kind: null, sheet: '', other: null };

export const besideSlice = createSlice({
  name: 'beside',
  initialState,
  reducers: {
    besideChosen: (state, { payload }: PayloadAction<Partial<Pick<BesideState, 'kind' | 'sheet'>>>): BesideState => ({
      ...state,
      ...payload,
      other: null,
    }),
    besideComputed: (state, { payload }: PayloadAction<BesideState['other']>): BesideState => ({
      ...state,
      other: payload,
    }),
    besideForgotten: (): BesideState => initialState,
  },
});

export const { besideChosen, besideComputed, besideForgotten } = besideSlice.actions;
