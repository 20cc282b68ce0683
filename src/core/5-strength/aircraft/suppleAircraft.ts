import type { Fraction, Kilograms, MetresPerSecond, Pascals, Radians, Vector3 } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { developedLength, liesAlike, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { Lattice } from '@/core/5-aero/lattice';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { type Air, GRAVITY } from '@/core/5-aero/atmosphere';
import type { Parity } from '@/core/5-aero/flowCase';
import { trim } from '@/core/5-aero/trim';
import type { Mount } from '../aeroelastic/mount';
import {
  answered,
  type Equations,
  equationsAt,
  type Held,
  heldAt,
  inState,
  sharesOf,
  type SteadyState,
  supple,
  type Supple,
  turnsOf,
  type Twists,
  twistsOf,
} from '../aeroelastic/supple';
import { type StripLoads, stripLoadsOf, sumLoads, type Total, totalOf } from '../aeroelastic/stripLoads';
import { addTwo, type Passing, passingOf } from '../beam/passing';
import { type SurfaceBeam, surfaceBeam } from '../beam/surfaceBeam';
import { coveringOf } from '../materials/covering';
import { type Board, boardNamed } from '../materials/ownBoard';
import { surfaceStuff } from '../section/surfaceStuff';
import { carriedMasses, weightLoads } from './carriedMasses';
import { type Boom, boomsOf, mountsOf } from './mounts';

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
  /** What the answers of the air to a unit of every unknown that is alike add up to. */
  readonly answerTotals: readonly Total[];
  /** Where left and right are opposite, worked out when it is asked for. */
  readonly opposite: () => Supple;
  /** What bends alike or opposite left and right in level flight at a dynamic pressure, which turns with its loads; worked out once for each. */
  readonly equations: (parity: Parity, pressure: Pascals) => Equations;
  readonly line: TrimLine;
  /** Unknowns that the weights of the parts themselves cause at one g. */
  readonly weightTurns: Float64Array;
  /** What passes the beam of a surface under loads of its strips and its own weights. */
  readonly passing: PassingIn;
}

/** What passes a beam in a pull-up of so many times the weight; known again for the same loads. */
export type PassingIn = (surface: number, loads: StripLoads, pull: Pick<PullUp, 'pressure' | 'factor'>) => Passing;

/** Loads of a unit case per dynamic pressure, what they add up to, and the unknowns they turn before the air answers. */
export interface StripCase {
  readonly loads: StripLoads;
  readonly total: Total;
  readonly turns: Float64Array;
}

/** Area of both faces of the board of a surface, both sides of a mirrored one [m²]. */
function facesOf(surface: PlacedSurface): number {
  let area = 0;
  surface.stations.slice(1).forEach((b, index) => {
    const a = surface.stations[index]!;
    area += ((a.chord + b.chord) / 2) * (b.distance - a.distance);
  });
  return 2 * area * (surface.mirrored ? 2 : 1);
}

interface KnownBeam {
  readonly material: Board;
  readonly surface: PlacedSurface;
  readonly beam: SurfaceBeam | null;
}

/** Beams by the surface as it is drawn: what was not changed is not worked out again for every trial. */
const known = new WeakMap<Surface, KnownBeam>();

