import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { type Step, stepBack, stepBetween, stepForward } from '@/core/2-document/edit/step';
import type { Design } from '@/core/2-document/schema/design';

/** Steps that can be undone. */
export const HISTORY_LIMIT = 500;

/** One step of the history: what changed, both ways. */
interface HistoryStep extends Step {
  readonly gesture: string | null;
  /** The state before a gesture that may still go on. */
  readonly from: Design | null;
}

export interface DocumentState {
  readonly present: Design | null;
  readonly past: readonly HistoryStep[];
  readonly future: readonly HistoryStep[];
  /** Counts the states, so that a result names the one it belongs to. */
  readonly key: number;
}

export interface DocumentEdit {
  readonly design: Design;
  /** Edits of one gesture, such as a drag, are one step of the history. */
  readonly gesture?: string;
}

/** A document was opened, or none; it has no history yet. */
export const documentOpened = createAction<Design | null>('document/opened');
/** A checked new state of the document. */
export const documentEdited = createAction<DocumentEdit>('document/edited');
/** A change that is no step of the drawing, such as which revision it grew from. */
export const documentAmended = createAction<Design>('document/amended');
export const undone = createAction('document/undone');
export const redone = createAction('document/redone');

const initialState: DocumentState = { present: null, past: [], future: [], key: 0 };

/** Plain on purpose: documents share what did not change, and walking one at every drag step costs frames. */
export function documentReducer(state: DocumentState = initialState, action: UnknownAction): DocumentState {
  if (documentOpened.match(action)) return { present: action.payload, past: [], future: [], key: state.key + 1 };
  if (documentEdited.match(action)) return edited(state, action.payload);
  if (documentAmended.match(action)) return { ...state, present: action.payload, key: state.key + 1 };
  if (undone.match(action)) return stepped(state, 'back');
  if (redone.match(action)) return stepped(state, 'forward');
  return state;
}

function edited(state: DocumentState, { design, gesture = undefined }: DocumentEdit): DocumentState {
  const { present, past } = state;
  if (present === null || design === present) return state;
  const last = past.at(-1);
  const goesOn = gesture !== undefined && last?.gesture === gesture && last.from !== null;
  const from = goesOn ? last.from! : present;
  const step: HistoryStep = {
    ...stepBetween(from, design),
    gesture: gesture ?? null,
    from: gesture === undefined ? null : from,
  };
  const before = goesOn ? past.slice(0, -1) : past.map(closed);
  return { present: design, past: [...before, step].slice(-HISTORY_LIMIT), future: [], key: state.key + 1 };
}

/** A gesture that is over keeps its patches only. */
const closed = (step: HistoryStep): HistoryStep => (step.from === null ? step : { ...step, from: null });

function stepped({ present, past, future, key }: DocumentState, way: 'back' | 'forward'): DocumentState {
  const back = way === 'back';
  const step = back ? past.at(-1) : future.at(-1);
  if (present === null || !step) return { present, past, future, key };
  const moved = { ...step, gesture: null, from: null };
  return {
    present: back ? stepBack(present, step) : stepForward(present, step),
    past: back ? past.slice(0, -1) : [...past, moved],
    future: back ? [...future, moved] : future.slice(0, -1),
    key: key + 1,
  };
}
