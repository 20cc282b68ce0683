import { isFin } from '@/core/2-document/schema/roles';
import { developedLength, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { endStation, findJunctions, type Junction } from './junctions';
import { LEAST_WIDTH } from './strips';

/**
 * Moves fins that stand on another surface, or carry one, sideways onto it: a
 * root drawn a millimetre inside or outside a tip would put the legs of one
 * between the control points of the other, where the answer is chance. Up or
 * down they move only where no strip would fit into the gap; a wider gap stays
 * as drawn. At most a fiftieth of the chord, and of the lattice alone. Fins on
 * the centre line stay there.
 */
export function alignFins(surfaces: readonly PlacedSurface[]): readonly PlacedSurface[] {
  const junctions = findJunctions(surfaces);
  return surfaces.map((fin, index) => {
    if (!isFin(fin)) return fin;
    const stands = junctions.find(({ joining, met }) => joining === index && !isFin(surfaces[met]!));
    const carries = junctions.find(({ joining, met }) => met === index && !isFin(surfaces[joining]!));
    const [own, other] = stands
      ? [endStation(fin, stands.end), pointOf(surfaces[stands.met]!, stands)]
      : carries
        ? [pointOf(fin, carries), endStation(surfaces[carries.joining]!, carries.end)]
        : [null, null];
    if (!own || !other) return fin;
    const y = fin.mirrored ? other.y - own.y : 0;
    const gap = other.z - own.z;
    const z = Math.abs(gap) < LEAST_WIDTH * developedLength(fin) ? gap : 0;
    return { ...fin, stations: fin.stations.map((station) => ({ ...station, y: station.y + y, z: station.z + z })) };
  });
}

/** Where a surface is met: at its end when that is close, as no strip would fit between. */
function pointOf(surface: PlacedSurface, { distance }: Junction) {
  const length = developedLength(surface);
  const near = LEAST_WIDTH * length;
  return planformAt(surface, distance < near ? 0 : distance > length - near ? length : distance);
}
