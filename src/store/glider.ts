import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Toss } from '@/core/7-flight/toss/settings';
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
import { longWork } from './longWork';
import type { AppThunk } from './reduxStore';

const JOBS = {
  toss: 'toss',
  often: 'tossOften',
  tell: 'inferTosses',
  scales: 'compareScales',
  small: 'smallMade',
} as const;

const { doing, stop } = longWork({
  name: 'glider',
  jobs: JOBS,
  runOf: ({ glider }, work) => glider.runs[work],
  started: gliderStarted,
  wentOn: gliderWentOn,
  ended: gliderFailed,
});

/** Ends what goes on, because someone said so or nobody looks at it any more. */
export const stopGlider = (work: GliderWork): AppThunk => stop(work);

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
