import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type SaveState = 'saved' | 'saving' | 'failed' | 'conflict' | 'gone';

export interface SessionState {
  /** Identity of the open design in storage. */
  readonly id: string | null;
  readonly save: SaveState;
  readonly saveDetail: string | null;
  /** True between pointer down and up on a handle. */
  readonly dragging: boolean;
}

const initialState: SessionState = { id: null, save: 'saved', saveDetail: null, dragging: false };

export const sessionSlice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    sessionOpened: (_, { payload }: PayloadAction<string | null>): SessionState => ({
      ...initialState,
      id: payload,
    }),
    saveChanged: (state, { payload }: PayloadAction<{ state: SaveState; detail?: string }>): SessionState => ({
      ...state,
      save: payload.state,
      saveDetail: payload.detail ?? null,
    }),
    dragStarted: (state): SessionState => ({ ...state, dragging: true }),
    dragEnded: (state): SessionState => ({ ...state, dragging: false }),
  },
});

export const { sessionOpened, saveChanged, dragStarted, dragEnded } = sessionSlice.actions;
