import {
  degreesFromRadians,
  gramsFromKilograms,
  kilogramsFromGrams,
  type Metres,
  metresFromMillimetres,
  millimetresFromMetres,
  type SquareMetres,
  GRAMS_PER_OUNCE,
  MILLIMETRES_PER_INCH,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import { SI_SYMBOL, type UnitKind } from '@/core/1-base/units/unitKind';
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

const massAxis = ({ mass }: DisplayUnits): UnitAxis =>
  mass === 'oz'
    ? {
        unit: 'oz',
        to: (value) => gramsFromKilograms(value) / GRAMS_PER_OUNCE,
        from: (shown) => kilogramsFromGrams(shown * GRAMS_PER_OUNCE),
        format: (shown) => decimal(shown, 2),
      }
    : { unit: 'g', to: gramsFromKilograms, from: kilogramsFromGrams, format: (shown) => decimal(shown, 0) };

const plainAxis = (unit: string): UnitAxis => ({
  unit,
  to: (value) => value,
  from: (shown) => shown,
  format: (shown) => decimal(shown, 3),
});

/** Any number of the analysis along an axis. */
export function axisOf(kind: UnitKind, units: DisplayUnits): UnitAxis {
  switch (kind) {
    case 'length':
      return lengthAxis(units);
    case 'speed':
      return speedAxis(units);
    case 'mass':
      return massAxis(units);
    case 'angle':
      return { unit: '°', to: degreesFromRadians, from: radiansFromDegrees, format: (shown) => decimal(shown, 2) };
    case 'percent':
      return {
        unit: '%',
        to: (value) => 100 * value,
        from: (shown) => shown / 100,
        format: (shown) => decimal(shown, 1),
      };
    case 'time':
      return {
        unit: 'min',
        to: (value) => value / 60,
        from: (shown) => shown * 60,
        format: (shown) => decimal(shown, 1),
      };
    case 'area':
      return areaAxis(units);
    default:
      return plainAxis(SI_SYMBOL[kind] === '1' ? '' : SI_SYMBOL[kind]);
  }
}

/** A number of the document, in the unit that it is kept in, along an axis. */
export function documentAxis(unit: string, units: DisplayUnits): UnitAxis {
  if (unit === 'mm' && units.length === 'in') {
    const { unit: inches, to, from, format } = lengthAxis(units);
    return {
      unit: inches,
      to: (value) => to(metresFromMillimetres(value)),
      from: (shown) => millimetresFromMetres(from(shown)),
      format,
    };
  }
  return unit === 'm/s' ? speedAxis(units) : plainAxis(unit);
}
