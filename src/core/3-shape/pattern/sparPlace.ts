import type { Section, SectionKind } from '@/core/2-document/schema/section';
import type { Surface } from '@/core/2-document/schema/surface';
import { thicknessOf, contourOf } from '../section/contour';

/** Where a straight rod lies in the chord at one place of the span. Lengths in mm, places as fractions of the chord. */
export interface SparPlace {
  readonly distance: number;
  readonly chord: number;
  readonly fraction: number;
  /** Where the section is thickest there; null for sheets of even thickness, which have no such place. */
  readonly thickest: number | null;
  /** Height between the outer faces at the rod [mm]. */
  readonly height: number;
  readonly section: Section;
}

/** Chord fraction a rod may lie off the thickest place before it gives away noticeable height. */
export const MOST_OFF_THICKEST = 0.12;

const EVEN_THICKNESS: ReadonlySet<SectionKind> = new Set(['flatPlate', 'curvedPlate', 'reflexed']);

/** How far a rod lies from the thickest place, as a fraction of the chord; 0 where there is none. */
export function offThickest({ fraction, thickest }: SparPlace): number {
  return thickest === null ? 0 : Math.abs(fraction - thickest);
}

/** A rod is a straight line in plan: its place in the chord varies along a swept or tapered panel. */
export function sparPlaces(surface: Surface, sparId: string): SparPlace[] {
  const spar = surface.spars.find(({ id }) => id === sparId);
  if (!spar) return [];
  const { start, end } = spar;
  const length = end.distanceFromRoot - start.distanceFromRoot;
  if (length <= 0) return [];
  const between = surface.stations
    .map(({ distanceFromRoot }) => distanceFromRoot)
    .filter((distance) => distance > start.distanceFromRoot && distance < end.distanceFromRoot);
  const middle = between.length === 0 ? [start.distanceFromRoot + length / 2] : between;
  return [start.distanceFromRoot, ...middle, end.distanceFromRoot].flatMap((distance) => {
    const place = stationAt(surface, distance);
    if (!place) return [];
    const x = start.x + ((end.x - start.x) * (distance - start.distanceFromRoot)) / length;
    const fraction = (x - place.leadingEdge) / place.chord;
    const contour = contourOf(place.section, place.chord);
    const near = contour.x.reduce(
      (best, here, index) => (Math.abs(here - fraction) < Math.abs(contour.x[best]! - fraction) ? index : best),
      0,
    );
    return [
      {
        distance,
        chord: place.chord,
        fraction,
        section: place.section,
        thickest: EVEN_THICKNESS.has(place.section.kind) ? null : thicknessOf(contour).position,
        height: fraction < 0 || fraction > 1 ? 0 : (contour.upper[near]! - contour.lower[near]!) * place.chord,
      },
    ];
  });
}

/** Leading edge and chord between stations [mm]; the section of the inner one. */
function stationAt({ stations }: Surface, distance: number) {
  const outer = stations.findIndex(({ distanceFromRoot }) => distanceFromRoot >= distance - 1e-9);
  if (outer < 0) return null;
  const b = stations[outer]!;
  const a = stations[Math.max(0, outer - 1)]!;
  const share = a === b ? 0 : (distance - a.distanceFromRoot) / (b.distanceFromRoot - a.distanceFromRoot);
  return {
    leadingEdge: a.leadingEdgeOffset + (b.leadingEdgeOffset - a.leadingEdgeOffset) * share,
    chord: a.chord + (b.chord - a.chord) * share,
    section: a.section,
  };
}
