import { type Air, GRAVITY } from '@/core/5-aero/atmosphere';
import { HEAVIEST_THROW, launchSpeed } from './launchSpeed';
import type { Brief } from '@/core/2-document/schema/brief';
import {
  kilogramsFromGrams,
  kilogramsPerSquareMetre,
  type Kilograms,
  type KilogramsPerSquareMetre,
  type MetresPerSecond,
} from '@/core/1-base/units/convert';
import { distance, metresPerSecond, say, type Words } from '@/core/1-base/words/phrase';

/** One thing that bounds a speed, and why. SI. */
export interface SpeedBound {
  readonly speed: MetresPerSecond;
  readonly because: Words;
  /** A bound of physics, or what models of this purpose usually do. */
  readonly kind: 'physics' | 'habit';
}

/** What the brief asks of the aircraft, with reasons. SI. */
export interface Targets {
  readonly stallSpeed: MetresPerSecond;
  readonly stallBecause: Words;
  readonly stallKind: SpeedBound['kind'];
  readonly cruiseSpeed: MetresPerSecond;
  readonly cruiseBecause: Words;
  /** Mass over wing area [kg/m²]. */
  readonly wingLoading: KilogramsPerSquareMetre;
  readonly wingLoadingBecause: Words;
  /** Everything that bounds the stall speed from above. */
  readonly bounds: readonly SpeedBound[];
  /** Wishes that contradict one another. */
  readonly conflicts: readonly Words[];
}

interface Habit {
  readonly stall: number;
  readonly cruiseOverStall: number;
  readonly words: string;
}

/** Where these models usually lie; a starting point, no law. Practice of the field, ±25 %. */
const HABITS: Readonly<Record<Brief['purpose'], Habit>> = {
  float: { stall: 4.5, cruiseOverStall: 1.4, words: 'floats' },
  train: { stall: 6, cruiseOverStall: 1.6, words: 'trains' },
  payload: { stall: 7.5, cruiseOverStall: 1.6, words: 'carries a payload' },
  soar: { stall: 5.2, cruiseOverStall: 1.4, words: 'soars in light air' },
  wind: { stall: 8, cruiseOverStall: 1.9, words: 'penetrates wind' },
  aerobatics: { stall: 7.5, cruiseOverStall: 2, words: 'does aerobatics' },
  experiment: { stall: 6.5, cruiseOverStall: 1.6, words: 'is an experiment' },
};

/** Speed out of the launch over stall speed that leaves something to climb with. */
export const LAUNCH_OVER_STALL = 1.2;
/** Trees or a fence to come in over [m], glide on the way, and friction of foam on grass. */
const OBSTACLE = { height: 3, glideRatio: 7, friction: 0.35 } as const;
const TOUCHDOWN_OVER_STALL = 1.2;
/** Cruise over stall beyond which the wing is too small for slow flight and too large for fast flight at once. */
const WIDEST_RATIO = 2.4;
const SLOWEST_STALL = 3;

/** What is left over the ground beyond 60 % more than the wind [m/s]. */
const WAY = 2;
/** Cruise that makes way: 60 % more than the wind and a little. */
const cruiseAgainst = (wind: number) => 1.6 * wind + WAY;
/** The wind against which a speed makes way. */
export const windWithWay = (speed: MetresPerSecond): MetresPerSecond => Math.max(0, (speed - WAY) / 1.6);

/** Stall speed from which it still stops in half the field: glide over the obstacle, then V²/2μg of slide. */
export function stallForField(length: number): number {
  const slide = length / 2 - OBSTACLE.height * OBSTACLE.glideRatio;
  if (slide <= 0) return SLOWEST_STALL;
  return Math.max(SLOWEST_STALL, Math.sqrt(2 * OBSTACLE.friction * GRAVITY * slide) / TOUCHDOWN_OVER_STALL);
}

