import type { Fraction, Kilograms, Metres, Radians } from '@/core/1-base/units/convert';
import { metresFromMillimetres } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Glider } from './glider';
import { liftBy, type Inferred } from './infer';
import { drawnBalance, likeMass } from './settings';
import { priorOf } from './unknowns';

/** What brings hands-off lift to where it is wanted: one of the two, on the tossed glider. */
export interface Correction {
  /** Lift of level flight at cruise speed. */
  readonly aim: Fraction;
  /** How far hands-off lift is off it. */
  readonly off: Fraction;
  /** Turn of the surface that trims, nose up positive, and how thick a shim under its root chord that is; null where no such surface helps. */
  readonly turn: {
    readonly surface: string;
    readonly angle: Radians;
    /** One standard deviation, by that of hands-off lift. */
    readonly sigma: Radians;
    readonly shim: Metres;
  } | null;
  /** How far aft the balance point would have to lie of where it is drawn, on the tossed glider; null where that does not help. */
  readonly balance: { readonly moves: Metres; readonly sigma: Metres } | null;
  /** Ballast, and where it goes: at the nose or at the tail end; null where the balance point does not help. */
  readonly ballast: { readonly mass: Kilograms; readonly at: Metres; readonly moves: Metres } | null;
}

/** Steps from which slopes are told, in standard deviations of the prior. */
const NUDGE = 0.2;
/** Beyond that many degrees or shares a straight line says nothing. */
const FARTHEST_TURN: Radians = 0.1;
/** More ballast than that share of its mass is another glider. */
const MOST_BALLAST = 0.5;

/** Foremost and rearmost place of what is drawn that weight can be fixed to [m aft of the datum], full size. */
function endsOf({ model }: Glider): readonly [Metres, Metres] {
  const { bodies, massItems, surfaces } = model.prepared.design;
  const places = [
    ...bodies.flatMap(({ position, frames }) => frames.map(({ x }) => position.x + x)),
    ...massItems.map(({ position }) => position.x),
    ...surfaces.flatMap(({ position, stations }) =>
      stations.flatMap(({ leadingEdgeOffset, chord }) => [
        position.x + leadingEdgeOffset,
        position.x + leadingEdgeOffset + chord,
      ]),
    ),
  ];
  return [metresFromMillimetres(Math.min(...places)), metresFromMillimetres(Math.max(...places))];
}

/** Shim and ballast for what tosses told; null where it settles nowhere. */
export function correctionFor(glider: Glider, { errors, handsOffLift }: Inferred): Correction | null {
  if (!handsOffLift) return null;
  const { model, scale, trimmer, chord } = glider;
  const { design, air, reference } = model.prepared;
  const prior = priorOf(glider);
  const cruise = design.conditions.cruiseSpeed;
  const aim = (model.body.mass * GRAVITY) / ((air.density * cruise ** 2 * reference.area) / 2);
  const lift = liftBy(glider);
  const [a, b] = [errors.decalage.value / prior.decalage, errors.balance.value / prior.balance];
  const slope = (byA: number, byB: number): number => {
    const [up, down] = [1, -1].map((side) => lift({ decalage: a + side * byA, balance: b + side * byB }));
    return up === null || down === null || up === undefined || down === undefined ? 0 : (up - down) / (2 * NUDGE);
  };
  const off = handsOffLift.value - aim;
  const perTurn = slope(NUDGE, 0) / prior.decalage;
  const perBalance = slope(0, NUDGE) / (prior.balance * chord * scale);
  const angle = perTurn === 0 ? Infinity : -off / perTurn;
  const root = design.surfaces.find(({ id }) => id === trimmer)?.stations[0]?.chord;
  const moves = perBalance === 0 ? Infinity : -off / perBalance;
  const place = (moves < 0 ? endsOf(glider)[0] : endsOf(glider)[1]) * scale;
  const balance = drawnBalance(glider) + moves;
  const mass = (likeMass(glider) * moves) / (place - balance);
  return {
    aim,
    off,
    turn:
      trimmer !== null && root !== undefined && Math.abs(angle) < FARTHEST_TURN
        ? {
            surface: trimmer,
            angle,
            sigma: handsOffLift.sigma / Math.abs(perTurn),
            shim: metresFromMillimetres(root) * scale * Math.abs(Math.tan(angle)),
          }
        : null,
    balance:
      Number.isFinite(moves) && Math.abs(moves) < chord * scale
        ? { moves, sigma: handsOffLift.sigma / Math.abs(perBalance) }
        : null,
    ballast: mass >= 0 && mass < MOST_BALLAST * likeMass(glider) ? { mass, at: place, moves } : null,
  };
}
