import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { PlansSheet } from './PlansSheet';
import { PlansStage } from './PlansStage';

export const plans = {
  path: 'plans',
  title: 'Plans',
  isStarted: (design) => hasWing(design) && design.surfaces.some(({ construction }) => construction),
  task: 'Look at every part, then take the sheets to paper at full size: measure the ruler on the first page before you cut.',
  fields: [],
  Sheet: PlansSheet,
  Inputs: PlansStage,
} as const satisfies StageEntry;
