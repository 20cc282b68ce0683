import { valuesBetween } from '@/core/1-base/numeric/valuesBetween';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { SweepTold, SweptPlace } from '@/workers/contract';
import {
  compareEnded,
  compareStarted,
  type CompareWork,
  compareWentOn,
  DRAWN,
  outputsTold,
  type SearchAsked,
  searchTold,
  type SweepAsked,
  sweepTold,
  tolerancesTold,
  variantSet,
  variantTold,
} from './compareSlice';
import { editDesign, type EditOutcome } from './edit';
import { longWork } from './longWork';
import { keepRevision } from './revisions';
import type { AppThunk } from './reduxStore';

const JOBS = { tolerances: 'tolerate', sweep: 'sweep', search: 'search' } as const;
/** How often it is built, and from which seed on: the same design says the same. */
const DRAWS = 1000;
const SEED = 1;
/** Places of a sweep: even ones that a curve can be read by, and along each side of a map. */
const PLACES = { curve: 21, map: 11 } as const;

const { doing, doingParts, stop } = longWork({
  name: 'compare',
  jobs: JOBS,
  runOf: ({ compare }, work) => compare.runs[work],
  started: compareStarted,
  wentOn: compareWentOn,
  ended: compareEnded,
});

/** Ends what goes on, because someone said so. */
export const stopComparing =
  (work: CompareWork): AppThunk =>
  (dispatch, _getState, { jobs }) =>
    dispatch(stop(work, jobs.pool));

/** Builds the design a thousand times as hands and boards are, as far as readings on the bench leave that open. */
export const buildOften = (design: Design, readings: readonly RecordOf<'benchReadings'>[]): AppThunk<Promise<void>> =>
  doing('tolerances', { design, draws: DRAWS, seed: SEED, readings }, (result) =>
    tolerancesTold({ of: design, result }),
  );

/** Takes one number of the design from one end to the other, or two through all their pairs, on all workers at once. @param outputs all that may be looked at */
export const sweepInputs =
  (design: Design, asked: SweepAsked, outputs: readonly string[]): AppThunk<Promise<void>> =>
  (dispatch, _getState, { jobs }) => {
    const places = asked.inputs.length > 1 ? PLACES.map : PLACES.curve;
    const [first, ...others] = asked.inputs.map(({ name, from, to }) => ({
      name,
      values: valuesBetween(from, to, places),
    }));
    const each = Math.ceil(places / jobs.pool);
    const parts = Array.from({ length: Math.ceil(places / each) }, (_, part) => ({
      design,
      inputs: [{ ...first!, values: first!.values.slice(part * each, (part + 1) * each) }, ...others],
      slides: asked.slides,
      outputs,
    }));
    return dispatch(doingParts('sweep', parts, (results) => sweepTold({ of: design, asked, result: allOf(results) })));
  };

/** Asks once what of the analysis may be looked at. */
export const learnOutputs =
  (): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    if (getState().compare.outputs.length > 0) return;
    const outcome = await jobs.ask('outputTable', {}, { lane: 'preview', slot: 'outputs' });
    if (outcome.kind === 'done') dispatch(outputsTold(outcome.output));
  };

/** Parts of a sweep one after the other; where one could not be, that. */
function allOf(results: readonly SweepTold[]): SweepTold {
  const places: SweptPlace[] = [];
  for (const result of results) {
    if (!result.ok) return result;
    places.push(...result.places);
  }
  return { ok: true, places };
}

/** Looks for designs that meet the brief. */
export const searchDesigns = (design: Design, asked: SearchAsked): AppThunk<Promise<void>> =>
  doing('search', { design, ...asked }, (result) => searchTold({ of: design, asked, result }));

/** Sets a design beside the others and computes what it comes to. */
export const setBeside =
  (key: string, name: string, design: Design): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    const asked = Math.max(0, ...getState().compare.variants.map((one) => one.asked)) + 1;
    dispatch(variantSet({ key, name, design, asked }));
    if (!getState().compare.variants.some((one) => one.asked === asked)) return;
    const outcome = await jobs.ask('variant', { design }, { lane: 'long', slot: `variant-${key}` });
    if (outcome.kind === 'done') dispatch(variantTold({ key, asked, told: outcome.output, failure: null }));
    if (outcome.kind === 'failed') dispatch(variantTold({ key, asked, told: null, failure: outcome.message }));
  };

/** The drawn design as it is now, first of those that are set side by side. */
export const setDrawnBeside = (design: Design): AppThunk<Promise<void>> =>
  setBeside(DRAWN, design.name || 'As drawn', design);

/** What was found becomes what is drawn, and is kept as a revision under a name; one step back. */
export const takeOver =
  (found: Design, name: string): AppThunk<Promise<EditOutcome>> =>
  async (dispatch) => {
    const fault = dispatch(editDesign((now) => ({ ...found, name: now.name, basedOn: now.basedOn })));
    return fault ?? dispatch(keepRevision(name));
  };

/** The place of a sweep becomes what is drawn, as its inputs have it there. */
export const takeOverPlace =
  (of: Design, { inputs, slides }: SweepAsked, at: readonly number[], name: string): AppThunk<Promise<EditOutcome>> =>
  async (dispatch, _getState, { jobs }) => {
    const values = inputs.map((input, index) => ({ name: input.name, value: at[index]! }));
    const outcome = await jobs.ask('vary', { design: of, inputs: values, slides }, { lane: 'preview', slot: 'vary' });
    if (outcome.kind !== 'done')
      return { path: '/', message: outcome.kind === 'failed' ? outcome.message : 'Something newer was asked for.' };
    return outcome.output.ok
      ? dispatch(takeOver(outcome.output.design, name))
      : { path: '/', message: outcome.output.because };
  };
