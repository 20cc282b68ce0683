import type { Fraction, Kilograms, Pascals, Radians, Vector3 } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { developedLength, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { type Air, GRAVITY } from '@/core/5-aero/atmosphere';
import type { Parity } from '@/core/5-aero/influence';
import { trim } from '@/core/5-aero/trim';
import type { Mount } from '../aeroelastic/mount';
import { type Equations, equationsAt } from '../aeroelastic/equations';
import { inState, sharesOf, type SteadyState, supple, type Supple } from '../aeroelastic/supple';
import { turnsOf, twistsOf } from '../aeroelastic/twists';
import { type StripLoads, stripLoadsOf, type Total, totalOf } from '../aeroelastic/stripLoads';
import { type Passing, passingOf } from '../beam/passing';
import type { SurfaceBeam } from '../beam/surfaceBeam';
import { beamOf } from './beamOf';
import { carriedMasses, weightLoads } from './carriedMasses';
import { type Boom, boomsOf, mountsOf } from './mounts';
import { type Passings, passingsOf } from './passings';

/** What is known of the aircraft before anything bends. */
export interface StiffAircraft {
  readonly design: Design;
  readonly model: AeroModel;
  readonly air: Air;
  readonly mass: Kilograms;
  readonly about: Vector3;
  /** Level flight at cruise speed: dynamic pressure, angle of attack, and the downwash at what lies behind. */
  readonly cruise: { readonly pressure: Pascals; readonly alpha: Radians; readonly downwash: Radians };
  /** How many times as far as computed its booms turn; once without. */
  readonly boomsSofter?: number;
}

/** The aircraft with its beams, booms and masses, and how its strips turn under their loads. */
export interface SuppleAircraft {
  readonly stiff: StiffAircraft;
  readonly surfaces: readonly PlacedSurface[];
  readonly beams: ReadonlyMap<number, SurfaceBeam>;
  readonly booms: readonly Boom[];
  readonly alike: Supple;
  /** Unit speed along the datum, unit speed up, unit pitch command: their loads, and what they turn by bending. */
  readonly cases: readonly StripCase[];
  /** The last of them, where anything answers to pitch. */
  readonly commanded: StripCase | null;
  /** Where left and right are opposite, worked out when it is asked for. */
  readonly opposite: () => Supple;
  /** What bends alike or opposite left and right in level flight at a dynamic pressure, which turns with its loads; worked out once for each. */
  readonly equations: (parity: Parity, pressure: Pascals) => Equations;
  readonly line: TrimLine;
  /** Unknowns that the weights of the parts themselves cause at one g. */
  readonly weightTurns: Float64Array;
  readonly passing: Passings;
}

/** Loads of a unit case per dynamic pressure, what they add up to, and the unknowns they turn before the air answers. */
export interface StripCase {
  readonly loads: StripLoads;
  readonly total: Total;
  readonly turns: Float64Array;
}

export function suppleAircraft(stiff: StiffAircraft): SuppleAircraft {
  const { design, model, about } = stiff;
  const { surfaces } = model.lattice;
  const beams = new Map<number, SurfaceBeam>();
  const byWeight = new Map<number, Passing>();
  surfaces.forEach((surface, index) => {
    const beam = beamOf(design, surface);
    if (!beam) return;
    beams.set(index, beam);
    byWeight.set(index, passingOf(beam, weightLoads(carriedMasses(design, surfaces, surface), 1)));
  });
  const booms = boomsOf(design, surfaces);
  const mounts = mountsOf(booms, stiff.boomsSofter);
  const unit = [model.level, model.rising, ...(model.commanded ? [model.commanded] : [])].map((flow) =>
    stripLoadsOf(model.matrices, flow.circulation),
  );
  const line = trimLine(stiff);
  const twists = twistsOf(model.lattice, beams);
  const steadyAt = steadyStates(stiff, mounts, line);
  const build = (parity: Parity) =>
    inState(
      supple({
        matrices: model.matrices,
        parity,
        beams,
        mounts,
        twists,
        steady: parity === 'antisymmetric' ? unit : [],
      }),
      steadyAt(stiff.cruise.pressure),
    );
  let opposite: Supple | undefined;
  const oppositeOnce = () => (opposite ??= build('antisymmetric'));
  const equations = { symmetric: new Map<Pascals, Equations>(), antisymmetric: new Map<Pascals, Equations>() };
  const alike = build('symmetric');
  const cases = unit.map((loads): StripCase => ({
    loads,
    total: totalOf(model.lattice, loads, 'symmetric', about),
    turns: alike.turnsBy(loads),
  }));
  return {
    stiff,
    surfaces,
    beams,
    booms,
    alike,
    cases,
    commanded: model.commanded ? cases.at(-1)! : null,
    opposite: oppositeOnce,
    equations: (parity, pressure) => {
      const before = equations[parity].get(pressure);
      if (before) return before;
      const supple = parity === 'symmetric' ? alike : oppositeOnce();
      const made = equationsAt(inState(supple, steadyAt(pressure)), pressure);
      equations[parity].set(pressure, made);
      return made;
    },
    line,
    weightTurns: sharesOf(alike, (surface) =>
      turnsOf(beams.get(surface)!, model.lattice, surface, byWeight.get(surface)!),
    ),
    passing: passingsOf(model.lattice, twists, { byWeight, unit }),
  };
}

/** Angle of attack and pitch command of trimmed flight by the lift coefficient; null where there is no trim. */
type TrimLine = ((lift: number) => { readonly alpha: Radians; readonly command: Radians }) | null;

/** Both go straight with the lift, known from two trims: level at cruise speed and at twice that. */
function trimLine({ model, mass, about, cruise }: StiffAircraft): TrimLine {
  const level = (mass * GRAVITY) / (cruise.pressure * model.reference.area);
  const [slow, fast] = [level, level / 4].map((lift) => {
    const trimmed = trim(model, { lift, about });
    return trimmed.ok ? { alpha: trimmed.state.alpha, command: trimmed.state.elevator ?? 0 } : null;
  });
  if (!slow || !fast) return null;
  return (lift) => {
    const share = (lift - level / 4) / (0.75 * level);
    const between = (a: number, b: number) => b + (a - b) * share;
    return { alpha: between(slow.alpha, fast.alpha), command: between(slow.command, fast.command) };
  };
}

/** Slower than that share of the dynamic pressure of cruise no level flight is asked for. */
const SLOWEST = 0.5;

/** Level flight by the dynamic pressure: what it takes of the unit cases, and how steep the air is at the mounts, which goes with the lift. */
function steadyStates(
  { model, mass, cruise }: StiffAircraft,
  mounts: readonly Mount[],
  line: TrimLine,
): (pressure: Pascals) => SteadyState {
  const level = (mass * GRAVITY) / (cruise.pressure * model.reference.area);
  return (pressure) => {
    const lift = Math.min(1 / SLOWEST, cruise.pressure / pressure);
    const { alpha, command } = line?.(lift * level) ?? { alpha: cruise.alpha, command: 0 };
    const [cosine, sine] = [Math.cos(alpha), Math.sin(alpha)];
    return {
      shares: [cosine, sine, ...(model.commanded ? [command * cosine] : [])],
      airAngles: mounts.map(({ surfaces }) => {
        const isAhead = model.lattice.surfaces[surfaces[0]!]!.role === 'canard';
        return alpha - (isAhead ? 0 : cruise.downwash * lift);
      }),
    };
  };
}

/** Share of the span at a place from the root. */
export const spanShare = (surface: PlacedSurface, place: number): Fraction => place / developedLength(surface);
