import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, Metres, MetresPerSecond, Newtons, Radians } from '@/core/1-base/units/convert';
import type { Air } from '@/core/5-aero/atmosphere';
import type { BladePlace, Propeller } from './blade';
import { turning } from './bladeElements';
import { angleForLift, ZERO_LIFT } from './bladeSection';

export interface TwistInput {
  readonly diameter: Metres;
  readonly blades: number;
  /** Chord by share of the radius. */
  readonly chordAt: (share: Fraction) => Metres;
  readonly speed: MetresPerSecond;
  /** Revolutions per second. */
  readonly perSecond: number;
  readonly thrust: Newtons;
  readonly air: Air;
}

export interface Twist {
  readonly propeller: Propeller;
  /** Places whose chord is too narrow for what they should lift. */
  readonly narrow: readonly Fraction[];
  /** Shaft power of the twisted blade, and of one of a single angle that gives the same thrust; null where none does [W]. */
  readonly power: number;
  readonly straightPower: number | null;
}

/** Places of a hand-made blade, from where a hub ends. */
export const TWIST_SHARES: readonly Fraction[] = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
/** At the tip itself there is no circulation left. */
const NEAR_TIP = 0.97;
/** More lift than that a place should not be asked for. */
const MOST_LIFT = 1.1;
/** Displacement velocity over the speed, least and most that is tried. */
const DISPLACED = [0, 6] as const;

/**
 * The twist of least induced loss for a thrust at a speed and revolutions with
 * given chords: the wake moves back like a rigid screw, tan φ = (V + v/2)/(Ω r);
 * circulation Γ = (2π V v/(B Ω)) F x sin φ cos φ with x = Ω r/V and the tip loss
 * F, lift coefficient 2 Γ/(W c), angle = φ + what that lift asks; v from the
 * thrust. Source: Betz 1919; Larrabee, SAE 790585; Adkins & Liebeck, J.
 * Propulsion and Power 10, 1994. Null where these chords and revolutions do not
 * give the thrust.
 */
export function twistFor(input: TwistInput): Twist | null {
  const { speed, perSecond, thrust, air } = input;
  const given = (displaced: number) => turning(made(input, displaced).propeller, speed, perSecond, air).thrust;
  const found = findRoot((displaced) => given(displaced) - thrust, {
    low: DISPLACED[0],
    high: DISPLACED[1],
    tolerance: 1e-5,
  });
  if (found.kind === 'notBracketed') return null;
  const { propeller, narrow } = made(input, found.x);
  const omega = 2 * Math.PI * perSecond;
  const straight = straightFor(propeller, input);
  return {
    propeller,
    narrow,
    power: turning(propeller, speed, perSecond, air).torque * omega,
    straightPower: straight && turning(straight, speed, perSecond, air).torque * omega,
  };
}

function made(
  { diameter, blades, chordAt, speed, perSecond, air }: TwistInput,
  displaced: number,
): Pick<Twist, 'propeller' | 'narrow'> {
  const omega = 2 * Math.PI * perSecond;
  const tip = Math.atan((speed * (1 + displaced / 2)) / ((omega * diameter) / 2));
  const narrow: Fraction[] = [];
  const places = TWIST_SHARES.map((share): BladePlace => {
    const radius = (Math.min(share, NEAR_TIP) * diameter) / 2;
    const chord = chordAt(share);
    const inflow = Math.atan((speed * (1 + displaced / 2)) / (omega * radius));
    const [sine, cosine] = [Math.sin(inflow), Math.cos(inflow)];
    const f = ((blades / 2) * (1 - Math.min(share, NEAR_TIP))) / Math.sin(tip);
    const loss = (2 / Math.PI) * Math.acos(Math.exp(-f));
    const around = (omega * radius) / speed;
    const circulation = ((2 * Math.PI * speed ** 2 * displaced) / (blades * omega)) * loss * around * sine * cosine;
    const meeting = (speed * (1 + (displaced / 2) * cosine ** 2)) / sine;
    const lift = (2 * circulation) / (meeting * chordAt(Math.min(share, NEAR_TIP)));
    if (lift > MOST_LIFT) narrow.push(share);
    const reynolds = (air.density * meeting * chord) / air.viscosity;
    return { share, chord, angle: inflow + angleForLift(Math.min(MOST_LIFT, lift), reynolds) };
  });
  return { propeller: { diameter, blades, places }, narrow };
}

/** Angles of a straight blade that are tried, and in how many steps [rad]. */
const STEEPEST: Radians = 0.9;
const STEPS = 24;

/** The same blade with one angle throughout that gives the same thrust: the flattest that does. */
function straightFor(propeller: Propeller, { speed, perSecond, thrust, air }: TwistInput): Propeller | null {
  const at = (angle: Radians): Propeller => ({
    ...propeller,
    places: propeller.places.map((place) => ({ ...place, angle })),
  });
  const missing = (angle: Radians) => turning(at(angle), speed, perSecond, air).thrust - thrust;
  let low = ZERO_LIFT;
  for (let step = 1; step <= STEPS; step++) {
    const high = ZERO_LIFT + ((STEEPEST - ZERO_LIFT) * step) / STEPS;
    if (missing(high) >= 0) {
      const found = findRoot(missing, { low, high, tolerance: 1e-6 });
      return found.kind === 'notBracketed' ? null : at(found.x);
    }
    low = high;
  }
  return null;
}