/** The beam of a surface; null where nobody says what it is made of. */
export function beamOf(design: Design, surface: PlacedSurface): SurfaceBeam | null {
  const { construction } = surface.source;
  const material = boardNamed(design, construction?.material);
  if (!construction || !material) return null;
  const before = known.get(surface.source);
  if (before && before.material === material && liesAlike(before.surface, surface)) return before.beam;
  const made = surfaceBeam(surfaceStuff(surface, material, coveringOf(construction, facesOf(surface))));
  const beam = made.stretches.every(({ whole, twist }) => whole.upDown > 0 && twist > 0) ? made : null;
  known.set(surface.source, { material, surface, beam });
  return beam;
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
    answerTotals: alike.totals(about),
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
    passing: passingIn(model.lattice, twists, byWeight),
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

/** Sums what every strip brings by itself. */
function passingIn(lattice: Lattice, twists: Twists, byWeight: ReadonlyMap<number, Passing>): PassingIn {
  const known = new WeakMap<StripLoads, Map<number, Passing>>();
  return (surface, loads, { pressure, factor }) => {
    const before = known.get(loads) ?? new Map<number, Passing>();
    known.set(loads, before);
    const found = before.get(surface);
    if (found) return found;
    const { each } = twists(surface);
    const passing = byWeight.get(surface)!.map((weight) => factor * weight);
    const first = lattice.firstStrip[surface]!;
    for (let strip = first; strip < lattice.firstStrip[surface + 1]!; strip++)
      addTwo(passing, each, 2 * (strip - first), [pressure * loads.force[strip]!, pressure * loads.moment[strip]!]);
    before.set(surface, passing);
    return passing;
  };
}

/** The unit cases in given shares. */
export function mixed({ cases, alike }: SuppleAircraft, shares: readonly number[]): StripCase {
  const turns = new Float64Array(alike.size);
  const total = [0, 0, 0, 0, 0, 0];
  cases.forEach((one, index) => {
    const share = shares[index]!;
    one.turns.forEach((turn, row) => (turns[row]! += share * turn));
    [...one.total.force, ...one.total.moment].forEach((value, axis) => (total[axis]! += share * value));
  });
  return {
    loads: sumLoads(cases.map(({ loads }, index) => [shares[index]!, loads] as const)),
    total: { force: [total[0]!, total[1]!, total[2]!], moment: [total[3]!, total[4]!, total[5]!] },
    turns,
  };
}

/** A steady pull-up: what the strips bear, and how they are turned by bending. */
export interface PullUp {
  readonly factor: Fraction;
  readonly pressure: Pascals;
  /** Loads per dynamic pressure with everything stiff, and as it bends. */
  readonly rigid: StripLoads;
  readonly bent: StripLoads;
  readonly unknowns: Float64Array;
  /** How much more pitch command it takes than a stiff one would. */
  readonly commandMore: Radians;
}

/**
 * Trimmed flight at a speed with n times the weight on it. Angle of attack and
 * pitch command are those at which lift and moment of the bent aircraft are
 * those of the stiff one in trim; null where that has no answer: nothing holds
 * against the air, or no trim.
 */
export function pullUp(body: SuppleAircraft, speed: MetresPerSecond, factor: Fraction): PullUp | null {
  const { air } = body.stiff;
  const pressure = (air.density * speed ** 2) / 2;
  const held = heldAt(body.alike, pressure);
  return held && trimmedAt(body, { pressure, held }, factor);
}

interface AtSpeed {
  readonly pressure: Pascals;
  readonly held: Held;
}

function trimmedAt(body: SuppleAircraft, { pressure, held }: AtSpeed, factor: Fraction): PullUp | null {
  const { model, mass } = body.stiff;
  const lift = (factor * mass * GRAVITY) / (pressure * model.reference.area);
  const trimmed = body.line?.(lift);
  if (!trimmed) return null;
  const { alpha, command } = trimmed;
  const [cosine, sine] = [Math.cos(alpha), Math.sin(alpha)];
  const rigid = mixed(body, [cosine, sine, command * cosine]);
  const byAlpha = mixed(body, [-sine, cosine, -command * sine]);
  const byCommand = model.commanded ? mixed(body, [0, 0, cosine]) : null;
  const asks = ({ turns }: StripCase, given?: Float64Array) => {
    const unknowns = held(turns.map((turn, row) => turn * pressure + (given?.[row] ?? 0)));
    let [lift, moment] = [0, 0];
    body.answerTotals.forEach((each, unknown) => {
      const share = unknowns[unknown]! * body.alike.scale[unknown]!;
      lift += share * each.force[2];
      moment += share * each.moment[1];
    });
    return { unknowns, lift, moment };
  };
  const base = asks(
    rigid,
    body.weightTurns.map((turn) => factor * turn),
  );
  const perAlpha = asks(byAlpha);
  const perCommand = byCommand ? asks(byCommand) : null;
  // What a change brings: its own load and what bending makes of it.
  const gained = ({ total }: StripCase, bentBy: ReturnType<typeof asks>) => ({
    lift: total.force[2] + bentBy.lift,
    moment: total.moment[1] + bentBy.moment,
  });
  const a = gained(byAlpha, perAlpha);
  const c = byCommand && perCommand ? gained(byCommand, perCommand) : null;
  const [missingLift, missingMoment] = [-base.lift, -base.moment];
  const determinant = c ? a.lift * c.moment - c.lift * a.moment : a.lift;
  if (!(Math.abs(determinant) > 1e-12)) return null;
  const dAlpha = c ? (missingLift * c.moment - c.lift * missingMoment) / determinant : missingLift / a.lift;
  const dCommand = c ? (a.lift * missingMoment - missingLift * a.moment) / determinant : 0;
  const unknowns = base.unknowns.map(
    (turn, row) => turn + dAlpha * perAlpha.unknowns[row]! + dCommand * (perCommand?.unknowns[row] ?? 0),
  );
  const bent = sumLoads([
    [1, rigid.loads],
    [dAlpha, byAlpha.loads],
    ...(byCommand ? ([[dCommand, byCommand.loads]] as const) : []),
    [1, answered(body.alike, unknowns)],
  ]);
  return { factor, pressure, rigid: rigid.loads, bent, unknowns, commandMore: dCommand };
}

/** Pull-ups at one speed, by the load factor; everything grows evenly with it. */
export type PullUps = (factor: Fraction) => PullUp;

/** Pull-ups at one speed from two of them; null where there is none. */
export function pullUps(body: SuppleAircraft, speed: MetresPerSecond): PullUps | null {
  const pressure = (body.stiff.air.density * speed ** 2) / 2;
  const held = heldAt(body.alike, pressure);
  const [one, two] = held
    ? [trimmedAt(body, { pressure, held }, 1), trimmedAt(body, { pressure, held }, 2)]
    : [null, null];
  if (!one || !two) return null;
  return (factor) => {
    if (factor === 1) return one;
    if (factor === 2) return two;
    const more = factor - 1;
    const between = (pick: (pull: PullUp) => StripLoads) =>
      sumLoads([
        [1 - more, pick(one)],
        [more, pick(two)],
      ]);
    return {
      factor,
      pressure: one.pressure,
      rigid: between(({ rigid }) => rigid),
      bent: between(({ bent }) => bent),
      commandMore: one.commandMore + more * (two.commandMore - one.commandMore),
      unknowns: one.unknowns.map((unknown, row) => unknown + more * (two.unknowns[row]! - unknown)),
    };
  };
}

/** Share of the span at a place from the root. */
export const spanShare = (surface: PlacedSurface, place: number): Fraction => place / developedLength(surface);
