import { GRAVITY } from '../aero/atmosphere';
import type { Prepared } from '../analysis/prepare';
import type { Design } from '../document/schema/design';
import { lateralWorkings } from './lateralWorkings';
import { pitchWorkings } from './pitchWorkings';
import { speedWorkings } from './speedWorkings';
import { input, type Numbers } from './build';
import type { Working } from './working';

/** Relative band of the computed neutral point beyond the wake: bodies and low Reynolds numbers, in mean chords. */
const NEUTRAL_POINT_FLOOR = 0.01;
const MAXIMUM_LIFT_BAND = 0.12;

/** The working of every headline number that could be computed. */
export function explain(_design: Design, prepared: Prepared, numbers: Numbers): Working[] {
  const { reference, mass, pitch, stall, trim, window, drag, speeds } = numbers;
  const chord = reference.meanChord!;
  const workings: Working[] = [];
  const add = (working: Working) => workings.push(working);
  const neutralBand = (pitch.neutralPointBand ?? 0) + (prepared.surfacesOnly ? 0 : NEUTRAL_POINT_FLOOR * chord);
  add({
    id: 'meanChord',
    name: 'Mean aerodynamic chord',
    symbol: 'c̄',
    value: chord,
    unit: 'length',
    formula: 'c̄ = (1/S) ∫ c² dy over both sides, exact on straight panels',
    inputs: [
      input('S', 'Wing area, projected', reference.area!, 'area'),
      input('b', 'Span', reference.span!, 'length'),
      input('x_LE', 'Its leading edge aft of the datum', reference.meanChordLeadingEdge!, 'length'),
    ],
    source: 'Etkin & Reid, Dynamics of Flight, 3rd ed., appendix C',
    range: 'Any plan form of straight panels',
    band: null,
    bandBecause: 'Exact for the drawn plan form.',
  });
  add({
    id: 'neutralPoint',
    name: 'Neutral point',
    symbol: 'x_NP',
    value: pitch.neutralPoint!,
    unit: 'length',
    formula: 'x_NP = x_CG − (dM/dα) / (dF_z/dα), vortex lattice over all surfaces together',
    inputs: [
      input('C_Lα', 'Lift slope', pitch.liftSlope!, 'perRadian'),
      input('C_mα', 'Moment slope about the reference point', pitch.momentSlope!, 'perRadian'),
      input('c̄', 'Mean chord', chord, 'length'),
      input('x₀', 'Point that moments refer to', pitch.momentReference![0], 'length'),
    ],
    source: 'Katz & Plotkin, Low-Speed Aerodynamics, ch. 12; chordwise places after Lan, J. Aircraft 11 (1974)',
    range: 'Attached flow, angles up to about 10°',
    band: neutralBand,
    bandBecause:
      'How far it moves when wakes leave along the wind, plus one percent of chord for bodies and section data.',
  });
  if (mass.total !== null && mass.cg !== null) {
    const heaviest = [...mass.parts].sort((a, b) => b.mass - a.mass).slice(0, 5);
    add({
      id: 'centreOfGravity',
      name: 'Centre of gravity',
      symbol: 'x_CG',
      value: mass.cg[0],
      unit: 'length',
      formula: 'x_CG = Σ m x / Σ m over board parts and equipment',
      inputs: [
        input('Σm', 'Total mass', mass.total, 'mass'),
        ...heaviest.flatMap((part) => [
          input('m', part.name, part.mass, 'mass'),
          input('x', `${part.name}, aft of the datum`, part.centre[0], 'length'),
        ]),
      ],
      source: 'Sum of moments',
      range: 'Always',
      band: null,
      bandBecause: 'As good as the weights and places entered; the five heaviest parts are listed.',
    });
    add({
      id: 'staticMargin',
      name: 'Static margin',
      symbol: 'K_n',
      value: pitch.staticMargin!,
      unit: 'percent',
      formula: 'K_n = (x_NP − x_CG) / c̄',
      inputs: [
        input('x_NP', 'Neutral point', pitch.neutralPoint!, 'length'),
        input('x_CG', 'Centre of gravity', mass.cg[0], 'length'),
        input('c̄', 'Mean chord', chord, 'length'),
      ],
      source: 'Etkin & Reid, Dynamics of Flight, section 2.3',
      range: 'Stick fixed, power off',
      band: neutralBand / chord,
      bandBecause: 'The band of the neutral point over the mean chord.',
    });
    add({
      id: 'wingLoading',
      name: 'Wing loading',
      symbol: 'm/S',
      value: mass.wingLoading!,
      unit: 'wingLoading',
      formula: 'Total mass over wing area',
      inputs: [input('m', 'Total mass', mass.total, 'mass'), input('S', 'Wing area', reference.area!, 'area')],
      source: 'Definition',
      range: 'Always',
      band: null,
      bandBecause: 'As good as the weights entered.',
    });
  }
  if (stall.speed !== null && stall.liftCoefficient !== null && mass.total !== null) {
    add({
      id: 'stallSpeed',
      name: 'Stall speed',
      symbol: 'V_s',
      value: stall.speed,
      unit: 'speed',
      formula: 'V_s = √( 2 m g / (ρ S C_Lmax) )',
      inputs: [
        input('m', 'Total mass', mass.total, 'mass'),
        input('g', 'Gravity', GRAVITY, 'acceleration'),
        input('ρ', 'Air density', prepared.air.density, 'density'),
        input('S', 'Wing area', reference.area!, 'area'),
        input('C_Lmax', 'Greatest lift of the trimmed aircraft', stall.liftCoefficient, 'ratio'),
      ],
      source: 'C_Lmax by critical section (Abbott & von Doenhoff, section 1.5) with section data of board builds',
      range: 'Straight flight, Re 2·10⁴ to 5·10⁵',
      band: (stall.speed * MAXIMUM_LIFT_BAND) / 2,
      bandBecause: 'Section lift at model scale is known to about 12 %.',
    });
  }
  if (trim.alpha !== null && trim.liftCoefficient !== null) {
    add({
      id: 'trimAlpha',
      name: 'Angle of attack at cruise',
      symbol: 'α',
      value: trim.alpha,
      unit: 'angle',
      formula: 'C_L(α, δ) = 2 m g / (ρ V² S) and C_m(α, δ) = 0, solved together',
      inputs: [
        input('C_L', 'Lift coefficient', trim.liftCoefficient, 'ratio'),
        input('V', 'Cruise speed', trim.speed!, 'speed'),
        ...(trim.elevator === null ? [] : [input('δ', 'Pitch control, trailing edge down', trim.elevator, 'angle')]),
      ],
      source: 'Newton iteration on lattice loads',
      range: 'Below stall',
      band: 0.01,
      bandBecause: 'About half a degree: section data and building.',
    });
  }
  if (window.forward !== null && window.aft !== null) {
    add({
      id: 'window',
      name: 'Width of the balance window',
      symbol: 'Δx',
      value: window.aft - window.forward,
      unit: 'length',
      formula: 'From the forward limit (control power) to the aft limit (least margin)',
      inputs: [
        input('x_f', 'Forward limit', window.forward, 'length'),
        input('x_a', 'Aft limit', window.aft, 'length'),
      ],
      source: 'Etkin & Reid, Dynamics of Flight, section 2.4',
      range: 'Power off',
      band: neutralBand,
      bandBecause: 'The aft limit moves with the neutral point.',
    });
  }
  if (drag.total !== null && trim.liftCoefficient !== null && drag.spanEfficiency !== null) {
    add({
      id: 'drag',
      name: 'Drag coefficient at cruise',
      symbol: 'C_D',
      value: drag.total,
      unit: 'ratio',
      formula: 'C_D = C_L²/(π A e) + 1.1 Σ c_d S_strip/S + Σ C_D S_item/S',
      inputs: [
        input('C_L', 'Lift coefficient', trim.liftCoefficient, 'ratio'),
        input('A', 'Aspect ratio', reference.aspectRatio!, 'ratio'),
        input('e', 'Span efficiency', drag.spanEfficiency, 'ratio'),
        input('C_Di', 'Induced', drag.induced!, 'ratio'),
        ...(drag.profile === null ? [] : [input('C_Dp', 'Profile', drag.profile, 'ratio')]),
      ],
      source: 'Trefftz plane (Katz & Plotkin, section 8.2.2); strips from the section table',
      range: 'Attached flow',
      band: drag.profile === null ? 0.02 * drag.total : 0.25 * drag.total,
      bandBecause: 'Section drag at model scale is known to about 25 %.',
    });
  }
  if (speeds.approach !== null && speeds.stall !== null) {
    add({
      id: 'approach',
      name: 'Reference approach speed',
      symbol: 'V_ref',
      value: speeds.approach,
      unit: 'speed',
      formula: 'The larger of 1.3 V_s and the pitch floor speed',
      inputs: [
        input('V_s', 'Stall speed', speeds.stall, 'speed'),
        ...(speeds.pitchFloor === null
          ? []
          : [input('V_p', 'Slowest speed at which full nose-up control still flares', speeds.pitchFloor, 'speed')]),
      ],
      source: 'Usual practice; pitch floor from lattice control power',
      range: 'Power off',
      band: speeds.approach * 0.06,
      bandBecause: 'As the stall speed.',
    });
  }
  return [
    ...workings,
    ...pitchWorkings(prepared, numbers),
    ...lateralWorkings(numbers),
    ...speedWorkings(prepared, numbers),
  ];
}
