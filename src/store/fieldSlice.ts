import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import type { CutTold } from '@/core/8-field/cutBack';
import type { Lesson, LessonSources } from '@/core/8-field/learn';
import type { Flight } from '@/core/8-field/sights';
import type { Explained } from '@/workers/contract';

export interface FieldState {
  /** What flights told of a design, last. */
  readonly explained: { readonly of: Design; readonly by: readonly Flight[]; readonly result: Explained } | null;
  readonly failure: string | null;
  /** What could be learned of a design and of these records. */
  readonly lessons: { readonly of: Design; readonly by: LessonSources; readonly lessons: readonly Lesson[] } | null;
  /** What the steps of planned rows are told to do, by the experiment. */
  readonly rows: Readonly<Record<string, { readonly of: Design; readonly told: readonly (CutTold | null)[] }>>;
  /** What is ticked before the next flight. */
  readonly ticked: readonly string[];
  /** Number of the first of the flights that are looked at; the latest since a change without. */
  readonly batch: number | null;
}

const initialState: FieldState = { explained: null, failure: null, rows: {}, lessons: null, ticked: [], batch: null };

export const fieldSlice = createSlice({
  name: 'field',
  initialState,
  reducers: {
    flightsExplained: (state, { payload }: PayloadAction<NonNullable<FieldState['explained']>>) => ({
      ...state,
      explained: payload,
      failure: null,
    }),
    tickedOff: (state, { payload }: PayloadAction<readonly string[]>) => ({ ...state, ticked: payload }),
    rowTold: (state, { payload }: PayloadAction<{ id: string; of: Design; told: readonly (CutTold | null)[] }>) => ({
      ...state,
      rows: { ...state.rows, [payload.id]: { of: payload.of, told: payload.told } },
    }),
    lessonsHeard: (state, { payload }: PayloadAction<NonNullable<FieldState['lessons']>>) => ({
      ...state,
      lessons: payload,
    }),
    batchChosen: (state, { payload }: PayloadAction<number | null>) => ({ ...state, batch: payload }),
    explainingFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, failure: payload }),
  },
});

export const { flightsExplained, explainingFailed, tickedOff, batchChosen, lessonsHeard, rowTold } = fieldSlice.actions;
