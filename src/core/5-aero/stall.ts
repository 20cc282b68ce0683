import { isLifting } from '@/core/2-document/schema/roles';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, Kilograms, Metres, MetresPerSecond } from '@/core/1-base/units/convert';
import { type Air, GRAVITY } from './atmosphere';
import type { AeroModel } from './aeroModel';
import { stripLifts } from './farField';
import type { Lattice } from './lattice';
import { stripLimits, type StripSection, type TrimmedLine } from './polar';
import { deltaLimit, isSlenderDelta } from './vortexLift';
import { wholeLift } from './wholeLift';

/**
 * Stall by the critical section: the lift at which the first strip of a wing
 * or canard reaches the greatest lift of its section at its own Reynolds
 * number, trimmed. Tail surfaces are left out: they stall on the other side.
 * A slender delta lifts until its vortices burst.
 * Source of the method: Abbott & von Doenhoff, Theory of Wing Sections, 1959, section 1.5.
 */
export interface StallResult {
  readonly liftCoefficient: Fraction;
  readonly speed: MetresPerSecond | null;
  readonly surface: string;
  /** 0 at the root, 1 at the tip; null for a slender delta, whose lift ends with its vortices. */
  readonly startsAtSpanFraction: Fraction | null;
  /** Per strip of the lifting surfaces: place, lift there when it stalls, and what its section can. */
  readonly strips: readonly StallStrip[];
}

export interface StallStrip {
  readonly surface: string;
  readonly spanFraction: Fraction;
  readonly y: Metres;
  readonly lift: Fraction;
  readonly limit: Fraction;
}

export interface StallInput {
  readonly model: AeroModel;
  readonly line: TrimmedLine;
  readonly sections: readonly StripSection[];
  readonly air: Air;
  /** Null when nothing is weighed: Reynolds numbers then come from the cruise speed. */
  readonly mass: Kilograms | null;
  readonly cruiseSpeed: MetresPerSecond;
  /** What turned flaps add to the greatest lift of each strip when the whole carries so much. */
  readonly extraLimitAt?: (lift: number) => ArrayLike<number>;
}

/** Lift coefficients of the whole between which strips are taken to gain evenly, and the greatest that is looked for. */
const LOW = 0.2;
const HIGH = 0.8;
const MOST_LIFT = 6;
/** A strip that gains less than this on the way does not stall with the rest. */
const LEAST_GAIN = 1e-6;

/** Strips whose own stall is felt: those of wings and canards that do not fly on vortices. */
export const stallingStrips = ({ strips, surfaces }: Lattice): number[] => {
  const stalls = surfaces.map((surface) => isLifting(surface) && !isSlenderDelta(surface));
  return strips.flatMap(({ surface }, index) => (stalls[surface] ? [index] : []));
};

/** Where a stall speed is looked for [m/s]. */
export const STALL_SPEEDS = { low: 0.1, high: 300 } as const;

export function findStall(input: StallInput): StallResult | { readonly reason: string } {
  const { model, line, sections, air, mass } = input;
  const { lattice, reference } = model;
  const lifting = stallingStrips(lattice);
  const slope = wholeLift(model, stripLifts(model.matrices, model.rising));
  const delta = deltaLimit(lattice.surfaces, slope, reference.area);
  const low = line.stripLiftsAt(LOW);
  const high = line.stripLiftsAt(HIGH);
  const gaining = lifting.filter((index) => high[index]! - low[index]! > LEAST_GAIN);
  const onVortices = (): StallResult => ({
    liftCoefficient: delta!.lift,
    speed: mass === null ? null : stallSpeed(mass, air, reference.area, delta!.lift),
    surface: delta!.surface,
    startsAtSpanFraction: null,
    strips: [],
  });
  if (gaining.length === 0)
    return delta ? onVortices() : { reason: 'No strip of a wing gains lift with angle of attack.' };
  const liftOf = (index: number, lift: number) =>
    low[index]! + ((high[index]! - low[index]!) * (lift - LOW)) / (HIGH - LOW);
  const limitsAt = (speed: number, lift: number) => {
    const extra = input.extraLimitAt?.(lift);
    return stripLimits(sections, air, speed).map((maximumLift, index) => maximumLift + (extra?.[index] ?? 0));
  };
  /** Lift at which the first strip reaches its limit, with the sections as they are at a speed. */
  const firstAt = (speed: number): { readonly lift: number; readonly critical: number } => {
    const sound = stripLimits(sections, air, speed);
    let critical = gaining[0]!;
    const room = (lift: number) => {
      const extra = input.extraLimitAt?.(lift);
      let least = Infinity;
      for (const index of gaining) {
        const left = sound[index]! + (extra?.[index] ?? 0) - liftOf(index, lift);
        if (left < least) {
          least = left;
          critical = index;
        }
      }
      return least;
    };
    const found = findRoot(room, { low: 0, high: MOST_LIFT, tolerance: 1e-9 });
    if (found.kind !== 'root') return { lift: NaN, critical };
    room(found.x);
    return { lift: found.x, critical };
  };
  let speed = input.cruiseSpeed;
  if (Number.isNaN(firstAt(speed).lift))
    return {
      reason:
        'A part of the wing is beyond its greatest lift before the whole carries anything: look for steep twist or incidence.',
    };
  if (mass !== null) {
    // The limits hang on the Reynolds number, and that on the stall speed itself.
    const tooFast = (v: number) => v - stallSpeed(mass, air, reference.area, firstAt(v).lift);
    const found = findRoot(tooFast, { ...STALL_SPEEDS, tolerance: 1e-9 });
    if (found.kind !== 'root') return { reason: 'No speed between 0.1 and 300 m/s is that of the stall.' };
    speed = found.x;
  }
  const { lift, critical } = firstAt(speed);
  if (delta && delta.lift < lift) return onVortices();
  const limits = limitsAt(speed, lift);
  const place = (index: number) => {
    const strip = lattice.strips[index]!;
    const { stations, id } = lattice.surfaces[strip.surface]!;
    return { surface: id, spanFraction: strip.middle / stations.at(-1)!.distance, y: strip.m.y };
  };
  const atStall = line.stripLiftsAt(lift);
  return {
    liftCoefficient: lift,
    speed: mass === null ? null : speed,
    surface: place(critical).surface,
    startsAtSpanFraction: place(critical).spanFraction,
    strips: lifting.map((index) => ({
      ...place(index),
      lift: atStall[index]!,
      limit: limits[index]!,
    })),
  };
}

/** V = √(2 m g / (ρ S C_L)) [m/s]. */
export function stallSpeed(mass: number, air: Air, area: number, maximumLift: number): number {
  return Math.sqrt((2 * mass * GRAVITY) / (air.density * area * maximumLift));
}
