import type { Radians, Vector3 } from '@/core/1-base/units/convert';
import { type AeroModel, standingPanels } from '@/core/5-aero/aeroModel';
import { oddAngles } from '@/core/5-aero/asymmetry';
import { combineCases, controlCase, type FlowCase, type Onset, solveCase, STILL_AIR } from '@/core/5-aero/flowCase';
import { addLoads, crossLoads, type Load } from '@/core/5-aero/forces';
import type { Prepared } from '@/core/6-groups/solution/prepare';

/** How an aircraft moves through the air, in flight axes: speeds [m/s] and turning [rad/s] about the balance point, and its commands [rad]. */
export interface Motion {
  readonly u: number;
  readonly v: number;
  readonly w: number;
  readonly p: number;
  readonly q: number;
  readonly r: number;
  readonly pitch: Radians;
  readonly roll: Radians;
  readonly yaw: Radians;
  readonly flap: Radians;
}

export const AT_REST: Motion = {
  u: 0,
  v: 0,
  w: 0,
  p: 0,
  q: 0,
  r: 0,
  pitch: 0 as Radians,
  roll: 0 as Radians,
  yaw: 0 as Radians,
  flap: 0 as Radians,
};

/** One solved flow and how much of it a motion has [m/s]. */
export interface MotionCase {
  readonly flow: FlowCase;
  readonly share: (motion: Motion) => number;
}

/**
 * The flows that every motion is made of, solved on the full lattice once for a
 * geometry and balance point: streaming along, up and across, turning about
 * three axes with the panels as they stand, each command, and what a command
 * adds while the aircraft turns. Wakes go straight along the datum.
 */
export function motionCases({ lattice, commands, about, effectAt }: Prepared, model: AeroModel): MotionCase[] {
  const { matrices } = model;
  const standing = standingPanels(lattice, effectAt);
  const straight = (linear: Vector3): Onset => ({ ...STILL_AIR, linear });
  const turning = (turn: Vector3): Onset => ({ linear: [0, 0, 0], turn, about });
  const [even, odd] = ['symmetric', 'antisymmetric'] as const;
  const cases: MotionCase[] = [
    { flow: model.level, share: ({ u }) => u },
    { flow: model.rising, share: ({ w }) => w },
    { flow: solveCase(matrices, { parity: even, onset: turning([0, 1, 0]), ...standing }), share: ({ q }) => q },
    {
      flow: solveCase(matrices, { parity: odd, onset: straight([0, -1, 0]), lean: standing.lean }),
      share: ({ v }) => v,
    },
    {
      flow: solveCase(matrices, { parity: odd, onset: turning([-1, 0, 0]), lean: standing.lean }),
      share: ({ p }) => p,
    },
    { flow: solveCase(matrices, { parity: odd, onset: turning([0, 0, -1]), ...standing }), share: ({ r }) => r },
  ];
  const built = oddAngles(lattice, effectAt);
  if (built.some((angle) => angle !== 0)) cases.push({ flow: controlCase(matrices, odd, built), share: ({ u }) => u });
  for (const command of ['pitch', 'flap'] as const) {
    const { even: turned, hasEven } = commands[command];
    if (!hasEven) continue;
    cases.push({ flow: controlCase(matrices, even, turned.angles), share: (motion) => motion.u * motion[command] });
    // Turned panels meet the air of a turn otherwise than the standing ones.
    const more = (parity: 'symmetric' | 'antisymmetric', onset: Onset) =>
      combineCases([
        [1, solveCase(matrices, { parity, onset, angles: turned.angles, lean: turned.lean })],
        [-1, solveCase(matrices, { parity, onset })],
      ]);
    cases.push(
      { flow: more(even, turning([0, 1, 0])), share: (motion) => motion.q * motion[command] },
      { flow: more(odd, turning([0, 0, -1])), share: (motion) => motion.r * motion[command] },
    );
    if (turned.lean.some((lean) => lean !== 0))
      cases.push(
        { flow: more(odd, straight([0, -1, 0])), share: (motion) => motion.v * motion[command] },
        { flow: more(odd, turning([-1, 0, 0])), share: (motion) => motion.p * motion[command] },
      );
  }
  for (const command of ['roll', 'yaw'] as const) {
    const { odd: turned, hasOdd } = commands[command];
    if (hasOdd)
      cases.push({ flow: controlCase(matrices, odd, turned.angles), share: (motion) => motion.u * motion[command] });
  }
  return cases;
}

/** Of x, y, z of force and moment: what turns its sign in the mirror, and what does not. */
const SIDEWAYS = [1, 3, 5];
const UPRIGHT = [0, 2, 4];

/** Loads per density [m⁴/s² and m⁵/s²] of a motion. */
export type LoadsOf = (motion: Motion) => Load;

/**
 * Loads of the surfaces with attached flow, straight from the lattice: a
 * quadratic form in the shares of the cases, so that any motion costs a few
 * hundred products and small ones have the derivatives of the full lattice.
 * Document axes, about the balance point, per density.
 */
export function attachedLoads({ about }: Prepared, { matrices }: AeroModel, cases: readonly MotionCase[]): LoadsOf {
  const size = cases.length;
  const pairs = (size * (size + 1)) / 2;
  const form = new Float64Array(6 * pairs);
  let pair = 0;
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++, pair++) {
      const [a, b] = [cases[i]!.flow, cases[j]!.flow];
      const loads = [...crossLoads(matrices, a, b, about), ...(i === j ? [] : crossLoads(matrices, b, a, about))];
      const { force, moment } = addLoads(loads);
      // What is alike on both sides pushes nothing sideways, and what is opposite nothing upwards: not even by rounding.
      const none = a.parity === b.parity ? SIDEWAYS : UPRIGHT;
      form.set(
        [...force, ...moment].map((value, axis) => (none.includes(axis) ? 0 : value)),
        6 * pair,
      );
    }
  const shares = new Float64Array(size);
  return (motion) => {
    const sum: [number, number, number, number, number, number] = [0, 0, 0, 0, 0, 0];
    let at = 0;
    for (let i = 0; i < size; i++) {
      shares[i] = cases[i]!.share(motion);
      for (let j = 0; j <= i; j++, at += 6) {
        const product = shares[i]! * shares[j]!;
        if (product === 0) continue;
        for (let k = 0; k < 6; k++) sum[k]! += product * form[at + k]!;
      }
    }
    return { force: [sum[0], sum[1], sum[2]], moment: [sum[3], sum[4], sum[5]] };
  };
}
