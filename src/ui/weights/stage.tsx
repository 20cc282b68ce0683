import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { itemHandles } from '../drawing/handles';
import { hasMass } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { WeightsBench } from './WeightsBench';
import { WeightsStage } from './WeightsStage';

function WeightsSheet({ design }: { readonly design: Design }) {
  const handles = useMemo(() => itemHandles(design, true), [design]);
  return <WeightsBench design={design} handles={handles} />;
}

export const weights = {
  path: 'weights',
  title: 'Weights',
  isStarted: hasMass,
  Sheet: WeightsSheet,
  Inputs: WeightsStage,
} as const satisfies StageEntry;
