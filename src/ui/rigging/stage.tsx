import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { Drawing } from '../drawing/Drawing';
import { incidenceHandle } from '../drawing/handles';
import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { RiggingStage } from './RiggingStage';

/** Angles are drawn so many times as steep, or nobody would see them. */
const STEEPER = 5;

function RiggingSheet({ design }: { readonly design: Design }) {
  const handles = useMemo(() => design.surfaces.flatMap(incidenceHandle), [design]);
  return <Drawing design={design} handles={handles} withAir steeper={STEEPER} />;
}

export const rigging = {
  path: 'rigging',
  title: 'Rigging',
  isStarted: hasWing,
  Sheet: RiggingSheet,
  Inputs: RiggingStage,
} as const satisfies StageEntry;
