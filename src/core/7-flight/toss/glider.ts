import { type Metres, type MetresPerSecond, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isFin, isWing } from '@/core/2-document/schema/roles';
import type { Numbers } from '@/core/6-groups/page';
import { STALLED } from '../flightRecord';
import { STATE_SIZE, AT } from '../rigidBody';
import { type FlyingModel, flyingModel, type Unflyable } from '../flyingModel';

/** Places in a row of the table: coefficients along the flight axes (x forward, z down) and in pitch about the drawn balance point, and what one radian nose up of the surface that trims it adds to each. */
export const COLUMN = { x: 0, z: 1, m: 2, turnedX: 3, turnedZ: 4, turnedM: 5 } as const;
export const COLUMNS = 6;

/**
 * A glider reduced to what a throw needs: tables over the angle of attack
 * all round, with every stick in the middle, what a turn of the surface
 * that trims it adds, and derivatives of everything else at level flight. It
 * is made once from the strip model and then flies in a fraction of a
 * millisecond.
 */
export interface Glider {
  readonly model: FlyingModel;
  readonly scale: number;
  /** Surface that is turned by a shim, by its id; null where the pitch control is set instead. */
  readonly trimmer: string | null;
  /** Writes the row of an angle of attack. Without a tail the pitch control stands for the surface that trims. */
  readonly table: (alpha: Radians, out: Float64Array) => void;
  /** Least drag coefficient of the table: what an error of the drag is a share of. */
  readonly leastDrag: number;
  /** Damping per q c̄/2V: force down, pitching moment. */
  readonly pitching: { readonly z: number; readonly m: number };
  /** Side force, rolling and yawing moment per β, p b/2V, r b/2V. */
  readonly sideways: Readonly<Record<'beta' | 'roll' | 'yaw', readonly [y: number, l: number, n: number]>>;
  readonly area: number;
  readonly span: Metres;
  readonly chord: Metres;
  /** Angle of attack at which the flow over a quarter of the wings has let go. */
  readonly stallAngle: Radians;
}

/** Steps of the tables, all the way round: what tumbles is damped as it turns over. */
const STEP = radiansFromDegrees(1.5);
const ROUND = 240;
/** Where flow over the wings is told as attached or not: in the order in which it lets go, from flying straight on. */
const HALF = ROUND / 2;
/** Turn from which the effect of the trimming surface is told. */
const TURN = radiansFromDegrees(1);
/** Small motions from which derivatives are told: sideslip, and rates as p b/2V. */
const SMALL = 0.02;

const STILL = { pitch: 0, roll: 0, yaw: 0, flap: 0 } as const;

/** The tail or foreplane that sets hands-off lift most; null for an aircraft that has none. */
export function trimmerOf(design: Design, { rigging: { surfaces } }: Pick<Numbers, 'rigging'>): string | null {
  const tails = surfaces.filter(({ surface }) => {
    const own = design.surfaces.find(({ id }) => id === surface);
    return own !== undefined && !isWing(own) && !isFin(own);
  });
  const best = tails.toSorted((a, b) => Math.abs(b.momentPerRadian) - Math.abs(a.momentPerRadian))[0];
  return best?.surface ?? null;
}

/** The document with one surface turned nose up. */
const withTurn = (design: Design, surface: string, turn: number): Design => ({
  ...design,
  surfaces: design.surfaces.map((one) => (one.id === surface ? { ...one, incidence: one.incidence + turn } : one)),
});

