import type { AnalyseInput, Answer, Analysed, InputOf, JobName, Outcome, OutputOf, Progress } from './contract';
import { startWorker, type WatchedWorker } from './watchedWorker';

/** Previews go before long jobs; the live lane has a worker to itself. */
export type Lane = 'preview' | 'long';

export interface AskOptions {
  readonly lane: Lane;
  readonly signal?: AbortSignal;
  /** Of jobs in the same slot only the newest counts: it supersedes those before it, waiting or at work. */
  readonly slot?: string;
  readonly onProgress?: (progress: Progress) => void;
}

/** Who does the computing, off the thread of the interface. */
export interface JobClient {
  /** Workers for jobs: as many parts of one thing can be done at once. */
  readonly pool: number;
  /** Headline numbers: never waits behind anything but itself; of those that wait the newest wins. */
  live(input: AnalyseInput): Promise<Outcome<Analysed>>;
  ask<Name extends JobName>(name: Name, input: InputOf<Name>, options: AskOptions): Promise<Outcome<OutputOf<Name>>>;
  /** Ends what waits or is at work in a slot. */
  cancel(slot: string): void;
  close(): void;
}

export interface LaneOptions {
  /** Workers beside the live one. */
  readonly pool?: number;
  readonly start?: (onDeath: () => void) => WatchedWorker;
  /** A worker was silent for long and was replaced: in words. */
  readonly onRestart?: (text: string) => void;
  /** Longest silence of a worker at work [ms]. */
  readonly silence?: number;
  /** Whether numbers will be asked for at once: their worker loads beside the page then, not after it. */
  readonly isAwaited?: boolean;
}

/** No analysis takes so long, and longer jobs give signs of life in between [ms]. */
const SILENCE = 20_000;
const SILENT = 'The computation did not answer and was started anew. Change anything to try again.';
const DEAD = 'The computation stopped unexpectedly. Change anything to try again.';

interface Job {
  readonly id: number;
  readonly lane: Lane | 'live';
  readonly slot: string | null;
  readonly begin: (worker: WatchedWorker, sign: () => void) => Promise<Answer<unknown>>;
  readonly settle: (outcome: Outcome<unknown>) => void;
  isSettled: boolean;
}

interface Seat {
  worker: WatchedWorker | null;
  /** What is at work; a long job lets previews in at its pauses. */
  readonly jobs: Map<Lane | 'live', Job>;
}

