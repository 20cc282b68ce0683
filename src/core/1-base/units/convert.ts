/**
 * The border between documents (millimetres, grams, degrees) and the
 * computation (SI, radians). Nothing else converts; a lint rule keeps it so.
 *
 * Quantities carry their unit in the type: a plain number may become one, but
 * a length does not pass for an angle, nor millimetres for metres.
 */
export type In<Unit extends string> = number & { readonly unit?: Unit };

export type Metres = In<'m'>;
export type SquareMetres = In<'m²'>;
export type Kilograms = In<'kg'>;
export type KilogramSquareMetres = In<'kg·m²'>;
export type Radians = In<'rad'>;
export type RadiansPerSecond = In<'rad/s'>;
export type MetresPerSecond = In<'m/s'>;
export type Seconds = In<'s'>;
export type Newtons = In<'N'>;
export type Pascals = In<'Pa'>;
export type NewtonMetres = In<'N·m'>;
export type NewtonCentimetres = In<'N·cm'>;
export type KilogramsPerCubicMetre = In<'kg/m³'>;
export type KilogramsPerSquareMetre = In<'kg/m²'>;
export type KilogramsPerMetre = In<'kg/m'>;
/** A fraction, a coefficient: no unit. */
export type Fraction = In<'1'>;

export type Millimetres = In<'mm'>;
export type SquareMillimetres = In<'mm²'>;
export type Grams = In<'g'>;
export type GramsPerSquareMetre = In<'g/m²'>;
export type GramsPerMetre = In<'g/m'>;
export type Degrees = In<'°'>;
export type Celsius = In<'°C'>;

export const metresFromMillimetres = (millimetres: Millimetres): Metres => millimetres / 1000;
export const millimetresFromMetres = (metres: Metres): Millimetres => metres * 1000;
export const kilogramsFromGrams = (grams: Grams): Kilograms => grams / 1000;
export const gramsFromKilograms = (kilograms: Kilograms): Grams => kilograms * 1000;
/** Of the clocks of a browser. */
const SECONDS_PER_MINUTE = 60;
export const secondsFromMinutes = (minutes: number): Seconds => minutes * SECONDS_PER_MINUTE;
export const secondsFromMilliseconds = (milliseconds: number): Seconds => milliseconds / 1000;
export const radiansFromDegrees = (degrees: Degrees): Radians => (degrees * Math.PI) / 180;
export const degreesFromRadians = (radians: Radians): Degrees => (radians * 180) / Math.PI;
export const squareMetresFromSquareMillimetres = (area: SquareMillimetres): SquareMetres => area / 1e6;
export const cubicMetresFromCubicMillimetres = (volume: In<'mm³'>): In<'m³'> => volume / 1e9;
export const squareMillimetresFromSquareMetres = (area: SquareMetres): SquareMillimetres => area * 1e6;
/** Board, covering, wing loading: g/m² to kg/m². */
export const kilogramsPerSquareMetre = (density: GramsPerSquareMetre): KilogramsPerSquareMetre => density / 1000;
/** Rods and joints: g/m to kg/m. */
export const kilogramsPerMetre = (density: GramsPerMetre): KilogramsPerMetre => density / 1000;

/** Capacities of packs. */
export const ampereHours = (milliampereHours: In<'mA·h'>): In<'A·h'> => milliampereHours / 1000;
/** Small torques, as those of rubber. */
export const millinewtonMetres = (moment: NewtonMetres): In<'mN·m'> => moment * 1000;
/** Torque of servos. */
export const newtonMetresFromNewtonCentimetres = (torque: NewtonCentimetres): NewtonMetres => torque / 100;

/** By definition: the international inch, and the ounce as a sixteenth of the pound of 453.59237 g. */
export const MILLIMETRES_PER_INCH = 25.4;
export const GRAMS_PER_OUNCE = 28.349523125;

/** Three numbers along x (aft), y (right) and z (up). */
export type Vector3 = readonly [number, number, number];

/** A point of the document [mm] as a vector [m]. */
export function vectorFromPoint({ x, y, z }: { x: Millimetres; y: Millimetres; z: Millimetres }): Vector3 {
  return [metresFromMillimetres(x), metresFromMillimetres(y), metresFromMillimetres(z)];
}
