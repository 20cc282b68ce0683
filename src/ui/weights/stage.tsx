import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { bodyHandles, itemHandles } from '../drawing/handles';
import { hasMass } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { WeightsBench } from './WeightsBench';
import { WeightsStage } from './WeightsStage';

function WeightsSheet({ design }: { readonly design: Design }) {
  const chosen = useAppSelector((state) => state.session.chosenBody);
  const handles = useMemo(() => {
    const body = design.bodies.find(({ id }) => id === chosen);
    // Frames and equipment would lie on one another: the one or the other.
    return body ? bodyHandles(body) : itemHandles(design, true);
  }, [design, chosen]);
  return <WeightsBench design={design} handles={handles} />;
}

export const weights = {
  path: 'weights',
  title: 'Weights',
  isStarted: hasMass,
  task: 'Put in everything that weighs something; weigh what you have and write it down.',
  fields: [],
  Sheet: WeightsSheet,
  Inputs: WeightsStage,
} as const satisfies StageEntry;
