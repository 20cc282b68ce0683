import { developedLength, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { findJunctions, type Junction } from './junctions';

/** Shorter than this share of the chord it stands on, a part disturbs less air than one strip of that surface stands for. */
const SMALL = 0.12;
/** How far such a part is moved clear, as a share of that chord: beyond what counts as meeting. */
const CLEAR = 0.05;

/**
 * Moves small parts clear of what they stand on, in the lattice alone. A skeg
 * or a fence of a few millimetres that meets a wing would be tied to the whole
 * circulation of a strip many times as wide, which no air does; a little off
 * the wing it does what a small part does.
 */
export function clearSmallParts(surfaces: readonly PlacedSurface[]): readonly PlacedSurface[] {
  const junctions = findJunctions(surfaces);
  return surfaces.map((part, index) => {
    const standing = junctions.find(
      ({ joining, met, distance }) =>
        joining === index && developedLength(part) < SMALL * planformAt(surfaces[met]!, distance).chord,
    );
    return standing ? moved(part, standing, planformAt(surfaces[standing.met]!, standing.distance).chord) : part;
  });
}

/** Away from the end that stands, along the board there. */
function moved(part: PlacedSurface, { end }: Junction, chord: number): PlacedSurface {
  const dihedral = end === 'root' ? part.panelDihedrals[0]! : part.panelDihedrals.at(-1)! + Math.PI;
  const y = part.mirrored ? CLEAR * chord * Math.cos(dihedral) : 0;
  const z = CLEAR * chord * Math.sin(dihedral);
  return { ...part, stations: part.stations.map((station) => ({ ...station, y: station.y + y, z: station.z + z })) };
}
