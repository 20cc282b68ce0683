import { scaled } from '@/core/1-base/numeric/scaled';
import type { Fraction, Metres, Pascals } from '@/core/1-base/units/convert';
import { settled } from '../aeroelastic/equations';
import { answered, type Supple } from '../aeroelastic/supple';
import type { StripLoads } from '../aeroelastic/stripLoads';
import { answeredSum, type LiftAndMoment, mixed } from './pullUp';
import type { SuppleAircraft } from './suppleAircraft';

/** Unknowns of an aircraft that may turn, one after the other; all others are held. */
interface MayTurn {
  readonly first: number;
  readonly end: number;
}

/** The same aircraft with some of its unknowns held. */
function heldBut(supple: Supple, { first, end }: MayTurn): Supple {
  const coupling = new Float64Array(supple.coupling.length);
  for (let row = first; row < end; row++)
    for (let at = row * supple.size + first; at < row * supple.size + end; at++) coupling[at] = supple.coupling[at]!;
  return { ...supple, coupling };
}

function turnsBut(turns: Float64Array, { first, end }: MayTurn, pressure: Pascals): Float64Array {
  const kept = new Float64Array(turns.length);
  for (let unknown = first; unknown < end; unknown++) kept[unknown] = turns[unknown]! * pressure;
  return kept;
}

/** What bending does to lift slope and neutral point at a dynamic pressure; null where nothing holds against the air. @param by what bends: everything, or booms alone */
export function pitchEffects(
  body: SuppleAircraft,
  pressure: Pascals,
  by: 'everything' | 'booms' = 'everything',
): { readonly liftSlopeKept: Fraction; readonly neutralPointShift: Metres } | null {
  const { alike } = body;
  const { cruise, about } = body.stiff;
  // What one radian of angle of attack adds.
  const stiff = mixed(body, [-Math.sin(cruise.alpha), Math.cos(cruise.alpha), 0]);
  const booms: MayTurn = { first: alike.firstMount, end: alike.size };
  const unknowns =
    by === 'everything'
      ? settled(alike, pressure, scaled(stiff.turns, pressure))
      : settled(heldBut(alike, booms), pressure, turnsBut(stiff.turns, booms, pressure));
  if (!unknowns) return null;
  const more = answeredSum(alike, about, unknowns);
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
  const { lattice, firstMount } = supple;
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
  const mayTurn: MayTurn = { first: row, end: row + 3 };
  const boom = heldBut(supple, mayTurn);
  const unknowns = settled(boom, pressure, turnsBut(supple.turnsBy(own), mayTurn, pressure));
  return unknowns ? 1 + load(only(answered(boom, unknowns))) / stiff : null;
}
