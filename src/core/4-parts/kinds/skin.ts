import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import type { LineKind, PartLine } from '@/core/3-shape/outline/partOutline';
import { foldPattern, type FoldPattern, type SeenFold } from '@/core/3-shape/pattern/foldPattern';
import { foldNose } from '@/core/3-shape/section/foldNose';
import { contourOf } from '@/core/3-shape/section/contour';
import { develop, type Developed, type Place3 } from '../develop';
import type { CutPart, PartFault } from '../part';
import { anticlockwise } from '../polygons';
import { flatSeat, type Seat, towards } from '../seat';
import { nameOfSurface, sidesOf } from './panels';
import { axesAt, onSection } from './surfaceSeat';

type Fold = SectionOf<'foldedOverSpar'>;

/** Points of each stretch of a contour: below, round the nose, above. */
const STRAIGHT = 6;
const NOSE = 48;

/** A contour of a fold along its outer face: places over the section, and which of them are lines of the pattern. */
interface Outer {
  readonly points: readonly (readonly [x: number, z: number])[];
  readonly pattern: FoldPattern;
  /** Length of the outer face up to each point. */
  readonly along: readonly number[];
}

const lengths = (points: readonly (readonly [number, number])[]): number[] => {
  let sum = 0;
  return points.map(([x, z], index) => {
    if (index > 0) sum += Math.hypot(x - points[index - 1]![0], z - points[index - 1]![1]);
    return sum;
  });
};

/** From where the lower skin ends, forward to the spar, round the nose and back above to where the upper skin ends. */
function outerOf(section: Fold, chord: number, folds: readonly SeenFold[]): Outer {
  const pattern = foldPattern(section, chord, { folds, scored: section.scoredFace ?? 'inner' });
  const { length, half, heightAt } = foldNose(section, chord);
  const top = 2 * half;
  const end = length + pattern.below;
  const below = Array.from({ length: STRAIGHT }, (_, index) => [end + ((length - end) * index) / STRAIGHT, 0] as const);
  // Equal steps of the angle round the nose, densest at its tip.
  const nose = Array.from({ length: NOSE + 1 }, (_, index) => {
    const turn = Math.PI * (index / NOSE);
    const x = length * (1 - Math.sin(turn));
    return [x, turn <= Math.PI / 2 ? half - heightAt(x) : half + heightAt(x)] as const;
  });
  const rear = length + Math.sqrt(Math.max(0, pattern.above ** 2 - riseOf(section, chord, top) ** 2));
  const drop = riseOf(section, chord, top);
  const above = Array.from({ length: STRAIGHT }, (_, index) => {
    const share = (index + 1) / STRAIGHT;
    return [length + (rear - length) * share, top - drop * share] as const;
  });
  const points = [...below, ...nose, ...above];
  return { points, pattern, along: lengths(points) };
}

/** How far the upper skin comes down behind the spar. */
function riseOf(section: Fold, chord: number, top: number): number {
  const isSingle = section.singleFrom !== undefined;
  const end = isSingle ? chord : Math.max(section.bottomLength, section.sparPosition) * chord;
  return top - section.boardThickness * (end >= chord ? 2 : 1);
}

/** A contour where its station is: turned by its twist about the nose, set back by its offset. */
const placed = (
  points: readonly (readonly [number, number])[],
  { twist, leadingEdgeOffset, distanceFromRoot }: Station,
): Place3[] => {
  const angle = radiansFromDegrees(twist);
  const [cosine, sine] = [Math.cos(angle), Math.sin(angle)];
  return points.map(([x, z]) => [leadingEdgeOffset + x * cosine + z * sine, distanceFromRoot, z * cosine - x * sine]);
};

const WORKED: Readonly<Record<FoldPattern['lines'][number]['kind'], LineKind | null>> = {
  score: 'score',
  spar: 'mark',
  bevel: 'bevel',
  edge: null,
};

/** The point of a flat edge after so much of the outer face. */
function pointAt(edge: readonly Point[], along: readonly number[], place: number): Point {
  const after = Math.max(
    1,
    along.findIndex((length) => length >= place),
  );
  const index = along.at(-1)! < place ? along.length - 1 : after;
  const [from, to] = [along[index - 1]!, along[index]!];
  const share = to > from ? Math.min(1, Math.max(0, (place - from) / (to - from))) : 0;
  const [a, b] = [edge[index - 1]!, edge[index]!];
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
}

