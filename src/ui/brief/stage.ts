import { briefSchema } from '@/core/2-document/schema/brief';
import type { StageEntry } from '../stages/stage';
import { hasWing } from '../stages/isStarted';
import { BriefStage } from './BriefStage';
import { CandidatesBoard } from './CandidatesBoard';

const EMPTY = JSON.stringify(briefSchema.parse({}));

export const brief = {
  path: 'brief',
  title: 'Brief',
  isStarted: (design) => hasWing(design) || JSON.stringify(design.brief) !== EMPTY,
  Sheet: CandidatesBoard,
  Inputs: BriefStage,
} as const satisfies StageEntry;
