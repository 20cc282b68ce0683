import { input, inputWhenKnown, LATTICE_SOURCE, whenKnown, type Working } from '../working';

/** Control power of lattices against measurement at model scale, as a share. */
const CONTROL_BAND = 0.12;
/** Half a degree of building [rad]. */
const BUILDING = 0.009;

interface Values {
  readonly speed: number | null;
  readonly alpha: number | null;
  readonly elevator: number | null;
  readonly liftCoefficient: number | null;
  readonly tailIncidence: number | null;
  readonly thrustMoment: number | null;
}

/** Angle of attack, pitch control, and the tail angle that would replace it. */
export function explainTrim(trim: Values, momentFromElevator: number | null): Working[] {
  const speed = inputWhenKnown('V', 'Cruise speed', trim.speed, 'speed');
  const power = inputWhenKnown('C_mδ', 'Moment per radian of control', momentFromElevator, 'perRadian');
  return [
    ...whenKnown(trim.alpha, (value): Working => ({
      id: 'trimAlpha',
      name: 'Angle of attack at cruise',
      symbol: 'α',
      value,
      unit: 'angle',
      formula: 'C_L(α, δ) = 2 m g / (ρ V² S) and C_m(α, δ) = 0, solved together',
      inputs: [
        ...inputWhenKnown('C_L', 'Lift coefficient', trim.liftCoefficient, 'ratio'),
        ...speed,
        ...inputWhenKnown('δ', 'Pitch control, trailing edge down', trim.elevator, 'angle'),
      ],
      source: 'Newton iteration on lattice loads',
      range: 'Below stall',
      band: 0.01,
      bandBecause: 'About half a degree: section data and building.',
    })),
    ...whenKnown(trim.elevator, (value): Working => ({
      id: 'elevator',
      name: 'Pitch control at cruise',
      symbol: 'δ',
      value,
      unit: 'angle',
      formula: 'C_L(α, δ) = 2mg/(ρV²S) and C_m(α, δ) + C_m,thrust = 0, solved together; trailing edge down positive',
      inputs: [
        ...speed,
        ...power,
        ...inputWhenKnown('C_m,T', 'Moment of thrust and slipstream', trim.thrustMoment, 'ratio'),
      ],
      source: 'Newton iteration on lattice loads; flap effect after Glauert, section 7.5',
      range: 'Below stall, deflections to about 15°',
      band: Math.abs(value) * CONTROL_BAND + BUILDING,
      bandBecause: 'Twelve percent of control power, and half a degree of building.',
    })),
    ...whenKnown(trim.tailIncidence, (value): Working => ({
      id: 'tailIncidence',
      name: 'Tail angle for a neutral control',
      symbol: 'i_t',
      value,
      unit: 'angle',
      formula: 'i_t = i_t,now + δ C_mδ / C_m,i',
      inputs: [input('δ', 'Pitch control at cruise', trim.elevator ?? 0, 'angle'), ...power],
      source: `Unit case of the tail’s incidence; ${LATTICE_SOURCE}`,
      range: 'First order in the change',
      band: BUILDING,
      bandBecause: 'Half a degree: section data and building.',
    })),
  ];
}
