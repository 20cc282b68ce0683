import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { CompareSheet } from './CompareSheet';
import { CompareStage } from './CompareStage';

export const compare = {
  path: 'compare',
  title: 'Compare',
  isStarted: canBalance,
  task: 'See what building errors do before they are made, and what one number more or less would change.',
  fields: [['What a number does', 'Goes through']],
  worksOn: 'sheet',
  Sheet: CompareSheet,
  Inputs: CompareStage,
} as const satisfies StageEntry;