/** Where a line of the pattern lies on the outer face: the pattern counts along the face that keeps its length. */
function onOuter({ below, nose, above, cutWidth, lines }: FoldPattern, at: number): number {
  const spars = lines.filter(({ kind }) => kind === 'spar').map(({ at: place }) => place);
  const [lower, upper] = [spars[0] ?? below, spars[1] ?? below + nose];
  if (at <= lower) return at;
  if (at <= upper) return below + ((at - lower) / (upper - lower)) * nose;
  return below + nose + ((at - upper) / (cutWidth - upper)) * above;
}

/** The flat edge stretched or drawn in as the pattern says: scored outside, or corrected by trial folds, a skin is cut otherwise than its outer face is long. */
function asCut(edge: readonly Point[], { along, pattern }: Outer): Point[] {
  const { below, nose, above, cutWidth, lines } = pattern;
  const spars = lines.filter(({ kind }) => kind === 'spar').map(({ at }) => at);
  const [lower, upper] = [spars[0] ?? below, spars[1] ?? below + nose];
  const toCut = (place: number): number =>
    place <= below
      ? place
      : place <= below + nose
        ? lower + ((place - below) / nose) * (upper - lower)
        : upper + ((place - below - nose) / above) * (cutWidth - upper);
  const [first] = edge;
  const last = edge.at(-1)!;
  const whole = Math.hypot(last[0] - first![0], last[1] - first![1]) || 1;
  const way: Point = [(last[0] - first![0]) / whole, (last[1] - first![1]) / whole];
  return edge.map(([x, y], index) => {
    const more = toCut(along[index]!) - along[index]!;
    return [x + way[0] * more, y + way[1] * more];
  });
}

/** Along the board to the right, nose up: developed skins grow to +y from the end of the lower skin; upside down they lie as they are folded. */
const skinOutline = ({ near, far }: Developed) => anticlockwise(polygon([...near, ...far.toReversed()]));

/** A skin for each panel of a folded surface, and the spar that stands in it. */
export function skinParts(
  surface: Surface,
  folds: readonly SeenFold[],
): { readonly parts: CutPart[]; readonly faults: PartFault[] } {
  const { stations, construction, id } = surface;
  const parts: CutPart[] = [];
  const faults: PartFault[] = [];
  if (!construction) return { parts, faults };
  for (let panel = 0; panel + 1 < stations.length; panel++) {
    const [a, b] = [stations[panel]!, stations[panel + 1]!];
    if (a.section.kind !== 'foldedOverSpar' || b.section.kind !== 'foldedOverSpar') continue;
    const label = labelOf(surface, panel);
    const short = tooShort([a, b]);
    if (short) {
      faults.push({
        owner: id,
        message: say`${label} cannot be folded: ahead of the spar there is less room than the board is thick on a chord of ${millimetres(short.chord)}. Set the spar farther back, take thinner board, or make the tip a flat one.`,
      });
      continue;
    }
    const [root, tip] = [outerOf(a.section, a.chord, folds), outerOf(b.section, b.chord, folds)];
    const flat = develop(placed(root.points, a), placed(tip.points, b));
    const cut: Developed = { near: asCut(flat.near, root), far: asCut(flat.far, tip) };
    const count = Math.min(root.pattern.lines.length, tip.pattern.lines.length);
    const sameLines = root.pattern.lines.length === tip.pattern.lines.length;
    const lines = (sameLines ? root.pattern.lines : root.pattern.lines.filter(({ kind }) => kind === 'spar'))
      .slice(0, count)
      .flatMap((line, index): PartLine[] => {
        const kind = WORKED[line.kind];
        const other = sameLines
          ? tip.pattern.lines[index]!
          : tip.pattern.lines.filter((one) => one.kind === 'spar')[index]!;
        return kind === null
          ? []
          : [
              {
                kind,
                path: openLine([
                  pointAt(cut.near, root.along, onOuter(root.pattern, line.at)),
                  pointAt(cut.far, tip.along, onOuter(tip.pattern, other.at)),
                ]),
              },
            ];
      });
    const outline = {
      name: `${label}, skin`,
      edge: skinOutline(cut),
      holes: [],
      lines: [...lines, ...hingesOn(surface, panel, { root, tip, cut, start: root.points.length - STRAIGHT - 1 })],
      texts: [
        { words: `${label}, skin`, at: pointAt(cut.near, root.along, 0.15 * root.along.at(-1)!), height: 6, turn: 0 },
      ],
    };
    const scored = a.section.scoredFace ?? 'inner';
    const notes: Words[] = [
      say`${scored === 'inner' ? 'score inside, the outer paper stays' : 'cut outside and crack, the inner paper stays'}; root ${millimetres(root.pattern.cutWidth, 1)}, tip ${millimetres(tip.pattern.cutWidth, 1)}`,
    ];
    if (Math.abs(b.twist - a.twist) > 0.05)
      notes.push(
        say`twist ${degrees(b.twist - a.twist, 1)} to the tip is set on the building board, the skin is bent by it`,
      );
    parts.push({
      id: `${id}-skin-${panel + 1}`,
      kind: 'skin',
      owner: id,
      name: outline.name,
      material: construction.material,
      outline,
      ...sidesOf(surface),
      isAlongGrain: true,
      hasFace: true,
      notes,
    });
  }
  return { parts, faults };
}

