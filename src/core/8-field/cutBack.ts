import type { Fraction } from '@/core/1-base/units/convert';
import type { CUT_BACKS } from '@/core/2-document/records/recordKinds';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import { isFin, isWing } from '@/core/2-document/schema/roles';
import type { Control, Station, Surface } from '@/core/2-document/schema/surface';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';

export type CutBackKind = (typeof CUT_BACKS)[number];

/** What of a design can be taken off step by step. */
export interface CutTarget {
  readonly what: CutBackKind;
  /** Surface or control. */
  readonly of: string;
  readonly name: string;
}

const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;

/** Fins that are made lower, wings whose tips are clipped, controls that turn less. */
export const cutTargets = ({ surfaces }: Design): CutTarget[] => [
  ...surfaces.filter(isFin).map((fin): CutTarget => ({ what: 'fin', of: fin.id, name: nameOf(fin) })),
  ...surfaces
    .filter((surface) => isWing(surface) && surface.mirrored)
    .map((wing): CutTarget => ({ what: 'tips', of: wing.id, name: nameOf(wing) })),
  ...surfaces
    .flatMap(({ controls }) => controls)
    .map((control): CutTarget => ({ what: 'throw', of: control.id, name: nameOf(control) })),
];

/** A station between two others. */
function stationAt(a: Station, b: Station, distance: number): Station {
  const share = (distance - a.distanceFromRoot) / (b.distanceFromRoot - a.distanceFromRoot);
  const between = (key: 'chord' | 'leadingEdgeOffset' | 'twist') => a[key] + share * (b[key] - a[key]);
  return {
    ...a,
    distanceFromRoot: distance,
    chord: between('chord'),
    leadingEdgeOffset: between('leadingEdgeOffset'),
    twist: between('twist'),
    section: share < 0.5 ? a.section : b.section,
  };
}

/** A control on what is left of its surface; null where nothing of it is left. */
function controlOn(control: Control, left: Fraction): Control | null {
  const [from, to] = [control.from / left, Math.min(1, control.to / left)];
  return to - from < 0.02 ? null : { ...control, from, to };
}

/** A surface that is sawn off at a share of its length from the root; null where that takes all of a control. */
function sawnOff(surface: Surface, left: Fraction): Surface | null {
  const tip = surface.stations.at(-1)!.distanceFromRoot * left;
  const inner = surface.stations.filter(({ distanceFromRoot }) => distanceFromRoot < tip - 1);
  const [a, b] = [inner.at(-1)!, surface.stations[inner.length]!];
  const controls = surface.controls.map((control) => controlOn(control, left));
  if (controls.includes(null)) return null;
  return {
    ...surface,
    stations: [...inner, stationAt(a, b, tip)],
    controls: controls as Control[],
    spars: surface.spars
      .filter(({ start }) => start.distanceFromRoot < tip)
      .map((spar) => {
        const { start, end } = spar;
        if (end.distanceFromRoot <= tip) return spar;
        const share = (tip - start.distanceFromRoot) / (end.distanceFromRoot - start.distanceFromRoot);
        return { ...spar, end: { distanceFromRoot: tip, x: start.x + share * (end.x - start.x) } };
      }),
    // What was weighed with its tips weighs less by as much as it is smaller; computed it follows by itself.
    ...(surface.measuredMass === undefined ? {} : { measuredMass: surface.measuredMass * areaShare(surface, tip) }),
  };
}

/** Area inboard of a place over the whole. */
function areaShare({ stations }: Surface, place: number): Fraction {
  const upTo = (end: number) =>
    stations.slice(1).reduce((sum, b, index) => {
      const a = stations[index]!;
      if (a.distanceFromRoot >= end) return sum;
      const outer = b.distanceFromRoot > end ? stationAt(a, b, end) : b;
      return sum + ((a.chord + outer.chord) / 2) * (outer.distanceFromRoot - a.distanceFromRoot);
    }, 0);
  return upTo(place) / upTo(stations.at(-1)!.distanceFromRoot);
}

/** A design with so much of a part left; null where the step cannot be taken. */
export function cutBack(design: Design, { what, of }: Pick<CutTarget, 'what' | 'of'>, left: Fraction): Design | null {
  if (left >= 1) return design;
  if (what === 'throw') {
    const lessOf = (control: Control): Control =>
      control.id === of
        ? { ...control, throwUp: control.throwUp * left, throwDown: control.throwDown * left }
        : control;
    return { ...design, surfaces: design.surfaces.map((one) => ({ ...one, controls: one.controls.map(lessOf) })) };
  }
  const surfaces = design.surfaces.map((surface) => (surface.id === of ? sawnOff(surface, left) : surface));
  if (surfaces.includes(null)) return null;
  const cut = designSchema.safeParse(keptOnTips(design, { ...design, surfaces: surfaces as Surface[] }));
  return cut.success ? cut.data : null;
}

/** What a step is told to do. */
export interface CutTold {
  readonly left: Fraction;
  readonly balance: number | null;
  readonly neutralPoint: number | null;
  readonly staticMargin: Fraction | null;
  readonly yawStiffness: number | null;
  readonly stallSpeed: number | null;
  readonly drag: number | null;
  /** Of a control: what full travel does beside the whole of it. */
  readonly effect: Fraction;
  readonly mass: number | null;
}

const toldOf = (
  { mass, pitch, lateral, speeds, drag, reference }: Numbers,
  left: Fraction,
  what: CutBackKind,
): CutTold => ({
  left,
  balance: mass.cg?.[0] ?? null,
  neutralPoint: pitch.neutralPoint,
  staticMargin: pitch.staticMargin,
  yawStiffness: lateral.yawStiffness,
  stallSpeed: speeds.stall,
  // As an area, so that a smaller wing is not told to drag more.
  drag: drag.total === null || reference.area === null ? null : drag.total * reference.area,
  effect: what === 'throw' ? left : 1,
  mass: mass.total,
});

/** What every step of a row is told to do; null for one that cannot be taken. */
export const cutBackRow = (
  design: Design,
  target: Pick<CutTarget, 'what' | 'of'>,
  steps: readonly Fraction[],
): (CutTold | null)[] =>
  steps.map((left) => {
    const cut = cutBack(design, target, left);
    return cut && toldOf(numbersOf(cut, { without: ['bands', 'remedies'] }), left, target.what);
  });

/** How far down a row was good, by what flights said; the drawing itself is where it began. */
export interface GoodBand {
  readonly least: Fraction;
  /** Where it was worse; null where nothing was yet. */
  readonly worse: Fraction | null;
  /** Steps that nobody has flown yet. */
  readonly open: number;
}

/** Down to the last step before the first that was worse; a step that was not flown says nothing. */
export function goodBand(steps: readonly { readonly share: Fraction; readonly verdict: string }[]): GoodBand {
  const down = steps.toSorted((a, b) => b.share - a.share);
  const worse = down.find(({ verdict }) => verdict === 'worse')?.share ?? null;
  const good = down.filter(
    ({ share, verdict }) => (verdict === 'better' || verdict === 'same') && (worse === null || share > worse),
  );
  return {
    least: good.at(-1)?.share ?? 1,
    worse,
    open: down.filter(({ verdict, share }) => verdict === 'unknown' && (worse === null || share > worse)).length,
  };
}
