import { meetingLoads, PLATE_FROM, type StallingSection } from './separation';

/** What meets every strip. Of a pair the right one stands before the left. */
export interface StripAir {
  /** Air along the chord [m/s], and circulation with attached flow. */
  readonly along: Float64Array;
  readonly strength: Float64Array;
  /** Circulation that the upwashes below bring beside that; both are kept from one time to the next. */
  readonly wash: Float64Array;
  /** Upwash that stands in at a strip for the circulation it misses [m/s]. */
  readonly missing: Float64Array;
}

interface Strips {
  readonly sections: readonly StallingSection[];
  /** True for the right one of two that mirror one another; the next one is its left. */
  readonly isPaired: readonly boolean[];
  /** Circulation that a unit of upwash brings a strip by itself: half its chord by its lift slope. */
  readonly reach: Float64Array;
  /** Circulation of all strips by a unit of upwash at one, row by row. */
  readonly answers: Float64Array;
}

/** Sweeps over the strips until their wash agrees, at most, and how well: share of the speed there, of a metre a second at least. */
const SWEEPS = 30;
const AGREED = 3e-4;
/** What would change by less than that share of it is left as it is. */
const IDLE = 0.3 * AGREED;
/** Tangent of the angle up to which what is attached lifts all that the lattice says. */
const STEEP = Math.tan(PLATE_FROM);
/** More attached than that is attached. */
export const WHOLE = 1 - 1e-9;

/** Strips that are balanced together, and what a unit of upwash at each brings them all, row by row. */
interface Table {
  readonly sections: readonly StallingSection[];
  readonly slopes: Float64Array;
  readonly reach: Float64Array;
  /** What a strip by itself answers to its own upwash. */
  readonly own: Float64Array;
  readonly answers: Float64Array;
  /** Of a pair the right one knows its left, at the next place, and the left one is passed over. */
  readonly kind: Uint8Array;
}
const KIND = { alone: 0, right: 1, left: 2 } as const;

const bearing = { lift: 0, drag: 0 };
/** By how much the last strip was off, as a share of the speed there. */
const off = new Float64Array(1);

/** What the missing upwash of a strip changes by; nought where that does not count. */
function changeAt(table: Table, air: StripAir, share: number, i: number): number {
  off[0] = 0;
  const { slopes, reach, own } = table;
  const flow = air.along[i]!;
  const before = air.missing[i]!;
  const circulating = air.strength[i]! + air.wash[i]!;
  const normal = circulating / reach[i]! - before;
  if (share >= WHOLE && before === 0 && flow > 0 && Math.abs(normal) < STEEP * flow) return 0;
  const met = Math.sqrt(normal * normal + flow * flow);
  if (met === 0) return 0;
  const sine = normal / met;
  meetingLoads(table.sections[i]!, sine, flow / met, share, bearing);
  const full = slopes[i]! * sine;
  // Of what it would lift it lifts a share; its own answer to the upwash is taken along at once.
  const kept = Math.abs(full) < 1e-9 ? 1 : Math.min(1, Math.max(0, bearing.lift / full));
  const others = (circulating - own[i]! * before) / reach[i]!;
  const next = (-(1 - kept) * others) / (kept + ((1 - kept) * own[i]!) / reach[i]!);
  const change = next - before;
  const counts = Math.abs(change) / Math.max(1, met);
  off[0] = counts;
  return counts < IDLE ? 0 : change;
}

const isAlikeAt = ({ along, strength, wash, missing }: StripAir, attached: ArrayLike<number>, i: number): boolean =>
  along[i] === along[i + 1] &&
  strength[i] === strength[i + 1] &&
  wash[i] === wash[i + 1] &&
  missing[i] === missing[i + 1] &&
  attached[i] === attached[i + 1];