/** The strips that stand in the folds of a surface, panel by panel. */
export function sparParts(surface: Surface): CutPart[] {
  const { stations, construction } = surface;
  if (!construction) return [];
  return stations.slice(0, -1).flatMap((a, panel): CutPart[] => {
    const b = stations[panel + 1]!;
    if (a.section.kind !== 'foldedOverSpar' || b.section.kind !== 'foldedOverSpar') return [];
    return tooShort([a, b]) ? [] : [sparOf(surface, panel, labelOf(surface, panel), [a.section, b.section])];
  });
}

/** A panel by its name; the only one by that of its surface. */
const labelOf = (surface: Surface, panel: number): string =>
  surface.stations.length > 2 ? `${nameOfSurface(surface)}, panel ${panel + 1}` : nameOfSurface(surface);

/** The end of a panel where ahead of the spar there is no room for a fold. */
const tooShort = (ends: readonly Station[]): Station | undefined =>
  ends.find(({ section, chord }) => {
    const fold = section as Fold;
    return fold.sparPosition * chord < fold.boardThickness + 1;
  });

/** A strip of board that stands in the fold, as high as the room there. */
function sparOf(surface: Surface, panel: number, label: string, [root, tip]: readonly [Fold, Fold]): CutPart {
  const { stations, construction, id } = surface;
  const [a, b] = [stations[panel]!, stations[panel + 1]!];
  const x = (station: Station, fold: Fold) => station.leadingEdgeOffset + fold.sparPosition * station.chord;
  const length = Math.hypot(b.distanceFromRoot - a.distanceFromRoot, x(b, tip) - x(a, root));
  const name = `${label}, spar`;
  return {
    id: `${id}-spar-${panel + 1}`,
    kind: 'spar',
    owner: id,
    name,
    material: construction!.material,
    outline: {
      name,
      edge: polygon([
        [0, 0],
        [length, 0],
        [length, tip.sparHeight],
        [0, root.sparHeight],
      ]),
      holes: [],
      lines: [],
      texts: [{ words: name, at: [8, 0.3 * root.sparHeight], height: Math.min(6, 0.4 * root.sparHeight), turn: 0 }],
    },
    ...sidesOf(surface),
    seat: sparSeat(surface, panel, [root, tip]),
    isAlongGrain: true,
    hasFace: false,
    notes: [
      say`lower edge straight; ${millimetres(root.sparHeight, 1)} high at the root, ${millimetres(tip.sparHeight, 1)} at the tip`,
    ],
  };
}

/** On the inner face of the lower skin, from the spar’s place at the root of the panel to that at its tip. */
function sparSeat(surface: Surface, panel: number, folds: readonly [Fold, Fold]): Seat {
  const [from, to] = folds.map((fold, end) => {
    const { chord, distanceFromRoot } = surface.stations[panel + end]!;
    const { x, lower } = contourOf(fold, chord);
    const under =
      lower[
        Math.max(
          0,
          x.findIndex((place) => place >= fold.sparPosition),
        )
      ]! *
        chord +
      fold.boardThickness;
    return onSection(axesAt(surface, distanceFromRoot, panel), fold.sparPosition * chord, under);
  }) as [Place3, Place3];
  return flatSeat(from, towards(from, to), axesAt(surface, surface.stations[panel]!.distanceFromRoot, panel).upper);
}

type Line = Pick<Outer, 'points' | 'along'>;

