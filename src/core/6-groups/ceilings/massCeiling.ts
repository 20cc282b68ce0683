import { findRoot } from '@/core/1-base/numeric/findRoot';
import { LAUNCH_OVER_STALL } from './briefTargets';
import { HEAVIEST_THROW } from './launchSpeed';
import type { ThrustGiven } from '../power/thrustGiven';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { kilograms, metresPerSecond, radians, say, type Words } from '@/core/1-base/words/phrase';
import {
  type Fraction,
  type Kilograms,
  type KilogramsPerCubicMetre,
  type Metres,
  type MetresPerSecond,
  type SquareMetres,
} from '@/core/1-base/units/convert';
import { rodSection } from '@/core/3-shape/section/rod';
import type { Surface } from '@/core/2-document/schema/surface';

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
  /** Wing area [m²] and span [m]. */
  readonly area: SquareMetres;
  readonly span: Metres;
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
  readonly wing: Surface | null;
  /** Class of the brief [kg]. */
  readonly limit: Kilograms | null;
}

/** Climb angle that clears a hedge, as its sine, and the speed of that climb over the stall. */
const CLIMB = 0.15;
const CLIMB_OVER_STALL = 1.3;
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
 * speed over 1.2, which falls with the mass when it is thrown; thrust that still climbs, T k = W(sin γ + D/L); a rod of
 * modulus Z under an elliptic load, root bending n W b/(3π). Sources:
 * Anderson, Introduction to Flight, ch. 6; Gere, Mechanics of Materials, ch. 5.
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

function strengthCeiling({ wing, span }: CeilingInput): Ceiling {
  const rods = wing?.spars.filter((spar) => rodSection(spar).modulus > 0 && spar.start.distanceFromRoot < 1) ?? [];
  if (rods.length === 0)
    return {
      reason: 'strength',
      kind: 'physics',
      mass: null,
      because: 'no rod with a size reaches the root; board alone is not counted',
    };
  let moment = 0;
  for (const rod of rods) {
    const { material } = rod;
    const strength = STRENGTHS.find(([pattern]) => pattern.test(material))?.[1];
    if (strength === undefined)
      return {
        reason: 'strength',
        kind: 'physics',
        mass: null,
        because: `nothing is known of “${material || 'the spar material'}”: name carbon, glass, wood or aluminium`,
      };
    moment += strength * rodSection(rod).modulus;
  }
  return {
    reason: 'strength',
    kind: 'physics',
    mass: (moment * 3 * Math.PI) / (PULL_UP * span) / GRAVITY,
    because: `the rods alone bend to their limit at the root in a pull-up of ${PULL_UP} times the weight`,
  };
}

/** Ballast at the balance point for more speed at the same lift: m ∝ V². @returns mass to add [kg], 0 when none is needed */
export function ballastForSpeed(mass: number, speedNow: number, speedWanted: number): number {
  return speedWanted <= speedNow ? 0 : mass * ((speedWanted / speedNow) ** 2 - 1);
}
