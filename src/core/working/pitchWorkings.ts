import type { Prepared } from '../analysis/prepare';
import { input, type Numbers, whenKnown } from './build';
import type { Working } from './working';

const LATTICE = 'Katz & Plotkin, Low-Speed Aerodynamics, ch. 12';
const ATTACHED = 'Attached flow, angles up to about 10°';
/** Downwash and control power of lattices against measurement at model scale, as shares. */
const DOWNWASH_BAND = 0.1;
const CONTROL_BAND = 0.12;

/** Neutral point without tail, downwash, pitch control and the tail angle that would replace it. */
export function pitchWorkings({ about }: Prepared, { pitch, trim, reference }: Numbers): Working[] {
  const chord = reference.meanChord!;
  return [
    ...whenKnown(pitch.neutralPointWithoutTail, (value): Working => ({
      id: 'neutralPointWithoutTail',
      name: 'Neutral point without tail',
      symbol: 'x_NP,wb',
      value,
      unit: 'length',
      formula: 'The same lattice with the panels of the tail left out: the leading block of the same factors',
      inputs: [
        input('x_NP', 'Neutral point, whole', pitch.neutralPoint!, 'length'),
        input('x₀', 'Point that moments refer to', about[0], 'length'),
      ],
      source: LATTICE,
      range: ATTACHED,
      band: 0.01 * chord,
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
        input('dε/dα', 'Its slope with angle of attack', pitch.downwashSlope!, 'ratio'),
        input('C_L', 'Lift coefficient at trim', trim.liftCoefficient ?? 0, 'ratio'),
      ],
      source: `${LATTICE}; wakes straight along the datum`,
      range: ATTACHED,
      band: Math.abs(value) * DOWNWASH_BAND,
      bandBecause: 'Wakes roll up and sink; about ten percent.',
    })),
    ...whenKnown(trim.elevator, (value): Working => ({
      id: 'elevator',
      name: 'Pitch control at cruise',
      symbol: 'δ',
      value,
      unit: 'angle',
      formula: 'C_L(α, δ) = 2mg/(ρV²S) and C_m(α, δ) + C_m,thrust = 0, solved together; trailing edge down positive',
      inputs: [
        input('V', 'Cruise speed', trim.speed!, 'speed'),
        input('C_mδ', 'Moment per radian of control', pitch.momentFromElevator!, 'perRadian'),
        ...(trim.thrustMoment === null
          ? []
          : [input('C_m,T', 'Moment of thrust and slipstream', trim.thrustMoment, 'ratio')]),
      ],
      source: 'Newton iteration on lattice loads; flap effect after Glauert, section 7.5',
      range: 'Below stall, deflections to about 15°',
      band: Math.abs(value) * CONTROL_BAND + 0.009,
      bandBecause: 'Twelve percent of control power, and half a degree of building.',
    })),
    ...whenKnown(trim.tailIncidence, (value): Working => ({
      id: 'tailIncidence',
      name: 'Tail angle for a neutral control',
      symbol: 'i_t',
      value,
      unit: 'angle',
      formula: 'i_t = i_t,now + δ C_mδ / C_m,i',
      inputs: [
        input('δ', 'Pitch control at cruise', trim.elevator!, 'angle'),
        input('C_mδ', 'Moment per radian of control', pitch.momentFromElevator!, 'perRadian'),
      ],
      source: `Unit case of the tail’s incidence; ${LATTICE}`,
      range: 'First order in the change',
      band: 0.009,
      bandBecause: 'Half a degree: section data and building.',
    })),
    ...whenKnown(pitch.zeroLiftMoment, (value): Working => ({
      id: 'zeroLiftMoment',
      name: 'Moment without lift',
      symbol: 'C_m0',
      value,
      unit: 'ratio',
      formula: 'C_m at the angle of attack without lift, control neutral',
      inputs: [
        input('α₀', 'Angle without lift', pitch.zeroLiftAlpha!, 'angle'),
        input('c̄', 'Mean chord', chord, 'length'),
      ],
      source: `${LATTICE}; camber by Glauert, ch. VII`,
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
      inputs: [input('c̄', 'Mean chord', chord, 'length'), input('C_Lα', 'Lift slope', pitch.liftSlope!, 'perRadian')],
      source: LATTICE,
      range: 'Slow motion',
      band: 0.1 * Math.abs(value),
      bandBecause: 'Quasi-steady wake; about ten percent.',
    })),
  ];
}
