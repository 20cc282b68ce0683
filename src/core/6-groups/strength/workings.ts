import { input, inputWhenKnown, ownFigure, whenKnown, type Working } from '../working';
import type { Numbers, ValueOf } from '../group';
import type { pitch } from '../pitch/pitch';
import type { strengthKeys } from './keys';

type Strength = Numbers<typeof strengthKeys.shape>;

interface Flight {
  readonly mass: number | null;
  readonly cruise: number;
  readonly pitch: ValueOf<typeof pitch>;
  /** The builder’s own figure of the stiffness of boards. */
  readonly own: number;
}

const BOARDS =
  'Boards and papers differ by a third and more, and get softer when damp; a strip that was bent says more.';
const BEAMS = 'Megson, Aircraft Structures for Engineering Students, ch. 16–18; Allen, Structural Sandwich Panels';
const AEROELASTIC = 'Bisplinghoff, Ashley & Halfman, Aeroelasticity, ch. 8; loads of the lattice';
const SMALL = 'Small deflections, attached flow, slow changes: no flutter';

/** How the numbers that a builder acts on came about. */
export function explainStrength(strength: Strength, flight: Flight): Working[] {
  const { breaksAt, flightLoadFactor, deflectionBand } = strength;
  const wing = strength.surfaces.find(({ surface }) => surface === breaksAt?.surface) ?? strength.surfaces[0];
  const root = wing?.nodes[0];
  const atPlace = wing?.nodes.findLast(({ spanFraction }) => spanFraction <= (breaksAt?.spanFraction ?? 0) + 1e-9);
  const boom = strength.booms.find(({ pitchFactor }) => pitchFactor === strength.boomPitchFactor);
  const speedIn = [input('V', 'Cruise speed', flight.cruise, 'speed')];
  const diveIn = inputWhenKnown('V_D', 'Fastest in the dive', strength.diveSpeed, 'speed');
  const mass = inputWhenKnown('m', 'Mass', flight.mass, 'mass');
  return [
    ...whenKnown(strength.breakingLoadFactor, (value) => ({
      id: 'breakingLoadFactor',
      name: 'Load factor that breaks it',
      symbol: 'n',
      value,
      unit: 'ratio' as const,
      formula: 'M(n)/ΣE I × E z = σ of the first member; where one gives way the others share anew',
      inputs: [
        ...mass,
        ...speedIn,
        ...(atPlace
          ? [
              input('M₁', `Moment of ${breaksAt?.surface ?? 'the wing'} there, level`, atPlace.moment, 'moment'),
              input('E I', 'Stiffness there', atPlace.stiffness, 'stiffness'),
            ]
          : []),
        ...(breaksAt ? [input('y/s', 'Where, of the half span', breaksAt.spanFraction, 'percent')] : []),
      ],
      source: BEAMS,
      range: 'Level pull-ups; loads by hand, gusts from the side and hard landings are other cases',
      band: strength.breakingBand === null ? null : strength.breakingBand * value,
      bandBecause: BOARDS,
    })),
    ...whenKnown(flightLoadFactor, (value) => ({
      id: 'flightLoadFactor',
      name: 'Load factor that flight may ask for',
      symbol: 'n_max',
      value,
      unit: 'ratio' as const,
      formula: 'n_max = least of C_L,max q S/(m g) and 1 + |C_m,δ δ|/(C_L H_m) in the dive; at least 2.5 and a gust',
      inputs: [
        ...mass,
        ...diveIn,
        ...inputWhenKnown('H_m', 'Manoeuvre margin', flight.pitch.manoeuvreMargin, 'percent'),
      ],
      source: 'McCormick, Aerodynamics, Aeronautics and Flight Mechanics, ch. 8; gusts by Pratt, NACA TN 2964',
      range: 'Full pitch command at the end of the dive of the document: more than a calm pilot asks for',
      band: 0.2 * value,
      bandBecause: 'The greatest lift is known to about a tenth, the speed of the dive to a tenth.',
    })),
    ...whenKnown(strength.diveSpeed, (value) => ({
      id: 'diveSpeed',
      name: 'Fastest in the dive',
      symbol: 'V_D',
      value,
      unit: 'speed' as const,
      formula: 'V² grows by 2 g h sin γ less what drag takes on the way',
      inputs: [...mass, ...speedIn],
      source: 'Energy along a straight dive without power',
      range: 'The angle and the height of the document',
      band: 0.1 * value,
      bandBecause: 'Drag is known to about a quarter.',
    })),
    ...whenKnown(strength.tipDeflection, (value) => ({
      id: 'tipDeflection',
      name: 'How far the tip stands up',
      symbol: 'w',
      value,
      unit: 'length' as const,
      formula: "w'' = M/(E I), added up from the root, with shear of the core and the load as it bends",
      inputs: [
        ...mass,
        ...speedIn,
        ...(root
          ? [
              input('M', 'Moment at the root', root.moment, 'moment'),
              input('E I', 'Stiffness at the root', root.stiffness, 'stiffness'),
            ]
          : []),
        ...ownFigure('k', 'Own figure of stiffness, counted where no strip was bent', flight.own),
      ],
      source: BEAMS,
      range: SMALL,
      band: deflectionBand === null ? null : Math.abs(deflectionBand * value),
      bandBecause: BOARDS,
    })),
    ...whenKnown(strength.divergenceSpeed, (value) => ({
      id: 'divergenceSpeed',
      name: 'Speed at which a twist feeds itself',
      symbol: 'V_div',
      value,
      unit: 'speed' as const,
      formula: 'det(I − q K) = 0, K the turns by the loads that one radian of each shape brings',
      inputs: [
        ...(root ? [input('G J', 'Twist stiffness at the root', root.twistStiffness, 'stiffness')] : []),
        ...diveIn,
      ],
      source: AEROELASTIC,
      range: SMALL,
      band: 0.5 * (deflectionBand ?? 0.4) * value,
      bandBecause: `It goes with the root of the stiffness. ${BOARDS}`,
    })),
    ...whenKnown(strength.boomPitchFactor, (value) => ({
      id: 'boomPitchFactor',
      name: 'Share of the tail that the boom leaves',
      symbol: 'k_boom',
      value,
      unit: 'percent' as const,
      formula: '1/(1 + q S_t a_t L²/(2 E I)) for an even boom, by the lattice for the one that is drawn',
      inputs: [...speedIn, ...(boom ? [input('L', `Free length of ${boom.body}`, boom.length, 'length')] : [])],
      source: AEROELASTIC,
      range: SMALL,
      // d k/k = (1 − k) d(EI)/EI.
      band: Math.abs(value * (1 - value)) * (deflectionBand ?? 0.4),
      bandBecause: BOARDS,
    })),
  ];
}
