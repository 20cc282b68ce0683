import { rolesAt } from '@/core/2-document/schema/roles';
import { hasWing } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { SpanSheet } from './SpanSheet';
import { SurfaceSheet } from './SurfaceSheet';
import { SurfaceStage } from './SurfaceStage';

const ROLES = rolesAt('wing');
const OWN = { name: 'Along the span', Sheet: SpanSheet };

export const wing = {
  path: 'wing',
  title: 'Wing',
  isStarted: hasWing,
  task: 'Set span, chords and twist until it stalls in the middle first and the tips keep some lift.',
  fields: [
    ['Size', 'Span, projected'],
    ['Size', 'Area (dm²)'],
    ['Size', 'Aspect ratio'],
    ['Size', 'Loading (g/dm²)'],
    ['Planform', 'Taper'],
    ['Planform', 'Sweep of the'],
    ['Dihedral and washout', 'Dihedral as'],
    ['Dihedral and washout', 'Washout at the tip'],
    ['Place of a surface', 'Incidence'],
    ['Place of a surface', 'Aft of datum'],
    ['Place of a surface', 'Above datum'],
  ],
  Sheet: ({ design }) => <SurfaceSheet design={design} roles={ROLES} own={OWN} />,
  Inputs: ({ design }) => (
    <SurfaceStage
      design={design}
      roles={ROLES}
      kinds={['wing', 'secondWing', 'tipFins']}
      empty="This design has no wing yet: start in the brief."
    />
  ),
} as const satisfies StageEntry;
