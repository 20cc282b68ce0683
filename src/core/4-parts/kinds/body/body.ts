import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { allowancesOf } from '../../allowances';
import { box } from './box';
import { plank } from './plank';
import { round } from './round';
import type { BodyParts, Stuff } from './stuff';

const BUILDS = { plank, round, box } as const;

/** Board parts of a body by its build; sticks under film and what nobody says the board of have none. */
export function bodyParts(design: Design, body: Body): BodyParts {
  const { construction, kind } = body;
  const sheet = design.materials.find(({ id }) => id === construction?.material);
  if (!construction || !sheet || construction.truss) return { parts: [], faults: [] };
  const { thickness } = sheet;
  const stuff: Stuff = {
    design,
    body,
    thickness,
    wall: thickness * construction.layers,
    allowances: allowancesOf(sheet),
  };
  return BUILDS[kind](stuff);
}
