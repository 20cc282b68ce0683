import { isFin, isPitchTail, rolesAt } from '@/core/2-document/schema/roles';
import type { StageEntry } from '../stages/stage';
import { SurfaceSheet } from './SurfaceSheet';
import { SurfaceStage } from './SurfaceStage';

const ROLES = rolesAt('tail');

export const tail = {
  path: 'tail',
  title: 'Tail',
  isStarted: ({ surfaces }) =>
    surfaces.some(
      (surface) =>
        isPitchTail(surface) || isFin(surface) || surface.controls.some((control) => control.function === 'elevon'),
    ),
  Sheet: ({ design }) => <SurfaceSheet design={design} roles={ROLES} />,
  Inputs: ({ design }) => (
    <SurfaceStage
      design={design}
      roles={ROLES}
      kinds={['tailplane', 'fin', 'vTail', 'canard', 'fixedStabiliser']}
      empty="This design has no tail. Tailless aircraft keep their nose by sweep and washout, or by reflex."
    />
  ),
} as const satisfies StageEntry;
