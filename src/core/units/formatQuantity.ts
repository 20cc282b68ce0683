import { degreesFromRadians, gramsFromKilograms, millimetresFromMetres } from './convert';
import type { UnitKind } from './unitKind';

/** Units that people choose. */
export interface DisplayUnits {
  readonly length: 'mm' | 'in';
  readonly mass: 'g' | 'oz';
  readonly speed: 'm/s' | 'km/h' | 'mph';
}

export const METRIC: DisplayUnits = { length: 'mm', mass: 'g', speed: 'm/s' };

const SPEED_FACTOR = { 'm/s': 1, 'km/h': 3.6, mph: 1 / 0.44704 } as const;
const GRAMS_PER_OUNCE = 28.349523125;
const MILLIMETRES_PER_INCH = 25.4;
const MINUS = '−';

const signed = (text: string): string => text.replace('-', MINUS);

/** Shortest decimal with at most `digits` places. */
export function decimal(value: number, digits: number): string {
  const text = value.toFixed(digits);
  const short = digits > 0 ? text.replace(/\.?0+$/, '') : text;
  return signed(short === '-0' ? '0' : short);
}

/** Millimetres as inches to the nearest sixteenth: 339.725 → `13 3/8`. */
export function inchFraction(millimetres: number): string {
  const sixteenths = Math.round((Math.abs(millimetres) / MILLIMETRES_PER_INCH) * 16);
  const whole = Math.floor(sixteenths / 16);
  let over = sixteenths % 16;
  let under = 16;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  const sign = millimetres < 0 && sixteenths > 0 ? MINUS : '';
  const fraction = over === 0 ? '' : `${over}/${under}`;
  return sign + (whole === 0 && fraction ? fraction : `${whole}${fraction ? ` ${fraction}` : ''}`);
}

/** A length of the document [mm], without and with its unit. */
export function formatLength(millimetres: number, { length }: DisplayUnits, digits = 1): string {
  return length === 'in' ? `${inchFraction(millimetres)} in` : `${decimal(millimetres, digits)} mm`;
}

/** A mass of the document [g]. */
export function formatMass(grams: number, { mass }: DisplayUnits, digits = 0): string {
  return mass === 'oz' ? `${decimal(grams / GRAMS_PER_OUNCE, digits + 2)} oz` : `${decimal(grams, digits)} g`;
}

/** A speed [m/s]. */
export function formatSpeed(metresPerSecond: number, { speed }: DisplayUnits): string {
  return `${decimal(metresPerSecond * SPEED_FACTOR[speed], 1)} ${speed}`;
}

/** An SI number of the analysis in the chosen units. */
export function formatValue(value: number, unit: UnitKind, units: DisplayUnits): string {
  switch (unit) {
    case 'length':
      return formatLength(millimetresFromMetres(value), units);
    case 'area':
      return units.length === 'in' ? `${decimal(value / 0.00064516, 1)} in²` : `${decimal(value * 100, 2)} dm²`;
    case 'mass':
      return formatMass(gramsFromKilograms(value), units);
    case 'speed':
      return formatSpeed(value, units);
    case 'angle':
      return `${decimal(degreesFromRadians(value), 2)}°`;
    case 'percent':
      return `${decimal(value * 100, 1)} %`;
    case 'perRadian':
      return `${decimal(value, 3)} /rad`;
    case 'density':
      return `${decimal(value, 3)} kg/m³`;
    case 'acceleration':
      return `${decimal(value, 3)} m/s²`;
    case 'wingLoading':
      return units.mass === 'oz'
        ? `${decimal((value * 1000) / GRAMS_PER_OUNCE / 10.7639104, 1)} oz/ft²`
        : `${decimal(value * 10, 1)} g/dm²`;
    case 'ratio':
      return decimal(value, 3);
  }
}

/** A number of the document in its own unit there: lengths, masses and speeds in the chosen units. */
export function formatField(value: number, unit: string, units: DisplayUnits): string {
  switch (unit) {
    case 'mm':
      return formatLength(value, units);
    case 'g':
      return formatMass(value, units, 1);
    case 'm/s':
      return formatSpeed(value, units);
    case '°':
      return `${decimal(value, 2)}°`;
    case '':
      return decimal(value, 3);
    default:
      return `${decimal(value, Math.abs(value) >= 10 ? 1 : 3)} ${unit}`;
  }
}
