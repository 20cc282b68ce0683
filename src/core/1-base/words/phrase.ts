import {
  type Degrees,
  type Grams,
  kilogramsFromGrams,
  metresFromMillimetres,
  type Millimetres,
  radiansFromDegrees,
} from '../units/convert';
import type { UnitKind } from '../units/unitKind';

/**
 * Sentences as data. The core says what and how much; the edge writes each
 * amount in the reader's unit. A phrase crosses to workers and files as it is.
 */

/** A number in a sentence, in SI (angles in rad, fractions for percent). */
export interface Amount {
  readonly value: number;
  readonly unit: UnitKind;
  /** Decimals in metric units; the edge's own choice without it. */
  readonly digits?: number;
  /** The number is beyond anything that is known; the value is the limit that stands for it. */
  readonly beyond?: true;
}

/** Pieces of one sentence in reading order. */
export type Phrase = readonly (string | Amount)[];

/** A sentence: plain where it holds no number. */
export type Words = string | Phrase;

type Piece = string | Amount | Phrase;

const isPhrase = (piece: Piece): piece is Phrase => Array.isArray(piece);

/** Template tag: say`Stalls at ${speed(6.2)}` is a phrase; phrases within are laid flat. */
export function say(strings: TemplateStringsArray, ...pieces: readonly Piece[]): Phrase {
  return joined(strings.flatMap((text, index): Piece[] => (index < pieces.length ? [text, pieces[index]!] : [text])));
}

/** Pieces one after another, neighbouring texts joined and empty ones gone. */
export function joined(pieces: readonly Piece[], separator = ''): Phrase {
  const flat: (string | Amount)[] = [];
  const add = (piece: string | Amount) => {
    const last = flat.at(-1);
    if (piece === '') return;
    if (typeof piece === 'string' && typeof last === 'string') flat[flat.length - 1] = last + piece;
    else flat.push(piece);
  };
  pieces.forEach((piece, index) => {
    if (index > 0) add(separator);
    if (isPhrase(piece)) piece.forEach(add);
    else add(piece);
  });
  return flat;
}

const amountOf =
  (unit: UnitKind, usual?: number) =>
  (value: number, digits = usual): Amount => ({ value, unit, digits });

/** Amounts by the unit they are given in; digits are decimals in metric. */
export const metres = amountOf('length', 0);
export const millimetres = (value: Millimetres, digits = 0): Amount => metres(metresFromMillimetres(value), digits);
/** Over ground: whole metres or feet. */
export const distance = amountOf('distance', 0);
export const kilograms = amountOf('mass', 0);
export const grams = (value: Grams, digits = 0): Amount => kilograms(kilogramsFromGrams(value), digits);
export const kilogramsOverArea = amountOf('wingLoading', 1);
export const metresPerSecond = amountOf('speed', 1);
export const seconds = amountOf('time', 1);
export const radians = amountOf('angle', 1);
export const degrees = (value: Degrees, digits = 1): Amount => radians(radiansFromDegrees(value), digits);
export const radiansPerSecond = amountOf('angularRate', 0);
export const amperes = amountOf('current', 1);
export const watts = amountOf('power', 0);
export const newtons = amountOf('force', 1);
export const kelvins = amountOf('warming', 0);
export const joules = amountOf('energy', 0);
/** A fraction, written as percent. */
export const percent = amountOf('percent', 1);
/** A pure number. */
export const plain = amountOf('ratio', 2);

/** A sentence that goes on behind a colon. */
export function lowerFirst(words: Words): Words {
  if (typeof words === 'string') return words.charAt(0).toLowerCase() + words.slice(1);
  const [first, ...rest] = words;
  return typeof first === 'string' ? [first.charAt(0).toLowerCase() + first.slice(1), ...rest] : words;
}

const THOUSAND = 1e3;

/** A Reynolds number and the like, in whole thousands: `70 000`, `1 200 000`; below one thousand as it is. */
export function thousands(value: number): string {
  if (value < THOUSAND) return `${Math.round(value)}`;
  const whole = Math.round(value / THOUSAND);
  return whole < THOUSAND
    ? `${whole} 000`
    : `${Math.floor(whole / THOUSAND)} ${String(whole % THOUSAND).padStart(3, '0')} 000`;
}

/** A turn as people say it: `1.2° nose up`. */
export const noseTurn = (value: Degrees): Phrase => say`${degrees(Math.abs(value))} nose ${value >= 0 ? 'up' : 'down'}`;

/** Name of a part as it opens a sentence. */
export function nameOf({ name, id }: { readonly name: string; readonly id: string }): string {
  const words = name || id;
  return words.charAt(0).toUpperCase() + words.slice(1);
}
