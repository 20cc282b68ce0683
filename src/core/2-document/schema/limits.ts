import { z } from 'zod';
import type { In } from '@/core/1-base/units/convert';

/** The range a number may take, in the unit of the document, and why in plain words. */
export interface Limit<Unit extends string = string> {
  readonly minimum: number;
  readonly maximum: number;
  /** Unit as it is written after a number; empty for pure fractions. */
  readonly unit: Unit;
  readonly because: string;
}

const limit = <Unit extends string>(minimum: number, maximum: number, unit: Unit, because: string): Limit<Unit> => ({
  minimum,
  maximum,
  unit,
  because,
});

const modelSize = 'the models behind the numbers hold for hand-built aircraft up to about ten metres';

/** Every range of the design document, in one place: the interface shows the same sentences. */
export const LIMITS = {
  chord: limit(5, 3000, 'mm', 'a narrower strip cannot be cut from board, a wider one is no model aircraft'),
  distanceFromRoot: limit(0, 5000, 'mm', modelSize),
  offset: limit(-5000, 5000, 'mm', modelSize),
  position: limit(-10000, 10000, 'mm', modelSize),
  size: limit(0, 10000, 'mm', modelSize),
  play: limit(0, 10, 'mm', 'more than 10 mm is no cut but a gap'),
  thickness: limit(0.2, 300, 'mm', 'thinner than 0.2 mm is film, thicker than 300 mm is no model wing'),
  incidence: limit(-20, 20, '°', 'beyond 20° a surface is stalled and nothing here holds'),
  dihedral: limit(-90, 90, '°', '90° stands straight up, −90° hangs straight down'),
  twist: limit(-20, 20, '°', 'beyond 20° a surface is stalled and nothing here holds'),
  deflection: limit(0, 60, '°', 'beyond 60° a control is a brake'),
  turn: limit(-45, 45, '°', 'beyond 45° a control is a brake'),
  thrustAngle: limit(-30, 30, '°', 'more than 30° is a lifting propeller, which is not modelled'),
  angle: limit(-180, 180, '°', 'a half turn either way is a whole turn'),
  fraction: limit(0, 1, '', '0 is one end, 1 the other'),
  stationAlongChord: limit(0.02, 0.98, '', 'it must lie inside the chord'),
  camber: limit(-0.2, 0.2, '', 'a camber beyond 20 % of chord is outside thin-aerofoil theory'),
  mass: limit(0, 50000, 'g', 'a single part above 50 kg is no model aircraft'),
  ribSpacing: limit(5, 2000, 'mm', 'nearer to one another they are a solid block, farther nothing holds the shape'),
  arealDensity: limit(1, 20000, 'g/m²', 'board and covering weigh between 1 and 20000 g/m²'),
  linearDensity: limit(0, 5000, 'g/m', 'rods and joints weigh less than 5000 g/m'),
  speed: limit(1, 100, 'm/s', 'slower than 1 m/s or faster than 100 m/s is outside model flight'),
  elevation: limit(-500, 6000, 'm', 'the air table is meant for fields from −500 m to 6000 m'),
  temperature: limit(-40, 55, '°C', 'outside −40 °C to 55 °C nobody flies'),
  staticMargin: limit(-0.5, 1, '', 'given as a fraction of the mean chord'),
  liftCoefficient: limit(0.2, 3, '', 'sections in use reach between 0.2 and 3'),
  pull: limit(0, 2000, 'N', 'a hand pulls less than 2000 N'),
  torque: limit(0, 2000, 'N·cm', 'servos of models give less than 2000 N·cm'),
  sink: limit(0, 20, 'm/s', 'sinking faster than 20 m/s is no landing'),
  dive: limit(0, 90, '°', '90° is straight down'),
  drop: limit(0, 1000, 'm', 'higher than 1000 m a model cannot be seen'),
  dragArea: limit(0, 1e6, 'mm²', 'one square metre of drag is a parachute'),
  gain: limit(-2, 2, '', 'a mix moves a control at most twice its throw'),
  plusMinus: limit(0, 10000, 'the unit of the field', 'a tolerance is a positive number'),
} as const satisfies Record<string, Limit>;

