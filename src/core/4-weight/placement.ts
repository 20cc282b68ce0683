import type { Design } from '@/core/2-document/schema/design';
import type { MassItem } from '@/core/2-document/schema/airframe';
import {
  type Grams,
  gramsFromKilograms,
  metresFromMillimetres,
  millimetresFromMetres,
} from '@/core/1-base/units/convert';

/** Where one item would have to sit for the aircraft to balance at a target. */
export interface Placement {
  readonly item: MassItem;
  /** Wanted place of its centre [mm from the datum]. */
  readonly position: number;
  /** The same, kept within its travel. */
  readonly reachable: number;
  readonly withinTravel: boolean;
}

/**
 * x_new = x_old + (x_target − x_CG) M / m: a part of mass m moved by Δ moves
 * the balance of the whole M by Δ m/M. Masses in kg, places in m.
 */
export function placeForBalance(item: MassItem, target: number, balance: { total: number; x: number }): Placement {
  const mass = weightOf(item) * (item.mirrored ? 2 : 1);
  const shift = ((target - balance.x) * gramsFromKilograms(balance.total)) / mass;
  const position = item.position.x + millimetresFromMetres(shift);
  const { attachment } = item;
  const reachable =
    attachment.kind === 'slides' ? Math.min(attachment.to, Math.max(attachment.from, position)) : position;
  return { item, position, reachable, withinTravel: Math.abs(reachable - position) < 1e-9 };
}

/** What is lighter moves no balance point that can be measured [g]. */
const MOVES_NOTHING = 0.01;

const weightOf = ({ mass, measuredMass }: MassItem): Grams => measuredMass ?? mass;

/** Items that are meant to be moved for balance, heaviest first. */
export function slidingItems(design: Design): MassItem[] {
  return design.massItems
    .filter((item) => item.attachment.kind === 'slides' && weightOf(item) >= MOVES_NOTHING)
    .sort((a, b) => weightOf(b) - weightOf(a));
}

/** Ballast of more than so many times the whole is none [-]. */
const ABSURD_BALLAST = 10;

/** Ballast at a place that brings the balance to a target [g]; null when it would have to be negative or absurd. */
export function ballastFor(place: number, target: number, balance: { total: number; x: number }): number | null {
  const mass = (balance.total * (balance.x - target)) / (target - metresFromMillimetres(place));
  return mass > 0 && mass < ABSURD_BALLAST * balance.total ? gramsFromKilograms(mass) : null;
}