/**
 * Stall and cruise speed and wing loading for a brief. The least bound on the
 * stall counts; wing loading m/S = ½ρV_s²C_Lmax/g. @param maximumLift C_Lmax of
 * the layout. @param mass what it weighs, as far as that is known: heavy ones leave the hand slower
 */
export function targetsOf(brief: Brief, air: Air, maximumLift: number, mass?: Kilograms): Targets {
  const habit = HABITS[brief.purpose];
  const bounds: SpeedBound[] = [
    {
      speed: habit.stall,
      kind: 'habit',
      because: say`a model that ${habit.words} usually stalls at about ${metresPerSecond(habit.stall)}`,
    },
  ];
  const limit = brief.maximumMass === undefined ? undefined : kilogramsFromGrams(brief.maximumMass);
  // Too heavy to be thrown at all is said by a finding; here the heaviest throw bounds it.
  const thrown = mass ?? limit;
  const launch = launchSpeed(brief, thrown === undefined ? undefined : (Math.min(thrown, HEAVIEST_THROW) as Kilograms));
  if (launch !== null)
    bounds.push({
      speed: launch / LAUNCH_OVER_STALL,
      kind: 'physics',
      because: say`${brief.launch === 'hand' ? 'a throw by hand' : 'the bungee'} leaves it at about ${metresPerSecond(launch, 1)}, and that must be a fifth above the stall`,
    });
  if (brief.fieldLength !== undefined)
    bounds.push({
      speed: stallForField(brief.fieldLength),
      kind: 'physics',
      because: say`half of a ${distance(brief.fieldLength)} field must hold the glide over a ${distance(OBSTACLE.height)} fence and the slide`,
    });
  const binding = bounds.reduce((a, b) => (b.speed < a.speed ? b : a));
  const conflicts: Words[] = [];
  let stallSpeed = binding.speed;
  let stallBecause: Words = binding.because;
  let stallKind = binding.kind;
  let wingLoadingBecause: Words = '½ρV²C_Lmax over g at the stall speed above';
  const loadingAt = (stall: number) => (0.5 * air.density * stall ** 2 * maximumLift) / GRAVITY;
  if (brief.targetWingLoading !== undefined && brief.targetWingLoading > 0) {
    const wanted = kilogramsPerSquareMetre(brief.targetWingLoading);
    const stall = Math.sqrt((2 * GRAVITY * wanted) / (air.density * maximumLift));
    if (stall > binding.speed * 1.02)
      conflicts.push(
        say`The wing loading that was typed stalls at ${metresPerSecond(stall)}, above ${metresPerSecond(binding.speed)}: ${binding.because}.`,
      );
    stallSpeed = stall;
    stallBecause = 'it follows from the wing loading that was typed';
    stallKind = 'habit';
    wingLoadingBecause = 'typed in the brief';
  }
  let cruiseSpeed = habit.cruiseOverStall * stallSpeed;
  let cruiseBecause: Words = `${habit.cruiseOverStall} times the stall speed is usual for a model that ${habit.words}`;
  const needed = brief.wind === undefined ? 0 : cruiseAgainst(brief.wind);
  if (needed > cruiseSpeed) {
    cruiseSpeed = needed;
    cruiseBecause = say`a wind of ${metresPerSecond(brief.wind ?? 0)} asks for 1.6 times as much and ${metresPerSecond(WAY, 0)} more`;
    if (needed > WIDEST_RATIO * stallSpeed)
      conflicts.push(
        say`The wind asks for a cruise of ${metresPerSecond(needed)}, more than ${String(WIDEST_RATIO)} times the stall speed of ${metresPerSecond(stallSpeed)}: fly it on calmer days, or launch and land it faster.`,
      );
  }
  return {
    stallSpeed,
    stallBecause,
    stallKind,
    cruiseSpeed,
    cruiseBecause,
    wingLoading: loadingAt(stallSpeed),
    wingLoadingBecause,
    bounds,
    conflicts,
  };
}
