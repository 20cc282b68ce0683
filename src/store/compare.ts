import type { Design } from '@/core/2-document/schema/design';
import type { InputOf, OutputOf } from '@/workers/contract';
import {
  compareEnded,
  compareStarted,
  type CompareWork,
  compareWentOn,
  type SweepAsked,
  sweepTold,
  tolerancesTold,
} from './compareSlice';
import type { AppThunk } from './reduxStore';

const JOBS = { tolerances: 'tolerate', sweep: 'sweep' } as const;
/** How often it is built, and from which seed on: the same design says the same. */
const DRAWS = 1000;
const SEED = 1;
/** Places of a sweep: even ones that a curve can be read by. */
const PLACES = 21;

/** Ends what goes on, because someone said so. */
export const stopComparing =
  (work: CompareWork): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(compareEnded({ work, message: null }));
    jobs.cancel(`compare-${work}`);
  };

/** Does one kind of work in the worker; a newer request or a stop ends it. */
const doing =
  <Work extends CompareWork>(
    work: Work,
    input: InputOf<(typeof JOBS)[Work]>,
    taken: (output: OutputOf<(typeof JOBS)[Work]>) => Parameters<Parameters<AppThunk>[0]>[0],
  ): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    dispatch(compareStarted(work));
    const run = getState().compare.runs[work];
    const isCurrent = () => getState().compare.runs[work] === run;
    const outcome = await jobs.ask(JOBS[work], input, {
      lane: 'long',
      slot: `compare-${work}`,
      onProgress: (progress) => isCurrent() && dispatch(compareWentOn({ work, progress })),
    });
    if (!isCurrent()) return;
    if (outcome.kind === 'done') dispatch(taken(outcome.output));
    else dispatch(compareEnded({ work, message: outcome.kind === 'failed' ? outcome.message : null }));
  };

/** Builds the design a thousand times as hands and boards are. */
export const buildOften = (design: Design): AppThunk<Promise<void>> =>
  doing('tolerances', { design, draws: DRAWS, seed: SEED }, (result) => tolerancesTold({ of: design, result }));

/** Takes one number of the design from one end to the other. */
export const sweepField = (design: Design, asked: SweepAsked): AppThunk<Promise<void>> =>
  doing('sweep', { design, ...asked, places: PLACES }, (result) => sweepTold({ of: design, asked, result }));
