import { field } from '@/core/2-document/edit/field';
import type { FieldChange } from '@/core/2-document/edit/field';
import type { Surface } from '@/core/2-document/schema/surface';
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
  const planform = integratePlanforms([placeSurface(surface)], 'true');
  const quarter = planform
    ? millimetresFromMetres(planform.meanChordLeadingEdge + planform.meanChord / 4) - surface.position.x
    : 0;
  return [
    field('surfaces', surface.id, 'position', 'x').to(tenth(surface.position.x + quarter * (1 - root))),
    ...surface.stations.flatMap((station, index) => [
      ...(index === 0
        ? []
        : [
            field('surfaces', surface.id, 'stations', index, 'distanceFromRoot').to(
              tenth(station.distanceFromRoot * root),
            ),
          ]),
      field('surfaces', surface.id, 'stations', index, 'chord').to(tenth(station.chord * root)),
      field('surfaces', surface.id, 'stations', index, 'leadingEdgeOffset').to(tenth(station.leadingEdgeOffset * root)),
    ]),
  ];
}
