import type { Kilograms } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { bodyElements, surfaceElements } from './boardParts';

type Built = { readonly construction?: { readonly countedBy: 'skin' | 'parts' } | undefined };

/** The same part, weighed by its skin. */
const bySkin = <Part extends Built>(part: Part): Part =>
  part.construction ? { ...part, construction: { ...part.construction, countedBy: 'skin' } } : part;

/** What the airframe would weigh by skin and shares alone, nothing of it weighed: the estimate before parts are drawn. */
export function skinEstimate(design: Design): Kilograms {
  const drawn = {
    ...design,
    surfaces: design.surfaces.map((surface) => ({ ...bySkin(surface), measuredMass: undefined })),
    bodies: design.bodies.map((body) => ({ ...bySkin(body), measuredMass: undefined })),
  };
  const elements = [
    ...drawn.surfaces.flatMap((surface) => surfaceElements(drawn, placeSurface(surface))),
    ...drawn.bodies.flatMap((body) => bodyElements(drawn, body)),
  ];
  return elements.reduce((sum, { mass }) => sum + mass, 0);
}
