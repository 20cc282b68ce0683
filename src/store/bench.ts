import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Degrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { type Gate, readingAt, type Side, withReading } from '@/core/8-bench/gates';
import { gatesFailed, gatesJudged } from './benchSlice';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';

export type BenchReading = RecordOf<'benchReadings'>;

/** Judges all gates of a design in the worker; a newer request ends an older one. */
export const judgeGatesOf =
  (design: Design): AppThunk<Promise<void>> =>
  async (dispatch, _getState, { jobs }) => {
    const outcome = await jobs.ask('judgeGates', { design }, { lane: 'long', slot: 'gates' });
    if (outcome.kind === 'done') dispatch(gatesJudged({ of: design, verdicts: outcome.output }));
    else if (outcome.kind === 'failed') dispatch(gatesFailed(outcome.message));
  };

/** Readings that a gate did not let pass, told by how their records begin. */
const caughtId = ({ step }: Gate): string => `caught-${step}-`;

/** What a gate caught: readings in error that were put right afterwards, oldest first. */
export const caughtAt = (gate: Gate, readings: readonly BenchReading[]): readonly BenchReading[] =>
  readings.filter(({ id }) => id.startsWith(caughtId(gate)));

/**
 * Takes what was read at a gate; nothing takes it away. A reading that the gate
 * had not let pass is kept as a record when another one takes its place, but
 * not in a rehearsal.
 */
export const readGate =
  (gate: Gate, side: Side, value: Degrees | undefined): AppThunk<EditOutcome> =>
  (dispatch, getState) => {
    const { bench, document, session } = getState();
    const before = document.present === null ? undefined : readingAt(document.present, gate, side);
    const verdict = bench.judged?.verdicts.find((one) => one.gate.step === gate.step)?.state;
    const refused = dispatch(editDesign((design) => withReading(design, gate, side, value)));
    const isError = verdict === 'shim' || verdict === 'stop';
    if (refused === null && before !== undefined && before !== value && isError && bench.rehearsing !== session.id) {
      const id = `${caughtId(gate)}${side}-${Date.now().toString(36)}`;
      void dispatch(keepReading({ id, what: 'angle', part: gate.part, side, value: before, notes: '' }));
    }
    return refused;
  };

/** Keeps a reading with the design that is open; null, or why it was not kept. */
export const keepReading =
  (reading: Omit<BenchReading, 'at' | 'revision'>): AppThunk<Promise<string | null>> =>
  async (_dispatch, getState, { designs }) => {
    const { session, document } = getState();
    if (session.id === null) return 'No design is open.';
    const basedOn = document.present?.basedOn;
    try {
      await designs.records.put('benchReadings', session.id, {
        ...reading,
        at: new Date().toISOString(),
        ...(basedOn ? { revision: basedOn } : {}),
      });
      return null;
    } catch {
      return 'It was not kept: there is no room left in this browser.';
    }
  };

/** Takes a reading away again. */
export const forgetReading =
  (id: string): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { session } = getState();
    if (session.id !== null) await designs.records.remove('benchReadings', session.id, id);
  };

/** Record of a gate that was passed though it was not green. */
export const overrideId = (step: string): string => `passed-${step}`;

/** Keeps why a gate was passed all the same. */
export const passAllTheSame =
  ({ step, part }: Gate, reason: string): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const because = await dispatch(
      keepReading({ id: overrideId(step), what: 'other', part, value: 0, notes: reason.slice(0, 2000) }),
    );
    if (because) throw new Error(because);
  };

/** Opens gates again, as after a crash: what was read there is forgotten, and what was glued has to be ticked anew. */
export const openGatesAgain =
  (gates: readonly Gate[]): AppThunk<EditOutcome> =>
  (dispatch) =>
    dispatch(
      editDesign((design) => {
        const closed = new Set(gates.flatMap(({ step, glue }) => [step, glue]));
        const unread = gates.reduce(
          (current, gate) => gate.sides.reduce((one, side) => withReading(one, gate, side, undefined), current),
          design,
        );
        return { ...unread, built: unread.built.filter((step) => !closed.has(step)) };
      }),
    );
