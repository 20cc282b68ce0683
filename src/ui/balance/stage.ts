import { ItemSheet } from '../drawing/ItemSheet';
import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { BalanceStage } from './BalanceStage';

export const balance = {
  path: 'balance',
  title: 'Balance',
  isStarted: canBalance,
  Sheet: ItemSheet,
  Inputs: BalanceStage,
} as const satisfies StageEntry;
