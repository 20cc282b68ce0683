import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { type Step, stepBack, stepBetween, stepForward, stillStands } from '@/core/2-document/edit/step';
import type { Design } from '@/core/2-document/schema/design';

/** Steps that can be undone. */
export const HISTORY_LIMIT = 500;

/** A gesture that may still go on: what it changed is worked out once it is over, not at each of its moves. */
interface Gesture {
  readonly gesture: string;
  readonly from: Design;
  readonly to: Design;
}

/** One step of the history: what changed, both ways. */
type HistoryStep = Step | Gesture;

const mayGoOn = (step: HistoryStep): step is Gesture => 'gesture' in step;

/** A gesture that is over keeps its patches only. */
const closed = (step: HistoryStep): Step => (mayGoOn(step) ? stepBetween(step.from, step.to) : step);

export interface DocumentState {
  readonly present: Design | null;
  readonly past: readonly HistoryStep[];
  readonly future: readonly HistoryStep[];
  /** True when another tab's work lies between the steps: each is looked at before it is taken back. */
  readonly isMixed: boolean;
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
/** Another tab saved a newer state: it is shown, and what was done here can still be undone. */
export const documentFollowed = createAction<Design>('document/followed');
/** A checked new state of the document. */
export const documentEdited = createAction<DocumentEdit>('document/edited');
/** A change that is no step of the drawing, such as which revision it grew from. */
export const documentAmended = createAction<Design>('document/amended');
export const undone = createAction('document/undone');
export const redone = createAction('document/redone');

const initialState: DocumentState = { present: null, past: [], future: [], isMixed: false, key: 0 };

/** Plain on purpose: documents share what did not change, and walking one at every drag step costs frames. */
export function documentReducer(state: DocumentState = initialState, action: UnknownAction): DocumentState {
  if (documentOpened.match(action)) return { ...initialState, present: action.payload, key: state.key + 1 };
  if (documentFollowed.match(action)) return followed(state, action.payload);
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
  const goingOn = last && mayGoOn(last) && last.gesture === gesture ? last : null;
  const step: HistoryStep =
    gesture === undefined ? stepBetween(present, design) : { gesture, from: goingOn?.from ?? present, to: design };
  const before = goingOn ? past.slice(0, -1) : past.map(closed);
  return {
    ...state,
    present: design,
    past: [...before, step].slice(-HISTORY_LIMIT),
    future: [],
    key: state.key + 1,
  };
}

/** Steps name parts by their place in a list: where lists differ in their members no step can be trusted. */
const placesOf = (design: Design): string =>
  JSON.stringify([
    design.surfaces.map(({ id, stations, controls, spars }) => [id, stations.length, idsOf(controls), idsOf(spars)]),
    design.bodies.map(({ id, frames }) => [id, frames.length]),
    ...[design.materials, design.massItems, design.propulsion, design.dragItems, design.wheels].map(idsOf),
    [design.mixes.length, design.tolerances.length],
    idsOf(design.assemblies),
  ]);
const idsOf = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);

/** What another tab did is no step of this one. */
function followed(state: DocumentState, design: Design): DocumentState {
  const { present, past, future, key } = state;
  const keeps = present !== null && placesOf(present) === placesOf(design);
  return {
    present: design,
    past: keeps ? past.map(closed) : [],
    future: keeps ? future : [],
    isMixed: keeps && past.length + future.length > 0,
    key: key + 1,
  };
}

/** One step back or forward; steps whose place another tab has changed since are left out, and with them nothing of its work is lost. */
function stepped(state: DocumentState, way: 'back' | 'forward'): DocumentState {
  const back = way === 'back';
  let { past, future } = state;
  const { present, isMixed } = state;
  for (;;) {
    const last = back ? past.at(-1) : future.at(-1);
    if (present === null || !last) return { ...state, past, future };
    const step = closed(last);
    const rest = back ? { past: past.slice(0, -1), future } : { past, future: future.slice(0, -1) };
    const design = isMixed && !stillStands(present, step, way) ? null : checkedStep(present, step, { back, isMixed });
    ({ past, future } = rest);
    if (design === null) continue;
    return {
      present: design,
      past: back ? past : [...past, step],
      future: back ? [...future, step] : future,
      isMixed,
      key: state.key + 1,
    };
  }
}

function checkedStep(present: Design, step: Step, { back, isMixed }: { back: boolean; isMixed: boolean }) {
  const design = back ? stepBack(present, step) : stepForward(present, step);
  if (!isMixed) return design;
  const checked = checkChange(present, design);
  return checked.ok ? checked.design : null;
}
