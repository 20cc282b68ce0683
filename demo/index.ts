import { type Design, type DesignInput, designSchema } from '@/core/document/schema/design';
import { lagoonPostman, reefSurveyor } from './conventional';

/** The invented fleet of the Cay Orell school, by name. */
export const DEMO_INPUTS: Readonly<Record<string, DesignInput>> = {
  'lagoon-postman': lagoonPostman,
  'reef-surveyor': reefSurveyor,
};

export const DEMO_NAMES = Object.keys(DEMO_INPUTS);

/** A demo design, whole. @throws RangeError for an unknown name */
export function demoDesign(name: string): Design {
  const input = DEMO_INPUTS[name];
  if (!input) throw new RangeError(`There is no example "${name}". Known: ${DEMO_NAMES.join(', ')}.`);
  return designSchema.parse(input);
}
