import {
  kilogramsPerSquareMetre,
  metresFromMillimetres,
  type Kilograms,
  squareMetresFromSquareMillimetres,
  type Vector3,
} from '@/core/1-base/units/convert';
import { knownFrom } from '@/core/1-base/knownFrom';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { flattened, type Path } from '@/core/3-shape/outline/path';
import type { Surface } from '@/core/2-document/schema/surface';
import { allowancesOf } from './allowances';
import { flatPieces } from './facets';
import { bodyParts } from './kinds/body/body';
import { braceParts } from './kinds/joint';
import { closingRibs } from './kinds/rib';
import { spacerParts } from './kinds/spacer';
import { sparParts } from './kinds/spar';
import type { CutPart } from './part';
import { placeOnFacet, type Seat } from './seat';

/** A part of board as a box of mass where it sits: centre and edges along x, y, z. Kilograms, metres. */
export interface BoardMass {
  readonly mass: Kilograms;
  readonly centre: Vector3;
  readonly size: Vector3;
}

/** Area of an outline, its centroid and how far it spreads about it: the sides of the rectangle that spreads as far [mm]. */
interface Spread {
  readonly area: number;
  readonly x: number;
  readonly y: number;
  readonly long: number;
  readonly high: number;
}

/** Arcs within this [mm]. */
const FINE = 0.05;

/** Moments of a polygon by its corners (Green’s theorem). [exact] for straight sides; holes run the other way round and count as less. */
function spreadOf(paths: readonly Path[]): Spread {
  let [area, mx, my, xx, yy] = [0, 0, 0, 0, 0];
  for (const path of paths) {
    const points = flattened(path, FINE);
    points.forEach(([ax, ay], index) => {
      const [bx, by] = points[(index + 1) % points.length]!;
      const cross = ax * by - bx * ay;
      area += cross / 2;
      mx += (cross * (ax + bx)) / 6;
      my += (cross * (ay + by)) / 6;
      xx += (cross * (ax * ax + ax * bx + bx * bx)) / 12;
      yy += (cross * (ay * ay + ay * by + by * by)) / 12;
    });
  }
  const [x, y] = [mx / area, my / area];
  const side = (second: number, mean: number) => Math.sqrt(Math.max(0, 12 * (second / area - mean ** 2)));
  return { area, x, y, long: side(xx, x), high: side(yy, y) };
}

type Seated = CutPart & { readonly seat: Seat };

/** By the outline: a part that was left as it is lies where it lay. */
const lying = knownFrom<PartOutline, readonly BoardMass[]>();

/** Where the mass of one copy lies, flat piece by flat piece. */
const massesOfOne = ({ outline, seat }: Seated, arealDensity: number): readonly BoardMass[] =>
  lying(outline, [seat, arealDensity], () =>
    flatPieces(outline, seat).map(({ facet, edge, holes }) => {
      const { area, x, y, long, high } = spreadOf([edge, ...holes]);
      const { along, up } = facet;
      const size = (axis: 0 | 1 | 2) => metresFromMillimetres(Math.abs(along[axis]) * long + Math.abs(up[axis]) * high);
      const [cx, cy, cz] = placeOnFacet(facet, [x, y]);
      return {
        mass: squareMetresFromSquareMillimetres(area) * kilogramsPerSquareMetre(arealDensity),
        centre: [metresFromMillimetres(cx), metresFromMillimetres(cy), metresFromMillimetres(cz)],
        size: [size(0), size(1), size(2)],
      };
    }),
  );

const mirrored = ({ centre: [x, y, z], ...rest }: BoardMass): BoardMass => ({ ...rest, centre: [x, -y, z] });

/** All copies of parts of a sheet where they sit; what has a left one has it on the left. */
function massesOf(parts: readonly CutPart[], arealDensity: number, isPair: boolean): BoardMass[] {
  return parts.flatMap((part): BoardMass[] => {
    if (!part.seat) return [];
    const own = massesOfOne({ ...part, seat: part.seat }, arealDensity);
    const times = (count: number, one: BoardMass) => (count > 0 ? [{ ...one, mass: one.mass * count }] : []);
    const left = isPair ? part.count / 2 : part.mirrored;
    return own.flatMap((piece) => [...times(part.count - left, piece), ...times(left, mirrored(piece))]);
  });
}

const ofSurfaces = knownFrom<Surface, readonly BoardMass[]>();

/** What stands in a surface and closes it beside its board, as it is cut. */
export const surfaceBoardMasses = ({ materials }: Design, surface: Surface): readonly BoardMass[] =>
  ofSurfaces(surface, [materials], () => {
    const sheet = materials.find(({ id }) => id === surface.construction?.material);
    if (!sheet) return [];
    const parts = [
      ...sparParts(surface).parts,
      ...spacerParts(surface, allowancesOf(sheet).slot),
      ...closingRibs(surface),
      ...braceParts(surface),
    ];
    return massesOf(parts, sheet.arealDensity, false);
  });

/** By the body as it is drawn; a few, as one is often weighed beside another. */
const ofBodies = knownFrom<Body, readonly BoardMass[]>(3);
const NONE: readonly BoardMass[] = [];

/** What of the things aboard the board of a body follows from: of a pack that slides its bay, not where in it it lies. */
function followedItems({ kind, frames, position }: Body, items: Design['massItems']): readonly unknown[] {
  // A plank has holes for them all.
  if (kind === 'plank') return [items];
  const [front, rear] = [position.x + frames[0]!.x, position.x + frames.at(-1)!.x];
  return items.flatMap(({ category, position: { x, y, z }, size, attachment }): unknown[] => {
    if (category === 'servo') return [x, y, z];
    if (category !== 'battery') return [];
    return [attachment.kind === 'slides' ? x > front && x < rear : x, y, z, size, attachment];
  });
}

/**
 * The board of a body part by part as it is cut, where it sits; none for what
 * is bent round or built of sticks. Thickness counts with the sheet, not in
 * the spread.
 */
export function bodyBoardMasses(design: Design, body: Body): readonly BoardMass[] {
  const sheet = design.materials.find(({ id }) => id === body.construction?.material);
  if (!sheet || body.kind === 'round' || body.construction?.truss) return NONE;
  const { surfaces, materials, propulsion, wheels, massItems } = design;
  const from = [surfaces, materials, propulsion, wheels, ...followedItems(body, massItems)];
  return ofBodies(body, from, () => massesOf(bodyParts(design, body).parts, sheet.arealDensity, body.mirrored));
}
