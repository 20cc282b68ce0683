import { type Degrees, degreesFromRadians, type Millimetres } from '@/core/1-base/units/convert';
import { degrees, millimetres, say } from '@/core/1-base/words/phrase';
import type { Surface } from '@/core/2-document/schema/surface';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { shimFor } from '@/core/3-shape/geometry/shim';
import { openLine, polygon } from '@/core/3-shape/outline/path';
import { CARD, type CutPart } from '../part';
import { anticlockwise } from '../polygons';
import { nameOfSurface } from './panels';

/** Errors of incidence that are less need no shim [°], and thinner shims nobody cuts [mm]. */
const LEAST_ERROR: Degrees = 0.1;
const THINNEST: Millimetres = 0.4;
/** Sides that differ by less have the same shim [°]. */
const ALIKE: Degrees = 0.1;

/**
 * Shims that bring a surface that was built at another angle back to the drawn
 * one: wedges as long as its root chord, which stand on edge between seat and
 * surface, one under either side; none for what is built as drawn or not yet
 * measured.
 */
export function shimParts(surface: Surface): CutPart[] {
  if (!surface.asBuilt || !surface.mirrored) return [];
  const placed = placeSurface(surface);
  const { meanIncidence, halfIncidence } = builtAngles(placed);
  const mean = degreesFromRadians(meanIncidence - placed.incidence);
  const half = degreesFromRadians(halfIncidence);
  return Math.abs(2 * half) < ALIKE
    ? wedge(surface, mean, 2, '')
    : [...wedge(surface, mean - half, 1, ', left'), ...wedge(surface, mean + half, 1, ', right')];
}

/** @param error how far nose up it stands beyond the drawn angle */
function wedge(surface: Surface, error: Degrees, count: number, side: string): CutPart[] {
  const { chord } = surface.stations[0]!;
  const { edge, thickness } = shimFor(chord, -error);
  if (Math.abs(error) < LEAST_ERROR || thickness < THINNEST) return [];
  const name = `${nameOfSurface(surface)}, shim${side}`;
  const high = edge === 'leading' ? 0 : chord;
  return [
    {
      id: `${surface.id}-shim${side.slice(2)}`,
      kind: 'gauge',
      owner: surface.id,
      name,
      material: CARD,
      outline: {
        name,
        edge: anticlockwise(
          polygon([
            [0, 0],
            [chord, 0],
            [high, thickness],
          ]),
        ),
        holes: [],
        lines: [
          {
            kind: 'mark',
            path: openLine([
              [chord / 2, 0],
              [chord / 2, thickness / 2],
            ]),
          },
        ],
        texts: [{ words: name, at: [0.1 * chord, 0], height: Math.min(4, thickness / 2), turn: 0 }],
      },
      count,
      mirrored: 0,
      isAlongGrain: false,
      hasFace: false,
      notes: [
        say`built ${degrees(Math.abs(error), 1)} too far nose ${error > 0 ? 'up' : 'down'}: ${millimetres(thickness, 1)} under the ${edge} edge brings it back; measure again before the glue`,
      ],
    },
  ];
}
