import { type Fraction, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { MixTerm } from './commands';

/** How two commands share the travel of the same controls, as fractions of each command's own full travel. */
export interface SharedThrow {
  /** Roll left each way at the trimmed pitch command. */
  readonly rollLeftAtTrim: Fraction;
  /** Pitch nose up that is left, the trim counted, when half and when all of the roll is asked. */
  readonly pitchLeftAtHalfRoll: Fraction;
  readonly pitchLeftAtFullRoll: Fraction;
  readonly rollLeftAtFullPitch: Fraction;
}

type Side = 'left' | 'right';
const SIDES: readonly Side[] = ['left', 'right'];

/** One control on one side, as both commands move it. */
interface Moved {
  readonly pitch: number;
  readonly roll: number;
  readonly throwUp: Radians;
  readonly throwDown: Radians;
}

/** Travel the way that a signed turn goes. */
const stop = ({ throwUp, throwDown }: Moved, sign: number): Radians => (sign > 0 ? throwDown : throwUp);

/** How far something can turn on from where it stands, the way of a sign, before its stop. */
const room = (moved: Moved, stands: Radians, sign: number): Radians =>
  Math.max(0, stop(moved, sign) - Math.sign(sign) * stands);

/**
 * Pitch and roll asked of the same controls: deflections add, so what one
 * takes the other lacks. Each side has its own stops, so differential throw is
 * kept. Null when they share none.
 * @param trim pitch command at trim @param noseUp full nose-up command, as turned, with its sign
 */
export function sharedThrow(
  pitch: readonly MixTerm[],
  roll: readonly MixTerm[],
  trim: Radians,
  noseUp: Radians,
): SharedThrow | null {
  const shared = roll.flatMap((term) => {
    const other = pitch.find(({ control, surface }) => control.id === term.control.id && surface === term.surface);
    if (!other) return [];
    return SIDES.map((side): Moved => ({
      pitch: other[side],
      roll: term[side],
      throwUp: radiansFromDegrees(term.control.throwUp),
      throwDown: radiansFromDegrees(term.control.throwDown),
    }));
  });
  if (shared.length === 0) return null;
  const rolling = shared.filter((moved) => moved.roll !== 0);
  const pitching = shared.filter((moved) => moved.pitch !== 0);
  /** Roll to one side that is left at a pitch command: of what each side has, what it can still turn. */
  const rollLeft = (command: Radians, way: 1 | -1): number => {
    const full = rolling.reduce((sum, moved) => sum + stop(moved, way * moved.roll), 0);
    const left = rolling.reduce(
      (sum, moved) =>
        sum + Math.min(stop(moved, way * moved.roll), room(moved, moved.pitch * command, way * moved.roll)),
      0,
    );
    return full > 0 ? left / full : 0;
  };
  const rollLeftAt = (command: Radians) => Math.min(rollLeft(command, 1), rollLeft(command, -1));
  /** Nose-up command beyond the trim until the first stop, when a share of the roll is held to one side. */
  const pitchLeft = (share: number, way: 1 | -1): number =>
    Math.min(
      ...pitching.map((moved) => {
        const sign = Math.sign(moved.pitch * noseUp);
        const rolled = moved.roll === 0 ? 0 : share * Math.sign(way * moved.roll) * stop(moved, way * moved.roll);
        return room(moved, moved.pitch * trim + rolled, sign) / Math.abs(moved.pitch);
      }),
    );
  const pitchLeftAt = (share: number) =>
    Math.abs(noseUp) > 0 && pitching.length > 0
      ? Math.min(1, Math.min(pitchLeft(share, 1), pitchLeft(share, -1)) / Math.abs(noseUp))
      : 0;
  return {
    rollLeftAtTrim: rollLeftAt(trim),
    pitchLeftAtHalfRoll: pitchLeftAt(0.5),
    pitchLeftAtFullRoll: pitchLeftAt(1),
    rollLeftAtFullPitch: rollLeftAt(noseUp),
  };
}
