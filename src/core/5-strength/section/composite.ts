import type { Metres } from '@/core/1-base/units/convert';
import type { LayerMember } from '../materials/board';
import type { Solid } from '../materials/solid';

/** What gives way in a section. */
export type Member = LayerMember | 'rod' | 'web' | 'film' | 'joint';

/** A bit of a section: where it is, what it pulls with, and how it bends about itself. */
export interface Fibre {
  readonly member: Member;
  /** Name of the rod, where it is one. */
  readonly rod?: string;
  /** Place of its wall among the walls of the section; none for rods and blocks. */
  readonly wall?: number;
  readonly solid: Solid;
  /** Aft of the leading edge and above the chord line [m]. */
  readonly x: Metres;
  readonly z: Metres;
  /** E A [N]. */
  readonly pull: number;
  /** E I about its own middle: up and down, fore and aft, and both [N·m²]. */
  readonly own: readonly [upDown: number, foreAft: number, both: number];
  /** From its middle to the edges of its long and of its short side, both as ways up and aft [m]. */
  readonly reach: readonly [longUp: Metres, longAft: Metres, shortUp: Metres, shortAft: Metres];
}

/**
 * A section of parts that share by stiffness: plane sections stay plane. Axes
 * x aft, z up; bending up and down is about the x axis through the middle of
 * stiffness. [N·m², N]
 */
export interface Composite {
  readonly fibres: readonly Fibre[];
  /** Σ E A [N]. */
  readonly pull: number;
  /** Middle of stiffness [m]. */
  readonly x: Metres;
  readonly z: Metres;
  /** Σ E z², Σ E x², Σ E x z about it [N·m²]. */
  readonly upDown: number;
  readonly foreAft: number;
  readonly both: number;
  readonly gives: Compliance;
  /** What the strain of every fibre is worked out from, `LIMITS` numbers of each. */
  readonly limits: Float64Array;
}

/** Of each fibre: its middle above and aft of that of stiffness, its four reaches [m], and E/σ pulled and pressed, nothing where it has no stiffness. */
const LIMIT = { up: 0, aft: 1, longUp: 2, longAft: 3, shortUp: 4, shortAft: 5, pulled: 6, pressed: 7 } as const;
const LIMITS = 8;

function limitsOf(fibres: readonly Fibre[], x: Metres, z: Metres): Float64Array {
  const limits = new Float64Array(LIMITS * fibres.length);
  for (let index = 0, at = 0; index < fibres.length; index++, at += LIMITS) {
    const fibre = fibres[index]!;
    const { solid, reach } = fibre;
    limits[at + LIMIT.up] = fibre.z - z;
    limits[at + LIMIT.aft] = fibre.x - x;
    for (let part = 0; part < 4; part++) limits[at + LIMIT.longUp + part] = reach[part]!;
    if (!(solid.young > 0)) continue;
    limits[at + LIMIT.pulled] = solid.young / solid.tension;
    limits[at + LIMIT.pressed] = solid.young / solid.compression;
  }
  return limits;
}

/** Source: Megson, Aircraft Structures for Engineering Students, ch. 16 (unsymmetrical bending), ch. 25 (laminates). */
export function composite(fibres: readonly Fibre[]): Composite {
  let [pull, firstX, firstZ] = [0, 0, 0];
  for (const fibre of fibres) {
    pull += fibre.pull;
    firstX += fibre.pull * fibre.x;
    firstZ += fibre.pull * fibre.z;
  }
  const [x, z] = pull > 0 ? [firstX / pull, firstZ / pull] : [0, 0];
  let [upDown, foreAft, both] = [0, 0, 0];
  for (const fibre of fibres) {
    upDown += fibre.pull * (fibre.z - z) ** 2 + fibre.own[0];
    foreAft += fibre.pull * (fibre.x - x) ** 2 + fibre.own[1];
    both += fibre.pull * (fibre.x - x) * (fibre.z - z) + fibre.own[2];
  }
  const gives = complianceOf(upDown, foreAft, both);
  return { fibres, pull, x, z, upDown, foreAft, both, gives, limits: limitsOf(fibres, x, z) };
}

