import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { MassItem, Material } from '@/core/2-document/schema/airframe';
import type { Surface } from '@/core/2-document/schema/surface';
import { openLine, type Point } from '@/core/3-shape/outline/path';
import type { LineKind, PartLine } from '@/core/3-shape/outline/partOutline';
import { foldPattern, type FoldPattern, type SeenFold } from '@/core/3-shape/pattern/foldPattern';
import { foldNose } from '@/core/3-shape/section/foldNose';
import { develop, type Developed } from '../develop';
import type { CutPart, PartFault } from '../part';
import { labelOf, lengths, placed, skinOutline } from './laidFlat';
import { sidesOf } from './panels';
import { servosIn, withLetIn } from './letIn';
import { channelsOn, hingesBelow, hingesOn, type Laid, type Line, placeBehindRoot, pointAt } from './skinHinges';
import { spacerMarks } from './spacer';
import { tooShort } from './spar';

type Fold = SectionOf<'foldedOverSpar'>;

/** Points of each stretch of a contour: below, round the nose, above. */
const STRAIGHT = 6;
const NOSE = 48;

/** A contour of a fold along its outer face: places over the section, and which of them are lines of the pattern. */
interface Outer extends Line {
  readonly pattern: FoldPattern;
}

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

/** Lines of a pattern that are drawn on a skin; one or two scores round a nose are dents. */
const WORKED = ['score', 'spar', 'bevel'] as const;
const DENTS_UP_TO = 2;

/** Both ends of a panel, scored alike: as often as the end that needs more. */
function alikeScored(
  folds: readonly [Fold, Fold],
  chords: readonly [number, number],
  seen: readonly SeenFold[],
): readonly [Outer, Outer] {
  const scoresOf = (fold: Fold, chord: number) =>
    foldPattern(fold, chord, { scored: 'inner' }).lines.filter(({ kind }) => kind === 'score').length;
  const scores = Math.max(scoresOf(folds[0], chords[0]), scoresOf(folds[1], chords[1]));
  return [outerOf({ ...folds[0], scores }, chords[0], seen), outerOf({ ...folds[1], scores }, chords[1], seen)];
}

const placesOf = ({ pattern }: Outer, kind: FoldPattern['lines'][number]['kind']): number[] =>
  pattern.lines.filter((line) => line.kind === kind).map(({ at }) => at);

/** A line from one end of a panel to the other, by the places on the patterns of both. */
function across({ cut }: Laid, root: Outer, tip: Outer, at: readonly [number, number]): PartLine['path'] {
  return openLine([
    pointAt(cut.near, root.along, onOuter(root.pattern, at[0])),
    pointAt(cut.far, tip.along, onOuter(tip.pattern, at[1])),
  ]);
}

/** Scores or dents, the places of the spar, the bevel. */
function workedLines(laid: Laid, root: Outer, tip: Outer): PartLine[] {
  return WORKED.flatMap((kind) => {
    const [near, far] = [placesOf(root, kind), placesOf(tip, kind)];
    const drawn: LineKind = kind === 'spar' ? 'mark' : kind === 'score' && near.length <= DENTS_UP_TO ? 'dent' : kind;
    return near.length === far.length
      ? near.map((at, index): PartLine => ({ kind: drawn, path: across(laid, root, tip, [at, far[index]!]) }))
      : [];
  });
}

/** How far within the spar lines the paper is peeled: under the spar it stays [mm]. */
const WITHIN = 2;

/** From where to where the inner paper comes off: round the nose, from spar to spar. */
function peelLines(laid: Laid, root: Outer, tip: Outer): PartLine[] {
  const [near, far] = [placesOf(root, 'spar'), placesOf(tip, 'spar')];
  if (near.length !== 2 || far.length !== 2) return [];
  return [WITHIN, -WITHIN].map((by, index): PartLine => ({
    kind: 'peel',
    path: across(laid, root, tip, [near[index]! + by, far[index]! + by]),
  }));
}

/** Ends that meet at a break in dihedral are trimmed at half its angle. */
function endNotes({ stations }: Surface, panel: number): Words[] {
  const dihedralOf = (index: number) => (index < 0 ? -stations[0]!.dihedral : stations[index]!.dihedral);
  return [
    ['inner end', dihedralOf(panel) - dihedralOf(panel - 1)] as const,
    ...(panel + 2 < stations.length ? [['outer end', dihedralOf(panel + 1) - dihedralOf(panel)] as const] : []),
  ].flatMap(([end, angle]) =>
    Math.abs(angle) < 0.5 ? [] : [say`${end}: trim at ${degrees(Math.abs(angle) / 2, 1)} once it is folded`],
  );
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

/** A skin for each panel of a folded surface. */
export function skinParts(
  surface: Surface,
  folds: readonly SeenFold[],
  { sheet, massItems = [] }: { readonly sheet?: Material | undefined; readonly massItems?: readonly MassItem[] } = {},
): { readonly parts: CutPart[]; readonly faults: PartFault[] } {
  const { stations, construction, id } = surface;
  const parts: CutPart[] = [];
  const faults: PartFault[] = [];
  if (!construction) return { parts, faults };
  const servos = servosIn(surface, massItems);
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
    const [root, tip] = alikeScored([a.section, b.section], [a.chord, b.chord], folds);
    const flat = develop(placed(root.points, a), placed(tip.points, b));
    const cut: Developed = { near: asCut(flat.near, root), far: asCut(flat.far, tip) };
    const laid: Laid = { root, tip, cut };
    const region = withLetIn({ edge: skinOutline(cut), holes: [] }, servos, placeBehindRoot(surface, panel, laid, 0));
    const scored = a.section.scoredFace ?? 'inner';
    const isPeeled = scored === 'inner' && sheet?.faces === 'both';
    const outline = {
      name: `${label}, skin`,
      edge: region.edge,
      holes: region.holes,
      lines: [
        ...workedLines(laid, root, tip),
        ...(isPeeled ? peelLines(laid, root, tip) : []),
        ...hingesOn(surface, panel, { ...laid, start: root.points.length - STRAIGHT - 1 }),
        ...hingesBelow(surface, panel, laid),
        ...spacerMarks(surface, panel, laid),
        ...channelsOn(surface, panel, laid, (level) => (level === 'upper' ? root.points.length - STRAIGHT - 1 : 0)),
      ],
      texts: [
        { words: `${label}, skin`, at: pointAt(cut.near, root.along, 0.15 * root.along.at(-1)!), height: 6, turn: 0 },
      ],
    };
    const notes: Words[] = [
      say`${scored === 'inner' ? 'score inside, the outer paper stays' : 'cut outside and crack, the inner paper stays'}; root ${millimetres(root.pattern.cutWidth, 1)}, tip ${millimetres(tip.pattern.cutWidth, 1)}`,
    ];
    if (isPeeled) notes.push(say`peel the inner paper between the peel lines before it is bent; outside it stays`);
    notes.push(...endNotes(surface, panel), ...region.notes);
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
