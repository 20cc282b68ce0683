import { z } from 'zod';
import { sharedThrow as leftOfThrow } from '@/core/5-aero/sharedThrow';
import { valueGroup } from '../group';
import { quantity } from '../keys';

const value = z
  .object({
    rollLeftAtTrim: quantity('percent', 'Roll left each way at the trimmed pitch command'),
    pitchLeftAtHalfRoll: quantity('percent', 'Nose-up pitch left, the trim counted, when half of the roll is asked'),
    pitchLeftAtFullRoll: quantity('percent', 'Nose-up pitch left, the trim counted, when all of the roll is asked'),
    rollLeftAtFullPitch: quantity('percent', 'Roll left at full pitch command'),
  })
  .nullable();

/** Pitch and roll on the same controls; null when they share none. */
export const sharedThrow = valueGroup(value, {
  id: 'sharedThrow',
  title: 'Shared throw',
  needs: {},
  compute: ({ prepared: { mixes }, turn, fullNoseUp }) =>
    leftOfThrow(mixes.pitch, mixes.roll, turn ?? 0, fullNoseUp ?? 0),
});