/** Reduces a design to a glider of a scale; says why not where it cannot be flown. Powered, its propellers do not drag. */
export function gliderOf(design: Design, scale = 1, { isPowered = false } = {}): Glider | Unflyable {
  const model = flyingModel(design, { scale, isPowered });
  if ('because' in model) return model;
  const trimmer = trimmerOf(design, model.numbers);
  const other = trimmer === null ? model : flyingModel(withTurn(design, trimmer, 1), { scale, isPowered });
  if ('because' in other) return other;
  const { reference } = model.prepared;
  const { area, span, meanChord: chord } = reference;
  const speed = design.conditions.cruiseSpeed;
  const own = tableOf(model, STILL.pitch);
  const turned = trimmer === null ? tableOf(model, TURN) : tableOf(other, 0);
  const at = model.trim.alpha;
  const measured = (motion: Partial<Record<'v' | 'p' | 'q' | 'r', number>>) => {
    const state = stateAt(model, at, speed);
    state[AT.speed + 1] = motion.v ?? 0;
    (['p', 'q', 'r'] as const).forEach((rate, axis) => (state[AT.rate + axis] = motion[rate] ?? 0));
    const { force, moment } = model.settledLoads(state, STILL as never);
    const pressure = (model.prepared.air.density * speed ** 2 * area) / 2;
    return {
      y: force[1] / pressure,
      z: force[2] / pressure,
      l: moment[0] / pressure / span,
      m: moment[1] / pressure / chord,
      n: moment[2] / pressure / span,
    };
  };
  const rest = measured({});
  const pitched = measured({ q: (SMALL * 2 * speed) / chord });
  const side = (motion: Parameters<typeof measured>[0]): readonly [number, number, number] => {
    const { y, l, n } = measured(motion);
    return [(y - rest.y) / SMALL, (l - rest.l) / SMALL, (n - rest.n) / SMALL];
  };
  const turnRate = (SMALL * 2 * speed) / span;
  return {
    model,
    scale,
    trimmer,
    table: reader(own.rows, turned.rows),
    leastDrag: own.leastDrag,
    pitching: { z: (pitched.z - rest.z) / SMALL, m: (pitched.m - rest.m) / SMALL },
    sideways: {
      beta: side({ v: speed * Math.sin(SMALL) }),
      roll: side({ p: turnRate }),
      yaw: side({ r: turnRate }),
    },
    area,
    span,
    chord,
    stallAngle: own.stallAngle,
  };
}

/** Flying straight at an angle of attack, everything attached. */
function stateAt(model: FlyingModel, alpha: Radians, speed: MetresPerSecond): Float64Array {
  const state = new Float64Array(model.size).fill(1);
  state.fill(0, 0, STATE_SIZE);
  state[AT.turn] = 1;
  state[AT.speed] = speed * Math.cos(alpha);
  state[AT.speed + 2] = speed * Math.sin(alpha);
  return state;
}

/** Coefficients at even steps of the angle of attack all round; from nought either way, so that what is attached stays so as long as it can. */
function tableOf(model: FlyingModel, pitch: Radians) {
  const { air, reference, design } = model.prepared;
  const speed = design.conditions.cruiseSpeed;
  const pressure = (air.density * speed ** 2 * reference.area) / 2;
  const rows = new Float64Array(3 * ROUND);
  let stallAngle = Math.PI / 2;
  let leastDrag = Infinity;
  for (const way of [1, -1] as const) {
    let shares: Float64Array | null = null;
    for (let step = way === 1 ? 0 : 1; way === 1 ? step <= HALF : step < HALF; step++) {
      const alpha = way * step * STEP;
      const state = stateAt(model, alpha, speed);
      if (shares) state.set(shares, STATE_SIZE);
      const { force, moment } = model.settledLoads(state, { ...STILL, pitch } as never);
      shares = state.slice(STATE_SIZE);
      const [x, z] = [force[0] / pressure, force[2] / pressure];
      rows.set([x, z, moment[1] / pressure / reference.meanChord], 3 * ((way * step + ROUND) % ROUND));
      leastDrag = Math.min(leastDrag, -x * Math.cos(alpha) - z * Math.sin(alpha));
      if (way === 1 && step > 0 && alpha < stallAngle && model.attachedShare(state) < STALLED) stallAngle = alpha;
    }
  }
  return { rows, leastDrag, stallAngle };
}

/** Between rows by a cubic through their slopes (Catmull–Rom). Asked for in every step of every flight: nothing is made on the way. */
function reader(own: Float64Array, turned: Float64Array): Glider['table'] {
  return (alpha, out) => {
    const place = alpha / STEP + ROUND;
    const index = Math.floor(place);
    const s = place - index;
    const a = (-s + 2 * s * s - s * s * s) / 2;
    const b = (2 - 5 * s * s + 3 * s * s * s) / 2;
    const c = (s + 4 * s * s - 3 * s * s * s) / 2;
    const d = (-s * s + s * s * s) / 2;
    const p = 3 * ((index - 1) % ROUND);
    const q = 3 * (index % ROUND);
    const r = 3 * ((index + 1) % ROUND);
    const t = 3 * ((index + 2) % ROUND);
    for (let key = 0; key < 3; key++) {
      const value = a * own[p + key]! + b * own[q + key]! + c * own[r + key]! + d * own[t + key]!;
      const other = a * turned[p + key]! + b * turned[q + key]! + c * turned[r + key]! + d * turned[t + key]!;
      out[key] = value;
      out[3 + key] = (other - value) / TURN;
    }
  };
}
