import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { RiggingSheet } from './RiggingSheet';
import { RiggingStage } from './RiggingStage';

export const rigging = {
  path: 'rigging',
  title: 'Rigging',
  isStarted: hasWing,
  task: 'Set incidence and thrust line so that it settles where you want to fly, with little stick.',
  fields: [
    ['Angles against the datum', 'Face that carries the level'],
    ['Angles against the datum', 'Nose up by'],
    ['Trim', 'At the speed'],
    ['Thrust line', 'Down'],
    ['Thrust line', 'Right'],
  ],
  Sheet: RiggingSheet,
  Inputs: RiggingStage,
} as const satisfies StageEntry;
