import { isLifting } from '@/core/2-document/schema/roles';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, Kilograms, Metres, MetresPerSecond } from '@/core/1-base/units/convert';
import { type Air, GRAVITY } from './atmosphere';
import type { AeroModel } from './aeroModel';
import { stripData, type StripSection, type TrimmedLine } from './polar';

/**
 * Stall by the critical section: the lift at which the first strip of a wing
 * or canard reaches the greatest lift of its section at its own Reynolds
 * number, trimmed. Tail surfaces are left out: they stall on the other side.
 * Source of the method: Abbott & von Doenhoff, Theory of Wing Sections, 1959, section 1.5.
 */
export interface StallResult {
  readonly liftCoefficient: Fraction;
  readonly speed: MetresPerSecond | null;
  readonly surface: string;
  /** 0 at the root, 1 at the tip. */
  readonly startsAtSpanFraction: Fraction;
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
  /** What drooped flaps add to the greatest lift of each strip. */
  readonly extraLimit?: readonly number[];
}

/** Where a stall speed is looked for [m/s]. */
const STALL_SPEEDS = { low: 0.1, high: 300 } as const;

export function findStall(input: StallInput): StallResult | { readonly reason: string } {
  const { model, line, sections, air, mass } = input;
  const { lattice, reference } = model;
  const lifting = lattice.strips.flatMap((strip, index) =>
    isLifting(lattice.surfaces[strip.surface]!) ? [index] : [],
  );
  const low = line.stripLiftsAt(0.2);
  const high = line.stripLiftsAt(0.8);
  const limitsAt = (speed: number) =>
    stripData(sections, air, speed).map(({ maximumLift }, index) => maximumLift + (input.extraLimit?.[index] ?? 0));
  /** Lift at which the first strip reaches its limit, with the sections as they are at a speed. */
  const firstAt = (speed: number): { readonly lift: number; readonly critical: number } => {
    const limits = limitsAt(speed);
    let lift = Infinity;
    let critical = lifting[0]!;
    for (const index of lifting) {
      const slope = (high[index]! - low[index]!) / 0.6;
      if (slope <= 1e-6) continue;
      const at = 0.2 + (limits[index]! - low[index]!) / slope;
      if (at < lift && at > 0) {
        lift = at;
        critical = index;
      }
    }
    return { lift, critical };
  };
  let speed = input.cruiseSpeed;
  if (!Number.isFinite(firstAt(speed).lift)) return { reason: 'No strip of a wing gains lift with angle of attack.' };
  if (mass !== null) {
    // The limits hang on the Reynolds number, and that on the stall speed itself.
    const tooFast = (v: number) => v - stallSpeed(mass, air, reference.area, firstAt(v).lift);
    const found = findRoot(tooFast, { ...STALL_SPEEDS, tolerance: 1e-9 });
    if (found.kind !== 'root') return { reason: 'No speed between 0.1 and 300 m/s is that of the stall.' };
    speed = found.x;
  }
  const { lift, critical } = firstAt(speed);
  const limits = limitsAt(speed);
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
