import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { scaled } from '@/core/1-base/numeric/scaled';
import type { Vector3 } from '@/core/1-base/units/convert';
import type { HalfProblem, InfluenceMatrices, Parity } from './influence';
import type { Lattice } from './lattice';
import { multiplyRows, solveFactored } from './kernel/luFactors';
import { noFlowAt } from './noFlow';

/**
 * Air that streams past before the surfaces disturb it, at unit flight speed:
 * V(r) = linear − turn × (r − about). `turn` is the rotation of the aircraft in
 * document axes [rad/m at unit speed]: roll rate p is −x, pitch rate q is +y,
 * yaw rate r is −z.
 */
export interface Onset {
  readonly linear: Vector3;
  readonly turn: Vector3;
  readonly about: Vector3;
}

/** A solved unit case, or a linear combination of such: right half only. */
export interface FlowCase {
  readonly parity: Parity;
  readonly circulation: Float64Array;
  readonly onset: Onset;
  /** Onset plus induced velocity at the force points. */
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
  /** The same across the chord at the middle of every piece of a leg on the board, edge by edge. */
  readonly legV: Float64Array;
  readonly legW: Float64Array;
}

export const STILL_AIR: Onset = { linear: [0, 0, 0], turn: [0, 0, 0], about: [0, 0, 0] };

export function onsetAt({ linear, turn, about }: Onset, x: number, y: number, z: number): Vector3 {
  const dx = x - about[0];
  const dy = y - about[1];
  const dz = z - about[2];
  return [
    linear[0] - (turn[1] * dz - turn[2] * dy),
    linear[1] - (turn[2] * dx - turn[0] * dz),
    linear[2] - (turn[0] * dy - turn[1] * dx),
  ];
}

/** What a unit case prescribes. */
export interface CaseInput {
  readonly parity: Parity;
  readonly onset: Onset;
  /** Nose-up angle of each panel that meets the x component of the onset; none means flat. */
  readonly angles?: Float64Array;
  /** Lean of each panel's normal towards the tip, which meets the onset along the board. */
  readonly lean?: Float64Array;
  /** Extra nose-up angle of each panel met by unit speed, such as a control deflection. */
  readonly extraAngles?: Float64Array;
}

/** Solves one case with the factors at hand and returns it with its velocities. */
export function solveCase(matrices: InfluenceMatrices, input: CaseInput): FlowCase {
  const right = normalOnset(matrices, input);
  const circulation = solveFactored(halfOf(matrices, input.parity).factors, right);
  expectBelievable(matrices.lattice, right, circulation);
  return new SolvedCase(matrices, input.parity, circulation, input.onset);
}

/**
 * A strip carries at most so many times what the deepest section of the
 * aircraft carries by itself at the steepest angle that any panel meets. Sound
 * aircraft stay below 1; a narrow strip along which the tip vortex of a deep
 * surface passes may reach 2 against its own chord, never against the deepest.
 */
const MOST_GAIN = 2;

/** ΣΓ of every strip against π c V times the steepest angle. @throws NoFlowError */
function expectBelievable(lattice: Lattice, right: Float64Array, circulation: Float64Array): void {
  let steepest = 0;
  for (const value of right) steepest = Math.max(steepest, Math.abs(value));
  let deepest = 0;
  for (const { m } of lattice.strips) deepest = Math.max(deepest, m.chord);
  const most = MOST_GAIN * Math.PI * deepest * steepest;
  const { count } = lattice.cells;
  for (let strip = 0; strip < lattice.strips.length; strip++) {
    let sum = 0;
    for (let k = 0; k < count; k++) sum += circulation[strip * count + k]!;
    // Written so that what is no number is caught as well.
    if (!(Math.abs(sum) <= most)) throw noFlowAt(lattice, strip * count);
  }
}

/** Solves a case that depends on nothing but the lattice and what `key` says, or takes it from before. */
export function unitCase(matrices: InfluenceMatrices, key: string, input: CaseInput, withoutTail = false): FlowCase {
  const known = matrices.unitCases.get(key) as FlowCase | undefined;
  if (known) return known;
  const solved = withoutTail ? solveCaseWithoutTail(matrices, input) : solveCase(matrices, input);
  matrices.unitCases.set(key, solved);
  return solved;
}

/** A unit of a control: its key holds every angle that is not nought, so a moved hinge is another case. */
export function controlCase(matrices: InfluenceMatrices, parity: Parity, extraAngles: Float64Array): FlowCase {
  let key = `${parity}:`;
  for (let i = 0; i < extraAngles.length; i++) if (extraAngles[i] !== 0) key += `${i}=${extraAngles[i]},`;
  return unitCase(matrices, key, { parity, onset: STILL_AIR, extraAngles });
}

