import { knownFrom } from '@/core/1-base/knownFrom';
import type { Millimetres } from '@/core/1-base/units/convert';
import { millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { areaOf, boundsOf, circle, type Path, type Point, openLine, polygon } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import { type BlockPiece, CARD, type CutPart } from '../part';
import { anticlockwise, cutOut, grown, type Region, spanAt, straightened } from '../polygons';
import { flatSeat, type Seat } from '../seat';
import { axesAt } from './surfaceSeat';
import { edgesAt, nameOfSurface, sidesOf } from './panels';

type Fold = SectionOf<'foldedOverSpar'>;

/** Ribs that stand nearer than that are a block, more than that nobody cuts. */
export const MOST_RIBS = 60;

/** Ribs of a bent sheet or of a wing under film, at even steps from root to tip. */
export function ribParts(surface: Surface, slot: Millimetres = 0.3): CutPart[] {
  const { stations, construction, id } = surface;
  if (!construction) return [];
  const name = nameOfSurface(surface);
  const parts: CutPart[] = [];
  let number = 0;
  for (let panel = 0; panel + 1 < stations.length; panel++) {
    const [a, b] = [stations[panel]!, stations[panel + 1]!];
    const { section } = a;
    const spacing =
      section.kind === 'ribsUnderFilm'
        ? section.ribSpacing
        : section.kind === 'curvedPlate'
          ? section.ribSpacing
          : undefined;
    if (spacing === undefined) continue;
    const length = b.distanceFromRoot - a.distanceFromRoot;
    const bays = Math.min(MOST_RIBS, Math.max(1, Math.round(length / spacing)));
    const isLast = panel + 2 === stations.length;
    for (let rib = 0; rib < bays + (isLast ? 1 : 0); rib++) {
      const place = a.distanceFromRoot + (length * rib) / bays;
      const { chord } = edgesAt(surface, place);
      number++;
      const label = `${name}, rib ${number}`;
      const region = withRods(anticlockwise(ribEdge({ ...a, chord })), rodsAt(surface, place), slot);
      parts.push({
        id: `${id}-rib-${number}`,
        kind: 'rib',
        owner: id,
        name: label,
        material: construction.material,
        outline: {
          name: label,
          edge: region.edge,
          holes: region.holes,
          lines: marksOf(chord),
          texts: [{ words: label, at: [0.3 * chord, 0.02 * chord], height: Math.min(5, 0.03 * chord), turn: 0 }],
        },
        ...sidesOf(surface),
        isAlongGrain: false,
        hasFace: false,
        seat: seatAt(surface, place, isLast && rib === bays ? panel : undefined),
        notes: [say`${millimetres(place, 0)} from the root`, ...region.notes],
      });
    }
  }
  return parts;
}

type Rod = Surface['spars'][number];

/** Rods where they pass a place of a surface, behind its nose there. */
export function rodsAt(surface: Surface, place: Millimetres): { readonly rod: Rod; readonly x: Millimetres }[] {
  const { nose } = edgesAt(surface, place);
  return surface.spars.flatMap((rod) => {
    const { start, end } = rod;
    const length = end.distanceFromRoot - start.distanceFromRoot;
    if (length <= 0 || place < start.distanceFromRoot - 0.5 || place > end.distanceFromRoot + 0.5) return [];
    const x = start.x + ((end.x - start.x) * (place - start.distanceFromRoot)) / length;
    return [{ rod, x: x - nose }];
  });
}

/** A rib with the rods that run through it cut out: at its upper edge, its lower one or midway, as they lie. */
export function withRods(
  edge: Path,
  rods: readonly { readonly rod: Rod; readonly x: Millimetres }[],
  slot: Millimetres,
): Region & { readonly notes: readonly Words[] } {
  let region: Region = { edge, holes: [] };
  const notes: Words[] = [];
  for (const { rod, x } of rods) {
    const name = rod.name || rod.id;
    const [low, high] = spanAt(edge, x);
    const [w, h] = [rod.width + 2 * slot, (rod.shape === 'rectangle' ? rod.height : rod.width) + 2 * slot];
    if (!(high > low) || h <= 2 * slot) continue;
    if (high - low < h + 1) {
      notes.push(say`${name} is as high as the rib there: the rib is cut in two and butts against it`);
      continue;
    }
    const middle =
      rod.level === 'upper' ? high - h / 2 + slot : rod.level === 'lower' ? low + h / 2 - slot : (low + high) / 2;
    const path =
      rod.shape === 'rectangle'
        ? polygon([
            [x - w / 2, middle - h / 2],
            [x + w / 2, middle - h / 2],
            [x + w / 2, middle + h / 2],
            [x - w / 2, middle + h / 2],
          ])
        : circle([x, middle], w / 2);
    region = cutOut(region, [path]) ?? region;
    notes.push(say`${name} runs through, ${millimetres(slot, 1)} of play`);
  }
  return { ...region, notes };
}

/** A section by itself, nose at its origin. */
export function seatAt(surface: Surface, place: number, panel?: number): Seat {
  const { nose, chord, upper } = axesAt(surface, place, panel);
  return flatSeat(nose, chord, upper);
}

/** Narrower than that there is no room for a rib between the skins [mm]. */
export const LEAST_ROOM = 3;

/** By the section and the chord: the one at the tip stays while the root is dragged. */
const knownRooms = knownFrom<Fold, Path | undefined>(4);

/** The largest room within a folded section's board. */
const roomBetweenSkins = (section: Fold, chord: Millimetres): Path | undefined =>
  knownRooms(
    section,
    [chord],
    () =>
      grown(straightened(sectionOutline(section, chord).edge), -section.boardThickness).toSorted(
        (a, b) => areaOf(b) - areaOf(a),
      )[0],
  );

/** What closes a folded surface at its root and at its tip: as large as the room between its skins. */
export function closingRibs(surface: Surface): CutPart[] {
  const { stations, construction, id } = surface;
  if (!construction) return [];
  const last = stations.length - 1;
  return [0, last].flatMap((index): CutPart[] => {
    const { section, chord, distanceFromRoot } = stations[index]!;
    if (section.kind !== 'foldedOverSpar') return [];
    const inside = roomBetweenSkins(section, chord);
    const bounds = inside && boundsOf([inside]);
    if (!inside || !bounds || bounds.top - bounds.bottom < LEAST_ROOM) return [];
    const name = `${nameOfSurface(surface)}, closing rib ${index === 0 ? 'root' : 'tip'}`;
    return [
      {
        id: `${id}-closing-${index === 0 ? 'root' : 'tip'}`,
        kind: 'rib',
        owner: id,
        name,
        material: construction.material,
        outline: {
          name,
          edge: anticlockwise(inside),
          holes: [],
          lines: [],
          texts: [
            {
              words: name,
              at: [bounds.left + 0.15 * (bounds.right - bounds.left), (bounds.top + bounds.bottom) / 2 - 1],
              height: Math.min(4, 0.2 * (bounds.top - bounds.bottom)),
              turn: 0,
            },
          ],
        },
        ...sidesOf(surface),
        isAlongGrain: false,
        hasFace: false,
        seat: seatAt(surface, distanceFromRoot, index === 0 ? 0 : last - 1),
        notes: [say`between the skins, flush with their end; cut it through where the spar stands`],
      },
    ];
  });
}

/** What stands under a sheet, or fills the contour under film. */
function ribEdge({ section, chord }: Pick<Station, 'section' | 'chord'>): Path {
  if (section.kind !== 'curvedPlate') return sectionOutline(section, chord).edge;
  const { x, lower } = contourOf(section, chord);
  // From the chord line up to the lower face of the sheet.
  const face = Array.from(x, (place, index): Point => [place * chord, Math.max(0, lower[index]! * chord)]).filter(
    ([, height], index, all) => height > 0 || index === 0 || index === all.length - 1,
  );
  return polygon(face.toReversed());
}

const PERCENTS = [25, 50, 75] as const;

const marksOf = (chord: number): PartLine[] =>
  PERCENTS.map((percent) => ({
    kind: 'mark',
    path: openLine([
      [(percent / 100) * chord, -1],
      [(percent / 100) * chord, 1],
    ]),
  }));

/** Marks along a hot-wire template, as percent of the chord; the wire passes them on both sides at the same time. */
const WIRE_MARKS = Array.from({ length: 11 }, (_, index) => 10 * index);
/** Room round a section in its block [mm]. */
const ROUND = 6;

/** Templates for hot wire or carving at every station of a surface that is cut from a block, and the blocks. */
export function templateParts(surface: Surface): { readonly parts: CutPart[]; readonly blocks: BlockPiece[] } {
  const { stations, id, mirrored } = surface;
  const name = nameOfSurface(surface);
  const isSolid = ({ section }: Station) => section.kind === 'fourDigit' || section.kind === 'coordinates';
  const parts = stations.flatMap((station, index): CutPart[] => {
    if (!isSolid(station)) return [];
    const { section, chord, twist } = station;
    const outline = sectionOutline(section, chord);
    const label = `${name}, template ${index + 1}`;
    const { x, upper, lower } = contourOf(section, chord);
    return [
      {
        id: `${id}-template-${index + 1}`,
        kind: 'template',
        owner: id,
        name: label,
        material: CARD,
        outline: {
          name: label,
          edge: anticlockwise(outline.edge),
          holes: [],
          lines: [
            ...WIRE_MARKS.slice(1, -1).map((percent): PartLine => {
              const near = x.findIndex((place) => place >= percent / 100);
              return {
                kind: 'mark',
                path: openLine([
                  [x[near]! * chord, lower[near]! * chord],
                  [x[near]! * chord, upper[near]! * chord],
                ]),
              };
            }),
            { kind: 'mark', path: outline.camber },
          ],
          texts: [{ words: label, at: [0.3 * chord, 0.01 * chord], height: Math.min(5, 0.03 * chord), turn: 0 }],
        },
        count: 1,
        mirrored: 0,
        isAlongGrain: false,
        hasFace: false,
        notes: [
          say`chord ${millimetres(chord, 1)}, twist ${String(twist)}° against the root; marks every tenth of the chord`,
        ],
      },
    ];
  });
  const blocks = stations.slice(0, -1).flatMap((a, panel): BlockPiece[] => {
    const b = stations[panel + 1]!;
    if (!isSolid(a)) return [];
    const height = Math.max(...[a, b].map(({ section, chord }) => thicknessOf(section, chord))) + 2 * ROUND;
    const front = Math.min(a.leadingEdgeOffset, b.leadingEdgeOffset);
    const rear = Math.max(a.leadingEdgeOffset + a.chord, b.leadingEdgeOffset + b.chord);
    return [
      {
        owner: id,
        name: stations.length > 2 ? `${name}, block ${panel + 1}` : `${name}, block`,
        length: b.distanceFromRoot - a.distanceFromRoot,
        width: rear - front + 2 * ROUND,
        height,
        count: mirrored ? 2 : 1,
      },
    ];
  });
  return { parts, blocks };
}

function thicknessOf(section: Station['section'], chord: number): number {
  const { upper, lower } = contourOf(section, chord);
  return (Math.max(...upper) - Math.min(...lower)) * chord;
}
