import type { Seconds } from '@/core/1-base/units/convert';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';

/**
 * Small motions about steady level flight as eigenvalues of two systems of
 * four equations each (u, w, q, θ and v, p, r, φ), body axes, any consistent
 * units. Source: Etkin & Reid, Dynamics of Flight, 3rd ed., eqs. 4.9,18 and
 * 4.9,19. Signs there: x forward, z down, so Z is positive downward.
 */
export interface LongitudinalSystem {
  readonly mass: number;
  readonly inertiaY: number;
  readonly speed: number;
  readonly gravity: number;
  /** Dimensional derivatives: force or moment per unit of speed or rate. */
  readonly xu: number;
  readonly xw: number;
  readonly zu: number;
  readonly zw: number;
  readonly zq: number;
  readonly zwDot: number;
  /** Of air that is moved at an arm behind the balance point; as a rule left out. */
  readonly zqDot?: number;
  readonly mu: number;
  readonly mw: number;
  readonly mq: number;
  readonly mwDot: number;
}

export interface LateralSystem {
  readonly mass: number;
  readonly inertiaX: number;
  readonly inertiaZ: number;
  readonly inertiaXZ: number;
  /** Steady speed along the body x and z axes. */
  readonly speedX: number;
  readonly speedZ: number;
  readonly pitchAngle: number;
  readonly gravity: number;
  readonly yv: number;
  readonly yp: number;
  readonly yr: number;
  readonly lv: number;
  readonly lp: number;
  readonly lr: number;
  readonly nv: number;
  readonly np: number;
  readonly nr: number;
}

export type ModeKind = 'phugoid' | 'shortPeriod' | 'dutchRoll' | 'roll' | 'spiral' | 'rollSpiral' | 'slow' | 'fast';

/** One motion: how fast it swings and dies away. */
export interface Mode {
  readonly kind: ModeKind;
  /** Eigenvalue [1/s]. */
  readonly real: number;
  readonly imaginary: number;
  /** Time of one swing [s]; null when it does not swing. */
  readonly period: Seconds | null;
  /** Time to half, or to double when it grows [s]; null when it does neither. */
  readonly timeToHalf: Seconds | null;
  readonly grows: boolean;
}

interface Eigenvalue {
  readonly real: number;
  readonly imaginary: number;
}

/** @throws RangeError for anything that is not finite, on which the library would search without end */
function eigenvaluesOf(rows: number[][]): Eigenvalue[] {
  if (!rows.flat().every(Number.isFinite)) throw new RangeError('The equations of motion hold what is no number.');
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(new Matrix(rows));
  return realEigenvalues.map((real, index) => ({ real, imaginary: imaginaryEigenvalues[index]! }));
}

function modeOf(kind: ModeKind, { real, imaginary }: Eigenvalue): Mode {
  const swing = Math.abs(imaginary);
  return {
    kind,
    real,
    imaginary: swing,
    period: swing > 1e-9 ? (2 * Math.PI) / swing : null,
    timeToHalf: Math.abs(real) > 1e-9 ? Math.LN2 / Math.abs(real) : null,
    grows: real > 0,
  };
}

const size = ({ real, imaginary }: Eigenvalue) => Math.hypot(real, imaginary);

/** One of each pair, and every one that stands alone; slowest first. */
function distinct(values: readonly Eigenvalue[]): Eigenvalue[] {
  return values.filter(({ imaginary }) => imaginary >= 0).sort((a, b) => size(a) - size(b));
}

/** Phugoid and short period; motions that do not swing are named by their pace. */
export function longitudinalModes(system: LongitudinalSystem): Mode[] {
  const { mass, inertiaY, speed, gravity, zwDot, zqDot = 0, mwDot } = system;
  // (m − Z_ẇ) ẇ − Z_q̇ q̇ = Z and I q̇ − M_ẇ ẇ = M.
  const moved = mass - zwDot;
  const determinant = moved * inertiaY - zqDot * mwDot;
  const heave = (z: number, m: number) => (inertiaY * z + zqDot * m) / determinant;
  const pitch = (z: number, m: number) => (mwDot * z + moved * m) / determinant;
  const turned = system.zq + mass * speed;
  const rows = (answer: (z: number, m: number) => number) => [
    answer(system.zu, system.mu),
    answer(system.zw, system.mw),
    answer(turned, system.mq),
    0,
  ];
  const values = distinct(
    eigenvaluesOf([[system.xu / mass, system.xw / mass, 0, -gravity], rows(heave), rows(pitch), [0, 0, 1, 0]]),
  );
  if (values.length === 2) return [modeOf('phugoid', values[0]!), modeOf('shortPeriod', values[1]!)];
  const swinging = values.filter(({ imaginary }) => imaginary > 0);
  return values.map((value) => {
    if (value.imaginary > 0 && swinging.length === 1) {
      return modeOf(size(value) <= size(values[0]!) + 1e-12 ? 'phugoid' : 'shortPeriod', value);
    }
    return modeOf(values.indexOf(value) < values.length / 2 ? 'slow' : 'fast', value);
  });
}

/** Dutch roll, roll and spiral; roll and spiral may join into one slow swing. */
export function lateralModes(system: LateralSystem): Mode[] {
  const { mass, inertiaX, inertiaZ, inertiaXZ, gravity, speedX, speedZ, pitchAngle } = system;
  const determinant = inertiaX * inertiaZ - inertiaXZ ** 2;
  const roll = (l: number, n: number) => (inertiaZ * l + inertiaXZ * n) / determinant;
  const yaw = (l: number, n: number) => (inertiaXZ * l + inertiaX * n) / determinant;
  const values = distinct(
    eigenvaluesOf([
      [system.yv / mass, system.yp / mass + speedZ, system.yr / mass - speedX, gravity * Math.cos(pitchAngle)],
      [roll(system.lv, system.nv), roll(system.lp, system.np), roll(system.lr, system.nr), 0],
      [yaw(system.lv, system.nv), yaw(system.lp, system.np), yaw(system.lr, system.nr), 0],
      [0, 1, Math.tan(pitchAngle), 0],
    ]),
  );
  const swings = values.filter(({ imaginary }) => imaginary > 0);
  const alone = values.filter(({ imaginary }) => imaginary === 0);
  if (swings.length === 2) return [modeOf('dutchRoll', swings[1]!), modeOf('rollSpiral', swings[0]!)];
  if (swings.length === 1)
    return [modeOf('dutchRoll', swings[0]!), modeOf('roll', alone[1]!), modeOf('spiral', alone[0]!)];
  return values.map((value, index) =>
    modeOf(index === 0 ? 'spiral' : index === values.length - 1 ? 'roll' : index === 1 ? 'slow' : 'fast', value),
  );
}
