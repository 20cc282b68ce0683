import { rolesAt } from '@/core/2-document/schema/roles';
import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { SurfaceSheet } from './SurfaceSheet';
import { SurfaceStage } from './SurfaceStage';

const ROLES = rolesAt('wing');

export const wing = {
  path: 'wing',
  title: 'Wing',
  isStarted: hasWing,
  Sheet: ({ design }) => <SurfaceSheet design={design} roles={ROLES} />,
  Inputs: ({ design }) => (
    <SurfaceStage
      design={design}
      roles={ROLES}
      kinds={['wing', 'secondWing', 'tipFins']}
      empty="This design has no wing yet: start in the brief."
    />
  ),
} as const satisfies StageEntry;
