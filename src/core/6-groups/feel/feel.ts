import { z } from 'zod';
import { commandTravel, type MixTerm } from '@/core/5-aero/commands';
import { valueGroup } from '../group';
import { maybe, quantity } from '../keys';
import { lateral } from '../lateral/lateral';
import { motion } from '../motion/motion';
import { pitch } from '../pitch/pitch';
import { reference } from '../reference/reference';
import { stall } from '../stall/stall';
import { trim } from '../trim/trim';
import { controlFeel } from './controlFeel';

const value = z.object({
  axes: z.array(
    z.object({
      axis: z.enum(['roll', 'yaw', 'pitch']),
      feel: z.enum(['none', 'tooLittle', 'calm', 'lively', 'tooMuch']),
      response: quantity(
        'ratio',
        'Roll: steady rate [rad/s]; yaw: steady sideslip [rad]; pitch: load factor beyond one',
      ),
      measure: quantity('ratio', 'What is judged: pb/2V, sideslip [rad], or load factor over what the wing can carry'),
      travelShare: maybe('percent', 'Share of the travel that would feel calm; null when it does already'),
    }),
  ),
  bankByRudder: maybe(
    'angle',
    'Bank after one second of full rudder to the right, through dihedral; right wing down positive',
  ),
});

/** How it answers to full stick at cruise. */
export const feel = valueGroup(value, {
  id: 'feel',
  title: 'Control feel',
  needs: { reference, pitch, lateral, trim, stall, motion },
  compute: ({ prepared: { mixes, pitchTravel } }, numbers) =>
    controlFeel({
      numbers,
      travel: { pitch: smaller(pitchTravel), roll: least(mixes.roll), yaw: least(mixes.yaw) },
      manoeuvreMargin: numbers.pitch.manoeuvreMargin,
    }),
});

/** The smaller travel of two; 0 where there is none. */
function smaller({ up, down }: { readonly up: number; readonly down: number }): number {
  const travel = Math.min(up, down);
  return Number.isFinite(travel) ? travel : 0;
}

const least = (mix: readonly MixTerm[]): number => smaller(commandTravel(mix));
