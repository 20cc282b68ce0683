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

/**
 * Lets strips that lift less than the lattice says and the wash of what they
 * miss agree, strip by strip; left and right at once, so that what is alike on
 * both sides stays so. Source: the vortex-lattice form of the decambering of
 * Mukherjee & Gopalarathnam, J. Aircraft 43 (2006), with the section’s own
 * answer taken along.
 */
export function washBalance({ sections, isPaired, reach, answers }: Strips) {
  const size = sections.length;
  const slopes = Float64Array.from(sections, ({ slope }) => slope);
  const own = Float64Array.from(sections, (_, i) => answers[i * size + i]!);
  const paired = Uint8Array.from(isPaired, Number);
  const isLeft = Uint8Array.from(isPaired, (_, i) => Number(isPaired[i - 1] === true));
  const bearing = { lift: 0, drag: 0 };
  // Upwash alike at both of a pair brings the same to both of every other pair, and nothing to what is in the middle.
  const rights = sections.map((_, i) => i).filter((i) => paired[i] === 1);
  const alike = Float64Array.from(
    rights.flatMap((i) => rights.map((j) => answers[i * size + j]! + answers[(i + 1) * size + j]!)),
  );
  const placeOf = Int32Array.from(sections, (_, i) => rights.indexOf(i));
  return ({ along, strength, wash, missing }: StripAir, attached: ArrayLike<number>): void => {
    // What was missing a moment ago is nearly what is missing now. A step that was tried too long may have left no number: it must not stay.
    if (!wash.every(Number.isFinite)) {
      wash.fill(0);
      missing.fill(0);
    }
    let counts = 0;
    const changeAt = (i: number): number => {
      counts = 0;
      const flow = along[i]!;
      const before = missing[i]!;
      const normal = (strength[i]! + wash[i]!) / reach[i]! - before;
      const share = attached[i]!;
      if (share >= WHOLE && before === 0 && flow > 0 && Math.abs(normal) < STEEP * flow) return 0;
      const met = Math.sqrt(normal * normal + flow * flow);
      if (met === 0) return 0;
      const sine = normal / met;
      meetingLoads(sections[i]!, sine, flow / met, share, bearing);
      const full = slopes[i]! * sine;
      // Of what it would lift it lifts a share; its own answer to the upwash is taken along at once.
      const kept = Math.abs(full) < 1e-9 ? 1 : Math.min(1, Math.max(0, bearing.lift / full));
      const others = (strength[i]! + wash[i]! - own[i]! * before) / reach[i]!;
      const next = (-(1 - kept) * others) / (kept + ((1 - kept) * own[i]!) / reach[i]!);
      const change = next - before;
      counts = Math.abs(change) / Math.max(1, met);
      return counts < IDLE ? 0 : change;
    };
    const isAlike = (i: number): boolean =>
      along[i] === along[i + 1] &&
      strength[i] === strength[i + 1] &&
      wash[i] === wash[i + 1] &&
      missing[i] === missing[i + 1] &&
      attached[i] === attached[i + 1];
    // Flown straight everything is alike on both sides, and stays so.
    const isStraight = rights.every(isAlike);
    for (let sweep = 0; sweep < SWEEPS; sweep++) {
      let most = 0;
      for (let i = 0; i < size; i++) {
        if (isLeft[i] === 1) continue;
        const right = changeAt(i);
        most = Math.max(most, counts);
        // Flown straight, left and right meet the same.
        const left = paired[i] !== 1 ? 0 : isAlike(i) ? right : changeAt(i + 1);
        most = Math.max(most, counts);
        if (right === 0 && left === 0) continue;
        missing[i]! += right;
        const row = i * size;
        if (left === 0) {
          for (let j = 0; j < size; j++) wash[j]! += answers[row + j]! * right;
          continue;
        }
        missing[i + 1]! += left;
        if (left === right && isStraight) {
          const place = placeOf[i]! * rights.length;
          for (let k = 0; k < rights.length; k++) {
            const brought = alike[place + k]! * right;
            wash[rights[k]!]! += brought;
            wash[rights[k]! + 1]! += brought;
          }
          continue;
        }
        const next = row + size;
        for (let j = 0; j < size; j++) wash[j]! += answers[row + j]! * right + answers[next + j]! * left;
      }
      if (most < AGREED) return;
    }
  };
}
