import {
  type Metres,
  metresFromMillimetres,
  millimetresFromMetres,
  type SquareMetres,
  MILLIMETRES_PER_INCH,
} from '@/core/1-base/units/convert';
import { decimal, type DisplayUnits, inchFraction } from '@/words/formatQuantity';

/** How an SI number is laid along an axis in the chosen unit, so that ticks are round in it. */
export interface UnitAxis {
  readonly unit: string;
  readonly to: (value: number) => number;
  readonly from: (shown: number) => number;
  readonly format: (shown: number) => string;
}

const SQUARE_INCH = 0.00064516;
const SPEEDS = { 'm/s': 1, 'km/h': 3.6, mph: 1 / 0.44704 } as const;

export const lengthAxis = ({ length }: DisplayUnits): UnitAxis =>
  length === 'in'
    ? {
        unit: 'in',
        to: (metres: Metres | number) => millimetresFromMetres(metres) / MILLIMETRES_PER_INCH,
        from: (shown) => metresFromMillimetres(shown * MILLIMETRES_PER_INCH),
        format: (shown) => inchFraction(shown * MILLIMETRES_PER_INCH),
      }
    : {
        unit: 'mm',
        to: millimetresFromMetres,
        from: (shown) => metresFromMillimetres(shown),
        format: (shown) => decimal(shown, 1),
      };

export const areaAxis = ({ length }: DisplayUnits): UnitAxis => {
  const size = length === 'in' ? SQUARE_INCH : 0.01;
  return {
    unit: length === 'in' ? 'in²' : 'dm²',
    to: (area: SquareMetres | number) => area / size,
    from: (shown) => shown * size,
    format: (shown) => decimal(shown, 1),
  };
};

export const speedAxis = ({ speed }: DisplayUnits): UnitAxis => ({
  unit: speed,
  to: (value) => value * SPEEDS[speed],
  from: (shown) => shown / SPEEDS[speed],
  format: (shown) => decimal(shown, 1),
});
