import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Station, Surface } from '@/core/2-document/schema/surface';

/** Sweep of a whole surface, as people say it. Degrees and millimetres. */
export interface Sweep {
  /** Of the leading edge against the normal to the flight direction. */
  readonly leadingAngle: number;
  /** Of the quarter chord. */
  readonly quarterAngle: number;
  /** Tip leading edge aft of the root leading edge. */
  readonly tipOffset: number;
  /** Between the two leading edges at the nose: 180° is straight. */
  readonly noseAngle: number;
}

export type SweepForm = keyof Sweep;

const radians = (angle: number) => radiansFromDegrees(angle);

/** Half span along the board and both chords. */
function ends({ stations }: Surface): { root: Station; tip: Station; length: number } {
  const root = stations[0]!;
  const tip = stations.at(-1)!;
  return { root, tip, length: tip.distanceFromRoot };
}

/** Sweep from root to tip, kinks between left out. */
export function sweepOf(surface: Surface): Sweep {
  const { root, tip, length } = ends(surface);
  const tipOffset = tip.leadingEdgeOffset;
  const leadingAngle = degreesFromRadians(Math.atan2(tipOffset, length));
  return {
    leadingAngle,
    quarterAngle: degreesFromRadians(Math.atan2(tipOffset + (tip.chord - root.chord) / 4, length)),
    tipOffset,
    noseAngle: 180 - 2 * leadingAngle,
  };
}

/** Tip offset that a sweep in any form means [mm]. */
export function tipOffsetFor(surface: Surface, form: SweepForm, value: number): number {
  const { root, tip, length } = ends(surface);
  switch (form) {
    case 'tipOffset':
      return value;
    case 'leadingAngle':
      return length * Math.tan(radians(value));
    case 'quarterAngle':
      return length * Math.tan(radians(value)) - (tip.chord - root.chord) / 4;
    case 'noseAngle':
      return length * Math.tan(radians(90 - value / 2));
  }
}

/** The surface sheared so that its tip lies at an offset: stations between move in proportion to their distance. */
export function withTipOffset(surface: Surface, tipOffset: number): Surface {
  const { length, tip } = ends(surface);
  const shift = tipOffset - tip.leadingEdgeOffset;
  return {
    ...surface,
    stations: surface.stations.map((station) => ({
      ...station,
      leadingEdgeOffset: station.leadingEdgeOffset + (shift * station.distanceFromRoot) / length,
    })),
  };
}

/** The surface with another tip chord over root chord; quarter chords stay, stations between follow in a straight line. */
export function withTaper(surface: Surface, taper: number): Surface {
  const { root, tip, length } = ends(surface);
  return {
    ...surface,
    stations: surface.stations.map((station) => {
      const share = station.distanceFromRoot / length;
      const before = root.chord + (tip.chord - root.chord) * share;
      const chord = (station.chord / before) * root.chord * (1 + (taper - 1) * share);
      return { ...station, chord, leadingEdgeOffset: station.leadingEdgeOffset + (station.chord - chord) / 4 };
    }),
  };
}
