import { LAUNCH_OVER_STALL } from './briefTargets';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { kilograms, metresPerSecond, radians, say, type Words } from '@/core/1-base/words/phrase';
import {
  metresFromMillimetres,
  type Fraction,
  type Kilograms,
  type KilogramsPerCubicMetre,
  type Metres,
  type MetresPerSecond,
  type Newtons,
  type SquareMetres,
} from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';

/** How heavy it may get for one reason [kg]; null with the reason when it cannot be said. */
export interface Ceiling {
  readonly reason: 'stall' | 'launch' | 'climb' | 'strength' | 'class';
  readonly mass: Kilograms | null;
  readonly because: Words;
}

export interface CeilingInput {
  readonly density: KilogramsPerCubicMetre;
  /** Wing area [m²] and span [m]. */
  readonly area: SquareMetres;
  readonly span: Metres;
  readonly maximumLift: Fraction | null;
  /** Stall speed that the brief can live with [m/s], and why. */
  readonly stallSpeed: MetresPerSecond;
  readonly stallBecause: Words;
  readonly launchSpeed: MetresPerSecond | null;
  /** Static thrust [N]; null without a motor. */
  readonly thrust: Newtons | null;
  readonly liftOverDrag: Fraction | null;
  readonly wing: Surface | null;
  /** Class of the brief [kg]. */
  readonly limit: Kilograms | null;
}

/** Climb angle that clears a hedge, as its sine. */
const CLIMB = 0.15;
/** Static thrust that is left at climbing speed. */
const THRUST_KEPT = 0.7;
/** Load factor of a hard pull-up that the spar must bear. */
export const PULL_UP = 4;
/** Bending strength that is safe to count on [Pa]: half of what tables give, for knots and notches. */
const STRENGTHS: readonly (readonly [RegExp, number])[] = [
  [/carbon/i, 6e8],
  [/glass|fibre/i, 2.5e8],
  [/pine|spruce|wood|bamboo|dowel/i, 3e7],
  [/alumin/i, 1.2e8],
];

const massAtStall = (speed: number, { density, area, maximumLift }: CeilingInput) =>
  (0.5 * density * speed ** 2 * area * maximumLift!) / GRAVITY;

/**
 * Greatest masses: m = ½ρV²S C_Lmax/g at the stall speed, and at the launch
 * speed over 1.2; thrust that still climbs, T k = W(sin γ + D/L); a rod of
 * modulus w h²/6 under an elliptic load, root bending n W b/(3π). Sources:
 * Anderson, Introduction to Flight, ch. 6; Gere, Mechanics of Materials, ch. 5.
 */
export function massCeilings(input: CeilingInput): Ceiling[] {
  const { maximumLift, launchSpeed, thrust, liftOverDrag, limit } = input;
  const known = maximumLift !== null;
  const noLift = 'the stall is not known';
  return [
    {
      reason: 'stall',
      mass: known ? massAtStall(input.stallSpeed, input) : null,
      because: known
        ? say`heavier, it stalls above ${metresPerSecond(input.stallSpeed)}: ${input.stallBecause}`
        : noLift,
    },
    ...(launchSpeed === null
      ? []
      : [
          {
            reason: 'launch' as const,
            mass: known ? massAtStall(launchSpeed / LAUNCH_OVER_STALL, input) : null,
            because: known
              ? say`a launch at ${metresPerSecond(launchSpeed, 0)} must be a fifth above the stall`
              : noLift,
          },
        ]),
    thrust === null || liftOverDrag === null
      ? { reason: 'climb', mass: null, because: thrust === null ? 'there is no motor' : 'the drag is not known' }
      : {
          reason: 'climb',
          mass: (THRUST_KEPT * thrust) / (CLIMB + 1 / liftOverDrag) / GRAVITY,
          because: say`${kilograms(thrust / GRAVITY)} of static thrust, estimated from the motor’s weight (±30 %), still climb at ${radians(Math.asin(CLIMB), 0)}`,
        },
    strengthCeiling(input),
    ...(limit === null
      ? []
      : [{ reason: 'class' as const, mass: limit, because: 'the weight class of the brief; local rules decide' }]),
  ];
}

function strengthCeiling({ wing, span }: CeilingInput): Ceiling {
  const rods =
    wing?.spars.filter(({ width, height, start }) => width > 0 && height > 0 && start.distanceFromRoot < 1) ?? [];
  if (rods.length === 0)
    return {
      reason: 'strength',
      mass: null,
      because: 'no spar with a width and a height reaches the root; board alone is not counted',
    };
  let moment = 0;
  for (const { width, height, material } of rods) {
    const strength = STRENGTHS.find(([pattern]) => pattern.test(material))?.[1];
    if (strength === undefined)
      return {
        reason: 'strength',
        mass: null,
        because: `nothing is known of “${material || 'the spar material'}”: name carbon, glass, wood or aluminium`,
      };
    moment += (strength * metresFromMillimetres(width) * metresFromMillimetres(height) ** 2) / 6;
  }
  return {
    reason: 'strength',
    mass: (moment * 3 * Math.PI) / (PULL_UP * span) / GRAVITY,
    because: `the rods alone bend to their limit at the root in a pull-up of ${PULL_UP} times the weight`,
  };
}

/** Ballast at the balance point for more speed at the same lift: m ∝ V². @returns mass to add [kg], 0 when none is needed */
export function ballastForSpeed(mass: number, speedNow: number, speedWanted: number): number {
  return speedWanted <= speedNow ? 0 : mass * ((speedWanted / speedNow) ** 2 - 1);
}
