import { scaled } from '@/core/1-base/numeric/scaled';
import type { Fraction, Metres, Pascals } from '@/core/1-base/units/convert';
import { type Supple, answered, settled } from '../aeroelastic/supple';
import type { StripLoads } from '../aeroelastic/stripLoads';
import { answeredSum, type LiftAndMoment, mixed } from './pullUp';
import type { SuppleAircraft } from './suppleAircraft';

/** What bending does to lift slope and neutral point at a dynamic pressure; null where nothing holds against the air. */
export function pitchEffects(
  body: SuppleAircraft,
  pressure: Pascals,
): { readonly liftSlopeKept: Fraction; readonly neutralPointShift: Metres } | null {
  const { cruise, about } = body.stiff;
  // What one radian of angle of attack adds.
  const stiff = mixed(body, [-Math.sin(cruise.alpha), Math.cos(cruise.alpha), 0]);
  const unknowns = settled(body.alike, pressure, scaled(stiff.turns, pressure));
  if (!unknowns) return null;
  const more = answeredSum(body.alike, about, unknowns);
  const bent = { lift: stiff.lift + more.lift, moment: stiff.moment + more.moment };
  const neutral = ({ lift, moment }: LiftAndMoment) => about[0] - moment / lift;
  return {
    liftSlopeKept: bent.lift / stiff.lift,
    neutralPointShift: neutral(bent) - neutral(stiff),
  };
}

/**
 * Share of the effect of what a boom carries that is left when only the boom
 * bends: load on its strips when the boom is turned about an axis, over that
 * of a stiff boom. For one tail on a uniform boom 1/(1 + q S a L²/(2 E I)).
 * [exact in the limit] @param axis 1 for pitch, 2 for yaw
 */
export function boomKept(
  supple: Supple,
  mount: number,
  surfaces: readonly number[],
  pressure: Pascals,
  axis: 1 | 2,
): Fraction | null {
  const { lattice, size, firstMount } = supple;
  const row = firstMount + 3 * mount;
  const within = (values: Float64Array) =>
    values.map((value, strip) => (surfaces.includes(lattice.strips[strip]!.surface) ? value : 0));
  const only = (loads: StripLoads): StripLoads => ({ force: within(loads.force), moment: within(loads.moment) });
  // Along the axis that counts: lift for pitch, side force for yaw.
  const load = ({ force }: StripLoads) =>
    lattice.strips.reduce(
      (sum, { tangentY, tangentZ }, strip) => sum + force[strip]! * (axis === 1 ? tangentY : tangentZ),
      0,
    );
  const own = only(supple.answers[row + axis]!);
  const stiff = load(own);
  if (!(Math.abs(stiff) > 1e-12)) return null;
  const isKept = (place: number) => place >= row && place < row + 3;
  const boom: Supple = {
    ...supple,
    coupling: supple.coupling.map((value, index) =>
      isKept(Math.floor(index / size)) && isKept(index % size) ? value : 0,
    ),
  };
  const turns = supple.turnsBy(own).map((turn, place) => (isKept(place) ? turn * pressure : 0));
  const unknowns = settled(boom, pressure, turns);
  return unknowns ? 1 + load(only(answered(boom, unknowns))) / stiff : null;
}
