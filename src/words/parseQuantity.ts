import { GRAMS_PER_OUNCE, MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
/**
 * Reads quantities as people type them: `13 3/8 in`, `13.375"`, `2ft 6`,
 * `34cm`, `340`, `300 + 40`. A number without a unit takes the unit in use;
 * after feet it means inches.
 */
export type QuantityKind = 'length' | 'mass' | 'speed' | 'angle' | 'percent' | 'number';

/** Factors to the unit of the document (mm, g, m/s, °, %). */
const UNITS: Record<QuantityKind, Readonly<Record<string, number>>> = {
  length: {
    mm: 1,
    cm: 10,
    m: 1000,
    in: MILLIMETRES_PER_INCH,
    inch: MILLIMETRES_PER_INCH,
    inches: MILLIMETRES_PER_INCH,
    '"': MILLIMETRES_PER_INCH,
    '″': MILLIMETRES_PER_INCH,
    ft: 304.8,
    "'": 304.8,
    '′': 304.8,
  },
  mass: { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: 453.59237, lbs: 453.59237 },
  speed: {
    'm/s': 1,
    'km/h': 1 / 3.6,
    kmh: 1 / 3.6,
    mph: 0.44704,
    kt: 1852 / 3600,
    kn: 1852 / 3600,
  },
  angle: { '°': 1, deg: 1 },
  percent: { '%': 1 },
  number: {},
};

const EXAMPLES: Record<QuantityKind, string> = {
  length: '340, 34cm, 13 3/8 in or 300 + 40',
  mass: '112, 112g or 4 oz',
  speed: '11, 40 km/h or 25 mph',
  angle: '3 or -1.5°',
  percent: '25 or 25 %',
  number: '1.2',
};

export type ParseResult =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

const NUMBER = /^(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d*)?|[.,]\d+))/;

/** Thousands for one reader, a little more than one for another: asked about, never guessed. */
const UNCERTAIN = /^[1-9]\d{0,2},\d{3}$/;

interface Term {
  readonly value: number;
  readonly unit: string | null;
}

/** @param defaultUnit unit of a bare number, one of the kind's own */
export function parseQuantity(kind: QuantityKind, text: string, defaultUnit: string): ParseResult {
  const units = UNITS[kind];
  const refuse = (message: string): ParseResult => ({
    ok: false,
    message: `${message} Try ${EXAMPLES[kind]}.`,
  });
  let rest = text.trim().replaceAll('−', '-');
  if (rest === '') return refuse('Nothing was entered.');
  let total = 0;
  let first = true;
  while (rest !== '') {
    const sign = /^([+-])\s*/.exec(rest);
    if (sign) rest = rest.slice(sign[0].length);
    else if (!first) return refuse(`“${rest}” was not understood.`);
    const group: Term[] = [];
    for (;;) {
      const number = NUMBER.exec(rest);
      if (!number) break;
      if (UNCERTAIN.test(number[0]))
        return refuse(
          `Is “${number[0]}” ${number[0].replace(',', '')} or ${number[0].replace(',', '.')}? Write it without the comma.`,
        );
      const value = numberOf(number);
      if (!Number.isFinite(value)) return refuse('A fraction cannot be over nought.');
      rest = rest.slice(number[0].length).trimStart();
      const unit = unitAt(rest, units);
      if (unit !== null) rest = rest.slice(unit.length).trimStart();
      group.push({ value, unit });
    }
    if (group.length === 0)
      return refuse(rest === '' ? 'A number is missing at the end.' : `“${rest}” was not understood.`);
    const sum = sumOf(group, units, defaultUnit);
    if (sum === null) return refuse('Put a + between numbers.');
    total += sign?.[1] === '-' ? -sum : sum;
    first = false;
  }
  return Number.isFinite(total) ? { ok: true, value: total } : refuse('That number is too large.');
}

function numberOf([, whole, over, under, over2, under2, decimal]: RegExpExecArray): number {
  if (decimal !== undefined) return Number(decimal.replace(',', '.'));
  if (over2 !== undefined) return Number(over2) / Number(under2);
  return Number(whole) + Number(over) / Number(under);
}

function unitAt(rest: string, units: Readonly<Record<string, number>>): string | null {
  const lower = rest.toLowerCase();
  const found = Object.keys(units)
    .filter((unit) => lower.startsWith(unit) && !/^[a-z/]/.test(/[a-z]$/.test(unit) ? lower.slice(unit.length) : ''))
    .sort((a, b) => b.length - a.length)[0];
  return found === undefined ? null : rest.slice(0, found.length);
}

/** Feet may be followed by inches, with or without their unit; anything else needs a sign between. */
function sumOf(group: readonly Term[], units: Readonly<Record<string, number>>, defaultUnit: string): number | null {
  const factor = (unit: string | null) => units[(unit ?? defaultUnit).toLowerCase()] ?? 1;
  const [head, tail, ...more] = group;
  if (!tail) return head!.value * factor(head!.unit);
  const isFeet = head!.unit !== null && factor(head!.unit) === units['ft'];
  if (!isFeet || more.length > 0 || (tail.unit !== null && factor(tail.unit) !== MILLIMETRES_PER_INCH)) return null;
  return head!.value * factor(head!.unit) + tail.value * MILLIMETRES_PER_INCH;
}
