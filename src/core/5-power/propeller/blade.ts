import type { Metres, Radians } from '@/core/1-base/units/convert';

/** A blade by places along its radius, from the hub outwards. */
export interface BladePlace {
  /** Share of the radius. */
  readonly share: number;
  readonly chord: Metres;
  /** Of the chord against the plane of the disc. */
  readonly angle: Radians;
}

export interface Propeller {
  readonly diameter: Metres;
  readonly blades: number;
  readonly places: readonly BladePlace[];
}

/** Chord over radius of a usual moulded propeller with two blades, by share of the radius, at a pitch of 0.7 diameters; solidity about 0.08. Source: fit to the ranges that were measured of whole propellers (see `bladeSection`), ±20 %. */
const USUAL_CHORD: readonly (readonly [share: number, chord: number])[] = [
  [0.15, 0.125],
  [0.2, 0.146],
  [0.3, 0.18],
  [0.4, 0.191],
  [0.5, 0.184],
  [0.6, 0.166],
  [0.7, 0.141],
  [0.8, 0.111],
  [0.9, 0.08],
  [0.97, 0.052],
  [1, 0.025],
];

/** Steeper propellers are made narrower: share of the chord for each diameter of pitch, and how far that goes. Source: fit to the thrust and power at rest that were measured from P/D 0.4 to 1.0. */
const NARROWER = 1.06;
const USUAL_PITCH = 0.7;
/** Moulded blades are twisted more than one pitch all along asks for: by so much for each radius [rad], none at 0.7. Source: the same fit. */
const MORE_TWIST: Radians = 0.042;
const PITCH_AT = 0.7;
const LEAST_PITCH = 0.3;
const MOST_PITCH = 1.1;

/** A usual propeller by its label: the chord at 0.7 of the radius climbs by the pitch in one turn, and nearly so the others. */
export function usualPropeller(diameter: Metres, pitch: Metres, blades: number): Propeller {
  const steep = Math.min(MOST_PITCH, Math.max(LEAST_PITCH, pitch / diameter));
  const width = 1 + NARROWER * (USUAL_PITCH - steep);
  return {
    diameter,
    blades,
    places: USUAL_CHORD.map(([share, chord]) => ({
      share,
      chord: (width * chord * diameter) / 2,
      angle: Math.atan(pitch / (Math.PI * diameter * share)) + MORE_TWIST * (PITCH_AT - share),
    })),
  };
}

/** Chord and angle at a share of the radius, between the places that are known. */
export function bladeAt(places: readonly BladePlace[], share: number): Pick<BladePlace, 'chord' | 'angle'> {
  const after = Math.max(
    1,
    places.findIndex((place) => place.share >= share),
  );
  const [a, b] = [places[after - 1]!, places[after] ?? places[after - 1]!];
  const within = b.share > a.share ? Math.min(1, Math.max(0, (share - a.share) / (b.share - a.share))) : 0;
  return { chord: a.chord + (b.chord - a.chord) * within, angle: a.angle + (b.angle - a.angle) * within };
}
