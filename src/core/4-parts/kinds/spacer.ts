import type { Millimetres } from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { Surface } from '@/core/2-document/schema/surface';
import { boundsOf, openLine, type Path, type Point, polygon, rectangle } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import { contourOf } from '@/core/3-shape/section/contour';
import { foldedSpar } from '@/core/3-shape/section/foldedSpar';
import type { CutPart } from '../part';
import { anticlockwise, common, grown, straightened } from '../polygons';
import { nameOfSurface, sidesOf } from './panels';
import { LEAST_ROOM, MOST_RIBS, rodsAt, seatAt, withRods } from './rib';
import { controlsOn, type Laid, placeOn } from './skinHinges';
import { tooShort } from './spar';

type Fold = SectionOf<'foldedOverSpar'>;

/** A spacer of a panel: where it stands, what it fills. */
interface Spacer {
  readonly distance: Millimetres;
  /** 0 at the inner end of the panel, 1 at the outer one. */
  readonly share: number;
  readonly chord: Millimetres;
  readonly edge: Path;
}

/** Left free ahead of a hinge, and behind the spar [mm]. */
const CLEAR = 1;
/** So many thicknesses beyond a spacer the contour is looked at. */
const BESIDE = 2;

/**
 * Pieces that keep both skins of a fold apart behind the spar, at even steps
 * along a panel and none at its ends, where ribs close it. Each fills the room
 * there as far as a control that is hinged behind it.
 */
function spacersOf(surface: Surface, panel: number): Spacer[] {
  const [a, b] = [surface.stations[panel]!, surface.stations[panel + 1]!];
  if (a.section.kind !== 'foldedOverSpar' || b.section.kind !== 'foldedOverSpar' || tooShort([a, b])) return [];
  const [root, tip]: readonly [Fold, Fold] = [a.section, b.section];
  if (root.spacers === undefined) return [];
  const length = b.distanceFromRoot - a.distanceFromRoot;
  const bays = Math.min(MOST_RIBS, Math.max(1, Math.round(length / root.spacers)));
  const controls = controlsOn(surface, panel);
  return Array.from({ length: bays - 1 }, (_, index) => (index + 1) / bays).flatMap((share): Spacer[] => {
    const mixed = (of: (fold: Fold, chord: Millimetres) => number) =>
      of(root, a.chord) + (of(tip, b.chord) - of(root, a.chord)) * share;
    const chord = mixed((_fold, own) => own);
    const distance = a.distanceFromRoot + share * length;
    const front = mixed(behindSpar) + CLEAR;
    const hinges = controls.filter(({ inner, outer }) => distance >= inner && distance <= outer);
    const rear = Math.min(chord, ...hinges.map(({ hinge }) => hinge(distance) * chord - CLEAR));
    if (rear - front < LEAST_ROOM) return [];
    const board = mixed((fold) => fold.boardThickness);
    // What lies farther off than the skin's thickness has no say, so that little of the contour has to be shrunk.
    const within = [front - BESIDE * board, rear + BESIDE * board] as const;
    const contour = straightened(between([root, a.chord], [tip, b.chord], share, within));
    const [inside] = grown(contour, -board);
    const [edge] = inside ? common(inside, rectangle(front, -chord, rear, chord)) : [];
    const bounds = edge && boundsOf([edge]);
    if (!edge || !bounds || bounds.top - bounds.bottom < LEAST_ROOM) return [];
    return [{ distance, share, chord, edge }];
  });
}

/** Where the rear face of a spar stands, aft of the nose. */
function behindSpar(fold: Fold, chord: Millimetres): Millimetres {
  const { boardThickness: board } = fold;
  if (fold.spar !== 'folded') return fold.sparPosition * chord + board / 2;
  return foldedSpar(fold, contourOf(fold, chord), chord).rear.x + board / 2;
}

/** The outer contour of a panel between its ends, skins are straight along it: of what lies between two places behind the nose. */
function between(
  [root, rootChord]: readonly [Fold, Millimetres],
  [tip, tipChord]: readonly [Fold, Millimetres],
  share: number,
  [front, rear]: readonly [Millimetres, Millimetres],
): Path {
  const [inner, outer] = [contourOf(root, rootChord), contourOf(tip, tipChord)];
  const at = (own: number, other: number) => own * rootChord + (other * tipChord - own * rootChord) * share;
  const places = Array.from(inner.x, (x, index) => at(x, outer.x[index]!));
  // With one point beyond either end.
  const first = Math.max(0, places.findIndex((place) => place > front) - 1);
  const after = places.findIndex((place) => place >= rear);
  const last = after < 0 ? places.length - 1 : after;
  const face = (side: 'upper' | 'lower') =>
    places
      .slice(first, last + 1)
      .map((place, index): Point => [place, at(inner[side][first + index]!, outer[side][first + index]!)]);
  return polygon([...face('lower'), ...face('upper').toReversed()]);
}

/** Spacers between the skins of a folded surface, panel by panel. @param slot play round a rod that runs through */
export function spacerParts(surface: Surface, slot: Millimetres = 0.3): CutPart[] {
  const { stations, construction, id } = surface;
  if (!construction) return [];
  const all = stations.slice(0, -1).flatMap((_, panel) => spacersOf(surface, panel));
  return all.map(({ distance, edge }, index): CutPart => {
    const name = `${nameOfSurface(surface)}, spacer ${index + 1}`;
    const region = withRods(anticlockwise(edge), rodsAt(surface, distance), slot);
    const { left, bottom, top } = boundsOf([region.edge]);
    return {
      id: `${id}-spacer-${index + 1}`,
      kind: 'spacer',
      owner: id,
      name,
      material: construction.material,
      outline: {
        name,
        edge: region.edge,
        holes: region.holes,
        lines: [],
        texts: [
          {
            words: name,
            at: [left + 2, bottom + 0.3 * (top - bottom)],
            height: Math.min(4, 0.25 * (top - bottom)),
            turn: 0,
          },
        ],
      },
      ...sidesOf(surface),
      isAlongGrain: false,
      hasFace: false,
      seat: seatAt(surface, distance),
      notes: [
        say`${millimetres(distance, 0)} from the root, upright against the rear of the spar, between the skins`,
        ...region.notes,
      ],
    };
  });
}

/** Where spacers stand, drawn on the lower skin of a panel. */
export function spacerMarks(surface: Surface, panel: number, laid: Laid): PartLine[] {
  const on = placeOn(surface, panel, laid, 0);
  const { section } = surface.stations[panel]!;
  const end = section.kind === 'foldedOverSpar' && section.singleFrom === undefined ? section.bottomLength : 1;
  return spacersOf(surface, panel).flatMap(({ distance, chord, edge }): PartLine[] => {
    const { left, right } = boundsOf([edge]);
    const rear = Math.min(right / chord, end);
    if (rear <= left / chord) return [];
    return [{ kind: 'mark', path: openLine([on(distance, left / chord), on(distance, rear)]) }];
  });
}
