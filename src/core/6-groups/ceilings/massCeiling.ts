import { findRoot } from '@/core/1-base/numeric/findRoot';
import { LAUNCH_OVER_STALL } from './briefTargets';
import { HEAVIEST_THROW } from './launchSpeed';
import type { ThrustGiven } from '../power/thrustGiven';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { kilograms, metresPerSecond, percent, plain, radians, say, type Words } from '@/core/1-base/words/phrase';
import {
  type Fraction,
  type Kilograms,
  type KilogramsPerCubicMetre,
  type MetresPerSecond,
  type SquareMetres,
} from '@/core/1-base/units/convert';
import { NO_MASS } from '../words';

/** How heavy it may get for one reason [kg]; null with the reason when it cannot be said. */
export interface Ceiling {
  readonly reason: 'stall' | 'launch' | 'climb' | 'strength' | 'class';
  /** A bound of physics, what models of the purpose usually do, or a rule that somebody set. */
  readonly kind: 'physics' | 'habit' | 'rule';
  readonly mass: Kilograms | null;
  readonly because: Words;
}

export interface CeilingInput {
  readonly density: KilogramsPerCubicMetre;
  /** Wing area. */
  readonly area: SquareMetres;
  readonly maximumLift: Fraction | null;
  /** Stall speed that the brief can live with [m/s], and why. */
  readonly stallSpeed: MetresPerSecond;
  readonly stallBecause: Words;
  readonly stallKind: 'physics' | 'habit';
  /** Speed out of the launch by mass, null where nobody throws it; null on wheels. */
  readonly launchSpeedOf: ((mass: Kilograms) => MetresPerSecond | null) | null;
  /** Full thrust; null without a motor. */
  readonly thrust: ThrustGiven | null;
  readonly liftOverDrag: Fraction | null;
  /** What it weighs as it is, and its wings of that [kg]. */
  readonly total: Kilograms | null;
  readonly wingMass: Kilograms;
  /** Load factor at cruise speed that breaks it, with its band and what gives way; why where it is not known. */
  readonly breaks: { readonly factor: number; readonly band: Fraction; readonly part: string } | Words;
  /** Class of the brief [kg]. */
  readonly limit: Kilograms | null;
}

/** Climb angle that clears a hedge, as its sine, and the speed of that climb over the stall. */
const CLIMB = 0.15;
const CLIMB_OVER_STALL = 1.3;
/** Load factor of a hard pull-up that wings must bear. */
export const PULL_UP = 4;

const massAtStall = (speed: number, { density, area, maximumLift }: CeilingInput) =>
  (0.5 * density * speed ** 2 * area * maximumLift!) / GRAVITY;

/**
 * Greatest masses: m = ½ρV²S C_Lmax/g at the stall speed, and at the launch
 * speed over 1.2, which falls with the mass when it is thrown; thrust that still climbs, T k = W(sin γ + D/L); what the
 * wings bear. Source: Anderson, Introduction to Flight, ch. 5 and 6.
 */
export function massCeilings(input: CeilingInput): Ceiling[] {
  const { maximumLift, launchSpeedOf, thrust, liftOverDrag, limit } = input;
  const known = maximumLift !== null;
  const noLift = 'the stall is not known';
  return [
    {
      reason: 'stall',
      kind: input.stallKind,
      mass: known ? massAtStall(input.stallSpeed, input) : null,
      because: known
        ? say`heavier, it stalls above ${metresPerSecond(input.stallSpeed)}: ${input.stallBecause}`
        : noLift,
    },
    ...(launchSpeedOf === null ? [] : [launchCeiling(input, launchSpeedOf)]),
    climbCeiling(thrust, liftOverDrag, input),
    strengthCeiling(input),
    ...(limit === null
      ? []
      : [
          {
            reason: 'class' as const,
            kind: 'rule' as const,
            mass: limit,
            because: 'the weight class of the brief; local rules decide',
          },
        ]),
  ];
}

