/**
 * The border between documents (millimetres, grams, degrees) and the
 * computation (SI, radians). Nothing else converts.
 */
export type Metres = number;
export type Kilograms = number;
export type Radians = number;

export const metresFromMillimetres = (millimetres: number): Metres => millimetres / 1000;
export const millimetresFromMetres = (metres: Metres): number => metres * 1000;
export const kilogramsFromGrams = (grams: number): Kilograms => grams / 1000;
export const gramsFromKilograms = (kilograms: Kilograms): number => kilograms * 1000;
export const radiansFromDegrees = (degrees: number): Radians => (degrees * Math.PI) / 180;
export const degreesFromRadians = (radians: Radians): number => (radians * 180) / Math.PI;
export const squareMetresFromSquareMillimetres = (area: number): number => area / 1e6;

/** Three numbers along x (aft), y (right) and z (up). */
export type Vector3 = readonly [number, number, number];

export function vectorFromPoint({ x, y, z }: { x: number; y: number; z: number }): Vector3 {
  return [metresFromMillimetres(x), metresFromMillimetres(y), metresFromMillimetres(z)];
}
