import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import type { WingSize } from '@/core/8-sizing/planform/resize';

export type SaveState = 'saved' | 'saving' | 'failed' | 'conflict';

/** A design that was left before it could be saved; it is tried again until it is. */
export interface UnsavedDesign {
  readonly id: string;
  readonly name: string;
  readonly detail: string;
}

/** A kept state that lies under the drawing. */
export interface Compared {
  readonly id: string;
  readonly name: string;
  readonly design: Design;
  readonly analysis: Analysis | null;
}

/** A dimension between two points of a view, each by the name that stays with it. */
export interface Measure {
  readonly view: 'plan' | 'side';
  readonly from: string;
  readonly to: string;
}

export interface SessionState {
  /** Identity of the open design in storage. */
  readonly id: string | null;
  readonly save: SaveState;
  readonly saveDetail: string | null;
  readonly unsaved: readonly UnsavedDesign[];
  /** True between pointer down and up on a handle. */
  readonly dragging: boolean;
  /** What that handle lies on, from the outside inwards: what else is drawn may follow later. */
  readonly heldOn: readonly string[];
  readonly compared: Compared | null;
  /** What the hand is on: a surface (null: the first of the stage) and one of its stations. */
  readonly chosen: { readonly surface: string | null; readonly station: number };
  /** The body whose frames are to be dragged. */
  readonly chosenBody: string | null;
  /** The finding whose place is shown in the drawing. */
  readonly pointed: string | null;
  /** Sizes of the wings that must not move. */
  readonly locked: readonly WingSize[];
  /** Lengths meet sheet sizes and whole steps while they are dragged. */
  readonly snapping: boolean;
  /** The open design is about to go to another device. */
  readonly isSharing: boolean;
  /** Dimensions that were drawn between points, while the design is open. */
  readonly measures: readonly Measure[];
}

const initialState: SessionState = {
  id: null,
  save: 'saved',
  saveDetail: null,
  unsaved: [],
  dragging: false,
  heldOn: [],
  compared: null,
  chosen: { surface: null, station: 0 },
  chosenBody: null,
  pointed: null,
  locked: [],
  snapping: true,
  isSharing: false,
  measures: [],
};

export const sessionSlice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    sessionOpened: (state, { payload }: PayloadAction<string | null>): SessionState => ({
      ...initialState,
      unsaved: state.unsaved,
      id: payload,
    }),
    unsavedChanged: (state, { payload }: PayloadAction<readonly UnsavedDesign[]>): SessionState => ({
      ...state,
      unsaved: payload,
    }),
    saveChanged: (state, { payload }: PayloadAction<{ state: SaveState; detail?: string }>): SessionState => ({
      ...state,
      save: payload.state,
      saveDetail: payload.detail ?? null,
    }),
    dragStarted: (state, { payload }: PayloadAction<readonly string[]>): SessionState => ({
      ...state,
      dragging: true,
      heldOn: payload,
    }),
    dragEnded: (state): SessionState => ({ ...state, dragging: false, heldOn: [] }),
    comparisonStarted: (state, { payload }: PayloadAction<Omit<Compared, 'analysis'>>): SessionState => ({
      ...state,
      compared: { ...payload, analysis: null },
    }),
    comparisonComputed: (state, { payload }: PayloadAction<Analysis>): SessionState =>
      state.compared ? { ...state, compared: { ...state.compared, analysis: payload } } : state,
    comparisonDropped: (state): SessionState => ({ ...state, compared: null }),
    surfaceChosen: (state, { payload }: PayloadAction<{ surface: string; station?: number }>): SessionState => ({
      ...state,
      chosen: { surface: payload.surface, station: payload.station ?? 0 },
    }),
    bodyChosen: (state, { payload }: PayloadAction<string | null>): SessionState => ({ ...state, chosenBody: payload }),
    bodyToggled: (state, { payload }: PayloadAction<string>): SessionState => ({
      ...state,
      chosenBody: state.chosenBody === payload ? null : payload,
    }),
    findingPointed: (state, { payload }: PayloadAction<string | null>): SessionState =>
      state.pointed === payload ? state : { ...state, pointed: payload },
    lockToggled: (state, { payload }: PayloadAction<WingSize>): SessionState => ({
      ...state,
      locked: state.locked.includes(payload)
        ? state.locked.filter((size) => size !== payload)
        : [...state.locked, payload],
    }),
    measured: (state, { payload }: PayloadAction<Measure>): SessionState => ({
      ...state,
      measures: [
        ...state.measures.filter(
          ({ view, from, to }) => !(view === payload.view && from === payload.from && to === payload.to),
        ),
        payload,
      ],
    }),
    measuresCleared: (state): SessionState => ({ ...state, measures: [] }),
    sharingShown: (state, { payload }: PayloadAction<boolean>): SessionState => ({ ...state, isSharing: payload }),
    snappingChanged: (state, { payload }: PayloadAction<boolean>): SessionState => ({ ...state, snapping: payload }),
  },
});

export const {
  sessionOpened,
  saveChanged,
  dragStarted,
  dragEnded,
  comparisonStarted,
  comparisonComputed,
  comparisonDropped,
  bodyChosen,
  bodyToggled,
  findingPointed,
  lockToggled,
  measured,
  measuresCleared,
  sharingShown,
  snappingChanged,
  surfaceChosen,
  unsavedChanged,
} = sessionSlice.actions;
