import { isFin } from '@/core/2-document/schema/roles';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { placeSurface } from '@/core/3-shape/geometry/layout';

/** What a builder sets out by eye on a metric ruler [mm]. */
const USUAL_STEP = 5;

const round = (value: number, step: number) => thousandth(Math.max(step, Math.round(value / step) * step));
/** Eighths of an inch need more places than millimetres. */
const thousandth = (value: number) => Math.round(value * 1000) / 1000;
const tenth = (value: number) => Math.round(value * 10) / 10;

/**
 * A surface whose span seen from above and whose chords are whole steps;
 * sweep and the places of its stations follow. Upright ones by their height.
 */
function rounded(surface: Surface, step: number): Surface {
  const fine = step === USUAL_STEP ? tenth : thousandth;
  const { stations } = placeSurface(surface);
  const isLevel = surface.mirrored && !isFin(surface);
  const reach = isLevel
    ? millimetresFromMetres(stations.at(-1)!.y - stations[0]!.y)
    : surface.stations.at(-1)!.distanceFromRoot;
  if (reach <= 0) return surface;
  // Both halves of a round span may end on half a step.
  const factor = round(reach, isLevel ? step / 2 : step) / reach;
  return {
    ...surface,
    stations: surface.stations.map((station, index) => ({
      ...station,
      distanceFromRoot: fine(station.distanceFromRoot * factor) as typeof station.distanceFromRoot,
      chord: round(station.chord, step) as typeof station.chord,
      leadingEdgeOffset: (index === 0
        ? 0
        : Math.round(station.leadingEdgeOffset * factor)) as typeof station.leadingEdgeOffset,
    })),
    spars: surface.spars.map((spar) => ({
      ...spar,
      end: {
        ...spar.end,
        distanceFromRoot: Math.round(spar.end.distanceFromRoot * factor) as typeof spar.end.distanceFromRoot,
      },
    })),
  };
}

/** Whole sizes for all surfaces; what stands on the tips of the wing goes along with them. */
export function roundSizes(design: Design, step = USUAL_STEP): Design {
  const surfaces = design.surfaces.map((surface) => rounded(surface, step));
  const kept = keptOnTips(design, { ...design, surfaces });
  const whole = (surface: Surface): Surface['position'] => ({
    x: tenth(surface.position.x),
    y: tenth(surface.position.y),
    z: tenth(surface.position.z),
  });
  return {
    ...kept,
    surfaces: kept.surfaces.map((surface) =>
      surface.role === 'tipFin' ? { ...surface, position: whole(surface) } : surface,
    ),
  };
}
