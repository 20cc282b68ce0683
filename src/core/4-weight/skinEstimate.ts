import type { Kilograms } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { bodyElements, surfaceElements } from './boardParts';

type Built = { readonly construction?: { readonly countedBy: 'skin' | 'parts' } | undefined };

/** The same part, weighed by its skin. */
const bySkin = <Part extends Built>(part: Part): Part =>
  part.construction ? { ...part, construction: { ...part.construction, countedBy: 'skin' } } : part;

/** The same design, all of it weighed by skin and shares: quick, before its parts are drawn. */
export const weighedBySkin = (design: Design): Design => ({
  ...design,
  surfaces: design.surfaces.map(bySkin),
  bodies: design.bodies.map(bySkin),
});

/** What the airframe would weigh by skin and shares alone, nothing of it weighed: the estimate before parts are drawn. */
export function skinEstimate(design: Design): Kilograms {
  const sketch = weighedBySkin(design);
  const drawn = {
    ...sketch,
    surfaces: sketch.surfaces.map((surface) => ({ ...surface, measuredMass: undefined })),
    bodies: sketch.bodies.map((body) => ({ ...body, measuredMass: undefined })),
  };
  const elements = [
    ...drawn.surfaces.flatMap((surface) => surfaceElements(drawn, placeSurface(surface))),
    ...drawn.bodies.flatMap((body) => bodyElements(drawn, body)),
  ];
  return elements.reduce((sum, { mass }) => sum + mass, 0);
}
