import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import undoable, { type StateWithHistory } from 'redux-undo';
import type { Design } from '@/core/2-document/schema/design';

/** A document was opened, or none; the store clears the history after it. */
export const documentOpened = createAction<Design | null>('document/opened');

export interface DocumentEdit {
  readonly design: Design;
  /** Edits of one gesture, such as a drag, are one step of the history. */
  readonly gesture?: string;
}

/** A checked new state of the document. */
export const documentEdited = createAction<DocumentEdit>('document/edited');

export type DocumentState = Design | null;

/** Plain on purpose: documents are replaced whole, and freezing one deeply at every drag step costs frames. */
function reducer(state: DocumentState = null, action: UnknownAction): DocumentState {
  if (documentOpened.match(action)) return action.payload;
  if (documentEdited.match(action)) return action.payload.design;
  return state;
}

/** Steps that can be undone. */
const HISTORY_LIMIT = 200;

export const documentReducer = undoable(reducer, {
  limit: HISTORY_LIMIT,
  groupBy: (action) => (documentEdited.match(action) ? (action.payload.gesture ?? null) : null),
});

export type DocumentHistory = StateWithHistory<DocumentState>;
