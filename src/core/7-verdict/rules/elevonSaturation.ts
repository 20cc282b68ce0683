import { percent, say } from '@/core/1-base/words/phrase';
import { withThrows } from '../changes';
import { makeRule } from '../makeRule';

/** Share of the roll that must be left at trim, of the pitch that must be left at half roll, and of the roll below which it cannot be flown; practice of the field. */
const LEAST_ROLL = 0.6;
const LEAST_PITCH = 0.3;
const NO_ROLL = 0.3;

/** Pitch and roll are asked of the same controls, and one leaves the other too little. */
export const elevonSaturation = makeRule(
  { id: 'elevonSaturation', stage: 'wing', source: 'Deflections add at the shared controls' },
  (design, { sharedThrow }) => {
    if (!sharedThrow) return null;
    const { rollLeftAtTrim, pitchLeftAtHalfRoll } = sharedThrow;
    if (rollLeftAtTrim >= LEAST_ROLL && pitchLeftAtHalfRoll >= LEAST_PITCH) return null;
    const more = (factor: number, words: string) => ({
      label: say`Give the elevons ${words} more throw`,
      change: withThrows(design, ['elevon'], factor),
    });
    return {
      severity: rollLeftAtTrim < NO_ROLL ? 'stop' : 'caution',
      message: say`Holding its trim the elevons have ${percent(rollLeftAtTrim)} of their roll left, and ${percent(pitchLeftAtHalfRoll)} of pitch with half roll: both are asked of the same surfaces. Trim with washout or reflex instead, or give more throw.`,
      numbers: { rollLeftAtTrim: percent(rollLeftAtTrim), pitchLeftAtHalfRoll: percent(pitchLeftAtHalfRoll) },
      remedies: [more(1.3, 'a third'), more(1.7, 'two thirds')],
    };
  },
);
