import { type InstrumentKind, INSTRUMENTS, type Showing } from './instrument';

/** How a made-up instrument is off: what it shows when there is nothing, how that creeps, how it trembles, how long it lasts. */
export interface StandIn {
  readonly kind: InstrumentKind;
  readonly seed: number;
  /** Shown when level or empty, one for each cell. */
  readonly zero: readonly number[];
  /** Creep of that in a second. */
  readonly drift: number;
  /** Standard deviation of what trembles. */
  readonly noise: number;
  /** Someone knocks against the table about so often [s]. */
  readonly bumpsEvery: number;
  /** How long its battery lasts [s]. */
  readonly lasts: number;
}

/** Of the faults of usual instruments; C. */
const SIZES: Readonly<Record<InstrumentKind, { zero: number; drift: number; noise: number; bump: number }>> = {
  tilt: { zero: 0.8, drift: 4e-4, noise: 0.03, bump: 6 },
  scale: { zero: 3, drift: 0.01, noise: 0.4, bump: 60 },
  stand: { zero: 3, drift: 0.01, noise: 0.4, bump: 60 },
  pull: { zero: 0.1, drift: 1e-3, noise: 0.08, bump: 3 },
  wind: { zero: 0.05, drift: 0, noise: 0.5, bump: 3 },
};
/** What it settles with when something is laid on it, and how long a knock is felt [s]. C. */
const SETTLES = 0.25;
const FELT = 0.5;
/** Under that share of its battery it shows nothing. */
const EMPTY = 0;

/** A number from 0 to 1 that is always the same for a seed and a place in a row. Source: the finalizer of MurmurHash3 (Appleby, public domain). */
export function evenNumber(seed: number, place: number): number {
  let h = (Math.imul(seed | 0, 0x9e3779b1) ^ Math.imul(place | 0, 0x85ebca6b)) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/** One of a normal distribution of σ 1 (Box & Muller, Ann. Math. Stat. 29, 1958). */
export function normalNumber(seed: number, place: number): number {
  const [a, b] = [Math.max(1e-12, evenNumber(seed, 2 * place)), evenNumber(seed, 2 * place + 1)];
  return Math.sqrt(-2 * Math.log(a)) * Math.cos(2 * Math.PI * b);
}

/** An instrument as it comes out of a drawer: off by something, and its battery not new. */
export function standIn(kind: InstrumentKind, seed: number): StandIn {
  const own = seed * 31 + kind.length * 7 + kind.charCodeAt(0);
  const { zero, drift, noise } = SIZES[kind];
  return {
    kind,
    seed: own,
    zero: Array.from({ length: INSTRUMENTS[kind].cells }, (_, cell) => zero * (2 * evenNumber(own, 900 + cell) - 1)),
    drift: drift * (2 * evenNumber(own, 910) - 1),
    noise,
    bumpsEvery: 40 + 40 * evenNumber(own, 911),
    lasts: 1200 + 2400 * evenNumber(own, 912),
  };
}

/** What lies on an instrument or under it: what is true there, since when, and what was there before. */
export interface Laid {
  readonly values: readonly number[];
  readonly since: number;
  readonly before: readonly number[];
}

/**
 * What it shows at a time since it was switched on; null once its battery is
 * empty. It goes over to what is laid on it as a damped needle does, trembles,
 * creeps, and is knocked now and then.
 */
export function showing(of: StandIn, count: number, t: number, laid: Laid): Showing | null {
  const battery = 1 - t / of.lasts;
  if (battery <= EMPTY) return null;
  const { step } = INSTRUMENTS[of.kind];
  const goesOver = Math.exp(-Math.max(0, t - laid.since) / SETTLES);
  const knock = Math.floor(t / of.bumpsEvery);
  // Never just as it is switched on.
  const knockedAt = knock === 0 ? Infinity : knock * of.bumpsEvery;
  const shaken = t >= knockedAt && t < knockedAt + FELT ? SIZES[of.kind].bump * (evenNumber(of.seed, count) - 0.5) : 0;
  const values = laid.values.map((value, cell) => {
    const level = value + ((laid.before[cell] ?? 0) - value) * goesOver;
    const shown =
      level + of.zero[cell]! + of.drift * t + of.noise * normalNumber(of.seed + 17 * cell, 1000 + count) + shaken;
    return Math.round(shown / step) * step;
  });
  return { count, t, values, battery };
}