interface Laid {
  readonly root: Line;
  readonly tip: Line;
  readonly cut: Developed;
  /** First point of the stretch that a control is cut from, and which way it runs. */
  readonly start: number;
}

/** Hinges of controls on the upper skin of a panel, with slits at their ends. */
function hingesOn({ stations, controls }: Surface, panel: number, { root, tip, cut, start }: Laid): PartLine[] {
  const whole = stations.at(-1)!.distanceFromRoot;
  const [a, b] = [stations[panel]!, stations[panel + 1]!];
  const span = b.distanceFromRoot - a.distanceFromRoot;
  const shareOf = (d: number) => (d - a.distanceFromRoot) / span;
  /** A place on the upper skin: along the panel and along the chord. */
  const on = (d: number, chordShare: number): Point => {
    const share = shareOf(d);
    const [near, far] = [
      pointAt(cut.near, root.along, alongTo(root, chordShare * a.chord, start)),
      pointAt(cut.far, tip.along, alongTo(tip, chordShare * b.chord, start)),
    ];
    return [near[0] + (far[0] - near[0]) * share, near[1] + (far[1] - near[1]) * share];
  };
  return controls.flatMap((control): PartLine[] => {
    if (control.allMoving) return [];
    const [inner, outer] = [
      Math.max(a.distanceFromRoot, control.from * whole),
      Math.min(b.distanceFromRoot, control.to * whole),
    ];
    if (outer - inner < 1) return [];
    const hinge = (d: number) =>
      control.hingeInboard +
      ((control.hingeOutboard - control.hingeInboard) * (d / whole - control.from)) / (control.to - control.from);
    const isEdge = (d: number) => d <= a.distanceFromRoot + 0.5 || d >= b.distanceFromRoot - 0.5;
    return [
      {
        kind: control.gap === 'sealed' ? 'hinge' : 'cut',
        path: openLine([on(inner, hinge(inner)), on(outer, hinge(outer))]),
      },
      ...[inner, outer].flatMap((d): PartLine[] =>
        isEdge(d) ? [] : [{ kind: 'cut', path: openLine([on(d, hinge(d)), on(d, 0.999)]) }],
      ),
    ];
  });
}

/** Length along a contour up to a place of the chord, on the stretch from a point on. */
function alongTo({ points, along }: Line, x: number, start: number): number {
  for (let index = start + 1; index < points.length; index++) {
    const [a, b] = [points[index - 1]![0], points[index]![0]];
    if ((x - a) * (x - b) > 0 || a === b) continue;
    return along[index - 1]! + ((along[index]! - along[index - 1]!) * (x - a)) / (b - a);
  }
  return Math.abs(points.at(-1)![0] - x) < Math.abs(points[start]![0] - x) ? along.at(-1)! : along[start]!;
}

/** The sheet of a curved plate laid flat, panel by panel. */
export function curvedSkinParts(surface: Surface): CutPart[] {
  const { stations, construction, id } = surface;
  if (!construction) return [];
  return stations.slice(0, -1).flatMap((a, panel): CutPart[] => {
    const b = stations[panel + 1]!;
    if (a.section.kind !== 'curvedPlate' || b.section.kind !== 'curvedPlate') return [];
    const label = labelOf(surface, panel);
    const lineOf = ({ section, chord }: Station) => {
      const { x, upper, lower } = contourOf(section, chord);
      return Array.from(x, (place, index) => [place * chord, ((upper[index]! + lower[index]!) / 2) * chord] as const)
        .filter((_, index) => index % 4 === 0)
        .toReversed();
    };
    const [root, tip] = [lineOf(a), lineOf(b)].map((points): Line => ({ points, along: lengths(points) })) as [
      Line,
      Line,
    ];
    const cut = develop(placed(root.points, a), placed(tip.points, b));
    return [
      {
        id: `${id}-sheet-${panel + 1}`,
        kind: 'skin',
        owner: id,
        name: `${label}, sheet`,
        material: construction.material,
        outline: {
          name: `${label}, sheet`,
          edge: skinOutline(cut),
          holes: [],
          lines: hingesOn(surface, panel, { root, tip, cut, start: 0 }),
          texts: [{ words: `${label}, sheet`, at: [20, 20], height: 6, turn: 0 }],
        },
        ...sidesOf(surface),
        isAlongGrain: true,
        hasFace: true,
        notes: [say`bend it round a tube before it is glued to its ribs`],
      },
    ];
  });
}
