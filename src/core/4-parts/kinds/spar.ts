import { millimetres, say } from '@/core/1-base/words/phrase';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import { contourOf } from '@/core/3-shape/section/contour';
import { foldedSpar } from '@/core/3-shape/section/foldedSpar';
import { tooLowToFold } from '@/core/3-shape/section/tooLowToFold';
import type { Place3 } from '../develop';
import type { CutPart, PartFault } from '../part';
import { flatSeat, plus, type Seat, times, towards } from '../seat';
import { labelOf } from './laidFlat';
import { sidesOf } from './panels';
import { axesAt, onSection, type SectionAxes } from './surfaceSeat';

type Fold = SectionOf<'foldedOverSpar'>;

/** One end of a panel that is folded. */
interface End {
  readonly station: Station;
  readonly fold: Fold;
  readonly axes: SectionAxes;
}

/** What stands in the folds of a surface, panel by panel: strips on edge, or channels folded of a strip. */
export function sparParts(surface: Surface): { readonly parts: CutPart[]; readonly faults: PartFault[] } {
  const { stations, construction, id } = surface;
  const parts: CutPart[] = [];
  const faults: PartFault[] = [];
  if (!construction) return { parts, faults };
  stations.slice(0, -1).forEach((a, panel) => {
    const b = stations[panel + 1]!;
    if (a.section.kind !== 'foldedOverSpar' || b.section.kind !== 'foldedOverSpar' || tooShort([a, b])) return;
    const [root, tip] = [a, b].map((station): End => ({
      station,
      fold: station.section as Fold,
      axes: axesAt(surface, station.distanceFromRoot, panel),
    })) as [End, End];
    const label = labelOf(surface, panel);
    if (root.fold.spar !== 'folded') {
      parts.push(strip(surface, panel, label, [root, tip]));
      return;
    }
    const low = tooLowToFold([a, b]);
    if (low)
      faults.push({
        owner: id,
        message: say`The spar of ${label} cannot be folded: at the end with a chord of ${millimetres(low.chord)} there is less room between the skins than two boards. Make the spar higher there, or take a strip on edge.`,
      });
    else parts.push(channel(surface, panel, label, [root, tip]));
  });
  return { parts, faults };
}

/** The end of a panel where ahead of the spar there is no room for a fold. */
export const tooShort = (ends: readonly Station[]): Station | undefined =>
  ends.find(({ section, chord }) => {
    const fold = section as Fold;
    return fold.sparPosition * chord < fold.boardThickness + 1;
  });

/** Along a panel, from where a spar stands at its root to where it stands at its tip [mm]. */
function lengthOfSpar([root, tip]: readonly [End, End]): number {
  const x = ({ station, fold }: End) => station.leadingEdgeOffset + fold.sparPosition * station.chord;
  return Math.hypot(tip.station.distanceFromRoot - root.station.distanceFromRoot, x(tip) - x(root));
}

/** What both ways to make a spar have alike. */
const common = (surface: Surface, panel: number, label: string) =>
  ({
    id: `${surface.id}-spar-${panel + 1}`,
    kind: 'spar',
    owner: surface.id,
    name: `${label}, spar`,
    material: surface.construction!.material,
    ...sidesOf(surface),
    isAlongGrain: true,
  }) as const;

/** A strip of board that stands in the fold, as high as the room there. */
function strip(surface: Surface, panel: number, label: string, ends: readonly [End, End]): CutPart {
  const [{ fold: root }, { fold: tip }] = ends;
  const length = lengthOfSpar(ends);
  const own = common(surface, panel, label);
  return {
    ...own,
    outline: {
      name: own.name,
      edge: polygon([
        [0, 0],
        [length, 0],
        [length, tip.sparHeight],
        [0, root.sparHeight],
      ]),
      holes: [],
      lines: [],
      texts: [{ words: own.name, at: [8, 0.3 * root.sparHeight], height: Math.min(6, 0.4 * root.sparHeight), turn: 0 }],
    },
    seat: stripSeat(ends),
    hasFace: false,
    notes: [
      say`lower edge straight; ${millimetres(root.sparHeight, 1)} high at the root, ${millimetres(tip.sparHeight, 1)} at the tip`,
    ],
  };
}

/** Where the inner face of the lower skin lies under the spar. */
function footOf({ axes, fold, station: { chord } }: End): Place3 {
  const { x, lower } = contourOf(fold, chord);
  const index = Math.max(
    0,
    x.findIndex((place) => place >= fold.sparPosition),
  );
  return onSection(axes, fold.sparPosition * chord, lower[index]! * chord + fold.boardThickness);
}

/** On the inner face of the lower skin, from the spar’s place at the root of the panel to that at its tip. */
function stripSeat([root, tip]: readonly [End, End]): Seat {
  const from = footOf(root);
  return flatSeat(from, towards(from, footOf(tip)), root.axes.upper);
}

/**
 * A channel from one strip: the outer face keeps its length, so its lines lie
 * where both webs rise from the base, and a groove of 45° to either side of
 * each takes the corner out. Webs are as high as the room where they stand,
 * at either end.
 */
function channel(surface: Surface, panel: number, label: string, ends: readonly [End, End]): CutPart {
  const length = lengthOfSpar(ends);
  const own = common(surface, panel, label);
  const [root, tip] = ends.map(({ fold, station: { chord } }) => foldedSpar(fold, contourOf(fold, chord), chord)) as [
    ReturnType<typeof foldedSpar>,
    ReturnType<typeof foldedSpar>,
  ];
  const board = ends[0].fold.boardThickness;
  const { width } = root;
  const along = (y: number, kind: PartLine['kind']): PartLine => ({
    kind,
    path: openLine([
      [0, y],
      [length, y],
    ] as Point[]),
  });
  return {
    ...own,
    outline: {
      name: own.name,
      edge: polygon([
        [0, -root.front.room],
        [length, -tip.front.room],
        [length, width + tip.rear.room],
        [0, width + root.rear.room],
      ]),
      holes: [],
      lines: [0, width].flatMap((y) => [along(y, 'score'), along(y - board, 'bevel'), along(y + board, 'bevel')]),
      texts: [{ words: own.name, at: [8, 0.35 * width], height: Math.min(6, 0.3 * width), turn: 0 }],
    },
    seat: channelSeat(ends, width, board),
    hasFace: true,
    notes: [
      say`cut a groove of 45° to either side of both scores, inside, down to the outer paper; fold both webs up and glue the corners`,
      say`webs ${millimetres(root.front.room, 1)} and ${millimetres(root.rear.room, 1)} high at the root, ${millimetres(tip.front.room, 1)} and ${millimetres(tip.rear.room, 1)} at the tip, the front one first; base ${millimetres(width, 1)} wide, on the lower skin`,
    ],
  };
}

/** Front web, base, rear web: the base on the inner face of the lower skin, each by the middle of its board. */
function channelSeat(ends: readonly [End, End], width: number, board: number): Seat {
  const [from, to] = ends.map(footOf) as [Place3, Place3];
  const along = towards(from, to);
  const { chord, upper } = ends[0].axes;
  const at = (aft: number, up: number): Place3 => plus(plus(from, times(chord, aft)), times(upper, up));
  return [
    { from: 0, above: -Infinity, level: 0, origin: at((board - width) / 2, 0), along, up: times(upper, -1) },
    { from: 0, above: 0, level: 0, origin: at(-width / 2, board / 2), along, up: chord },
    { from: 0, above: width, level: width, origin: at((width - board) / 2, 0), along, up: upper },
  ];
}
