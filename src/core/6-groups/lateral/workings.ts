import { input, inputWhenKnown, whenKnown, type Working } from '../working';

type Key =
  | 'yawStiffness'
  | 'dihedralEffect'
  | 'rollDamping'
  | 'yawDamping'
  | 'yawFromRollRate'
  | 'rollFromYawRate'
  | 'rollFromAileron'
  | 'yawFromAileron'
  | 'yawFromRudder'
  | 'rollFromRudder';

interface Row {
  readonly key: Key;
  readonly name: string;
  readonly symbol: string;
  readonly formula: string;
  readonly share: number;
  readonly bandBecause: string;
}

const BY_BODY = 'Fuselage moments ±20 %, sidewash about ten percent.';
const BY_BODY_AND_WAKE =
  'Fuselage moments ±35 %, sidewash about ten percent, and how far it moves with the wakes and over the speeds flown.';
const BY_WAKE =
  'Ten percent, and how far it moves when wakes turn with the wind and over the speeds flown; here they stay along the datum.';
const BY_LATTICE = 'Lattice against measurement at model scale, about ten percent.';
const BY_HINGE = 'Gaps and thick boundary layers at model scale take up to a fifth of a control’s power.';

/** Stiffness, damping and control power sideways, one row each. */
const ROWS: readonly Row[] = [
  {
    key: 'yawStiffness',
    name: 'Yaw stiffness',
    symbol: 'C_nβ',
    formula: '∂C_n/∂β, wind from the right positive: a stable fin gives a positive value',
    share: 0.15,
    bandBecause: BY_BODY_AND_WAKE,
  },
  {
    key: 'dihedralEffect',
    name: 'Dihedral effect',
    symbol: 'C_lβ',
    formula: '∂C_l/∂β with the force on the vortices along the chord',
    share: 0.1,
    bandBecause: BY_WAKE,
  },
  {
    key: 'rollDamping',
    name: 'Roll damping',
    symbol: 'C_lp',
    formula: '∂C_l/∂(pb/2V)',
    share: 0.08,
    bandBecause: BY_LATTICE,
  },
  {
    key: 'yawDamping',
    name: 'Yaw damping',
    symbol: 'C_nr',
    formula: '∂C_n/∂(rb/2V)',
    share: 0.15,
    bandBecause: BY_BODY,
  },
  {
    key: 'yawFromRollRate',
    name: 'Yaw from roll rate',
    symbol: 'C_np',
    formula: '∂C_n/∂(pb/2V) with the induced velocity in the force',
    share: 0.2,
    bandBecause: BY_LATTICE,
  },
  {
    key: 'rollFromYawRate',
    name: 'Roll from yaw rate',
    symbol: 'C_lr',
    formula: '∂C_l/∂(rb/2V): the outer wing meets more air',
    share: 0.15,
    bandBecause: BY_LATTICE,
  },
  {
    key: 'rollFromAileron',
    name: 'Roll from aileron',
    symbol: 'C_lδa',
    formula: '∂C_l/∂δ_a, one radian up on one side and down on the other',
    share: 0.2,
    bandBecause: BY_HINGE,
  },
  {
    key: 'yawFromAileron',
    name: 'Yaw from aileron',
    symbol: 'C_nδa',
    formula: '∂C_n/∂δ_a: negative drags the nose the wrong way',
    share: 0.3,
    bandBecause: BY_HINGE,
  },
  {
    key: 'yawFromRudder',
    name: 'Yaw from rudder',
    symbol: 'C_nδr',
    formula: '∂C_n/∂δ_r of the command to the right',
    share: 0.2,
    bandBecause: BY_HINGE,
  },
  {
    key: 'rollFromRudder',
    name: 'Roll from rudder',
    symbol: 'C_lδr',
    formula: '∂C_l/∂δ_r of the command to the right',
    share: 0.3,
    bandBecause: BY_HINGE,
  },
];

interface Reference {
  readonly span: number | null;
  readonly area: number | null;
  readonly aspectRatio: number | null;
}

/** Workings of the lateral derivatives that could be computed. @param alpha of the trimmed state; null without one */
export function explainLateral(
  lateral: Readonly<Record<Key, number | null>>,
  { span, area, aspectRatio }: Reference,
  alpha: number | null,
  bands: Readonly<Partial<Record<Key, number | null>>>,
): Working[] {
  if (span === null || area === null || aspectRatio === null) return [];
  const inputs = [
    input('b', 'Span', span, 'length'),
    input('S', 'Wing area', area, 'area'),
    ...inputWhenKnown('α', 'Angle of attack at cruise', alpha, 'angle'),
  ];
  return ROWS.flatMap(({ key, name, symbol, formula, share, bandBecause }) =>
    whenKnown(lateral[key], (value): Working => ({
      id: key,
      name,
      symbol,
      value,
      unit: 'perRadian',
      formula,
      inputs,
      bandBecause,
      source:
        'Antisymmetric lattice problem, body axes about the balance point (Katz & Plotkin, ch. 12; signs as Etkin & Reid)',
      range: 'Small disturbances of level flight below stall',
      band: share * Math.abs(value) + (bands[key] ?? 0),
    })),
  );
}
