import type { Design } from '@/core/2-document/schema/design';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import { cutBack, type CutTarget } from '@/core/8-field/cutBack';
import type { LessonSources } from '@/core/8-field/learn';
import type { Flight } from '@/core/8-field/sights';
import { explainingFailed, flightsExplained, lessonsHeard, rowTold } from './fieldSlice';
import { changeRecord, dropRecord, logRecord } from './records';
import type { AppThunk } from './reduxStore';

/** What of a flight may be typed. */
export type FlightPart = Partial<Omit<Flight, 'id' | 'at'>>;

/** Logs a flight; mass, balance point and pack stay those of the last one unless something was changed on it. */
export const logFlight = (last: Flight | undefined, part: FlightPart): AppThunk<Promise<void>> => {
  const kept = part.changed ? undefined : last;
  return logRecord('flights', {
    ...(kept?.mass === undefined ? {} : { mass: kept.mass }),
    ...(kept?.balance === undefined ? {} : { balance: kept.balance }),
    trims: [],
    did: [],
    runs: [],
    pack: last?.pack ?? '',
    ticked: [],
    changed: '',
    verdict: 'unknown',
    notes: '',
    ...part,
  });
};

/** Changes what was logged of a flight; what is undefined is taken out. */
export const changeFlight = (flight: Flight, part: FlightPart) => changeRecord('flights', flight, part);

/** Takes a flight out with its photographs; the answer puts all of it back. */
export const dropFlight = (flight: string) => dropRecord('flights', flight);

/** What explains these flights, worked out in the worker; a newer request takes the place of an older one. */
export const explainFlights =
  (design: Design, flights: readonly Flight[]): AppThunk<Promise<void>> =>
  async (dispatch, _getState, { jobs }) => {
    const outcome = await jobs.ask('explain', { design, flights }, { lane: 'long', slot: 'explain' });
    if (outcome.kind === 'done') dispatch(flightsExplained({ of: design, by: flights, result: outcome.output }));
    else if (outcome.kind === 'failed') dispatch(explainingFailed(outcome.message));
  };

export type Experiment = RecordOf<'experiments'>;

/** Plans a row that takes a little more off a part each time. */
export const planRow = (target: CutTarget, shares: readonly number[]): AppThunk<Promise<void>> =>
  logRecord('experiments', {
    question: `How far may ${target.name} be cut back?`,
    changed: '',
    expected: '',
    found: '',
    tosses: [],
    flights: [],
    cutBack: {
      what: target.what,
      of: target.of,
      steps: shares.map((share) => ({ share, verdict: 'unknown' as const })),
    },
  });

/** Changes what is said of an experiment. */
export const changeExperiment = (experiment: Experiment, part: Partial<Experiment>) =>
  changeRecord('experiments', experiment, part);

/** Takes a row out; the answer puts it back. */
export const dropExperiment = (id: string) => dropRecord('experiments', id);

/** What the drawing and every step of a row are told to do, worked out in the worker. */
export const tellRow =
  (design: Design, { id, cutBack: row }: Experiment): AppThunk<Promise<void>> =>
  async (dispatch, _getState, { jobs }) => {
    if (!row) return;
    const steps = [1, ...row.steps.map(({ share }) => share)];
    const outcome = await jobs.ask('cutBack', { design, target: row, steps }, { lane: 'long', slot: `cut-back-${id}` });
    if (outcome.kind === 'done') dispatch(rowTold({ id, of: design, told: outcome.output }));
    else if (outcome.kind === 'failed') dispatch(explainingFailed(outcome.message));
  };

/** Starts a new design with a part cut back so far; null where that cannot be drawn. */
export const designCutBack =
  (design: Design, target: Pick<CutTarget, 'what' | 'of'>, left: number): AppThunk<Promise<string | null>> =>
  async (_dispatch, _getState, { designs }) => {
    const cut = cutBack(design, target, left);
    if (!cut) return null;
    const name = `${design.name}, cut back`.slice(0, 200);
    await designs.create({ ...cut, name, built: [], basedOn: undefined } as Design);
    return name;
  };

/** What these flights, trial folds, and what was weighed and tried on the bench say of the builder’s own figures. */
export const hearLessons =
  (design: Design, by: LessonSources): AppThunk<Promise<void>> =>
  async (dispatch, _getState, { jobs }) => {
    const outcome = await jobs.ask('lessons', { design, ...by }, { lane: 'long', slot: 'lessons' });
    if (outcome.kind === 'done') dispatch(lessonsHeard({ of: design, by, lessons: outcome.output }));
  };
