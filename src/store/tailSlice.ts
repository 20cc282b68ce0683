import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import type { MapAcross, MapPoint, TailAxes } from '@/core/8-sizing/tail/tailMap';
import type { TailAims, TailSizingResult } from '@/core/8-sizing/tail/tailSizing';

/** A tail's surroundings: what would come of other sizes and places. */
export interface TailMap {
  readonly surface: string;
  readonly kind: MapAcross;
  /** The state of the document that was computed. */
  readonly design: Design;
  readonly axes: TailAxes;
  /** One for each place across, null until it is there. */
  readonly rows: readonly (readonly MapPoint[] | null)[];
  readonly failure: string | null;
}

export type SchoolKind = 'fin' | 'level';

export interface TailState {
  readonly map: TailMap | null;
  readonly aims: Readonly<Record<SchoolKind, Required<TailAims>>>;
  /** The three schools of a surface as they were last compared. */
  readonly schools: { readonly surface: string; readonly result: TailSizingResult } | null;
}

const initialState: TailState = {
  map: null,
  aims: {
    level: { volume: 0.5, result: 0.1, yaw: 0.05 },
    fin: { volume: 0.035, result: 0.06, yaw: 0.05 },
  },
  schools: null,
};

export const tailSlice = createSlice({
  name: 'tail',
  initialState,
  reducers: {
    mapStarted: (state, { payload }: PayloadAction<Omit<TailMap, 'rows' | 'failure'>>): TailState => {
      const before = state.map;
      const isSame =
        before?.surface === payload.surface && before.kind === payload.kind && before.axes === payload.axes;
      // On the same axes the old lines stay until the new ones are there.
      return {
        ...state,
        map: { ...payload, rows: isSame ? before.rows : payload.axes.across.map(() => null), failure: null },
      };
    },
    rowArrived: (state, { payload }: PayloadAction<{ index: number; points: readonly MapPoint[] }>): TailState =>
      state.map
        ? {
            ...state,
            map: {
              ...state.map,
              rows: state.map.rows.map((row, index) => (index === payload.index ? payload.points : row)),
            },
          }
        : state,
    mapFailed: (state, { payload }: PayloadAction<string>): TailState =>
      state.map ? { ...state, map: { ...state.map, failure: payload } } : state,
    aimsChanged: (state, { payload }: PayloadAction<{ kind: SchoolKind; aims: Partial<TailAims> }>): TailState => ({
      ...state,
      aims: { ...state.aims, [payload.kind]: { ...state.aims[payload.kind], ...payload.aims } },
    }),
    schoolsCompared: (state, { payload }: PayloadAction<TailState['schools']>): TailState => ({
      ...state,
      schools: payload,
    }),
    tailsForgotten: (state): TailState => ({ ...initialState, aims: state.aims }),
  },
});

export const { mapStarted, rowArrived, mapFailed, aimsChanged, schoolsCompared, tailsForgotten } = tailSlice.actions;