/** Sweeps over all strips of a table until they agree. */
function agree(table: Table, air: StripAir, attached: ArrayLike<number>): void {
  const { answers, kind } = table;
  const { wash, missing } = air;
  const size = kind.length;
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let most = 0;
    for (let i = 0; i < size; i++) {
      if (kind[i] === KIND.left) continue;
      const change = changeAt(table, air, attached[i]!, i);
      most = Math.max(most, off[0]!);
      const row = i * size;
      if (kind[i] === KIND.alone) {
        if (change === 0) continue;
        missing[i]! += change;
        for (let j = 0; j < size; j++) wash[j]! += answers[row + j]! * change;
        continue;
      }
      const left = isAlikeAt(air, attached, i) ? change : changeAt(table, air, attached[i + 1]!, i + 1);
      most = Math.max(most, off[0]!);
      if (change === 0 && left === 0) continue;
      missing[i]! += change;
      missing[i + 1]! += left;
      const next = row + size;
      for (let j = 0; j < size; j++) wash[j]! += answers[row + j]! * change + answers[next + j]! * left;
    }
    if (most < AGREED) return;
  }
}

/**
 * Lets strips that lift less than the lattice says and the wash of what they
 * miss agree, strip by strip; left and right at once, so that what is alike on
 * both sides stays so. Source: the vortex-lattice form of the decambering of
 * Mukherjee & Gopalarathnam, J. Aircraft 43 (2006), with the section’s own
 * answer taken along.
 */
export function washBalance({ sections, isPaired, reach, answers }: Strips) {
  const size = sections.length;
  const tableOf = (places: readonly number[], matrix: Float64Array, kindAt: (i: number) => number): Table => ({
    sections: places.map((i) => sections[i]!),
    slopes: Float64Array.from(places, (i) => sections[i]!.slope),
    reach: Float64Array.from(places, (i) => reach[i]!),
    own: Float64Array.from(places, (i) => answers[i * size + i]!),
    answers: matrix,
    kind: Uint8Array.from(places, kindAt),
  });
  const places = sections.map((_, i) => i);
  const rights = places.filter((i) => isPaired[i]);
  const middles = places.filter((i) => !isPaired[i] && !isPaired[i - 1]);
  const all = tableOf(places, answers, (i) => (isPaired[i] ? KIND.right : isPaired[i - 1] ? KIND.left : KIND.alone));
  // Upwash alike at both of a pair brings the same to both of every other pair, and nothing to what is in the middle.
  const alike = tableOf(
    rights,
    Float64Array.from(rights.flatMap((i) => rights.map((j) => answers[i * size + j]! + answers[(i + 1) * size + j]!))),
    () => KIND.alone,
  );
  const half = () => new Float64Array(rights.length);
  const right: StripAir = { along: half(), strength: half(), wash: half(), missing: half() };
  const rightAttached = half();

  /** Flown straight everything is alike on both sides and nothing is in the middle: half of it says all, and stays so to the last digit. */
  const isStraight = (air: StripAir, attached: ArrayLike<number>): boolean =>
    middles.every((i) => air.strength[i] === 0 && air.wash[i] === 0 && air.missing[i] === 0) &&
    rights.every((i) => isAlikeAt(air, attached, i));

  return (air: StripAir, attached: ArrayLike<number>): void => {
    const { along, strength, wash, missing } = air;
    // What was missing a moment ago is nearly what is missing now. A step that was tried too long may have left no number: it must not stay.
    if (!wash.every(Number.isFinite)) {
      wash.fill(0);
      missing.fill(0);
    }
    if (!isStraight(air, attached)) {
      agree(all, air, attached);
      return;
    }
    rights.forEach((i, place) => {
      right.along[place] = along[i]!;
      right.strength[place] = strength[i]!;
      right.wash[place] = wash[i]!;
      right.missing[place] = missing[i]!;
      rightAttached[place] = attached[i]!;
    });
    agree(alike, right, rightAttached);
    rights.forEach((i, place) => {
      wash[i] = wash[i + 1] = right.wash[place]!;
      missing[i] = missing[i + 1] = right.missing[place]!;
    });
  };
}
