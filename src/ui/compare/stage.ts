import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { CompareSheet } from './CompareSheet';
import { CompareStage } from './CompareStage';

export const compare = {
  path: 'compare',
  title: 'Compare',
  isStarted: canBalance,
  task: 'See what building errors do before they are made, what a number changes, several designs side by side, and which would meet the brief best.',
  fields: [['Own ±', 'Give a number its own ±']],
  worksOn: 'sheet',
  Sheet: CompareSheet,
  Inputs: CompareStage,
} as const satisfies StageEntry;
