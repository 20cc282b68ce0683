import type { Millimetres } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import type { Station, Surface } from '@/core/2-document/schema/surface';

/** Panels of a surface from one station to another that lie in one plane. */
export interface Run {
  readonly from: number;
  readonly to: number;
  readonly dihedral: number;
}

/** Breaks that are less than this bend without being cut [°]. */
const BENDS = 0.5;

/** Stretches without a break in dihedral, from root to tip. */
export function runsOf({ stations }: Surface): Run[] {
  const runs: Run[] = [];
  for (let panel = 0; panel + 1 < stations.length; panel++) {
    const { dihedral } = stations[panel]!;
    const last = runs.at(-1);
    if (last && Math.abs(last.dihedral - dihedral) < BENDS && sameBuild(stations[panel - 1]!, stations[panel]!))
      runs[runs.length - 1] = { ...last, to: panel + 1 };
    else runs.push({ from: panel, to: panel + 1, dihedral });
  }
  return runs;
}

const sameBuild = (a: Station, b: Station): boolean => a.section.kind === b.section.kind;

/** Leading edge and chord at a distance along the board [mm]; the section of the inner station. */
export function edgesAt(
  { stations }: Pick<Surface, 'stations'>,
  distance: Millimetres,
): { readonly nose: Millimetres; readonly chord: Millimetres; readonly section: Section } {
  const after = Math.max(
    1,
    stations.findIndex(({ distanceFromRoot }) => distanceFromRoot >= distance - 1e-9),
  );
  const [a, b] = [stations[after - 1]!, stations[after] ?? stations.at(-1)!];
  const length = b.distanceFromRoot - a.distanceFromRoot;
  const share = length > 0 ? Math.min(1, Math.max(0, (distance - a.distanceFromRoot) / length)) : 0;
  return {
    nose: a.leadingEdgeOffset + (b.leadingEdgeOffset - a.leadingEdgeOffset) * share,
    chord: a.chord + (b.chord - a.chord) * share,
    section: share > 0.5 ? b.section : a.section,
  };
}

/** How left and right ones of a surface are counted. */
export const sidesOf = ({ mirrored }: Surface): { readonly count: number; readonly mirrored: number } =>
  mirrored ? { count: 2, mirrored: 1 } : { count: 1, mirrored: 0 };

/** Name of a surface in words. */
export const nameOfSurface = ({ name, id }: Pick<Surface, 'name' | 'id'>): string => name || id;
