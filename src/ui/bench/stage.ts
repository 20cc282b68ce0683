import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { BenchSheet } from './BenchSheet';
import { BenchStage } from './BenchStage';

export const bench = {
  path: 'bench',
  title: 'Bench',
  isStarted: (design) => hasWing(design) && (design.built.length > 0 || design.surfaces.some(({ asBuilt }) => asBuilt)),
  task: 'Build in this order. Before each joint is glued, read it dry: right, a shim, or a stop. Glue only what is green.',
  fields: [
    ['Instruments', 'Angles are read'],
    ['On two scales', 'Front support at'],
    ['On two scales', 'Rear support at'],
    ['On two scales', 'Front scale'],
    ['On two scales', 'Rear scale'],
  ],
  worksOn: 'sheet',
  Sheet: BenchSheet,
  Inputs: BenchStage,
} as const satisfies StageEntry;
