import { isPitchTail } from '@/core/2-document/schema/roles';
import { metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import { camberLine, type Contour, contourOf } from '@/core/3-shape/section/contour';
import { alignFins } from './alignFins';
import { clearSmallParts } from './clearSmallParts';
import type { Control } from '@/core/2-document/schema/surface';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { developedLength } from '@/core/3-shape/geometry/layout';
import {
  camberSlopeSeries,
  type ChordwiseCells,
  chordwiseCells,
  hingeSlopeSeries,
  slopeAt,
  type SlopeSeries,
} from './chordwise';
import { findJunctions, type Junction } from './junctions';
import { cutStrips, type Strip, type StripEdge } from './strips';

/** How finely a lattice is cut. */
export interface Grid {
  /** Strips on the longest surface, root to tip; shorter ones get fewer. */
  readonly strips: number;
  readonly chordwise: number;
}

/** Chosen by the convergence study in docs/validation.md. */
export const DEFAULT_GRID: Grid = { strips: 18, chordwise: 5 };

/** While something is dragged: half the panels, neutral points within half a percent of the chord of the default grid. */
export const QUICK_GRID: Grid = { strips: 12, chordwise: 4 };

/** Panels on the half aircraft beyond which a lattice is cut more coarsely: an analysis then takes a tenth of a second or so. */
export const MOST_PANELS = 330;

/** Least strips on a surface, however short. */
const LEAST_STRIPS = 6;

/**
 * Vortices and control points of the right half of an aircraft, SI. Panel p
 * belongs to strip p / chordwise; panels of a strip run from nose to tail.
 * Upright centre surfaces come first, so that the problem in which left and
 * right are equal, where they carry nothing, skips them; surfaces that count as
 * tail come last, so that the aircraft without tail is the leading block.
 */
export interface Lattice {
  readonly surfaces: readonly PlacedSurface[];
  readonly strips: readonly Strip[];
  readonly cells: ChordwiseCells;
  readonly panels: number;
  /** Panels before the first one of the tail. */
  readonly panelsWithoutTail: number;
  /** Leading panels of upright centre surfaces. */
  readonly centrePanels: number;
  /** First strip of each surface, and one more at the end. */
  readonly firstStrip: readonly number[];
  /** Panels of mirrored surfaces are doubled by their image, those of upright centre surfaces are not. */
  readonly doubled: Uint8Array;
  /** True when the grid that was asked for had more panels than may be. */
  readonly isCoarse: boolean;
  /** 1 for pairs of surfaces that meet, and for each surface with itself; row by row. */
  readonly joined: Uint8Array;
  /** Where they meet. */
  readonly junctions: readonly Junction[];
}

export const isTail: (surface: PlacedSurface) => boolean = isPitchTail;

/** How a lattice gets coarser: share of the strips, cells along the chord, and how near marks count as one. */
const COARSER = [
  [1, Infinity, 0],
  [1, 3, 0],
  [0.6, 3, 0.01],
  [0.35, 3, 0.04],
  [0.2, 2, 0.1],
  [0.1, 2, 0.3],
] as const;

/** Cuts all surfaces into one lattice of at most so many panels. */
export function buildLattice(
  placed: readonly PlacedSurface[],
  grid: Grid = DEFAULT_GRID,
  most: number = Infinity,
): Lattice {
  const surfaces = clearSmallParts(alignFins(placed.toSorted((p, q) => placeInOrder(p) - placeInOrder(q))));
  const junctions = findJunctions(surfaces);
  for (const [share, chordwise, nearest] of COARSER) {
    const strips = Math.max(2, Math.round(grid.strips * share));
    const coarser = { strips, chordwise: Math.min(grid.chordwise, chordwise) };
    const lattice = cutLattice(surfaces, junctions, coarser, nearest);
    if (lattice.panels <= most) return { ...lattice, isCoarse: share < 1 || coarser.chordwise < grid.chordwise };
  }
  return { ...cutLattice(surfaces, junctions, { strips: 2, chordwise: 2 }, 1), isCoarse: true };
}

/** Fins on the centre line, everything else but the tail, the tail. */
const placeInOrder = (surface: PlacedSurface) => (isTail(surface) ? 2 : surface.mirrored ? 1 : 0);

function cutLattice(
  surfaces: readonly PlacedSurface[],
  junctions: readonly Junction[],
  grid: Grid,
  nearest: number,
): Omit<Lattice, 'isCoarse'> {
  const longest = Math.max(...surfaces.map(developedLength));
  const joined = new Uint8Array(surfaces.length ** 2);
  surfaces.forEach((_, index) => (joined[index * surfaces.length + index] = 1));
  for (const { joining, met } of junctions) {
    joined[joining * surfaces.length + met] = 1;
    joined[met * surfaces.length + joining] = 1;
  }
  const strips: Strip[] = [];
  const firstStrip: number[] = [];
  let stripsWithoutTail = 0;
  let centreStrips = 0;
  surfaces.forEach((surface, index) => {
    firstStrip.push(strips.length);
    const share = Math.sqrt(developedLength(surface) / longest);
    const count = Math.max(Math.min(LEAST_STRIPS, grid.strips), Math.round(grid.strips * share));
    strips.push(
      ...cutStrips(
        surface,
        index,
        count,
        junctions.flatMap(({ joining, met, end, distance }) =>
          met === index ? [distance] : joining === index ? [end === 'root' ? 0 : developedLength(surface)] : [],
        ),
        nearest,
      ),
    );
    if (placeInOrder(surface) === 0) centreStrips = strips.length;
    if (!isTail(surface)) stripsWithoutTail = strips.length;
  });
  firstStrip.push(strips.length);
  const cells = chordwiseCells(grid.chordwise);
  const panels = strips.length * cells.count;
  const doubled = new Uint8Array(panels);
  strips.forEach((strip, index) => {
    if (surfaces[strip.surface]!.mirrored) doubled.fill(1, index * cells.count, (index + 1) * cells.count);
  });
  return {
    surfaces,
    strips,
    cells,
    panels,
    panelsWithoutTail: stripsWithoutTail * cells.count,
    centrePanels: centreStrips * cells.count,
    firstStrip,
    doubled,
    joined,
    junctions,
  };
}

/** Nose-up angle of every panel from camber and twist of one surface, or of all; incidence left out [rad]. */
export function camberAndTwist(lattice: Lattice): Float64Array {
  const angles = new Float64Array(lattice.panels);
  const terms = lattice.cells.count;
  lattice.surfaces.forEach((surface, index) => {
    const series = surface.stations.map(({ section, chord }) => {
      return camberSeries(contourOf(section, millimetresFromMetres(chord)), terms);
    });
    forStrips(lattice, index, (strip, first) => {
      for (let k = 0; k < terms; k++) {
        const inner = slopeAt(lattice.cells, series[strip.panel]!, k);
        const outer = slopeAt(lattice.cells, series[strip.panel + 1]!, k);
        angles[first + k] = strip.twist - (inner + (outer - inner) * strip.within);
      }
    });
  });
  return angles;
}

/** Series of camber lines that were integrated, by the number of their terms. */
const integrated = new WeakMap<Contour, SlopeSeries[]>();

function camberSeries(contour: Contour, terms: number): SlopeSeries {
  const byTerms = integrated.get(contour) ?? [];
  integrated.set(contour, byTerms);
  return (byTerms[terms] ??= camberSlopeSeries(contour.x, camberLine(contour), terms));
}

/** One on the panels of a surface, nought elsewhere: a unit of its incidence. */
export function surfaceMask(lattice: Lattice, surfaceIndex: number): Float64Array {
  const mask = new Float64Array(lattice.panels);
  const count = lattice.cells.count;
  mask.fill(1, lattice.firstStrip[surfaceIndex]! * count, lattice.firstStrip[surfaceIndex + 1]! * count);
  return mask;
}

/** How panels turn, per radian of a control trailing edge down or of a command. */
export interface PanelTurn {
  /** Nose-up angle that meets the air along the chord. */
  readonly angles: Float64Array;
  /** Lean of the normal along the board, towards the tip positive: it meets the air along the span. */
  readonly lean: Float64Array;
}

/**
 * A control turned trailing edge down by one radian about its hinge. Where the
 * hinge is swept by Λ the part behind it slopes by cos Λ along the chord, and
 * its normal leans inboard by sin Λ: n' = n + δ h × n with h along the hinge.
 * What moves as a whole turns about a line square to the chord.
 * @param effectAt share of the ideal effect that is left on a strip
 * Source: rotation of a vector; simple sweep theory follows from it.
 */
export function controlTurn(
  lattice: Lattice,
  surfaceIndex: number,
  controlIndex: number,
  effectAt: (control: Control, stripIndex: number) => number = () => 1,
): PanelTurn {
  const angles = new Float64Array(lattice.panels);
  const lean = new Float64Array(lattice.panels);
  const surface = lattice.surfaces[surfaceIndex]!;
  const control = surface.source.controls[controlIndex]!;
  const length = developedLength(surface);
  const terms = lattice.cells.count;
  const hingeAt = (distance: number) => {
    const along = (distance / length - control.from) / (control.to - control.from);
    return control.hingeInboard + (control.hingeOutboard - control.hingeInboard) * along;
  };
  forStrips(lattice, surfaceIndex, (strip, first, stripIndex) => {
    const share = strip.middle / length;
    if (share < control.from || share > control.to) return;
    const effect = effectAt(control, stripIndex);
    if (control.allMoving) {
      angles.fill(effect, first, first + terms);
      return;
    }
    const place = (edge: StripEdge, distance: number) => edge.x + hingeAt(distance) * edge.chord;
    const sweep = Math.atan2(place(strip.b, strip.to) - place(strip.a, strip.from), strip.width);
    const series = hingeSlopeSeries(hingeAt(strip.middle), terms);
    for (let k = 0; k < terms; k++) {
      const turned = -effect * slopeAt(lattice.cells, series, k);
      angles[first + k] = turned * Math.cos(sweep);
      lean[first + k] = -turned * Math.sin(sweep);
    }
  });
  return { angles, lean };
}

/** Visits the strips of one surface with the index of their first panel. */
export function forStrips(
  lattice: Lattice,
  surfaceIndex: number,
  visit: (strip: Strip, firstPanel: number, stripIndex: number) => void,
): void {
  for (let index = lattice.firstStrip[surfaceIndex]!; index < lattice.firstStrip[surfaceIndex + 1]!; index++) {
    visit(lattice.strips[index]!, index * lattice.cells.count, index);
  }
}

/** Smallest chord of a lattice [m], for tolerances that scale with the model. */
export function smallestChord(lattice: Lattice): number {
  return Math.min(...lattice.strips.map(({ m }) => m.chord), metresFromMillimetres(1e6));
}
