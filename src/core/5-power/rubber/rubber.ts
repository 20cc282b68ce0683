import { cubicMetresFromCubicMillimetres } from '@/core/1-base/units/convert';
import type { Fraction, Kilograms, Metres, Millimetres, NewtonMetres } from '@/core/1-base/units/convert';

/** Strands of rubber between two hooks. SI. */
export interface Rubber {
  readonly mass: Kilograms;
  readonly length: Metres;
  /** Turns at which it breaks, and how many of them it is wound. */
  readonly mostTurns: number;
  readonly wound: number;
  /** Energy that comes back from so many turns to none [J]. */
  readonly energyOf: (turns: number) => number;
  /** Torque as it unwinds, with so many turns left. */
  readonly torqueAt: (turns: number) => NewtonMetres;
}

/** Rubber in water sinks no more: 0.93–0.95 g/cm³ [kg/m³]. */
const DENSITY = 940;

export interface RubberLabel {
  readonly strands: number;
  readonly length: Millimetres;
  readonly width: Millimetres;
  readonly thickness: Millimetres;
}

export const rubberMass = ({ strands, length, width, thickness }: RubberLabel): Kilograms =>
  DENSITY * cubicMetresFromCubicMillimetres(strands * length * width * thickness);

/** Torque over turns, each as a share of what it is when it breaks and of a middle value: steep, a plateau, a rise to breaking. Source: practice of the field; ±20 %. */
const SHAPE: readonly (readonly [turns: Fraction, torque: number])[] = [
  [0, 0],
  [0.05, 0.7],
  [0.85, 1.1],
  [1, 2.2],
];

/** Area under the shape up to a share of the turns. */
function areaTo(share: Fraction): number {
  let area = 0;
  for (let index = 1; index < SHAPE.length; index++) {
    const [[from, low], [to, high]] = [SHAPE[index - 1]!, SHAPE[index]!];
    const end = Math.min(to, share);
    if (end <= from) break;
    const there = low + ((high - low) * (end - from)) / (to - from);
    area += ((low + there) / 2) * (end - from);
  }
  return area;
}

function shapeAt(share: Fraction): number {
  const index = Math.max(
    1,
    SHAPE.findIndex(([turns]) => turns >= share),
  );
  const [[from, low], [to, high]] = [SHAPE[index - 1]!, SHAPE[index]!];
  return low + ((high - low) * (share - from)) / (to - from);
}

export interface RubberInput {
  readonly mass: Kilograms;
  readonly length: Metres;
  /** Energy per mass that comes back from breaking turns [J/kg]. */
  readonly delivered: number;
  /** K of the most turns, N = K √(L³/m). */
  readonly turnsConstant: number;
  readonly woundTo: Fraction;
}

/**
 * N_max = K √(L³/m); the torque keeps its shape over N/N_max and is as large as
 * the energy asks for: 2π ∫ Q dN = e m. Source: similarity of twisted strands,
 * Q ∝ √(m³/L³).
 */
export function rubberOf({ mass, length, delivered, turnsConstant, woundTo }: RubberInput): Rubber {
  const mostTurns = turnsConstant * Math.sqrt(length ** 3 / mass);
  const whole = areaTo(1);
  const middle = (delivered * mass) / (2 * Math.PI * mostTurns * whole);
  const shareOf = (turns: number) => Math.min(1, Math.max(0, turns / mostTurns));
  return {
    mass,
    length,
    mostTurns,
    wound: woundTo * mostTurns,
    energyOf: (turns) => (delivered * mass * areaTo(shareOf(turns))) / whole,
    torqueAt: (turns) => (middle * shapeAt(shareOf(turns))) as NewtonMetres,
  };
}

/** Height that all of an energy lifts a model to: h = η e m/(M g). [exact] */
export const heightByEnergy = (energy: number, efficiency: Fraction, weight: number): Metres =>
  (efficiency * energy) / weight;
