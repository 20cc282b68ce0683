import {
  degreesFromRadians,
  gramsFromKilograms,
  millimetresFromMetres,
  GRAMS_PER_OUNCE,
  MILLIMETRES_PER_INCH,
} from '@/core/1-base/units/convert';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { Amount, Words } from '@/core/1-base/words/phrase';

/** Units that people choose. */
export interface DisplayUnits {
  readonly length: 'mm' | 'in';
  readonly mass: 'g' | 'oz';
  readonly speed: 'm/s' | 'km/h' | 'mph';
}

export const METRIC: DisplayUnits = { length: 'mm', mass: 'g', speed: 'm/s' };

const SPEED_FACTOR = { 'm/s': 1, 'km/h': 3.6, mph: 1 / 0.44704 } as const;
const GRAMS_PER_KILOGRAM = 1e3;
const METRES_PER_FOOT = 0.3048;
const MINUS = '−';

const signed = (text: string): string => text.replace('-', MINUS);

/** Nobody reads more digits than this, and no model knows them. */
const SIGNIFICANT = 7;
/** From here on a number is only said to be larger; in words, since digits would be noise. */
const MOST_SAID = 1e6;
const UNKNOWN = 'unknown';

/** Every number that is shown passes here: so many places, but never more digits than anybody reads. */
function digitsOf(value: number, places: number): string {
  if (Number.isNaN(value)) return UNKNOWN;
  if (Math.abs(value) > MOST_SAID) return value > 0 ? 'over a million' : `under ${MINUS}1 million`;
  const whole = value === 0 ? 0 : Math.max(0, Math.floor(Math.log10(Math.abs(value))) + 1);
  const text = value.toFixed(Math.max(0, Math.min(places, SIGNIFICANT - whole)));
  return signed(/^-0(\.0*)?$/.test(text) ? text.slice(1) : text);
}

/** Shortest decimal with at most `digits` places. */
export function decimal(value: number, digits: number): string {
  const text = digitsOf(value, digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** Millimetres as inches to the nearest sixteenth: 339.725 → `13 3/8`. */
export function inchFraction(millimetres: number): string {
  if (!(Math.abs(millimetres) <= MOST_SAID)) return digitsOf(millimetres, 0);
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

/** Longer ways are told in kilometres. */
const METRES_PER_KILOMETRE = 1000;
const IN_KILOMETRES = 5 * METRES_PER_KILOMETRE;
/** Longer times are told in minutes. */
const SECONDS_PER_MINUTE = 60;
const IN_MINUTES = 2 * SECONDS_PER_MINUTE;

/** How each kind is written: the number in the chosen unit, its symbol, and the decimals it usually needs. */
function inUnits(value: number, unit: UnitKind, units: DisplayUnits): readonly [number, string, number] {
  const inches = units.length === 'in';
  switch (unit) {
    case 'length':
      return [millimetresFromMetres(value), ' mm', 1];
    case 'distance':
      return inches
        ? [value / METRES_PER_FOOT, ' ft', 0]
        : Math.abs(value) >= IN_KILOMETRES
          ? [value / METRES_PER_KILOMETRE, ' km', 1]
          : [value, ' m', 0];
    case 'area':
      return inches ? [value / 0.00064516, ' in²', 1] : [value * 100, ' dm²', 2];
    case 'mass':
      return units.mass === 'oz'
        ? [gramsFromKilograms(value) / GRAMS_PER_OUNCE, ' oz', 2]
        : [gramsFromKilograms(value), ' g', 0];
    case 'speed':
      return [value * SPEED_FACTOR[units.speed], ` ${units.speed}`, 1];
    case 'angle':
      return [degreesFromRadians(value), '°', 2];
    case 'angularRate':
      return [degreesFromRadians(value), '° a second', 0];
    case 'percent':
      return [value * 100, ' %', 1];
    case 'time':
      return Math.abs(value) >= IN_MINUTES ? [value / SECONDS_PER_MINUTE, ' min', 1] : [value, ' s', 1];
    case 'perRadian':
      return [value, ' /rad', 3];
    case 'perSecond':
      return [value, ' /s', 3];
    case 'inertia':
      return [value * GRAMS_PER_KILOGRAM, ' g·m²', 2];
    case 'density':
      return [value, ' kg/m³', 3];
    case 'acceleration':
      return [value, ' m/s²', 3];
    case 'force':
      return [value, ' N', 2];
    case 'moment':
      return [value, ' N·m', 2];
    case 'stiffness':
      return [value, ' N·m²', 2];
    case 'warming':
      return [value, ' K', 0];
    case 'energy':
      return [value, ' J', 0];
    case 'power':
      return [value, ' W', 1];
    case 'current':
      return [value, ' A', 1];
    case 'voltage':
      return [value, ' V', 2];
    case 'wingLoading':
      return units.mass === 'oz'
        ? [gramsFromKilograms(value) / GRAMS_PER_OUNCE / 10.7639104, ' oz/ft²', 1]
        : [value * 10, ' g/dm²', 1];
    case 'ratio':
      return [value, '', 3];
  }
}

/** An SI number of the analysis in the chosen units, as short as it can be written. */
export function formatValue(value: number, unit: UnitKind, units: DisplayUnits): string {
  if (unit === 'length') return formatLength(millimetresFromMetres(value), units);
  const [number, symbol, digits] = inUnits(value, unit, units);
  return `${decimal(number, digits)}${symbol}`;
}

/** Below this a sixteenth of an inch is too coarse a word [mm]. */
const FINE_LENGTH = 8;

/** A number of a sentence: as many decimals as the sentence asks for, in metric and the like; inches as fractions; a limit as one. */
export function formatAmount(amount: Amount, units: DisplayUnits): string {
  const text = amountText(amount, units);
  if (!amount.beyond || Math.abs(amount.value) > MOST_SAID) return text;
  return `${amount.value > 0 ? 'over' : 'under'} ${text}`;
}

function amountText({ value, unit, digits }: Amount, units: DisplayUnits): string {
  if (unit === 'length' && units.length === 'in') {
    const millimetres = millimetresFromMetres(value);
    return Math.abs(millimetres) < FINE_LENGTH && digits !== 0
      ? `${decimal(millimetres / MILLIMETRES_PER_INCH, 3)} in`
      : formatLength(millimetres, units);
  }
  const [number, symbol, usual] = inUnits(value, unit, units);
  const finer = unit === 'mass' && units.mass === 'oz' ? 1 : 0;
  return `${digitsOf(number, (digits ?? usual) + finer)}${symbol}`;
}

/** A sentence of the core in the reader's units. */
export const sentence = (words: Words, units: DisplayUnits = METRIC): string =>
  typeof words === 'string'
    ? words
    : words.map((piece) => (typeof piece === 'string' ? piece : formatAmount(piece, units))).join('');

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
