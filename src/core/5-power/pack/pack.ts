import { ampereHours, type Celsius, type Fraction } from '@/core/1-base/units/convert';

export type Chemistry = 'lithiumPolymer' | 'lithiumIon';

/** A pack of cells in series, in one row or several. */
export interface Pack {
  readonly chemistry?: Chemistry;
  readonly cells: number;
  /** Charge of all rows [A·s]. */
  readonly charge: number;
  /** Of all cells and leads [Ω]. */
  readonly resistance: number;
}

/** Ampere seconds of a capacity in milliampere hours. */
export const chargeOf = (milliampereHours: number): number => milliampereHours * 3.6;

/** Open voltage of a cell by the share of charge that is left. Source: usual discharge curves at rest; ±0.03 V. */
const OPEN_VOLTAGE: Readonly<Record<Chemistry, readonly (readonly [left: Fraction, volts: number])[]>> = {
  lithiumPolymer: [
    [0, 3.3],
    [0.05, 3.5],
    [0.25, 3.7],
    [0.5, 3.8],
    [0.75, 3.95],
    [1, 4.2],
  ],
  lithiumIon: [
    [0, 2.7],
    [0.05, 3.1],
    [0.25, 3.42],
    [0.5, 3.62],
    [0.75, 3.86],
    [1, 4.15],
  ],
};

/** Open voltage of a pack with a share of its charge left [V]. */
export function openVoltage({ cells, chemistry }: Pick<Pack, 'cells' | 'chemistry'>, left: Fraction): number {
  const curve = OPEN_VOLTAGE[chemistry ?? 'lithiumPolymer'];
  const share = Math.min(1, Math.max(0, left));
  const after = Math.max(
    1,
    curve.findIndex(([place]) => place >= share),
  );
  const [[from, low], [to, high]] = [curve[after - 1]!, curve[after]!];
  return cells * (low + ((high - low) * (share - from)) / (to - from));
}

/** Energy that a pack holds between two shares of its charge, at no load [J]: ∫ V dQ over straight pieces. [exact] */
export function energyBetween(pack: Pack, from: Fraction, to: Fraction): number {
  const places = OPEN_VOLTAGE[pack.chemistry ?? 'lithiumPolymer'].map(([place]) => place);
  const all = [from, ...places.filter((place) => place > from && place < to), to];
  let energy = 0;
  all.slice(1).forEach((right, index) => {
    const left = all[index]!;
    energy += ((openVoltage(pack, left) + openVoltage(pack, right)) / 2) * (right - left) * pack.charge;
  });
  return energy;
}

/** Resistance of one cell times its capacity [Ω·A·h], and what a row bears per ampere hour [A/(A·h)]. Source: practice; 6–25 mΩ·Ah of flat cells. */
const USUAL: Readonly<Record<Chemistry, { readonly resistance: number; readonly load: number }>> = {
  lithiumPolymer: { resistance: 0.012, load: 20 },
  lithiumIon: { resistance: 0.06, load: 5 },
};

/** Half as much again at 5 °C as at 20 °C; warmer a little less, far below freezing no pack is flown. C. */
const COLD_GROWTH = 1.5;
const PER_KELVIN = 15;
const WARM: Celsius = 20;
const FACTORS = [0.75, 4] as const;
/** Charge that cold leaves in it, per kelvin under 20 °C; what a charge and discharge adds to resistance and takes of the charge; C. */
const COLD_CHARGE = 0.005;
const AGED_RESISTANCE = 1 / 400;
const AGED_CHARGE = 1 / 1600;
const LEAST_CHARGE = 0.5;

export interface PackLabel {
  readonly chemistry: Chemistry;
  readonly cells: number;
  readonly parallel: number;
  /** Of one row [mA·h]. */
  readonly capacity: number;
  /** Of the whole pack, new and at 20 °C [Ω]. */
  readonly resistance?: number | undefined;
  readonly temperature: Celsius;
  readonly cycles: number;
}

const ampereHoursOf = ({ capacity, parallel }: PackLabel): number => ampereHours(capacity * parallel);

/** A pack as it is flown: what its label says, colder and older. */
export function packOf(label: PackLabel): Pack {
  const { chemistry, cells, parallel, capacity, resistance, temperature, cycles } = label;
  const cold = COLD_GROWTH ** ((WARM - temperature) / PER_KELVIN);
  const own = resistance ?? (cells * USUAL[chemistry].resistance) / ampereHoursOf(label);
  const kept = 1 - COLD_CHARGE * Math.max(0, WARM - temperature) - AGED_CHARGE * cycles;
  return {
    chemistry,
    cells,
    charge: chargeOf(capacity * parallel) * Math.max(LEAST_CHARGE, kept),
    resistance: own * Math.min(FACTORS[1], Math.max(FACTORS[0], cold)) * (1 + AGED_RESISTANCE * cycles),
  };
}

/** What a pack of its kind usually bears [A]; what stands on it is often more than it bears. */
export const usualPackCurrent = (label: PackLabel): number => USUAL[label.chemistry].load * ampereHoursOf(label);
