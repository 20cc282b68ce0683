import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { StrengthSheet } from './StrengthSheet';
import { StrengthStage } from './StrengthStage';

export const strength = {
  path: 'strength',
  title: 'Strength',
  isStarted: canBalance,
  task: 'Add a rod, a shorter span or stiffer board until it bears more than flight may ask for.',
  fields: [
    ['Dive and landing', 'Dives at'],
    ['Dive and landing', 'Over a height of (m)'],
    ['Dive and landing', 'Touches down sinking at'],
    ['Dive and landing', 'Legs or belly give by'],
  ],
  Sheet: StrengthSheet,
  Inputs: StrengthStage,
} as const satisfies StageEntry;
