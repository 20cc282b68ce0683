import { inertiaCoefficients } from '@/core/5-aero/ellipsoid';
import { lateralModes, longitudinalModes, type Mode } from '@/core/6-groups/motion/linearModes';
import type { PublishedCase } from './publishedCase';

/** The light aeroplane of Nelson, Flight Stability and Automatic Control, appendix B: pounds, slugs, feet. */
const LIGHT_PLANE = {
  mass: 2750 / 32.174,
  gravity: 32.174,
  speed: 176,
  area: 184,
  chord: 5.7,
  span: 33.4,
  pressure: (0.002377 * 176 ** 2) / 2,
} as const;

const { mass, gravity, speed, area, chord, span, pressure } = LIGHT_PLANE;
const force = (pressure * area) / speed;

const longitudinal = longitudinalModes({
  mass,
  gravity,
  speed,
  inertiaY: 3000,
  xu: -2 * 0.05 * force,
  xw: (0.41 - 0.33) * force,
  zu: -2 * 0.41 * force,
  zw: -(4.44 + 0.05) * force,
  zq: 0,
  zwDot: 0,
  mu: 0,
  mw: -0.683 * force * chord,
  mq: (-9.96 * force * chord ** 2) / 2,
  mwDot: (-4.36 * force * chord ** 2) / (2 * speed),
});
const turn = (force * span ** 2) / 2;
const lateral = lateralModes({
  mass,
  gravity,
  inertiaX: 1048,
  inertiaZ: 3530,
  inertiaXZ: 0,
  speedX: speed,
  speedZ: 0,
  pitchAngle: 0,
  yv: -0.564 * force,
  yp: 0,
  yr: 0,
  lv: -0.074 * force * span,
  lp: -0.41 * turn,
  lr: 0.107 * turn,
  nv: 0.071 * force * span,
  np: -0.0575 * turn,
  nr: -0.125 * turn,
});

const mode = (kind: Mode['kind']) => [...longitudinal, ...lateral].find((one) => one.kind === kind)!;
const NELSON =
  'Nelson, Flight Stability and Automatic Control, light aeroplane at 176 ft/s, eigenvalues of its derivatives';

const eigenvalue = (kind: Mode['kind'], part: 'real' | 'imaginary', published: number): PublishedCase => ({
  title: `${NAMES[kind]!}, ${part} part of the eigenvalue [1/s]`,
  source: NELSON,
  published,
  ours: () => mode(kind)[part],
  tolerance: 0.002,
});

const NAMES: Partial<Record<Mode['kind'], string>> = {
  phugoid: 'Phugoid',
  shortPeriod: 'Short period',
  roll: 'Roll',
  dutchRoll: 'Dutch roll',
  spiral: 'Spiral',
};

const LAMB = 'Lamb, Hydrodynamics; Munk, NACA Report 184, 1924';

/** Small motions of a published aircraft, and the air that moves with a body. */
export const MOTION_CASES: readonly PublishedCase[] = [
  eigenvalue('phugoid', 'real', -0.0171),
  eigenvalue('phugoid', 'imaginary', 0.2129),
  eigenvalue('shortPeriod', 'real', -2.509),
  eigenvalue('shortPeriod', 'imaginary', 2.592),
  eigenvalue('roll', 'real', -8.431),
  eigenvalue('dutchRoll', 'real', -0.4867),
  eigenvalue('dutchRoll', 'imaginary', 2.347),
  eigenvalue('spiral', 'real', -0.00819),
  ...(
    [
      [4, 0.0816, 0.8598],
      [8, 0.0293, 0.9447],
    ] as const
  ).flatMap(([fineness, along, across]): PublishedCase[] => [
    {
      title: `Air that moves with an ellipsoid ${fineness} diameters long, along its axis`,
      source: LAMB,
      published: along,
      ours: () => inertiaCoefficients(fineness).along,
      tolerance: 0.002,
    },
    {
      title: `The same across its axis`,
      source: LAMB,
      published: across,
      ours: () => inertiaCoefficients(fineness).across,
      tolerance: 0.001,
    },
  ]),
];
