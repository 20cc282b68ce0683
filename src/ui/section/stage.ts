import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { ChosenSection } from './SectionSheet';
import { SectionStage } from './SectionStage';

export const section = {
  path: 'section',
  title: 'Section',
  isStarted: hasWing,
  Sheet: ChosenSection,
  Inputs: SectionStage,
} as const satisfies StageEntry;
