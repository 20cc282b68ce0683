import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { ChosenSection } from './SectionSheet';
import { SectionStage } from './SectionStage';

export const section = {
  path: 'section',
  title: 'Section',
  isStarted: hasWing,
  task: 'Choose how the section is built, and see what it costs beside another.',
  fields: [
    ['Section', 'Built as'],
    ['Section', 'For'],
    ['Beside another section', 'The other built as'],
  ],
  Sheet: ChosenSection,
  Inputs: SectionStage,
} as const satisfies StageEntry;
