import { z } from 'zod';
import { throwForPitch } from '@/core/5-aero/commandReach';
import { valueGroup } from '../group';
import { maybe, quantity } from '../keys';
import { lateral } from '../lateral/lateral';
import { motion } from '../motion/motion';
import { pitch } from '../pitch/pitch';
import { reference } from '../reference/reference';
import { stall } from '../stall/stall';
import { trim } from '../trim/trim';
import { controlFeel } from './controlFeel';
import { rollCarried, sideslipCarried } from './stallLimits';

const value = z.object({
  speed: maybe('speed', 'Speed at which control is judged: twice that of the stall, or cruise if slower'),
  axes: z.array(
    z.object({
      axis: z.enum(['roll', 'yaw', 'pitch']),
      feel: z.enum(['none', 'tooLittle', 'calm', 'lively', 'tooMuch']),
      response: quantity(
        'ratio',
        'Roll: steady rate [rad/s]; yaw: steady sideslip [rad]; pitch: load factor beyond one',
      ),
      measure: quantity(
        'ratio',
        'What is judged: pb/2V asked; sideslip asked over what the fin carries; lift asked over what the wing has left',
      ),
      travelShare: maybe('percent', 'Share of the travel that would feel calm; null when it does already'),
    }),
  ),
  bankByRudder: maybe(
    'angle',
    'Bank after one second of full rudder to the right, through dihedral; right wing down positive',
  ),
});

/** How it answers to full stick. */
export const feel = valueGroup(value, {
  id: 'feel',
  title: 'Control feel',
  needs: { reference, pitch, lateral, trim, stall, motion },
  compute: (solution, numbers) => {
    const { pitch: pitching, roll, yaw } = solution.prepared.reach;
    return controlFeel({
      numbers,
      full: {
        pitch: Math.min(pitching.held(pitching.down), -pitching.held(-pitching.up)),
        roll: Math.min(roll.right, roll.left),
        yaw: Math.min(yaw.right, yaw.left),
      },
      throwFor: {
        pitch: (effect) => throwForPitch(pitching, effect),
        roll: roll.throwFor,
        yaw: yaw.throwFor,
      },
      rollCarried: (steady) => rollCarried(solution, steady),
      sideslipCarried: (speed) => sideslipCarried(solution, speed),
    });
  },
});
