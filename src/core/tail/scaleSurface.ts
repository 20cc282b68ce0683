import type { Surface } from '../document/schema/surface';
import type { FieldChange } from '../findings/finding';
import { placeSurface } from '../geometry/layout';
import { integratePlanforms } from '../geometry/planform';
import { millimetresFromMetres } from '../units/convert';

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
