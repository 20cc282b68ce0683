import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Toss } from '@/core/7-flight/toss/settings';
import type { InputOf, OutputOf } from '@/workers/contract';
import {
  gliderFailed,
  gliderStarted,
  type GliderWork,
  gliderWentOn,
  scalesCompared,
  smallTold,
  type TossAsked,
  tossesTold,
  throwsFlown,
  tossFlown,
} from './gliderSlice';
import type { AppThunk } from './reduxStore';

const JOBS = {
  toss: 'toss',
  often: 'tossOften',
  tell: 'inferTosses',
  scales: 'compareScales',
  small: 'smallMade',
} as const;

/** Ends what goes on, because someone said so or nobody looks at it any more. */
export const stopGlider =
  (work: GliderWork): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(gliderFailed({ work, message: null }));
    jobs.cancel(`glider-${work}`);
  };

/** Does one kind of work in the worker; a newer request or a stop ends it. */
const doing =
  <Work extends GliderWork>(
    work: Work,
    input: InputOf<(typeof JOBS)[Work]>,
    taken: (output: OutputOf<(typeof JOBS)[Work]>) => Parameters<Parameters<AppThunk>[0]>[0],
  ): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    dispatch(gliderStarted(work));
    const run = getState().glider.runs[work];
    const isCurrent = () => getState().glider.runs[work] === run;
    const outcome = await jobs.ask(JOBS[work], input, {
      lane: 'long',
      slot: `glider-${work}`,
      onProgress: (progress) => isCurrent() && dispatch(gliderWentOn({ work, progress })),
    });
    if (!isCurrent()) return;
    if (outcome.kind === 'done') dispatch(taken(outcome.output));
    else dispatch(gliderFailed({ work, message: outcome.kind === 'failed' ? outcome.message : null }));
  };

/** Throws the design as it is asked for, and beside it with one thing changed. */
export const tossIt =
  (design: Design, asked: TossAsked): AppThunk<Promise<void>> =>
  (dispatch) => {
    const input = { ...asked, design, speed: asked.speed ?? undefined };
    return dispatch(doing('toss', input, (result) => tossFlown({ of: design, asked, result })));
  };

/** The same throw two hundred times, as a hand does it. */
export const tossItOften =
  (design: Design): AppThunk<Promise<void>> =>
  (dispatch, getState) => {
    const { asked } = getState().glider;
    const { change: _, ...rest } = asked;
    const input = { ...rest, design, speed: asked.speed ?? undefined };
    return dispatch(doing('often', input, (result) => throwsFlown({ of: design, asked, result })));
  };

/** What logged tosses of one size tell. */
export const hearTosses = (design: Design, scale: number, tosses: readonly Toss[]): AppThunk<Promise<void>> =>
  doing('tell', { design, scale, tosses }, (result) => tossesTold({ of: design, by: tosses, result }));

/** How it glides at full size and at a scale. */
export const compareScales = (design: Design, scale: number): AppThunk<Promise<void>> =>
  doing('scales', { design, scale }, (result) => scalesCompared({ of: design, scale, result }));

/** What a small one is made of, cut of a board or as drawn, and how large it may be on one sheet. */
export const askSmall = (design: Design, board: Material | null): AppThunk<Promise<void>> =>
  doing('small', { design, board }, (result) => smallTold({ of: design, board, result }));
