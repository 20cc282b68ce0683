import { isWing } from '@/core/2-document/schema/roles';
import type { Fraction, Metres, SquareMetres } from '@/core/1-base/units/convert';
import type { PlacedSurface } from './layout';

/**
 * Integrals over a planform of straight-edged panels, both sides of a mirrored
 * surface. Chord c and leading edge x are linear in y over each panel, so
 *
 *   S     = ∫c dy     = Δy (c₁ + c₂)/2
 *   ∫c²dy             = Δy (c₁² + c₁c₂ + c₂²)/3
 *   ∫c x dy           = Δy (2c₁x₁ + c₁x₂ + c₂x₁ + 2c₂x₂)/6
 *
 * are exact, and with them the mean aerodynamic chord c̄ = ∫c²dy / S and its
 * leading edge ∫c x dy / S. "Projected" integrals run over y, "true" ones over
 * the board. Units: m, m². Source: elementary integration; definition of c̄ as
 * in Etkin & Reid, Dynamics of Flight, 3rd ed., appendix C.
 */
export interface PlanformIntegrals {
  readonly area: SquareMetres;
  readonly meanChord: Metres;
  readonly meanChordLeadingEdge: Metres;
  /** Spanwise centre of area on one side [m], and its height. */
  readonly centroidSpan: Metres;
  readonly centroidHeight: Metres;
}

type Measure = 'projected' | 'true';

interface Sums {
  area: number;
  chordSquared: number;
  chordEdge: number;
  chordSpan: number;
  chordHeight: number;
}

function sumPanels(surface: PlacedSurface, measure: Measure): Sums {
  const sums: Sums = { area: 0, chordSquared: 0, chordEdge: 0, chordSpan: 0, chordHeight: 0 };
  for (let panel = 0; panel + 1 < surface.stations.length; panel++) {
    const a = surface.stations[panel]!;
    const b = surface.stations[panel + 1]!;
    const width = measure === 'projected' ? b.y - a.y : b.distance - a.distance;
    const weighted = (p: number, q: number) =>
      (width * (2 * a.chord * p + a.chord * q + b.chord * p + 2 * b.chord * q)) / 6;
    sums.area += (width * (a.chord + b.chord)) / 2;
    sums.chordSquared += (width * (a.chord ** 2 + a.chord * b.chord + b.chord ** 2)) / 3;
    sums.chordEdge += weighted(a.x, b.x);
    sums.chordSpan += weighted(a.y, b.y);
    sums.chordHeight += weighted(a.z, b.z);
  }
  return sums;
}

/** Integrals of several surfaces together: area-weighted mean chord and leading edge. Null without area. */
export function integratePlanforms(
  surfaces: readonly PlacedSurface[],
  measure: Measure = 'projected',
): PlanformIntegrals | null {
  const total: Sums = { area: 0, chordSquared: 0, chordEdge: 0, chordSpan: 0, chordHeight: 0 };
  for (const surface of surfaces) {
    const sides = surface.mirrored ? 2 : 1;
    const sums = sumPanels(surface, measure);
    for (const key of Object.keys(total) as (keyof Sums)[]) total[key] += sides * sums[key];
  }
  if (total.area < 1e-9) return null;
  return {
    area: total.area,
    meanChord: total.chordSquared / total.area,
    meanChordLeadingEdge: total.chordEdge / total.area,
    centroidSpan: total.chordSpan / total.area,
    centroidHeight: total.chordHeight / total.area,
  };
}

/** Span from tip to tip, projected [m]. */
export function projectedSpan(surface: PlacedSurface): number {
  const widest = Math.max(...surface.stations.map(({ y }) => Math.abs(y)));
  return surface.mirrored ? 2 * widest : 0;
}

/** What coefficients refer to. */
export interface Reference {
  readonly area: SquareMetres;
  readonly span: Metres;
  readonly meanChord: Metres;
  readonly meanChordLeadingEdge: Metres;
  readonly aspectRatio: Fraction;
  /** Height of the mean chord [m]. */
  readonly height: Metres;
}

/** Surfaces whose area is the reference area. */
export function referenceSurfaces(surfaces: readonly PlacedSurface[]): PlacedSurface[] {
  return surfaces.filter(isWing);
}

/** Reference area, span and mean chord of all wings together; null when there is no wing with area. */
export function referenceOf(surfaces: readonly PlacedSurface[]): Reference | null {
  const wings = referenceSurfaces(surfaces);
  const integrals = integratePlanforms(wings);
  const span = Math.max(0, ...wings.map(projectedSpan));
  if (!integrals || span < 1e-6) return null;
  return {
    area: integrals.area,
    span,
    meanChord: integrals.meanChord,
    meanChordLeadingEdge: integrals.meanChordLeadingEdge,
    aspectRatio: span ** 2 / integrals.area,
    height: integrals.centroidHeight,
  };
}

/** Tail arm and volume of one stabilising surface. */
export interface TailVolume {
  readonly surface: string;
  /** From the quarter mean chord of the wings to that of the tail [m], aft positive. */
  readonly arm: Metres;
  /** S_t l / (S c̄) for horizontal parts. */
  readonly horizontal: Fraction;
  /** S_f l / (S b) for upright parts. */
  readonly vertical: Fraction;
}

/** Tail volumes by projection: V_H from the plan area, V_V from the side area. */
export function tailVolume(surface: PlacedSurface, reference: Reference): TailVolume {
  const whole = integratePlanforms([surface], 'true');
  if (!whole) return { surface: surface.id, arm: 0, horizontal: 0, vertical: 0 };
  const plan = integratePlanforms([surface])?.area ?? 0;
  const arm =
    whole.meanChordLeadingEdge + whole.meanChord / 4 - (reference.meanChordLeadingEdge + reference.meanChord / 4);
  let side = 0;
  surface.panelDihedrals.forEach((_, panel) => {
    const a = surface.stations[panel]!;
    const b = surface.stations[panel + 1]!;
    side += (Math.abs(b.z - a.z) * (a.chord + b.chord)) / 2;
  });
  side *= surface.mirrored ? 2 : 1;
  return {
    surface: surface.id,
    arm,
    horizontal: (plan * arm) / (reference.area * reference.meanChord),
    vertical: (side * arm) / (reference.area * reference.span),
  };
}
