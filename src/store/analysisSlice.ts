import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { Analysis } from '@/core/analyse';
import type { Finding, Remedy } from '@/core/7-verdict/finding';
import { documentEdited } from './documentSlice';

/** What a remedy would do. */
export interface Preview {
  readonly remedy: Remedy;
  readonly analysis: Analysis;
}

export interface AnalysisState {
  readonly current: Analysis | null;
  /** Of the state before the change that is going on: the ghost on the beam. */
  readonly ghost: Analysis | null;
  readonly preview: Preview | null;
  /** The remedy that is being looked at, so that a late answer is not shown. */
  readonly previewAsked: Remedy | null;
  /** Of which state of the document; null before the first. */
  readonly key: number | null;
  /** Whether the remedies of these findings were tried; those shown meanwhile are from before. */
  readonly remedies: 'coming' | 'here' | { readonly failed: string };
  readonly failure: string | null;
  readonly milliseconds: number | null;
  /** Counts arrivals, so that the end of a drag can be waited for. */
  readonly arrivals: number;
}

const initialState: AnalysisState = {
  current: null,
  ghost: null,
  preview: null,
  previewAsked: null,
  key: null,
  remedies: 'here',
  failure: null,
  milliseconds: null,
  arrivals: 0,
};

export const analysisArrived = createAction<{
  analysis: Analysis;
  milliseconds: number;
  key: number;
  remediesFollow: boolean;
}>('analysis/arrived');
/** They are tried once more. */
export const remediesAsked = createAction('analysis/remediesAsked');
export const remediesArrived = createAction<{ findings: readonly Finding[]; key: number }>('analysis/remediesArrived');
export const remediesFailed = createAction<{ message: string; key: number }>('analysis/remediesFailed');
export const analysisFailed = createAction<string>('analysis/failed');
export const analysisCleared = createAction('analysis/cleared');
export const ghostTaken = createAction('analysis/ghostTaken');
export const ghostDropped = createAction('analysis/ghostDropped');
export const previewAsked = createAction<Remedy>('analysis/previewAsked');
export const previewArrived = createAction<Preview>('analysis/previewArrived');
export const previewDropped = createAction('analysis/previewDropped');

/** Until the new ones are tried, findings keep the remedies they had, so that nothing jumps; they cannot be taken meanwhile. */
function withRemediesOf(before: Analysis | null, analysis: Analysis): Analysis {
  const known = new Map(before?.findings.map(({ id, remedies }) => [id, remedies]));
  return {
    ...analysis,
    findings: analysis.findings.map((finding) => ({ ...finding, remedies: known.get(finding.id) ?? [] })),
  };
}

/** Plain on purpose: an analysis is replaced whole, and freezing one deeply at every drag step costs frames. */
export function analysisReducer(state: AnalysisState = initialState, action: UnknownAction): AnalysisState {
  if (analysisArrived.match(action)) {
    const { analysis, milliseconds, key, remediesFollow } = action.payload;
    // What was overtaken on the way is not shown.
    if (state.key !== null && key < state.key) return state;
    return {
      ...state,
      current: remediesFollow ? withRemediesOf(state.current, analysis) : analysis,
      key,
      remedies: remediesFollow ? 'coming' : 'here',
      milliseconds,
      failure: null,
      arrivals: state.arrivals + 1,
    };
  }
  if (remediesAsked.match(action)) return { ...state, remedies: 'coming' };
  if (remediesArrived.match(action)) {
    const { findings, key } = action.payload;
    if (key !== state.key || !state.current) return state;
    return { ...state, current: { ...state.current, findings }, remedies: 'here', arrivals: state.arrivals + 1 };
  }
  if (remediesFailed.match(action))
    return action.payload.key === state.key ? { ...state, remedies: { failed: action.payload.message } } : state;
  if (analysisFailed.match(action)) return { ...state, failure: action.payload, arrivals: state.arrivals + 1 };
  if (analysisCleared.match(action)) return initialState;
  if (ghostTaken.match(action)) return { ...state, ghost: state.current };
  if (ghostDropped.match(action)) return { ...state, ghost: null };
  if (previewAsked.match(action)) return { ...state, previewAsked: action.payload };
  if (previewArrived.match(action))
    return action.payload.remedy === state.previewAsked ? { ...state, preview: action.payload } : state;
  // What was looked at belonged to the state before. Nothing looked at: the same state, so that a drag does not wake whoever shows previews.
  if (previewDropped.match(action) || documentEdited.match(action))
    return state.preview === null && state.previewAsked === null
      ? state
      : { ...state, preview: null, previewAsked: null };
  return state;
}
