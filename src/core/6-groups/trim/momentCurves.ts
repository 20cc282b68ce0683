import type { Fraction, MetresPerSecond, Radians } from '@/core/1-base/units/convert';

/**
 * Pitching moment over angle of attack with the pitch control left alone, from
 * no lift to the stall, by power:
 *
 *   off     C_m = C_mα (α − α₀ − C_L,h/C_Lα), or C_m0 + C_mα (α − α₀) where it settles nowhere
 *   with    C_m = C_m,off + C_m,T C_L(α)/C_L,T,   C_L = C_Lα (α − α₀)
 *
 * C_L,h is the lift at which it settles hands off, C_m,T the moment of thrust at the lift C_L,T; a thrust that stays while
 * the speed follows the lift of level flight weighs more the slower it is,
 * which is the last factor. At full power the thrust is guessed from the weight
 * of the motors (±30 %) and its stream over the tail is left out. C_m about
 * the balance point, nose up positive; angles in rad. Beyond the stall no
 * straight line holds. Source: Etkin & Reid, Dynamics of Flight, sections 2.2
 * and 2.4 (running propeller).
 */
export interface MomentInput {
  readonly pitch: {
    readonly liftSlope: number | null;
    readonly momentSlope: number | null;
    readonly zeroLiftAlpha: number | null;
    readonly zeroLiftMoment: number | null;
  };
  readonly trim: {
    readonly liftCoefficient: number | null;
    readonly thrustMoment: number | null;
    readonly climbThrustMoment: number | null;
    readonly speed: number | null;
  };
  readonly stall: { readonly liftCoefficient: number | null };
  /** Where the lattice itself lets it settle with power off; the straight lines go through it. */
  readonly rigging: { readonly handsOffLift: number | null };
}

export type Power = 'off' | 'cruise' | 'full';

/** Where the moment vanishes on its way down, or how it fails to. */
export type Settling =
  | {
      readonly kind: 'settles';
      readonly alpha: Radians | number;
      readonly lift: Fraction;
      readonly speed: MetresPerSecond | number | null;
    }
  | { readonly kind: 'dives' | 'stalls' | 'holdsNothing' };

export interface MomentCurve {
  readonly power: Power;
  /** C_m without lift and at the stall; a straight line between. */
  readonly atZeroLift: number;
  readonly atStall: number;
  readonly settling: Settling;
}

export interface MomentCurves {
  readonly zeroLiftAlpha: number;
  readonly stallAlpha: number;
  readonly curves: readonly MomentCurve[];
}

/** Climb at so much over the stall. */
const CLIMB_OVER_STALL = 1.3;
/** Less lift than this is none. */
const LEAST_LIFT = 0.02;

/** Null where lift, moment or stall are not known. */
export function momentCurves({ pitch, trim, stall, rigging }: MomentInput): MomentCurves | null {
  const { liftSlope, momentSlope, zeroLiftAlpha } = pitch;
  const most = stall.liftCoefficient;
  if (liftSlope === null || momentSlope === null || zeroLiftAlpha === null || most === null) return null;
  const { handsOffLift } = rigging;
  const zeroLiftMoment =
    momentSlope < 0 && handsOffLift !== null ? (-momentSlope / liftSlope) * handsOffLift : pitch.zeroLiftMoment;
  if (zeroLiftMoment === null) return null;
  const level = trim.liftCoefficient;
  const curve = (power: Power, perLift: number): MomentCurve => {
    const slope = momentSlope / liftSlope + perLift;
    const lift = -zeroLiftMoment / slope;
    const settling: Settling =
      slope >= 0
        ? { kind: 'holdsNothing' }
        : lift <= LEAST_LIFT
          ? { kind: 'dives' }
          : lift >= most
            ? { kind: 'stalls' }
            : {
                kind: 'settles',
                alpha: zeroLiftAlpha + lift / liftSlope,
                lift,
                speed:
                  trim.speed === null || level === null || level <= 0 ? null : trim.speed * Math.sqrt(level / lift),
              };
    return { power, atZeroLift: zeroLiftMoment, atStall: zeroLiftMoment + slope * most, settling };
  };
  return {
    zeroLiftAlpha,
    stallAlpha: zeroLiftAlpha + most / liftSlope,
    curves: [
      curve('off', 0),
      ...(trim.thrustMoment === null || level === null || level <= LEAST_LIFT
        ? []
        : [curve('cruise', trim.thrustMoment / level)]),
      ...(trim.climbThrustMoment === null
        ? []
        : [curve('full', (trim.climbThrustMoment * CLIMB_OVER_STALL ** 2) / most)]),
    ],
  };
}
