import type { Figures } from '@/core/2-document/schema/figures';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { input, inputWhenKnown, ownFigure, sectionLiftBand, whenKnown, type Working } from '../working';

interface Values {
  readonly speed: number | null;
  readonly liftCoefficient: number | null;
  readonly startsAtSpanFraction: number | null;
  readonly marginAtRollControls: number | null;
  readonly flapDroop: number | null;
  readonly flappedLiftCoefficient: number | null;
  readonly flappedSpeed: number | null;
}

interface Beside {
  readonly mass: number | null;
  readonly area: number | null;
  readonly density: number;
  /** True when a strip that may stall flies outside the table of sections. */
  readonly isOutsideTable: boolean;
  /** Own figures of the builder. */
  readonly figures: Figures | undefined;
}

/** Greatest lift, stall speed, and the same with flaps. */
export function explainStall(stall: Values, { mass, area, density, isOutsideTable, figures }: Beside): Working[] {
  const own = figures?.greatestLift ?? 1;
  const known = sectionLiftBand(isOutsideTable, figures?.spreads.greatestLift);
  const air = input('ρ', 'Air density', density, 'density');
  return [
    ...whenKnown(stall.speed, (value): Working => ({
      id: 'stallSpeed',
      name: 'Stall speed',
      symbol: 'V_s',
      value,
      unit: 'speed',
      formula: 'V_s = √( 2 m g / (ρ S C_Lmax) )',
      inputs: [
        ...inputWhenKnown('m', 'Total mass', mass, 'mass'),
        input('g', 'Gravity', GRAVITY, 'acceleration'),
        air,
        ...inputWhenKnown('S', 'Wing area', area, 'area'),
        ...inputWhenKnown('C_Lmax', 'Greatest lift of the trimmed aircraft', stall.liftCoefficient, 'ratio'),
        ...ownFigure('k', 'Own figure of greatest lift, counted in it', own),
      ],
      source: 'C_Lmax by critical section (Abbott & von Doenhoff, section 1.5) with section data of board builds',
      range: 'Straight flight, Re 2·10⁴ to 5·10⁵',
      // Half the share: speed goes with the root of lift.
      band: (value * known.share) / 2,
      bandBecause: known.because,
    })),
    ...whenKnown(stall.flappedSpeed, (value): Working => ({
      id: 'flappedSpeed',
      name: 'Stall speed with flaps',
      symbol: 'V_s,f',
      value,
      unit: 'speed',
      formula: 'As the stall speed, at the droop that lifts most',
      inputs: [
        ...inputWhenKnown('δ_f', 'Droop', stall.flapDroop, 'angle'),
        ...inputWhenKnown('C_Lmax,f', 'Greatest lift with flaps', stall.flappedLiftCoefficient, 'ratio'),
        air,
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
        ...inputWhenKnown('y/(b/2)', 'Where it starts, share of the half span', stall.startsAtSpanFraction, 'percent'),
        ...inputWhenKnown('Δc_l', 'Lift left at the roll controls', stall.marginAtRollControls, 'ratio'),
      ],
      source: 'Abbott & von Doenhoff, Theory of Wing Sections, section 1.5; section table',
      range: 'Re 2·10⁴ to 5·10⁵',
      band: known.share * value,
      bandBecause: known.because,
    })),
  ];
}
