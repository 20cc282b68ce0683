import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { StabilitySheet } from './StabilitySheet';
import { StabilityStage } from './StabilityStage';

export const stability = {
  path: 'stability',
  title: 'Stability',
  isStarted: canBalance,
  task: 'Read how it answers a nudge, a gust and full stick, and go back to whatever you do not like.',
  fields: [
    ['Mixes and flight modes', 'Flown and computed'],
    ['Mixes and flight modes', 'Stick'],
  ],
  Sheet: StabilitySheet,
  Inputs: StabilityStage,
} as const satisfies StageEntry;