/** Curvatures that a unit of each moment gives a section [1/(N·m²)]: that of `up` by the upward moment, that of `aft` by the rearward one, and of each by the other. */
export interface Compliance {
  readonly up: number;
  readonly both: number;
  readonly aft: number;
}

/** M_up = E I_zz κ_up + E I_xz κ_aft, M_aft = E I_xz κ_up + E I_xx κ_aft, the other way round; of what does not resist fore and aft, up and down only. */
function complianceOf(upDown: number, foreAft: number, both: number): Compliance {
  const determinant = upDown * foreAft - both ** 2;
  if (!(determinant > 1e-12 * upDown * foreAft)) return { up: upDown > 0 ? 1 / upDown : 0, both: 0, aft: 0 };
  return { up: foreAft / determinant, both: -both / determinant, aft: upDown / determinant };
}

/** Curvatures of a section: w'' up and down, u'' fore and aft [1/m]. */
export interface Curvature {
  readonly up: number;
  readonly aft: number;
}

/** Curvatures under moments [N·m]: `up` presses the upper side, `aft` the rear. */
export const curvatureOf = ({ gives }: Composite, up: number, aft: number): Curvature => ({
  up: gives.up * up + gives.both * aft,
  aft: gives.both * up + gives.aft * aft,
});

/** How much of what it bears the hardest worked fibre bears, and which it is. */
export interface Utilisation {
  readonly share: number;
  readonly fibre: Fibre | null;
  readonly isPressed: boolean;
}

/** Strain ε = −κ_up z − κ_aft x of every fibre at its outer edges, against the strain it bears: σ/E. */
export function utilisation({ fibres, limits }: Composite, { up, aft }: Curvature): Utilisation {
  let share = 0;
  let hardest = -1;
  for (let at = 0; at < limits.length; at += LIMITS) {
    const own = Math.max(shareAt(limits, at, up, aft, true), shareAt(limits, at, up, aft, false));
    if (own > share) {
      share = own;
      hardest = at;
    }
  }
  const isPressed = hardest >= 0 && shareAt(limits, hardest, up, aft, true) > shareAt(limits, hardest, up, aft, false);
  return { share, fibre: hardest < 0 ? null : fibres[hardest / LIMITS]!, isPressed };
}

/** Share at the edge of a fibre that is pressed or pulled most. Asked for thousands of times: nothing is made on the way. */
function shareAt(limits: Float64Array, at: number, up: number, aft: number, isPressed: boolean): number {
  const middle = -up * limits[at + LIMIT.up]! - aft * limits[at + LIMIT.aft]!;
  const edge =
    Math.abs(up * limits[at + LIMIT.longUp]! + aft * limits[at + LIMIT.longAft]!) +
    Math.abs(up * limits[at + LIMIT.shortUp]! + aft * limits[at + LIMIT.shortAft]!);
  return isPressed ? (edge - middle) * limits[at + LIMIT.pressed]! : (middle + edge) * limits[at + LIMIT.pulled]!;
}

/** How hard each kind of member is worked, every rod by itself. */
export interface MemberWorked {
  readonly member: Member;
  readonly rod: string | null;
  readonly share: number;
}

export function membersWorked({ fibres, limits }: Composite, { up, aft }: Curvature): MemberWorked[] {
  const worst = new Map<string, MemberWorked>();
  fibres.forEach(({ solid, member, rod = null }, index) => {
    if (solid.young <= 0) return;
    const at = LIMITS * index;
    const share = Math.max(shareAt(limits, at, up, aft, true), shareAt(limits, at, up, aft, false));
    const key = rod ?? member;
    if (share >= (worst.get(key)?.share ?? 0)) worst.set(key, { member, rod, share });
  });
  return [...worst.values()];
}

/** How far a section’s stiffness may lie from what is computed: bands of its parts by their shares of it. */
export function bandOf({ fibres, z, upDown }: Composite): number {
  if (!(upDown > 0)) return 0;
  let sum = 0;
  for (const fibre of fibres) sum += (fibre.pull * (fibre.z - z) ** 2 + fibre.own[0]) * fibre.solid.band;
  return sum / upDown;
}
