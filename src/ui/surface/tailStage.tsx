import { isFin, isPitchTail, rolesAt } from '@/core/2-document/schema/roles';
import type { StageEntry } from '../stages/stage';
import { SurfaceSheet } from './SurfaceSheet';
import { TailSheet } from './TailSheet';
import { SurfaceStage } from './SurfaceStage';

const ROLES = rolesAt('tail');
const OWN = { name: 'Map', Sheet: TailSheet };

export const tail = {
  path: 'tail',
  title: 'Tail',
  isStarted: ({ surfaces }) =>
    surfaces.some(
      (surface) =>
        isPitchTail(surface) || isFin(surface) || surface.controls.some((control) => control.function === 'elevon'),
    ),
  task: 'Drag the tail on its map until margin and yaw stiffness lie where you want them.',
  fields: [
    ['Size by school', 'Tail volume'],
    ['Size by school', 'Static margin'],
  ],
  Sheet: ({ design }) => <SurfaceSheet design={design} roles={ROLES} own={OWN} />,
  Inputs: ({ design }) => (
    <SurfaceStage
      design={design}
      roles={ROLES}
      kinds={['tailplane', 'fin', 'vTail', 'canard', 'fixedStabiliser']}
      empty="This design has no tail. Tailless aircraft keep their nose by sweep and washout, or by reflex."
    />
  ),
} as const satisfies StageEntry;
