import { z } from 'zod';
import { sharedThrow as leftOfThrow } from '@/core/5-aero/sharedThrow';
import { valueGroup } from '../group';
import { quantity } from '../keys';

const value = z
  .object({
    rollLeftAtTrim: quantity('percent', 'Roll left each way at the trimmed pitch command'),
    pitchLeftAtHalfRoll: quantity('percent', 'Pitch left when half of the roll is asked'),
    pitchLeftAtFullRoll: quantity('percent', 'Pitch left when all of the roll is asked'),
    rollLeftAtFullPitch: quantity('percent', 'Roll left at full pitch command'),
  })
  .nullable();

/** Pitch and roll on the same controls; null when they share none. */
export const sharedThrow = valueGroup(value, {
  id: 'sharedThrow',
  title: 'Shared throw',
  needs: {},
  compute: ({ prepared: { mixes }, command }) => leftOfThrow(mixes.pitch, mixes.roll, command),
});
