import type { Metres } from '@/core/1-base/units/convert';
import type { Contour } from '@/core/3-shape/section/faces';
import type { ChordPoint, SectionWalls } from '@/core/3-shape/section/walls';
import { layupOf } from '../materials/board';
import type { coreOf } from '../materials/foam';
import type { Scale } from './builtWalls';
import type { Fibre } from './composite';
import { blockFibre } from './fibres';
import type { SectionPlace, SurfaceStuff } from './surfaceStuff';
import { solidOutline } from './torsion';

/** Upright slices of a block. */
const SLICES = 24;

/** A section that is foam all through. */
export interface Block {
  readonly fibres: Fibre[];
  readonly twist: number;
  readonly axis: Metres;
  readonly area: number;
  readonly core: ReturnType<typeof coreOf>;
  readonly cover: SectionWalls;
}

/** Foam that fills the contour, and what it is covered with. */
export function blockOf(stuff: SurfaceStuff, contour: Contour, { cutAt }: SectionPlace, scale: Scale): Block | null {
  const { material } = stuff;
  if (!material) return null;
  const { core } = layupOf({ ...material, faces: 'none' }, material.thickness);
  const fibres: Fibre[] = [];
  let [area, second, moment, weighted] = [0, 0, 0, 0];
  for (let slice = 0; slice < SLICES; slice++) {
    const x = ((slice + 0.5) / SLICES) * cutAt;
    const width = (cutAt / SLICES) * scale.x;
    const after = contour.x.findIndex((place) => place >= x);
    const [top, bottom] = [contour.upper[after]! * scale.z, contour.lower[after]! * scale.z];
    const height = Math.max(0, top - bottom);
    if (height === 0) continue;
    fibres.push(blockFibre(core, x * scale.x, width, [bottom, top]));
    area += width * height;
    second += (width * height ** 3) / 12;
    moment += width * height ** 3 * x * scale.x;
    weighted += width * height ** 3;
  }
  const isCovered = stuff.covering !== null;
  return {
    fibres,
    twist: solidOutline(core.shear, second, area, cutAt * scale.x),
    axis: weighted > 0 ? moment / weighted : scale.x / 2,
    area,
    core,
    cover: isCovered && cutAt === 1 ? coverOf(contour) : { walls: [], cell: [], isBlock: true },
  };
}

/** The skin of a block, as walls of film. */
function coverOf({ x, upper, lower }: Contour): SectionWalls {
  const every = 8;
  const line = (face: Float64Array): ChordPoint[] =>
    [...x.keys()].filter((index) => index % every === 0).map((index) => [x[index]!, face[index]!]);
  return {
    walls: [
      { kind: 'film', line: line(upper).toReversed() },
      { kind: 'film', line: line(lower) },
    ],
    cell: [0, 1],
    isBlock: true,
  };
}
