import { ItemSheet } from '../drawing/ItemSheet';
import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { StabilityStage } from './StabilityStage';

export const stability = {
  path: 'stability',
  title: 'Stability',
  isStarted: canBalance,
  Sheet: ({ design }) => <ItemSheet design={design} withAir />,
  Inputs: StabilityStage,
} as const satisfies StageEntry;
