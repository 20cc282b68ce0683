import type { Vector3 } from '@/core/1-base/units/convert';
import { ATTACHED, input, inputWhenKnown, LATTICE_SOURCE, whenKnown, type Working } from '../working';

/** Relative band of the computed neutral point beyond the wake: bodies and low Reynolds numbers, in mean chords. */
const NEUTRAL_POINT_FLOOR = 0.01;
/** Downwash of lattices against measurement at model scale, as a share. */
const DOWNWASH_BAND = 0.1;

interface Values {
  readonly neutralPoint: number | null;
  readonly neutralPointBand: number | null;
  readonly neutralPointWithoutTail: number | null;
  readonly staticMargin: number | null;
  readonly liftSlope: number | null;
  readonly momentSlope: number | null;
  readonly momentReference: Vector3 | null;
  readonly downwash: number | null;
  readonly downwashSlope: number | null;
  readonly zeroLiftAlpha: number | null;
  readonly zeroLiftMoment: number | null;
  readonly pitchDamping: number | null;
}

interface Beside {
  readonly reference: { readonly meanChord: number | null };
  readonly cg: Vector3 | null;
  readonly surfacesOnly: boolean;
  readonly liftAtTrim: number | null;
}

/** Half width within which the neutral point is trusted [m]. */
export const neutralPointBand = (ofWake: number | null, chord: number, surfacesOnly: boolean): number =>
  (ofWake ?? 0) + (surfacesOnly ? 0 : NEUTRAL_POINT_FLOOR * chord);

/** Neutral point with and without tail, margin, downwash, moment without lift, damping. */
export function explainPitch(pitch: Values, { reference, cg, surfacesOnly, liftAtTrim }: Beside): Working[] {
  const chord = reference.meanChord;
  if (chord === null || pitch.momentReference === null) return [];
  const [momentPlace] = pitch.momentReference;
  const band = neutralPointBand(pitch.neutralPointBand, chord, surfacesOnly);
  const meanChord = input('c̄', 'Mean chord', chord, 'length');
  const slope = inputWhenKnown('C_Lα', 'Lift slope', pitch.liftSlope, 'perRadian');
  const neutral = inputWhenKnown('x_NP', 'Neutral point, whole', pitch.neutralPoint, 'length');
  return [
    ...whenKnown(pitch.neutralPoint, (value): Working => ({
      id: 'neutralPoint',
      name: 'Neutral point',
      symbol: 'x_NP',
      value,
      unit: 'length',
      formula: 'x_NP = x_CG − (dM/dα) / (dF_z/dα), vortex lattice over all surfaces together',
      inputs: [
        ...slope,
        ...inputWhenKnown('C_mα', 'Moment slope about the reference point', pitch.momentSlope, 'perRadian'),
        meanChord,
        input('x₀', 'Point that moments refer to', momentPlace, 'length'),
      ],
      source: `${LATTICE_SOURCE}; chordwise places after Lan, J. Aircraft 11 (1974)`,
      range: ATTACHED,
      band,
      bandBecause:
        'How far it moves when wakes leave along the wind and over the speeds flown, a fifth of what bodies do, and one percent of chord for section data.',
    })),
    ...whenKnown(pitch.staticMargin, (value): Working => ({
      id: 'staticMargin',
      name: 'Static margin',
      symbol: 'K_n',
      value,
      unit: 'percent',
      formula: 'K_n = (x_NP − x_CG) / c̄',
      inputs: [...neutral, ...inputWhenKnown('x_CG', 'Centre of gravity', cg?.[0] ?? null, 'length'), meanChord],
      source: 'Etkin & Reid, Dynamics of Flight, section 2.3',
      range: 'Stick fixed, power off',
      band: band / chord,
      bandBecause: 'The band of the neutral point over the mean chord.',
    })),
    ...whenKnown(pitch.neutralPointWithoutTail, (value): Working => ({
      id: 'neutralPointWithoutTail',
      name: 'Neutral point without tail',
      symbol: 'x_NP,wb',
      value,
      unit: 'length',
      formula: 'The same lattice with the panels of the tail left out: the leading block of the same factors',
      inputs: [...neutral, input('x₀', 'Point that moments refer to', momentPlace, 'length')],
      source: LATTICE_SOURCE,
      range: ATTACHED,
      band: NEUTRAL_POINT_FLOOR * chord,
      bandBecause: 'One percent of chord for bodies and section data.',
    })),
    ...whenKnown(pitch.downwash, (value): Working => ({
      id: 'downwash',
      name: 'Downwash where it is met',
      symbol: 'ε',
      value,
      unit: 'angle',
      formula: 'ε = −w/V at the surface behind, mean over its area, from all other surfaces',
      inputs: [
        ...inputWhenKnown('dε/dα', 'Its slope with angle of attack', pitch.downwashSlope, 'ratio'),
        input('C_L', 'Lift coefficient at trim', liftAtTrim ?? 0, 'ratio'),
      ],
      source: `${LATTICE_SOURCE}; wakes straight along the datum`,
      range: ATTACHED,
      band: Math.abs(value) * DOWNWASH_BAND,
      bandBecause: 'Wakes roll up and sink; about ten percent.',
    })),
    ...whenKnown(pitch.zeroLiftMoment, (value): Working => ({
      id: 'zeroLiftMoment',
      name: 'Moment without lift',
      symbol: 'C_m0',
      value,
      unit: 'ratio',
      formula: 'C_m at the angle of attack without lift, control neutral',
      inputs: [...inputWhenKnown('α₀', 'Angle without lift', pitch.zeroLiftAlpha, 'angle'), meanChord],
      source: `${LATTICE_SOURCE}; camber by Glauert, ch. VII`,
      range: ATTACHED,
      band: 0.1 * Math.abs(value) + 0.005,
      bandBecause: 'Camber as built and decalage to half a degree.',
    })),
    ...whenKnown(pitch.pitchDamping, (value): Working => ({
      id: 'pitchDamping',
      name: 'Pitch damping',
      symbol: 'C_mq',
      value,
      unit: 'perRadian',
      formula: '∂C_m/∂(q c̄/2V) about the balance point',
      inputs: [meanChord, ...slope],
      source: LATTICE_SOURCE,
      range: 'Slow motion',
      band: 0.1 * Math.abs(value),
      bandBecause: 'Quasi-steady wake; about ten percent.',
    })),
  ];
}