export type LimitName = keyof typeof LIMITS;

/** One sentence that says what range holds and why. */
export function limitSentence({ minimum, maximum, unit, because }: Limit): string {
  const suffix = unit === '' ? '' : ` ${unit}`;
  return `must lie between ${minimum}${suffix} and ${maximum}${suffix}: ${because}`;
}

type UnitOf<Unit extends string> = Unit extends '' ? '1' : Unit;

/** The number carries its unit in its type. */
type Bounded<Name extends LimitName> = z.ZodType<In<UnitOf<(typeof LIMITS)[Name]['unit']>>, number>;

/** The number that a text was meant to be. */
function asNumber(input: unknown): string {
  const value = typeof input === 'string' && input.trim() !== '' ? Number(input.replace(',', '.')) : NaN;
  return Number.isFinite(value) ? `: write ${value} without quotes` : '';
}

/** A finite number within a named limit; its description carries the unit. */
export function bounded<Name extends LimitName>(name: Name, description: string): Bounded<Name> {
  const range = LIMITS[name];
  const message = limitSentence(range);
  const suffix = range.unit === '' ? '' : ` ${range.unit}`;
  const unit = range.unit === '' ? 'fraction or pure number' : range.unit;
  return z
    .number({ error: ({ input }) => `must be a number (${unit})${asNumber(input)}` })
    .min(range.minimum, { error: `${message}; the nearest is ${range.minimum}${suffix}` })
    .max(range.maximum, { error: `${message}; the nearest is ${range.maximum}${suffix}` })
    .meta({ description: `${description} [${unit}]` }) as unknown as Bounded<Name>;
}

const IDENTIFIER = /^[A-Za-z][A-Za-z0-9_-]{0,63}$/;

/** The name that was probably meant by one that is none. */
function nearestIdentifier(text: string): string {
  const near = text
    .normalize('NFKD')
    .replaceAll(/[\u0300-\u036f]/g, '')
    .replaceAll(/[^A-Za-z0-9_-]+/g, '-')
    .replace(/^[^A-Za-z]+/, '')
    .slice(0, 64);
  return IDENTIFIER.test(near) ? `; the nearest is "${near}"` : '';
}

/** A short name that other parts of the document point to. */
export const identifier = (description: string) =>
  z
    .string()
    .regex(IDENTIFIER, {
      error: ({ input }) =>
        `must start with a letter and hold only letters, digits, "-" and "_" (64 at most)${nearestIdentifier(String(input))}`,
    })
    .meta({ description });

export const shortText = (description: string) =>
  z.string().max(200, { error: 'must be at most 200 characters' }).meta({ description });

export const longText = (description: string) =>
  z.string().max(20000, { error: 'must be at most 20000 characters' }).meta({ description });

/** A point in document axes: x aft, y to the right wing, z up. */
export const point = (description: string) =>
  z
    .strictObject({
      x: bounded('position', 'Aft of the datum point').default(0),
      y: bounded('position', 'To the right of the plane of symmetry').default(0),
      z: bounded('position', 'Above the datum line').default(0),
    })
    .meta({ description });

/** A list that may be left out, of at most so many members. */
export const listOf = <Member extends z.ZodType>(member: Member, most: number, description: string) =>
  z
    .array(member)
    .max(most, { error: `must hold at most ${most} entries` })
    .default([])
    .meta({ description });

/** What something costs, in whatever money its owner counts in. */
export const price = (what: string) =>
  z
    .number({ error: 'must be a number' })
    .min(0, { error: 'must not be negative' })
    .max(1e6, { error: 'must be at most 1000000' })
    .optional()
    .meta({ description: `Price of ${what}, in your own money` });
