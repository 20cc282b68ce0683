import type { Grams, Millimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';

/** Front and rear: supports of a stand aft of the datum [mm], or what the scales under them read [g]. */
export interface FrontRear {
  readonly front: number;
  readonly rear: number;
}

/** What an aircraft weighs and where it balances, aft of the datum. */
export interface OnStand {
  readonly mass: Grams;
  readonly at: Millimetres;
}

/** Balance on two supports: x = x₁ + (x₂ − x₁) R₂/(R₁ + R₂). Null where nothing lies on it or the rear one is not behind. [exact] */
export function balanceOnStand(supports: FrontRear, reads: FrontRear): OnStand | null {
  const mass = reads.front + reads.rear;
  if (!(mass > 0) || !(supports.rear - supports.front > 1)) return null;
  return { mass, at: supports.front + ((supports.rear - supports.front) * reads.rear) / mass };
}

/** How far to slide what slides, and what is then still missing. */
export interface PackMove {
  readonly name: string;
  /** Aft positive. */
  readonly by: Millimetres;
  /** Balance that is left off where its bay ends; nought where it has the room. */
  readonly left: Millimetres;
}

/** Brings the balance point from where it was found to where it is wanted by the heaviest part that slides; null without one. Δx = (wanted − found) m/m_pack. [exact] */
export function packMove({ massItems }: Design, { mass, at }: OnStand, wanted: Millimetres): PackMove | null {
  const weightOf = ({ mass: own, measuredMass, mirrored }: (typeof massItems)[number]) =>
    (measuredMass ?? own) * (mirrored ? 2 : 1);
  const pack = massItems
    .filter(({ attachment }) => attachment.kind === 'slides')
    .toSorted((a, b) => weightOf(b) - weightOf(a))[0];
  if (!pack || pack.attachment.kind !== 'slides' || !(weightOf(pack) > 0)) return null;
  const asked = ((wanted - at) * mass) / weightOf(pack);
  const { from, to } = pack.attachment;
  const by = Math.min(to - pack.position.x, Math.max(from - pack.position.x, asked));
  return { name: pack.name || pack.id, by, left: ((asked - by) * weightOf(pack)) / mass };
}
