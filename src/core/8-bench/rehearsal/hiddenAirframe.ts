import type { Degrees, Fraction, Millimetres } from '@/core/1-base/units/convert';
import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { turnOfShim } from '@/core/3-shape/geometry/shim';
import { prepare } from '@/core/6-groups/solution/prepare';
import { type Gate, gatesOf, type Side } from '../gates';
import { normalNumber } from '../instruments/standIn';
import type { GateShim } from '../judgeGate';

/** How an aircraft that somebody builds really comes out, for rehearsing: nobody but the instruments sees it. */
export interface HiddenAirframe {
  readonly seed: number;
  /** What is really there at every gate and side, beside what is drawn [°]. */
  readonly off: Readonly<Record<string, Degrees>>;
  /** Mass over what is computed, and balance point aft of it. */
  readonly mass: Fraction;
  readonly balance: Millimetres;
  /** Thrust over what is computed. */
  readonly thrust: Fraction;
}

/** Hands and hot glue at first, ±1σ: a seat [°], a warped tip [°], a twisted body [°], mass, balance [mm], thrust. Twice what careful hands do. C. */
const FIRST = { incidence: 1.6, washout: 1.4, square: 1.2, mass: 0.08, balance: 6, thrust: 0.08 } as const;
/** A shim is cut to a tenth or so: what it turns is off by that share. C. */
const SHIM = 0.06;
/** Nothing of a rehearsal is off by more: worse is seen by eye [°]. */
const WORST: Degrees = 2.8;

export const placeOf = ({ step }: Gate, side: Side): string => `${step} ${side}`;

/** Draws what a build comes out with. @param seed the same one always builds the same */
export function hiddenAirframe(design: Design, seed: number): HiddenAirframe {
  let place = 0;
  const drawn = (sigma: number) => sigma * normalNumber(seed, place++);
  const off = Object.fromEntries(
    gatesOf(design).flatMap((gate) =>
      gate.sides.map((side) => [placeOf(gate, side), Math.min(WORST, Math.max(-WORST, drawn(FIRST[gate.quantity])))]),
    ),
  );
  return { seed, off, mass: drawn(FIRST.mass), balance: drawn(FIRST.balance), thrust: drawn(FIRST.thrust) };
}

/** What is really there at a gate: what a meter without faults would show. */
export const trueReading = ({ off }: HiddenAirframe, gate: Gate, side: Side): Degrees =>
  gate.expected + (off[placeOf(gate, side)] ?? 0);

/** The same with a shim put in, turned by what that thickness turns, give or take. @param times how many were put in before */
export function shimmed(hidden: HiddenAirframe, gate: Gate, shim: GateShim, times: number): HiddenAirframe {
  const place = placeOf(gate, shim.side);
  const noseUp = turnOfShim(gate.chord!, shim) * (1 + SHIM * normalNumber(hidden.seed + 7, 100 + times));
  const reads = gate.quantity === 'washout' ? -noseUp : noseUp;
  return { ...hidden, off: { ...hidden.off, [place]: (hidden.off[place] ?? 0) + reads } };
}

/** A body that is twisted is taken apart and stood up anew: most of it is gone. */
export function setAnew(hidden: HiddenAirframe, gate: Gate, times: number): HiddenAirframe {
  const again = Object.fromEntries(
    gate.sides.map((side, index) => [
      placeOf(gate, side),
      0.35 * FIRST[gate.quantity] * normalNumber(hidden.seed + 13, 200 + 2 * times + index),
    ]),
  );
  return { ...hidden, off: { ...hidden.off, ...again } };
}

/** What the two cells of a stand bear when it lies on them, front and rear edge of the root chord of its wing [g]; null where nothing is weighed yet. */
export function standBears(design: Design, hidden: HiddenAirframe): readonly [front: number, rear: number] | null {
  const prepared = prepare(design, {});
  const weighed = prepared?.weights.properties;
  if (!prepared || !weighed) return null;
  const mass = gramsFromKilograms(weighed.total) * (1 + hidden.mass);
  const at = millimetresFromMetres(prepared.about[0]) + hidden.balance;
  const [front, rear] = standAt(design);
  const share = (at - front) / (rear - front);
  return [mass * (1 - share), mass * share];
}

/** Where a balance stand holds it, aft of the datum [mm]: at a tenth and nine tenths of the root chord of its widest wing. */
export function standAt(design: Design): readonly [front: Millimetres, rear: Millimetres] {
  const wings = prepare(design, {})?.placed.filter(({ mirrored }) => mirrored) ?? [];
  const widest = wings.toSorted((a, b) => b.stations.at(-1)!.y - a.stations.at(-1)!.y)[0];
  const root = widest?.stations[0];
  const [x, chord] = root ? [millimetresFromMetres(root.x), millimetresFromMetres(root.chord)] : [0, 200];
  return [x + 0.1 * chord, x + 0.9 * chord];
}
