import type { Fraction } from '@/core/1-base/units/convert';

/** A pack of lithium polymer cells in series. */
export interface Pack {
  readonly cells: number;
  /** Charge [A·s]. */
  readonly charge: number;
  /** Of all cells and leads [Ω]. */
  readonly resistance: number;
}

/** Ampere seconds of a capacity in milliampere hours. */
export const chargeOf = (milliampereHours: number): number => milliampereHours * 3.6;

/** Open voltage of a cell by the share of charge that is left. Source: usual discharge curve of lithium polymer at rest; ±0.03 V. */
const OPEN_VOLTAGE: readonly (readonly [left: Fraction, volts: number])[] = [
  [0, 3.3],
  [0.05, 3.5],
  [0.25, 3.7],
  [0.5, 3.8],
  [0.75, 3.95],
  [1, 4.2],
];

/** Open voltage of a pack with a share of its charge left [V]. */
export function openVoltage({ cells }: Pick<Pack, 'cells'>, left: Fraction): number {
  const share = Math.min(1, Math.max(0, left));
  const after = Math.max(
    1,
    OPEN_VOLTAGE.findIndex(([place]) => place >= share),
  );
  const [[from, low], [to, high]] = [OPEN_VOLTAGE[after - 1]!, OPEN_VOLTAGE[after]!];
  return cells * (low + ((high - low) * (share - from)) / (to - from));
}

/** Energy that a pack holds between two shares of its charge, at no load [J]: ∫ V dQ over straight pieces. [exact] */
export function energyBetween(pack: Pack, from: Fraction, to: Fraction): number {
  const places = [from, ...OPEN_VOLTAGE.map(([place]) => place).filter((place) => place > from && place < to), to];
  let energy = 0;
  places.slice(1).forEach((right, index) => {
    const left = places[index]!;
    energy += ((openVoltage(pack, left) + openVoltage(pack, right)) / 2) * (right - left) * pack.charge;
  });
  return energy;
}
