import { metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { isUpright, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Places } from '../sheet/scale';

/** What goes on along the right half of a surface; places in millimetres from the plane of symmetry. */
export interface SpanCurves {
  readonly lift: {
    /** What the section can carry there, and what it carries when the first strip stalls. */
    readonly limit: Places;
    readonly atStall: Places;
    readonly atCruise: Places;
  };
  readonly chord: Places;
  /** Nose-up angle against the datum [rad]. */
  readonly angle: Places;
  readonly reynolds: Places;
}

/** Local lift over its limit from which little is left. */
const NEARLY = 0.92;

export function spanCurves(design: Design, surface: PlacedSurface, analysis: Analysis | null): SpanCurves {
  const { elevation, temperature, cruiseSpeed } = design.conditions;
  const { density, viscosity } = airAt(elevation, temperature);
  const along = surface.stations.map(({ y, chord, twist }) => ({ y: millimetresFromMetres(y), chord, twist }));
  const own = <Strip extends { readonly surface: string; readonly y: number }>(strips: readonly Strip[] | undefined) =>
    (strips ?? [])
      .filter((strip) => strip.surface === surface.id && strip.y >= 0)
      .sort((a, b) => a.y - b.y)
      .map((strip) => ({ ...strip, y: millimetresFromMetres(strip.y) }));
  const stalling = own(analysis?.stall.strips);
  // The innermost strip has its middle beside the plane of symmetry, where both halves meet alike.
  const fromRoot = (places: Places): Places => (places[0] && along[0]!.y < 1 ? [[0, places[0][1]], ...places] : places);
  return {
    lift: {
      limit: fromRoot(stalling.map(({ y, limit }) => [y, limit] as const)),
      atStall: fromRoot(stalling.map(({ y, lift }) => [y, lift] as const)),
      atCruise: fromRoot(own(analysis?.spanLoading).map(({ y, lift }) => [y, lift] as const)),
    },
    chord: along.map(({ y, chord }) => [y, chord] as const),
    angle: along.map(({ y, twist }) => [y, surface.incidence + twist] as const),
    reynolds: along.map(({ y, chord }) => [y, (density * cruiseSpeed * chord) / viscosity] as const),
  };
}

export interface Stretch {
  /** Distances from the root [m]. */
  readonly from: number;
  readonly to: number;
  /** Whether the stall starts here. */
  readonly isFirst: boolean;
}

/** Stretches of a surface that have next to no lift left when the first of all strips stalls, and the strip where that is. */
export function stallingStretches({ stall }: Analysis, surface: PlacedSurface): Stretch[] {
  const strips = stall.strips.filter((strip) => strip.surface === surface.id);
  const length = surface.stations.at(-1)!.distance;
  const places = strips.map(({ spanFraction }) => spanFraction * length);
  const edge = (index: number) =>
    index === 0 ? 0 : index === strips.length ? length : (places[index - 1]! + places[index]!) / 2;
  const used = strips.map(({ lift, limit }) => lift / limit);
  const worst = used.indexOf(Math.max(...used));
  const nearly: Stretch[] = [];
  used.forEach((share, index) => {
    if (!(share > NEARLY)) return;
    const [from, to] = [edge(index), edge(index + 1)];
    const before = nearly.at(-1);
    if (before?.to === from) nearly[nearly.length - 1] = { ...before, to };
    else nearly.push({ from, to, isFirst: false });
  });
  return stall.surface === surface.id && worst >= 0
    ? [...nearly, { from: edge(worst), to: edge(worst + 1), isFirst: true }]
    : nearly;
}

/** Corners of a stretch in plan [mm], nose first: leading edge outward, trailing edge back. */
export function stretchOutline(surface: PlacedSurface, { from, to }: Stretch): readonly (readonly [number, number])[] {
  const ends = [from, to].map((distance) => planformAt(surface, distance));
  const place = (x: number, y: number) => [millimetresFromMetres(x), millimetresFromMetres(y)] as const;
  return [...ends.map(({ x, y }) => place(x, y)), ...[...ends].reverse().map(({ x, y, chord }) => place(x + chord, y))];
}

/** The surface whose span is shown: the one chosen, or the first wing that lies level. */
export function shownSurface(placed: readonly PlacedSurface[], chosen: string | null): PlacedSurface | undefined {
  const level = placed.filter(
    (surface) => !isUpright(surface) && surface.stations.at(-1)!.y > metresFromMillimetres(1),
  );
  return level.find(({ id }) => id === chosen) ?? level.find(({ role }) => role === 'wing') ?? level[0];
}
