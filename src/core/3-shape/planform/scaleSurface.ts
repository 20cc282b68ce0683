import type { Surface } from '@/core/2-document/schema/surface';
import type { FieldChange } from '@/core/7-verdict/finding';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { millimetresFromMetres } from '@/core/1-base/units/convert';

const tenth = (value: number) => Math.round(value * 10) / 10;

/**
 * Fields that make a surface `factor` times its area in the same shape: every
 * length by the root of it, its quarter mean chord staying where it is.
 */
export function scaledSurface(surface: Surface, factor: number): FieldChange[] {
  const root = Math.sqrt(factor);
  const path = `/surfaces/${surface.id}`;
  const planform = integratePlanforms([placeSurface(surface)], 'true');
  const quarter = planform
    ? millimetresFromMetres(planform.meanChordLeadingEdge + planform.meanChord / 4) - surface.position.x
    : 0;
  return [
    { field: `${path}/position/x`, value: tenth(surface.position.x + quarter * (1 - root)) },
    ...surface.stations.flatMap((station, index) => [
      ...(index === 0
        ? []
        : [{ field: `${path}/stations/${index}/distanceFromRoot`, value: tenth(station.distanceFromRoot * root) }]),
      { field: `${path}/stations/${index}/chord`, value: tenth(station.chord * root) },
      { field: `${path}/stations/${index}/leadingEdgeOffset`, value: tenth(station.leadingEdgeOffset * root) },
    ]),
  ];
}
