import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { GliderSheet } from './GliderSheet';
import { GliderStage } from './GliderStage';

export const glider = {
  path: 'glider',
  title: 'Glider',
  isStarted: canBalance,
  task: 'Throw it here first, then a small one by hand: log what every toss did, and take the shim or the grams that it asks for.',
  fields: [
    ['The throw', 'Scale'],
    ['The throw', 'Speed'],
    ['The throw', 'Path, up'],
    ['The throw', 'Launch'],
    ['The throw', 'Height (m)'],
  ],
  Sheet: GliderSheet,
  Inputs: GliderStage,
} as const satisfies StageEntry;
