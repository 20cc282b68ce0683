import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { FieldSheet } from './FieldSheet';
import { FieldStage } from './FieldStage';

export const field = {
  path: 'field',
  title: 'Field',
  isStarted: canBalance,
  task: 'Tick the list, know what it should do, fly, and log what it did. One change at a time, and the log tells what it was.',
  fields: [['Log a flight', 'One click turns a control']],
  worksOn: 'inputs',
  Sheet: FieldSheet,
  Inputs: FieldStage,
} as const satisfies StageEntry;
