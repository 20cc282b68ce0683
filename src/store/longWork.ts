import type { UnknownAction } from '@reduxjs/toolkit';
import type { Progress } from '@/core/1-base/steps';
import type { InputOf, JobName, OutputOf } from '@/workers/contract';
import type { AppThunk, RootState } from './reduxStore';

/** Kinds of work that a part of the store has done by workers, and how it hears of them. */
interface LongWorkOptions<Names extends Readonly<Record<string, JobName>>> {
  /** Goes before the names of the slots. */
  readonly name: string;
  readonly jobs: Names;
  /** Number of the newest request: what an older one brings is not taken. */
  readonly runOf: (state: RootState, work: WorkOf<Names>) => number;
  readonly started: (work: WorkOf<Names>) => UnknownAction;
  readonly wentOn: (told: { readonly work: WorkOf<Names>; readonly progress: Progress }) => UnknownAction;
  /** It ended without a result: why, or null where someone ended it. */
  readonly ended: (told: { readonly work: WorkOf<Names>; readonly message: string | null }) => UnknownAction;
}

type WorkOf<Names> = Extract<keyof Names, string>;

/** All of what several workers have done of one thing. */
const together = (parts: readonly Progress[]): Progress => ({
  done: parts.reduce((sum, { done }) => sum + done, 0),
  total: parts.reduce((sum, { total }) => sum + total, 0),
});

/** Work that takes its time: with progress, to be stopped, of each kind only the newest request counting. */
export function longWork<Names extends Readonly<Record<string, JobName>>>(options: LongWorkOptions<Names>) {
  const { name, jobs: names, runOf, started, wentOn, ended } = options;
  const slotOf = (work: WorkOf<Names>, part: number) => `${name}-${work}-${part}`;

  /** Does one kind of work in so many parts as there are inputs, each in a worker that is free. @param taken what becomes of all answers, in order */
  const doingParts =
    <Work extends WorkOf<Names>>(
      work: Work,
      inputs: readonly InputOf<Names[Work]>[],
      taken: (outputs: readonly OutputOf<Names[Work]>[]) => UnknownAction,
    ): AppThunk<Promise<void>> =>
    async (dispatch, getState, { jobs }) => {
      dispatch(started(work));
      const run = runOf(getState(), work);
      const isCurrent = () => runOf(getState(), work) === run;
      const progress: Progress[] = inputs.map(() => ({ done: 0, total: 1 }));
      const outcomes = await Promise.all(
        inputs.map((input, part) =>
          jobs.ask(names[work]!, input, {
            lane: 'long',
            slot: slotOf(work, part),
            onProgress: (own) => {
              progress[part] = own;
              if (isCurrent()) dispatch(wentOn({ work, progress: together(progress) }));
            },
          }),
        ),
      );
      if (!isCurrent()) return;
      const outputs = outcomes.flatMap((outcome) => (outcome.kind === 'done' ? [outcome.output] : []));
      if (outputs.length === outcomes.length) return void dispatch(taken(outputs));
      const failed = outcomes.find(({ kind }) => kind === 'failed');
      dispatch(ended({ work, message: failed?.kind === 'failed' ? failed.message : null }));
    };

  return {
    doingParts,
    doing: <Work extends WorkOf<Names>>(
      work: Work,
      input: InputOf<Names[Work]>,
      taken: (output: OutputOf<Names[Work]>) => UnknownAction,
    ): AppThunk<Promise<void>> => doingParts(work, [input], ([output]) => taken(output!)),
    /** Ends what goes on, because someone said so or nobody looks at it any more. */
    stop:
      (work: WorkOf<Names>, parts = 1): AppThunk =>
      (dispatch, _getState, { jobs }) => {
        dispatch(ended({ work, message: null }));
        for (let part = 0; part < parts; part++) jobs.cancel(slotOf(work, part));
      },
  };
}