/** The same case for the aircraft without its tail: the tail's panels carry nothing. */
export function solveCaseWithoutTail(matrices: InfluenceMatrices, input: CaseInput): FlowCase {
  const { factors } = halfOf(matrices, input.parity);
  const circulation = new Float64Array(factors.size);
  circulation.set(solveFactored(factors, normalOnset(matrices, input), factors.block));
  return new SolvedCase(matrices, input.parity, circulation, input.onset);
}

/** The circulation that holds against an induced velocity along the normals, and what it induces in turn. */
export function solveInduced(
  matrices: InfluenceMatrices,
  parity: Parity,
  normal: Float64Array,
  withoutTail = false,
): FlowCase {
  const { factors } = halfOf(matrices, parity);
  const right = mapToNumbers(normal, (value, i) =>
    parity === 'symmetric' && !matrices.lattice.doubled[i] ? 0 : -value,
  );
  const circulation = new Float64Array(factors.size);
  circulation.set(solveFactored(factors, right, withoutTail ? factors.block : factors.size));
  return new SolvedCase(matrices, parity, circulation, STILL_AIR);
}

/** @throws NoFlowError when that half has no answer */
function halfOf(matrices: InfluenceMatrices, parity: Parity): HalfProblem {
  const half = matrices.half(parity);
  if (half.fault) throw half.fault;
  return half;
}

function normalOnset(matrices: InfluenceMatrices, input: CaseInput): Float64Array {
  const { parity, onset, angles, lean, extraAngles } = input;
  const { lattice } = matrices;
  const count = lattice.cells.count;
  const right = new Float64Array(lattice.panels);
  // Along the chord the onset changes linearly: two points of a strip say it all.
  lattice.strips.forEach((strip, stripIndex) => {
    const first = stripIndex * count;
    if (parity === 'symmetric' && !lattice.doubled[first]) return;
    const [u, v, w] = onsetAt(onset, strip.m.x, strip.m.y, strip.m.z);
    const [endU, endV, endW] = onsetAt(onset, strip.m.x + strip.m.chord, strip.m.y, strip.m.z);
    const normal = w * strip.tangentY - v * strip.tangentZ;
    const change = endW * strip.tangentY - endV * strip.tangentZ - normal;
    const outward = v * strip.tangentY + w * strip.tangentZ;
    const outwardChange = endV * strip.tangentY + endW * strip.tangentZ - outward;
    for (let k = 0; k < count; k++) {
      const i = first + k;
      const along = lattice.cells.control[k]!;
      const speed = u + along * (endU - u);
      const turned = speed * (angles?.[i] ?? 0) + (outward + along * outwardChange) * (lean?.[i] ?? 0);
      right[i] = -(turned + (extraAngles?.[i] ?? 0) + normal + along * change);
    }
  });
  return right;
}

/** The air that a case moves, with the air that streams past. */
type Air = Readonly<Record<'u' | 'v' | 'w' | 'legV' | 'legW', Float64Array>>;

/** What is known of a case by its circulation; the air is moved when it is first asked for: many a case is only asked for its lift. */
class SolvedCase implements FlowCase {
  readonly #matrices: InfluenceMatrices;
  #air: Air | null = null;

  constructor(
    matrices: InfluenceMatrices,
    readonly parity: Parity,
    readonly circulation: Float64Array,
    readonly onset: Onset,
  ) {
    this.#matrices = matrices;
    const waiting = waitingIn(matrices)[parity];
    waiting.push(this);
    if (waiting.length > MOST_WAITING) waiting.shift();
  }

  get u(): Float64Array {
    return this.#moved().u;
  }

  get v(): Float64Array {
    return this.#moved().v;
  }

  get w(): Float64Array {
    return this.#moved().w;
  }

  get legV(): Float64Array {
    return this.#moved().legV;
  }

  get legW(): Float64Array {
    return this.#moved().legW;
  }

