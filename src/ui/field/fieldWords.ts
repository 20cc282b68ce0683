import { degreesFromRadians, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Cause } from '@/core/8-field/diagnose';
import type { Fault } from '@/core/8-field/faults';
import type { NextChange } from '@/core/8-field/nextChange';
import type { Predicted } from '@/core/8-field/predict';
import type { FlightDeed, FlightRun } from '@/core/8-field/sights';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';

/** What a flight did, gentlest first. */
export const DEED_WORDS: readonly (readonly [FlightDeed, string])[] = [
  ['flewWell', 'flew well'],
  ['divesHandsOff', 'dives hands off'],
  ['climbsHandsOff', 'climbs hands off'],
  ['balloonsWithPower', 'balloons with power'],
  ['noseDropsWithPower', 'nose drops with power'],
  ['turnsLeft', 'turns left'],
  ['turnsRight', 'turns right'],
  ['dropsLeft', 'drops left at the stall'],
  ['dropsRight', 'drops right at the stall'],
  ['wanders', 'wanders'],
  ['slowToTurn', 'slow to turn'],
  ['flexes', 'flexes'],
  ['reversed', 'a control is reversed'],
];

export const RUN_WORDS: readonly (readonly [FlightRun['kind'], string])[] = [
  ['level', 'level, cruise power'],
  ['climb', 'full throttle'],
  ['glide', 'gliding'],
  ['stall', 'slowed to the stall'],
];

const SIGHT_WORDS: Readonly<Record<keyof Predicted, string>> = {
  pitchPower: 'Pitch trim, level',
  pitchFull: 'Pitch trim, full throttle',
  pitchGlide: 'Pitch trim, gliding',
  roll: 'Roll trim',
  glideRatio: 'Glide ratio',
  stallSpeed: 'Stall speed',
};

/** What was seen, and at which speed. */
export function sightWords(what: keyof Predicted, speed: number | null, units: DisplayUnits): string {
  const at = what === 'stallSpeed' || speed === null ? '' : `, ${formatValue(speed, 'speed', units)}`;
  return SIGHT_WORDS[what] + at;
}

/** A trim, a glide ratio or a speed as people read it. */
export function seenValue(what: keyof Predicted, value: number, units: DisplayUnits): string {
  if (what === 'stallSpeed') return formatValue(value, 'speed', units);
  if (what === 'glideRatio') return decimal(value, 1);
  return `${decimal(degreesFromRadians(value), 1)}°`;
}

const percent = (share: number) => `${decimal(100 * Math.abs(share), 0)} %`;
const degrees = (angle: number) => `${decimal(Math.abs(angle), 1)}°`;

/** A cause as large as it would have to be. */
export function causeWords({ fault, size }: Pick<Cause, 'fault' | 'size'>, units: DisplayUnits): string {
  switch (fault) {
    case 'balance':
      return `It balances ${formatValue(metresFromMillimetres(Math.abs(size)), 'length', units)} farther ${size > 0 ? 'aft' : 'forward'} than drawn, or its neutral point lies as much ${size > 0 ? 'forward' : 'aft'}`;
    case 'decalage':
      return `What trims it stands ${degrees(size)} nose ${size > 0 ? 'up' : 'down'} against the drawing`;
    case 'thrustLine':
      return `The thrust line points ${degrees(size)} farther ${size > 0 ? 'down' : 'up'}`;
    case 'warp':
      return `The wing is warped by ${degrees(size)} from tip to tip, ${size > 0 ? 'left' : 'right'} nose up`;
    case 'softBoom':
      return size > 0
        ? `The tail boom turns ${decimal(1 + size, 1)} times as far as computed`
        : 'The tail boom is stiffer than computed';
    case 'drag':
      return `It drags ${percent(size)} ${size > 0 ? 'more' : 'less'}`;
    case 'mass':
      return `It is ${percent(size)} ${size > 0 ? 'heavier' : 'lighter'} than thought`;
  }
}

/** Names of causes, where only they are told. */
export const FAULT_NAMES: Readonly<Record<Fault, string>> = {
  balance: 'balance',
  decalage: 'decalage',
  thrustLine: 'thrust line',
  warp: 'warp',
  softBoom: 'a soft boom',
  drag: 'drag',
  mass: 'mass',
};

/** The one change, said so that it can be done. */
export function changeWords({ fault, by, moves, shim }: NextChange, units: DisplayUnits): string {
  const length = (millimetres: number) => formatValue(metresFromMillimetres(Math.abs(millimetres)), 'length', units);
  switch (fault) {
    case 'balance':
      return moves
        ? `Move ${moves.item.toLowerCase()} ${length(moves.by)} ${moves.by > 0 ? 'aft' : 'forward'}.`
        : `Bring the balance point ${length(by)} ${by > 0 ? 'aft' : 'forward'}.`;
    case 'decalage':
      return shim
        ? `Lay a shim of ${length(shim.by)} under the ${shim.edge} edge of ${shim.surface.toLowerCase()}.`
        : `Turn what trims it ${degrees(by)} nose ${by > 0 ? 'up' : 'down'}.`;
    case 'thrustLine':
      return `Turn the motor ${degrees(by)} ${by > 0 ? 'down' : 'up'}.`;
    case 'warp':
      return `Twist the wing back by ${degrees(by)} from tip to tip, half of it on each side: ${by > 0 ? 'left' : 'right'} tip nose up.`;
    case 'softBoom':
      return 'Stiffen the tail boom: Strength shows with what.';
    case 'drag':
      return 'Look for what drags: gaps, wheels, a bowed skin. Close one, and glide again.';
    case 'mass':
      return 'Weigh it ready to fly, and note the mass with the next flight.';
  }
}
