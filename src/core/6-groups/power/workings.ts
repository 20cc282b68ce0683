import type { Figures } from '@/core/2-document/schema/figures';
import { input, inputWhenKnown, narrowed, ownFigure, whenKnown, type Working } from '../working';
import type { DesignDrive } from './drives';

interface Power {
  readonly staticThrust: number | null;
  readonly thrustToWeight: number | null;
  readonly cruiseThrottle: number | null;
  readonly cruiseElectricPower: number | null;
  readonly cruiseCurrent: number | null;
  readonly staticElectricPower: number | null;
  readonly staticTurns: number | null;
  readonly propellerEfficiency: number | null;
  readonly duration: number | null;
  readonly maximumSpeed: number | null;
  readonly climbRate: number | null;
  readonly climbRateSpeed: number | null;
}

interface Flown {
  readonly drives: readonly DesignDrive[];
  readonly weight: number | null;
  readonly cruise: number;
  readonly cruiseDrag: number | null;
  readonly figures: Figures | undefined;
}

const BLADES = 'Glauert, Airplane Propellers, 1935; blade section fitted to Brandt & Selig, AIAA 2011-1255';
const MOTOR = 'Drela, First- and second-order DC motor models, MIT, 2006/07';
const BLADE_BAND = 'Single propellers of one label differ so much in thrust; a bench test says more.';

/** How thrust, duration and climb came about. */
export function explainPower(power: Power, { drives, weight, cruise, cruiseDrag, figures }: Flown): Working[] {
  const [first] = drives;
  const propeller = first
    ? [
        input('D', 'Diameter', first.propeller.propeller.diameter, 'length'),
        input('B', 'Blades', first.propeller.propeller.blades, 'ratio'),
      ]
    : [];
  const calibrated = first && first.calibration.thrust !== 1 ? ' times what the bench test said' : '';
  const blades = narrowed(
    { share: 0.15, because: BLADE_BAND },
    first && first.own !== 1 ? figures?.spreads.thrust : undefined,
  );
  const heavy = inputWhenKnown('W', 'Weight', weight, 'force');
  return [
    ...whenKnown(power.staticThrust, (value) => ({
      id: 'staticThrust',
      name: 'Thrust at rest',
      symbol: 'T_0',
      value,
      unit: 'force' as const,
      formula: `Q_motor(ω) = Q_propeller(ω); T = Σ ½ρ W² B c c_n dr, momentum and blade alike on each ring${calibrated}`,
      inputs: [
        ...propeller,
        ...inputWhenKnown('n', 'Revolutions', power.staticTurns, 'perSecond'),
        ...ownFigure('k', 'Own figure of thrust, counted in it', first?.own ?? 1),
      ],
      source: `${BLADES}; ${MOTOR}`,
      range: 'Model propellers of 5–12 in, full pack, still air',
      band: blades.share * value,
      bandBecause: blades.because,
    })),
    ...whenKnown(power.cruiseElectricPower, (value) => ({
      id: 'cruiseElectricPower',
      name: 'Power in level flight',
      symbol: 'P',
      value,
      unit: 'power' as const,
      formula: 'T = D; P = D V/(η_propeller η_motor η_controller)',
      inputs: [
        input('V', 'Cruise speed', cruise, 'speed'),
        ...inputWhenKnown('D', 'Drag there', cruiseDrag, 'force'),
        ...inputWhenKnown('η', 'Propeller makes use of', power.propellerEfficiency, 'percent'),
      ],
      source: MOTOR,
      range: 'Half a pack, calm air',
      band: 0.2 * value,
      bandBecause: 'Drag is known to a tenth, propeller and motor to a tenth each.',
    })),
    ...whenKnown(power.duration, (value) => ({
      id: 'duration',
      name: 'Level flight lasts',
      symbol: 't',
      value,
      unit: 'time' as const,
      formula: 't = ∫ dQ/I from the full pack to a fifth of it; falling voltage opens the throttle',
      inputs: [
        ...inputWhenKnown('I', 'Current, half a pack', power.cruiseCurrent, 'current'),
        ...inputWhenKnown('P', 'Power of the pack', power.cruiseElectricPower, 'power'),
      ],
      source: 'Usual discharge curves at rest, ±0.03 V a cell',
      range: 'A pack that holds what its label says; cold and age by their fields',
      band: 0.2 * value,
      bandBecause: 'As the power; labels of packs promise up to a tenth more than they hold.',
    })),
    ...whenKnown(power.climbRate, (value) => ({
      id: 'climbRate',
      name: 'Fastest climb',
      symbol: 'V_c',
      value,
      unit: 'speed' as const,
      formula: 'V_c = most of V (T − D)/W',
      inputs: [...heavy, ...inputWhenKnown('V', 'Speed of that climb', power.climbRateSpeed, 'speed')],
      source: 'Anderson, Introduction to Flight, ch. 6',
      range: 'Full throttle, full pack, steady climb',
      band: 0.2 * value,
      bandBecause: BLADE_BAND,
    })),
    ...whenKnown(power.maximumSpeed, (value) => ({
      id: 'maximumSpeed',
      name: 'Fastest level flight',
      symbol: 'V_max',
      value,
      unit: 'speed' as const,
      formula: 'T(V) = D(V) at full throttle',
      inputs: heavy,
      source: BLADES,
      range: 'Full pack; the polar goes on beyond its last point as C_D0 + k C_L²',
      band: 0.1 * value,
      bandBecause: 'Where thrust and drag cross flatly a tenth of either moves it by as much.',
    })),
  ];
}