/** The mass that a launch of that mass brings a fifth above its stall: thrown, heavier ones leave slower. */
function launchCeiling(input: CeilingInput, speedOf: NonNullable<CeilingInput['launchSpeedOf']>): Ceiling {
  const base = { reason: 'launch', kind: 'physics' } as const;
  if (input.maximumLift === null) return { ...base, mass: null, because: 'the stall is not known' };
  const room = (mass: number) => {
    const speed = speedOf(mass);
    return (speed === null ? 0 : massAtStall(speed / LAUNCH_OVER_STALL, input)) - mass;
  };
  const found = findRoot(room, { low: 0, high: HEAVIEST_THROW, tolerance: 1e-6 });
  if (found.kind === 'root') {
    const speed = speedOf(found.x)!;
    return {
      ...base,
      mass: found.x,
      because: say`a launch at ${metresPerSecond(speed, 1)} must be a fifth above the stall`,
    };
  }
  const most = speedOf(HEAVIEST_THROW * 1.01);
  return most === null
    ? { ...base, mass: HEAVIEST_THROW, because: say`nobody throws more than ${kilograms(HEAVIEST_THROW, 0)}` }
    : {
        ...base,
        mass: massAtStall(most / LAUNCH_OVER_STALL, input),
        because: say`a launch at ${metresPerSecond(most, 1)} must be a fifth above the stall`,
      };
}

/** The mass that full thrust still lifts over a hedge: T = W(sin γ + D/L), T at the speed of that climb, which grows with the mass. */
function climbCeiling(thrust: ThrustGiven | null, liftOverDrag: Fraction | null, input: CeilingInput): Ceiling {
  const base = { reason: 'climb', kind: 'physics' } as const;
  if (thrust === null || liftOverDrag === null)
    return { ...base, mass: null, because: thrust === null ? 'there is no motor' : 'the drag is not known' };
  const lifted = (speed: MetresPerSecond) => thrust.at(speed) / (CLIMB + 1 / liftOverDrag) / GRAVITY;
  const atStall = (mass: number) =>
    input.maximumLift === null
      ? input.stallSpeed
      : Math.sqrt((2 * mass * GRAVITY) / (input.density * input.area * input.maximumLift));
  const most = lifted(0);
  const found = findRoot((mass) => lifted(CLIMB_OVER_STALL * atStall(mass)) - mass, {
    low: 1e-3,
    high: most,
    tolerance: 1e-6,
  });
  const mass = found.kind === 'notBracketed' ? lifted(CLIMB_OVER_STALL * input.stallSpeed) : found.x;
  const source = thrust.isGuessed
    ? 'estimated from the motor’s weight (±30 %)'
    : 'computed from motor, propeller and pack (±15 %)';
  return {
    ...base,
    mass: Math.max(0, mass),
    because: say`${kilograms(thrust.standing / GRAVITY)} of static thrust, ${source}, still climb at ${radians(Math.asin(CLIMB), 0)}`,
  };
}

/**
 * What bends the wings is what they carry beside themselves, as their own
 * weight rides where it is lifted: n (m − m_wing) stays the same where they
 * break, so that m = m_wing + (m_0 − m_wing) n_0/n. Exact for wings that are
 * lifted and weigh alike along the span.
 */
function strengthCeiling({ total, wingMass, breaks }: CeilingInput): Ceiling {
  const base = { reason: 'strength', kind: 'physics' } as const;
  if (typeof breaks !== 'object' || !('factor' in breaks)) return { ...base, mass: null, because: breaks };
  if (total === null) return { ...base, mass: null, because: NO_MASS };
  const { factor, band, part } = breaks;
  return {
    ...base,
    mass: wingMass + ((total - wingMass) * factor) / PULL_UP,
    because: say`heavier, ${part} gives way in a pull-up of ${plain(PULL_UP, 0)} times the weight (±${percent(band, 0)})`,
  };
}

/** Ballast at the balance point for more speed at the same lift: m ∝ V². @returns mass to add [kg], 0 when none is needed */
export function ballastForSpeed(mass: number, speedNow: number, speedWanted: number): number {
  return speedWanted <= speedNow ? 0 : mass * ((speedWanted / speedNow) ** 2 - 1);
}
