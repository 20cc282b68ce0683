import { developedLength, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';

/** One strip of a surface: straight from its inboard edge A to its outboard edge B. All lengths in metres. */
export interface Strip {
  readonly surface: number;
  readonly from: number;
  readonly to: number;
  /** Distance from the root at which boundary condition and force are taken. */
  readonly middle: number;
  readonly panel: number;
  /** Place of the middle within its panel. */
  readonly within: number;
  readonly a: StripEdge;
  readonly b: StripEdge;
  readonly m: StripEdge;
  /** Length along the board, and its unit vector (y, z) from A to B. */
  readonly width: number;
  readonly tangentY: number;
  readonly tangentZ: number;
  readonly twist: number;
}

export interface StripEdge {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly chord: number;
}

/**
 * Maps 0…1 to a share of the span, dense at ends that are free, where the
 * loading falls to nought with a root's slope. An end that meets its mirror
 * image or another surface is none: the loading goes on there, and strips far
 * narrower than the cells along the chord would only see how these differ.
 * Middles are taken midway in the mapped variable, not in length: with that an
 * elliptic loading is returned with its exact downwash.
 */
interface SpanMapping {
  readonly share: (u: number) => number;
  readonly inverse: (share: number) => number;
}

const TIP_DENSE: SpanMapping = {
  share: (u) => Math.sin((Math.PI * u) / 2),
  inverse: (share) => (2 / Math.PI) * Math.asin(Math.min(1, share)),
};

const ROOT_DENSE: SpanMapping = {
  share: (u) => 1 - TIP_DENSE.share(1 - u),
  inverse: (share) => 1 - TIP_DENSE.inverse(1 - Math.min(1, share)),
};

const BOTH_ENDS_DENSE: SpanMapping = {
  share: (u) => (1 - Math.cos(Math.PI * u)) / 2,
  inverse: (share) => Math.acos(1 - 2 * Math.min(1, share)) / Math.PI,
};

const EVEN: SpanMapping = { share: (u) => u, inverse: (share) => share };

function mappingOf(isRootFree: boolean, isTipFree: boolean): SpanMapping {
  if (isRootFree) return isTipFree ? BOTH_ENDS_DENSE : ROOT_DENSE;
  return isTipFree ? TIP_DENSE : EVEN;
}

/** A junction or the end of a control closer than this share of the span to another mark moves there. */
export const LEAST_WIDTH = 0.01;

/** Bends this close are one; any wider panel keeps its own plane. */
const SAME_BEND = 0.002;

/** A station needs a strip edge when the plan form, its angle or its dihedral bends there. */
const BEND = 0.02;

function stationBreaks(surface: PlacedSurface): number[] {
  const { stations, panelDihedrals } = surface;
  const breaks: number[] = [];
  for (let index = 1; index + 1 < stations.length; index++) {
    const slopes = (panel: number) => {
      const a = stations[panel]!;
      const b = stations[panel + 1]!;
      const length = b.distance - a.distance;
      return [(b.x - a.x) / length, (b.chord - a.chord) / length, panelDihedrals[panel]!] as const;
    };
    const inner = slopes(index - 1);
    const outer = slopes(index);
    if (inner.some((slope, which) => Math.abs(slope - outer[which]!) > BEND)) {
      breaks.push(stations[index]!.distance);
    }
  }
  return breaks;
}

/**
 * Cuts one surface into about `count` strips, with edges at every bend, every
 * end of a control and every junction. @param junctions where it meets others,
 * from its root [m]. @param nearest marks closer than this
 * share of the span are one, where the finest that can be told is too fine
 */
export function cutStrips(
  surface: PlacedSurface,
  surfaceIndex: number,
  count: number,
  junctions: readonly number[] = [],
  nearest = 0,
): Strip[] {
  const length = developedLength(surface);
  const meetsMirror = surface.mirrored && Math.abs(surface.stations[0]!.y) < 1e-6;
  const near = LEAST_WIDTH * length;
  const mapping = mappingOf(
    !meetsMirror && junctions.every((distance) => distance > near),
    junctions.every((distance) => distance < length - near),
  );
  const marks = [0, length];
  const mark = (distance: number, apart: number) => {
    const least = Math.max(apart, nearest) * length;
    if (marks.every((other) => Math.abs(distance - other) > least)) marks.push(distance);
  };
  // Bends come first: a strip across one would lie in neither panel.
  stationBreaks(surface).forEach((distance) => mark(distance, SAME_BEND));
  const ends = surface.source.controls.flatMap(({ from, to }) => [from * length, to * length]);
  [...junctions, ...ends].forEach((distance) => mark(distance, LEAST_WIDTH));
  marks.sort((p, q) => p - q);

  const strips: Strip[] = [];
  for (let segment = 0; segment + 1 < marks.length; segment++) {
    const start = mapping.inverse(marks[segment]! / length);
    const end = mapping.inverse(marks[segment + 1]! / length);
    const pieces = Math.max(1, Math.round(count * (end - start)));
    for (let piece = 0; piece < pieces; piece++) {
      const at = (offset: number) => length * mapping.share(start + ((end - start) * (piece + offset)) / pieces);
      const from = piece === 0 ? marks[segment]! : at(0);
      const to = piece === pieces - 1 ? marks[segment + 1]! : at(1);
      strips.push(makeStrip(surface, surfaceIndex, from, to, at(0.5)));
    }
  }
  return strips;
}

function makeStrip(surface: PlacedSurface, surfaceIndex: number, from: number, to: number, middle: number): Strip {
  const m = planformAt(surface, middle);
  const dihedral = surface.panelDihedrals[m.panel]!;
  const upright = Math.abs(Math.abs(dihedral) - Math.PI / 2) < 1e-12;
  return {
    surface: surfaceIndex,
    from,
    to,
    middle,
    panel: m.panel,
    within: m.within,
    a: planformAt(surface, from),
    b: planformAt(surface, to),
    m,
    width: to - from,
    tangentY: upright ? 0 : Math.cos(dihedral),
    tangentZ: Math.sin(dihedral),
    twist: m.twist,
  };
}