  #moved(): Air {
    if (this.#air) return this.#air;
    const waiting = waitingIn(this.#matrices);
    const others = waiting[this.parity].filter((other) => other !== this);
    waiting[this.parity] = others.slice(TOGETHER - 1);
    const moved = [this, ...others.slice(0, TOGETHER - 1)];
    airsOf(this.#matrices, moved).forEach((air, index) => (moved[index]!.#air = air));
    return this.#air!;
  }
}

/** So many cases are moved together: what takes time is to read what is induced. */
const TOGETHER = 4;
/** Of a lattice that serves long, cases whose air nobody asks for are forgotten. */
const MOST_WAITING = 8;

/** Cases whose air was not asked for yet, oldest first: they are moved with the next one that is. */
const allWaiting = new WeakMap<InfluenceMatrices, Record<Parity, SolvedCase[]>>();

function waitingIn(matrices: InfluenceMatrices): Record<Parity, SolvedCase[]> {
  const known = allWaiting.get(matrices);
  if (known) return known;
  const made = { symmetric: [], antisymmetric: [] };
  allWaiting.set(matrices, made);
  return made;
}

/** The air of several cases of one parity, each as it is by itself. */
function airsOf(matrices: InfluenceMatrices, cases: readonly SolvedCase[]): Air[] {
  const { lattice, field } = matrices;
  const { parity } = cases[0]!;
  const { bound, legs } = matrices.half(parity);
  // Where left and right are equal, fins on the centre line carry nothing.
  const from = parity === 'symmetric' ? lattice.centrePanels : 0;
  const acting = [bound.u, bound.v, bound.w, ...(legs ? [legs.v, legs.w] : [])];
  const circulations = cases.map(({ circulation }) => circulation);
  const products = multiplyRows(acting, lattice.panels, circulations, from);
  const atLegs = (which: number) => products[which] ?? circulations.map(() => new Float64Array(field.pieceX.length));
  const [u, v, w, legV, legW] = [products[0]!, products[1]!, products[2]!, atLegs(3), atLegs(4)];
  return cases.map(({ onset }, index) => {
    const air: Air = { u: u[index]!, v: v[index]!, w: w[index]!, legV: legV[index]!, legW: legW[index]! };
    if (!isStill(onset)) addOnset(matrices, onset, air);
    return air;
  });
}

function addOnset({ lattice, field, forceX, forceY, forceZ }: InfluenceMatrices, onset: Onset, air: Air): void {
  const { count } = lattice.cells;
  for (let i = 0; i < lattice.panels; i++) {
    const [u, v, w] = onsetAt(onset, forceX[i]!, forceY[i]!, forceZ[i]!);
    air.u[i]! += u;
    air.v[i]! += v;
    air.w[i]! += w;
  }
  for (let edge = 0; edge < field.edges; edge++) {
    for (let piece = edge * count; piece < (edge + 1) * count; piece++) {
      const [, v, w] = onsetAt(onset, field.pieceX[piece]!, field.edgeY[edge]!, field.edgeZ[edge]!);
      air.legV[piece]! += v;
      air.legW[piece]! += w;
    }
  }
}

const isStill = ({ linear, turn }: Onset): boolean => [...linear, ...turn].every((part) => part === 0);

/** Weighted sum of cases of one parity that turn about the same point. */
export const combineCases = (parts: readonly (readonly [number, FlowCase])[]): FlowCase => new CombinedCase(parts);

type Values = 'circulation' | 'u' | 'v' | 'w' | 'legV' | 'legW';

/** A sum of which each piece is added up when it is first asked for: many a state is only asked for its circulation. */
class CombinedCase implements FlowCase {
  readonly parity: Parity;
  readonly onset: Onset;
  readonly #parts: readonly (readonly [number, FlowCase])[];
  readonly #known: { [Name in Values]?: Float64Array } = {};

  constructor(parts: readonly (readonly [number, FlowCase])[]) {
    const first = parts[0]![1];
    const sum = (pick: (onset: Onset) => Vector3): Vector3 => {
      const total: [number, number, number] = [0, 0, 0];
      for (const [weight, part] of parts) pick(part.onset).forEach((value, axis) => (total[axis]! += weight * value));
      return total;
    };
    this.#parts = parts;
    this.parity = first.parity;
    this.onset = { linear: sum((o) => o.linear), turn: sum((o) => o.turn), about: first.onset.about };
  }

  get circulation(): Float64Array {
    return this.#sum('circulation');
  }

  get u(): Float64Array {
    return this.#sum('u');
  }

  get v(): Float64Array {
    return this.#sum('v');
  }

  get w(): Float64Array {
    return this.#sum('w');
  }

  get legV(): Float64Array {
    return this.#sum('legV');
  }

  get legW(): Float64Array {
    return this.#sum('legW');
  }

  #sum(name: Values): Float64Array {
    const known = this.#known[name];
    if (known) return known;
    const [[first, of], ...others] = this.#parts as [readonly [number, FlowCase], ...(readonly [number, FlowCase])[]];
    const total = scaled(of[name], first);
    for (const [weight, part] of others) {
      const values = part[name];
      for (let i = 0; i < total.length; i++) total[i]! += weight * values[i]!;
    }
    this.#known[name] = total;
    return total;
  }
}
