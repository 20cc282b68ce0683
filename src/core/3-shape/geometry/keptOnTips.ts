import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { placeSurface } from './layout';

/** How far beside a tip what stands on it may begin [mm], and how far over or under it as a share of its chord. */
const BESIDE = 12;
const OVER = 0.5;

/** A ten-thousandth of a millimetre: finer than any knife, and following many small steps it does not drift. */
const fine = (value: number) => Math.round(value * 1e4) / 1e4;

/** Leading edge and chord of the last station [mm]. */
function tipOf(wing: Surface) {
  const { x, y, z, chord } = placeSurface(wing).stations.at(-1)!;
  const [atX, atY, atZ] = [x, y, z].map(millimetresFromMetres) as [number, number, number];
  return { x: atX, y: atY, z: atZ, chord: millimetresFromMetres(chord) };
}

const standsOn = ({ position }: Surface, tip: ReturnType<typeof tipOf>): boolean =>
  Math.abs(position.y - tip.y) <= BESIDE &&
  Math.abs(position.z - tip.z) <= OVER * tip.chord &&
  Math.abs(position.x - tip.x) <= tip.chord;

/**
 * Where a tip moved by an edit, the fins that stood on it stand on it still:
 * as far over it, and in the same place of its chord. Fins that the edit moved
 * itself, and those that stood elsewhere, stay where they are.
 */
export function keptOnTips(before: Design, after: Design): Design {
  if (before.surfaces === after.surfaces) return after;
  const known = new Map(before.surfaces.map((surface) => [surface.id, surface]));
  const moved = after.surfaces.flatMap((wing) => {
    const was = known.get(wing.id);
    return was && was !== wing && isWing(was) && isWing(wing) ? [{ from: tipOf(was), to: tipOf(wing) }] : [];
  });
  if (moved.length === 0) return after;
  const follows = (fin: Surface): Surface => {
    const was = known.get(fin.id);
    const { x, y, z } = fin.position;
    const stood = was && was.position.x === x && was.position.y === y && was.position.z === z;
    const tip = fin.role === 'tipFin' && stood ? moved.find(({ from }) => standsOn(fin, from)) : undefined;
    if (!tip) return fin;
    const { from, to } = tip;
    const position = {
      x: fine(to.x + ((x - from.x) * to.chord) / from.chord),
      y: fine(y + to.y - from.y),
      z: fine(z + to.z - from.z),
    };
    return position.x === x && position.y === y && position.z === z ? fin : { ...fin, position };
  };
  const surfaces = after.surfaces.map(follows);
  return surfaces.every((surface, index) => surface === after.surfaces[index]) ? after : { ...after, surfaces };
}
