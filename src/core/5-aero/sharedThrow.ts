import { radiansFromDegrees, type Fraction } from '@/core/1-base/units/convert';
import type { MixTerm } from './commands';

/** How two commands share the travel of the same controls, as fractions of each command's own full travel. */
export interface SharedThrow {
  /** Roll left each way at the trimmed pitch command. */
  readonly rollLeftAtTrim: Fraction;
  /** Pitch left, nose up and nose down alike, when half and when all of the roll is asked. */
  readonly pitchLeftAtHalfRoll: Fraction;
  readonly pitchLeftAtFullRoll: Fraction;
  readonly rollLeftAtFullPitch: Fraction;
}

/** Smaller travel of a control [rad]; mixes work both ways. */
const travelOf = ({ control }: MixTerm): number => radiansFromDegrees(Math.min(control.throwUp, control.throwDown));

/** Largest command before the first of its controls meets a stop, given what another command already uses. */
function commandLeft(mix: readonly MixTerm[], used: (control: string) => number): number {
  let left = Infinity;
  for (const term of mix) {
    const gain = Math.max(Math.abs(term.left), Math.abs(term.right));
    if (gain === 0) continue;
    left = Math.min(left, Math.max(0, travelOf(term) - used(term.control.id)) / gain);
  }
  return Number.isFinite(left) ? left : 0;
}

/**
 * Pitch and roll asked of the same controls: deflections add, so what one
 * takes the other lacks. Null when they share none.
 */
export function sharedThrow(
  pitch: readonly MixTerm[],
  roll: readonly MixTerm[],
  trimCommand: number,
): SharedThrow | null {
  const pitchControls = new Set(pitch.map(({ control }) => control.id));
  if (!roll.some(({ control }) => pitchControls.has(control.id))) return null;
  const nothing = () => 0;
  const using = (mix: readonly MixTerm[], command: number) => (control: string) => {
    const term = mix.find((candidate) => candidate.control.id === control);
    return term ? Math.max(Math.abs(term.left), Math.abs(term.right)) * Math.abs(command) : 0;
  };
  const fullPitch = commandLeft(pitch, nothing);
  const fullRoll = commandLeft(roll, nothing);
  const share = (left: number, full: number) => (full > 0 ? left / full : 0);
  return {
    rollLeftAtTrim: share(commandLeft(roll, using(pitch, trimCommand)), fullRoll),
    pitchLeftAtHalfRoll: share(commandLeft(pitch, using(roll, fullRoll / 2)), fullPitch),
    pitchLeftAtFullRoll: share(commandLeft(pitch, using(roll, fullRoll)), fullPitch),
    rollLeftAtFullPitch: share(commandLeft(roll, using(pitch, fullPitch)), fullRoll),
  };
}