/** One worker for what is being dragged, others for what may take its time. */
export function createLanes({
  pool = Math.max(1, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1),
  start = startWorker,
  onRestart,
  silence = SILENCE,
  isAwaited = false,
}: LaneOptions = {}): JobClient {
  const live: Seat = { worker: null, jobs: new Map() };
  const seats = Array.from({ length: pool }, (): Seat => ({ worker: null, jobs: new Map() }));
  const waiting: Job[] = [];
  let count = 0;

  const settle = (job: Job, outcome: Outcome<unknown>) => {
    if (job.isSettled) return;
    job.isSettled = true;
    job.settle(outcome);
  };

  const workerOf = (seat: Seat): WatchedWorker => {
    seat.worker ??= start(() => {
      const lost = [...seat.jobs.values()];
      seat.worker = null;
      seat.jobs.clear();
      for (const job of lost) settle(job, { kind: 'failed', message: DEAD });
      next();
    });
    return seat.worker;
  };

  /** Ends a worker that says nothing, with what it had at work. */
  const giveUp = (seat: Seat) => {
    const lost = [...seat.jobs.values()];
    seat.worker?.end();
    seat.worker = null;
    seat.jobs.clear();
    for (const job of lost) settle(job, { kind: 'failed', message: SILENT });
    onRestart?.('A computation did not answer for long: it was ended and started anew.');
    next();
  };

  const begin = (seat: Seat, job: Job) => {
    seat.jobs.set(job.lane, job);
    const worker = workerOf(seat);
    let watch: ReturnType<typeof setTimeout>;
    const sign = () => {
      clearTimeout(watch);
      // A job that was cancelled is given up by whoever asked, but its worker may still be at it.
      watch = setTimeout(() => seat.worker === worker && seat.jobs.get(job.lane) === job && giveUp(seat), silence);
    };
    sign();
    const finish = (outcome: Outcome<unknown>) => {
      clearTimeout(watch);
      settle(job, outcome);
      if (seat.jobs.get(job.lane) !== job) return;
      seat.jobs.delete(job.lane);
      next();
    };
    job
      .begin(worker, sign)
      .then(finish, (error: unknown) =>
        finish({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
      );
  };

  const take = (lane: Job['lane']): Job | undefined => {
    const place = waiting.findIndex((job) => job.lane === lane);
    return place < 0 ? undefined : waiting.splice(place, 1)[0];
  };

  /** Seats free for a lane, idle ones first. */
  const seatFor = (lane: Lane): Seat | undefined =>
    seats.find(({ jobs }) => jobs.size === 0) ?? seats.find(({ jobs }) => !jobs.has(lane));

  const next = () => {
    if (live.jobs.size === 0) {
      const job = take('live');
      if (job) begin(live, job);
    }
    for (const lane of ['preview', 'long'] as const) {
      for (;;) {
        const seat = waiting.some((job) => job.lane === lane) ? seatFor(lane) : undefined;
        if (!seat) break;
        begin(seat, take(lane)!);
      }
    }
  };

  /** Ends a job that waits or is at work; the worker hears of it at its next pause. */
  const drop = (job: Job, outcome: Outcome<unknown>) => {
    const place = waiting.indexOf(job);
    if (place >= 0) waiting.splice(place, 1);
    for (const seat of seats) if (seat.jobs.get(job.lane) === job) seat.worker?.cancel(job.id);
    settle(job, outcome);
  };

  const inSlot = (slot: string | null): Job[] =>
    slot === null
      ? []
      : [...waiting, ...seats.flatMap(({ jobs }) => [...jobs.values()])].filter((job) => job.slot === slot);

  const enter = <Output>(
    lane: Job['lane'],
    slot: string | null,
    work: (worker: WatchedWorker, id: number, sign: () => void) => Promise<Answer<Output>>,
    signal?: AbortSignal,
  ): Promise<Outcome<Output>> =>
    new Promise((resolve) => {
      if (signal?.aborted) return resolve({ kind: 'cancelled' });
      const id = ++count;
      const job: Job = {
        id,
        lane,
        slot,
        begin: (worker, sign) => work(worker, id, sign),
        settle: resolve as (outcome: Outcome<unknown>) => void,
        isSettled: false,
      };
      for (const older of inSlot(slot)) drop(older, { kind: 'superseded' });
      signal?.addEventListener('abort', () => drop(job, { kind: 'cancelled' }), { once: true });
      waiting.push(job);
      next();
    });

  if (isAwaited) workerOf(live);
  return {
    pool,
    live: (input) => {
      for (const older of waiting.filter(({ lane }) => lane === 'live')) drop(older, { kind: 'superseded' });
      return enter('live', null, (worker, id) => worker.run(id, 'analyse', input, null));
    },
    ask: (name, input, { lane, signal, slot = null, onProgress }) => {
      const work = (worker: WatchedWorker, id: number, sign: () => void) =>
        worker.run(id, name, input, (progress) => {
          sign();
          onProgress?.(progress);
        });
      return enter(lane, slot, work, signal);
    },
    cancel: (slot) => {
      for (const job of inSlot(slot)) drop(job, { kind: 'cancelled' });
    },
    close: () => {
      for (const job of [...waiting, ...[live, ...seats].flatMap(({ jobs }) => [...jobs.values()])])
        settle(job, { kind: 'superseded' });
      waiting.length = 0;
      for (const seat of [live, ...seats]) {
        seat.worker?.end();
        seat.worker = null;
        seat.jobs.clear();
      }
    },
  };
}
