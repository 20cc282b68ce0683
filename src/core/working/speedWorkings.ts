import type { Prepared } from '../analysis/prepare';
import { input, type Numbers, whenKnown } from './build';
import type { Working } from './working';

const POLAR = 'Trefftz plane and section table over trimmed states between stall and three times that';
const DRAG_BAND = 0.12;

/** Glide, sink, flare and flaps. */
export function speedWorkings({ air }: Prepared, { speeds, stall, mass, reference }: Numbers): Working[] {
  const loading = mass.wingLoading === null ? [] : [input('m/S', 'Wing loading', mass.wingLoading, 'wingLoading')];
  const density = input('ρ', 'Air density', air.density, 'density');
  return [
    ...whenKnown(speeds.bestGlide, (value): Working => ({
      id: 'bestGlide',
      name: 'Speed of best glide',
      symbol: 'V_bg',
      value,
      unit: 'speed',
      formula: 'Greatest C_L/C_D on the trimmed polar without power',
      inputs: [...loading, density, input('C_L/C_D', 'Glide ratio there', speeds.glideRatio!, 'ratio')],
      source: POLAR,
      range: 'Attached flow',
      band: value * DRAG_BAND,
      bandBecause: 'Section drag at model scale is known to about 25 %.',
    })),
    ...whenKnown(speeds.minimumSink, (value): Working => ({
      id: 'minimumSink',
      name: 'Speed of least sink',
      symbol: 'V_ms',
      value,
      unit: 'speed',
      formula: 'Least V C_D/C_L on the trimmed polar without power',
      inputs: [...loading, density, input('w', 'Sink there', speeds.sink!, 'speed')],
      source: POLAR,
      range: 'Attached flow',
      band: value * DRAG_BAND,
      bandBecause: 'Section drag at model scale is known to about 25 %.',
    })),
    ...whenKnown(speeds.pitchFloor, (value): Working => ({
      id: 'pitchFloor',
      name: 'Slowest flare',
      symbol: 'V_p',
      value,
      unit: 'speed',
      formula: 'V_p = √(2 n m g / (ρ S C_L,full)), n = 1.15, C_L,full held by full nose-up control, at most C_Lmax',
      inputs: [...loading, density, input('S', 'Wing area', reference.area!, 'area')],
      source: 'Lattice control power, limited by the lift the tail itself can carry',
      range: 'Out of propeller wash',
      band: 0.08 * value,
      bandBecause: 'Control power and section lift.',
    })),
    ...whenKnown(stall.flappedSpeed, (value): Working => ({
      id: 'flappedSpeed',
      name: 'Stall speed with flaps',
      symbol: 'V_s,f',
      value,
      unit: 'speed',
      formula: 'As the stall speed, at the droop that lifts most',
      inputs: [
        input('δ_f', 'Droop', stall.flapDroop!, 'angle'),
        input('C_Lmax,f', 'Greatest lift with flaps', stall.flappedLiftCoefficient!, 'ratio'),
        density,
      ],
      source: 'Critical section; flap hold after Datcom 6.1.1.1, extra lift after Hoerner & Borst, ch. 5',
      range: 'Plain flaps of about a quarter chord',
      band: 0.08 * value,
      bandBecause: 'What a flap adds at model scale is known to ±0.15 in C_L.',
    })),
    ...whenKnown(stall.liftCoefficient, (value): Working => ({
      id: 'maximumLift',
      name: 'Greatest lift coefficient',
      symbol: 'C_Lmax',
      value,
      unit: 'ratio',
      formula: 'Trimmed lift at which the first strip reaches the greatest lift of its section',
      inputs: [
        input('y/(b/2)', 'Where it starts, share of the half span', stall.startsAtSpanFraction!, 'percent'),
        ...(stall.marginAtRollControls === null
          ? []
          : [input('Δc_l', 'Lift left at the roll controls', stall.marginAtRollControls, 'ratio')]),
      ],
      source: 'Abbott & von Doenhoff, Theory of Wing Sections, section 1.5; section table',
      range: 'Re 2·10⁴ to 5·10⁵',
      band: 0.12 * value,
      bandBecause: 'Section lift at model scale is known to about 12 %.',
    })),
  ];
}
