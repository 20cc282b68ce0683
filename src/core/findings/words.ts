import { millimetresFromMetres } from '../units/convert';

/** A true minus sign. */
export const withMinus = (text: string): string => text.replaceAll(/(^|[\s(])-(?=\d)/g, '$1−');

/** Numbers as they stand in sentences; the interface shows its own units beside them. */
export const inMillimetres = (metres: number): string => withMinus(`${Math.round(millimetresFromMetres(metres))} mm`);
export const inPercent = (fraction: number): string => withMinus(`${(fraction * 100).toFixed(1)} %`);
export const inDegrees = (radians: number): string => withMinus(`${((radians * 180) / Math.PI).toFixed(1)}°`);
export const inSpeed = (metresPerSecond: number): string => `${metresPerSecond.toFixed(1)} m/s`;
export const inGrams = (kilograms: number): string => `${Math.round(kilograms * 1000)} g`;
/** A turn as people say it: `1.2° nose up`. */
export const angleWords = (degrees: number): string =>
  `${Math.abs(degrees).toFixed(1)}° nose ${degrees >= 0 ? 'up' : 'down'}`;
/** A length for a field: whole tenths of a millimetre. */
export const tenths = (millimetres: number): number => Math.round(millimetres * 10) / 10;

/** Name of a part as it opens a sentence. */
export function nameOf({ name, id }: { readonly name: string; readonly id: string }): string {
  const words = name || id;
  return words.charAt(0).toUpperCase() + words.slice(1);
}
