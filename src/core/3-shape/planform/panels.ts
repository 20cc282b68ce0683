import type { Station, Surface } from '@/core/2-document/schema/surface';

const between = (a: number, b: number, share: number) => a + (b - a) * share;
const tenth = (value: number) => Math.round(value * 10) / 10;

/** A station inside the panel that begins at `inner`, on the straight lines between its ends. */
export function splitPanel(surface: Surface, inner: number, share = 0.5): Surface {
  const a = surface.stations[inner];
  const b = surface.stations[inner + 1];
  if (!a || !b) throw new RangeError(`There is no panel ${inner + 1}.`);
  const station: Station = {
    ...a,
    distanceFromRoot: tenth(between(a.distanceFromRoot, b.distanceFromRoot, share)),
    chord: tenth(between(a.chord, b.chord, share)),
    leadingEdgeOffset: tenth(between(a.leadingEdgeOffset, b.leadingEdgeOffset, share)),
    twist: tenth(between(a.twist, b.twist, share)),
  };
  return { ...surface, stations: surface.stations.toSpliced(inner + 1, 0, station) };
}

/** The surface without a station between root and tip: its two panels become one with the inner one's dihedral. */
export function joinPanels(surface: Surface, station: number): Surface {
  if (station <= 0 || station >= surface.stations.length - 1)
    throw new RangeError('Only stations between root and tip can be taken out.');
  return { ...surface, stations: surface.stations.toSpliced(station, 1) };
}

export type TipShape = 'rounded' | 'raked';

/** Stations of a rounded tip: share of its length, and of the chord that a quarter ellipse leaves; the end stays wide enough to cut. */
const ROUND_STEPS = [
  [0, 1],
  [0.5, 0.866],
  [0.8, 0.6],
  [1, 0.2],
] as const;

/**
 * Shapes the outer end of a square tip within its length: rounded as a quarter
 * ellipse of both edges, raked by drawing the leading edge back to the rear.
 * The end of a panel longer than the tip chord loses half a chord to it.
 */
export function withTipShape(surface: Surface, shape: TipShape): Surface {
  const tip = surface.stations.at(-1)!;
  const inner = surface.stations.at(-2)!;
  const panel = tip.distanceFromRoot - inner.distanceFromRoot;
  const length = Math.min(tip.chord / 2, panel / 2);
  const start = tip.distanceFromRoot - length;
  const at = (distance: number) => {
    const share = (distance - inner.distanceFromRoot) / panel;
    return {
      ...tip,
      dihedral: inner.dihedral,
      distanceFromRoot: tenth(distance),
      chord: between(inner.chord, tip.chord, share),
      leadingEdgeOffset: between(inner.leadingEdgeOffset, tip.leadingEdgeOffset, share),
      twist: between(inner.twist, tip.twist, share),
    };
  };
  const cut = (station: Station, kept: number, forward: number): Station => ({
    ...station,
    chord: tenth(Math.max(10, station.chord * kept)),
    leadingEdgeOffset: tenth(station.leadingEdgeOffset + station.chord * (1 - kept) * forward),
  });
  const shaped =
    shape === 'raked'
      ? [at(start), cut(at(tip.distanceFromRoot), 0.45, 0.9)]
      : ROUND_STEPS.map(([step, kept]) => cut(at(start + step * length), kept, 0.45));
  return {
    ...surface,
    stations: [
      ...surface.stations.slice(0, -1),
      ...shaped.map((station) => ({ ...station, twist: tenth(station.twist) })),
    ],
  };
}
