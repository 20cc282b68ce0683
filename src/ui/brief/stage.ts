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
  task: 'Say what it is for and what it must fit into; then take one of the layouts that meet it.',
  fields: [
    ['What it is for', 'Purpose'],
    ['What it is for', 'Launch'],
    ['What it is for', 'Field length (m)'],
    ['What it is for', 'Wind to fly in'],
    ['What it is for', 'To be carried'],
    ['What it is for', 'Weight class'],
    ['What it is for', 'Greatest span'],
    ['What it is for', 'Longest panel in the car'],
    ['What it is for', 'Wing loading (g/dm²)'],
  ],
  Sheet: CandidatesBoard,
  Inputs: BriefStage,
} as const satisfies StageEntry;
