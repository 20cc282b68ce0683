import { degrees, millimetres, say } from '@/core/1-base/words/phrase';
import { type Degrees, type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { circle, openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import { contourOf } from '@/core/3-shape/section/contour';
import { buildOf } from '@/core/3-shape/section/kinds';
import { CARD, type CutPart } from '../part';
import { anticlockwise } from '../polygons';
import type { Place3 } from '../develop';
import { flatSeat, plus, type Seat, times } from '../seat';
import { nameOfSurface } from './panels';
import { axesAt, onSection } from './surfaceSeat';

/** Reach of a brace to either side of its joint, of the shorter neighbour at most half [mm]. */
const REACH: Millimetres = 70;
/** Lower there is no room for a brace between the skins [mm]. */
const LEAST: Millimetres = 4;
/** Breaks that are less than this need none [°]. */
const BREAK: Degrees = 0.5;

/** Room between the skins where a section is thickest; a sheet by itself has none. */
function roomIn({ section, chord }: Station): Millimetres {
  const { upper, lower } = contourOf(section, chord);
  const thickest = Math.max(...upper.map((height, index) => height - lower[index]!)) * chord;
  const board = buildOf(section as never).board(section as never) ?? 0;
  return section.kind === 'foldedOverSpar' ? section.sparHeight : thickest - 2 * board;
}

/** A brace for every break in dihedral of a hollow surface: it stands in the spar’s place, bent as the joint is. */
export function braceParts(surface: Surface): CutPart[] {
  const { stations, construction, id, mirrored } = surface;
  if (!construction || !mirrored) return [];
  const name = nameOfSurface(surface);
  return stations.slice(0, -1).flatMap((station, index): CutPart[] => {
    const before = index === 0 ? -station.dihedral : stations[index - 1]!.dihedral;
    const angle = station.dihedral - before;
    const high = roomIn(station);
    if (Math.abs(angle) < BREAK || Math.abs(angle) > 100 || high < LEAST) return [];
    const inner =
      index === 0 ? stations[1]!.distanceFromRoot : station.distanceFromRoot - stations[index - 1]!.distanceFromRoot;
    const reach = Math.min(REACH, inner / 2, (stations[index + 1]!.distanceFromRoot - station.distanceFromRoot) / 2);
    const label = index === 0 ? `${name}, root brace` : `${name}, brace ${index}`;
    return [
      {
        id: `${id}-brace-${index}`,
        kind: 'brace',
        owner: id,
        name: label,
        material: construction.material,
        outline: {
          name: label,
          edge: anticlockwise(polygon(bentStrip(reach, high, angle))),
          holes: [],
          lines: [
            {
              kind: 'mark',
              path: openLine([
                [reach, 0],
                [reach, high],
              ]),
            },
          ],
          texts: [
            {
              words: label,
              at: [4, 0.3 * high],
              height: Math.min(5, 0.35 * high, (1.6 * reach) / label.length),
              turn: 0,
            },
          ],
        },
        seat: braceSeat(surface, index, reach),
        ...(index === 0 ? { count: 1, mirrored: 0 } : { count: 2, mirrored: 1 }),
        isAlongGrain: true,
        hasFace: false,
        notes: [
          say`stands where the spar is, ${millimetres(reach, 0)} to either side of the joint, bent by ${degrees(angle, 1)}; better of light ply than of board`,
        ],
      },
    ];
  });
}

/** Where a brace stands: along the panel inboard of its joint, in the place of the spar. */
function braceSeat(surface: Surface, index: number, reach: Millimetres): Seat {
  const { section, chord, distanceFromRoot } = surface.stations[index]!;
  const board = buildOf(section as never).board(section as never) ?? 0;
  const share = section.kind === 'foldedOverSpar' ? section.sparPosition : USUAL_SPAR;
  const { x, lower } = contourOf(section, chord);
  const under =
    lower[
      Math.max(
        0,
        x.findIndex((place) => place >= share),
      )
    ]! *
      chord +
    board;
  const inner = axesAt(surface, distanceFromRoot, Math.max(0, index - 1));
  // Left of the middle lies the mirror image of the first panel.
  const mirrorOf = ([a, b, c]: Place3): Place3 => [a, b, -c];
  const along = index === 0 ? mirrorOf(inner.span) : inner.span;
  const up: Place3 = [0, -along[2], along[1]];
  const at = onSection(inner, share * chord, under);
  return flatSeat(plus(index === 0 ? [at[0], 0, at[2]] : at, times(along, -reach)), along, up);
}

/** Where a brace stands in what has no spar: where sections are thickest. */
const USUAL_SPAR = 0.3;

/** A strip of a height, straight up to its middle and turned by an angle behind it. */
function bentStrip(reach: Millimetres, high: Millimetres, angle: Degrees): Point[] {
  const [c, s] = [Math.cos(radiansFromDegrees(angle)), Math.sin(radiansFromDegrees(angle))];
  // The upper edge meets where both legs are cut at half the angle.
  const lean = high * Math.tan(radiansFromDegrees(angle / 2));
  const along = (x: Millimetres, y: Millimetres): Point => [reach + x * c - y * s, x * s + y * c];
  return [[0, 0], [reach, 0], along(reach, 0), along(reach, high), [reach - lean, high], [0, high]];
}

/** How far a horn goes into the control, how long it is at its foot, and its hole [mm]. */
const FOOT: Millimetres = 18;
const ROOT: Millimetres = 6;
const HOLE: Millimetres = 0.8;

/** A horn for every control whose linkage is drawn, its hole as high above the hinge as the linkage says. */
export function hornParts({ controls, id, mirrored }: Surface): CutPart[] {
  return controls.flatMap(({ servo, id: own, name }): CutPart[] => {
    if (!servo || servo.horn <= 0) return [];
    const label = `${name || own}, horn`;
    const top = servo.horn + 3;
    return [
      {
        id: `${id}-${own}-horn`,
        kind: 'horn',
        owner: id,
        name: label,
        material: CARD,
        outline: {
          name: label,
          edge: polygon([
            [0, -ROOT],
            [FOOT, -ROOT],
            [FOOT, 0],
            [5, top],
            [0, top],
          ]),
          holes: [
            {
              vertices: [...circle([2.5, servo.horn], HOLE).vertices]
                .toReversed()
                .map(({ x, y }) => ({ x, y, bulge: -1 })),
              isClosed: true,
            },
          ],
          lines: [
            {
              kind: 'mark',
              path: openLine([
                [0, 0],
                [FOOT, 0],
              ]),
            },
          ],
          texts: [{ words: label, at: [3, -4.5], height: 2, turn: 0 }],
        },
        count: mirrored ? 2 : 1,
        mirrored: 0,
        isAlongGrain: false,
        hasFace: false,
        notes: [say`of ply or plastic; the hole stands over the hinge line, ${millimetres(servo.horn, 1)} above it`],
      },
    ];
  });
}
