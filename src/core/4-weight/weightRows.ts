import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { MassPart } from './massModel';

/** Groups under which weights are summed, in the order of the table. */
export const WEIGHT_GROUPS = ['airframe', 'power', 'controls', 'payload', 'ballast', 'other'] as const;
export type WeightGroup = (typeof WEIGHT_GROUPS)[number];

const GROUP_OF: Record<MassItem['category'], WeightGroup> = {
  battery: 'power',
  motor: 'power',
  propeller: 'power',
  speedController: 'power',
  servo: 'controls',
  receiver: 'controls',
  payload: 'payload',
  ballast: 'ballast',
  undercarriage: 'airframe',
  hardware: 'airframe',
  other: 'other',
};

/** One line of the weights table, document units: g and mm. */
export interface WeightRow {
  readonly id: string;
  readonly kind: MassPart['kind'];
  readonly name: string;
  readonly group: WeightGroup;
  /** Both sides of a mirrored part. */
  readonly computed: number;
  readonly measured: number | null;
  readonly counts: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Of the flying mass. */
  readonly share: number;
}

/** Every part of a design as the table shows it. */
export function weightRows(design: Design, parts: readonly MassPart[]): WeightRow[] {
  const total = parts.reduce((sum, { mass }) => sum + mass, 0);
  return parts.map((part) => {
    const item = part.kind === 'item' ? design.massItems.find(({ id }) => id === part.id) : undefined;
    return {
      id: part.id,
      kind: part.kind,
      name: part.name,
      group: item ? GROUP_OF[item.category] : 'airframe',
      computed: gramsFromKilograms(part.computed),
      measured: part.measured === null ? null : gramsFromKilograms(part.measured),
      counts: gramsFromKilograms(part.mass),
      x: item?.position.x ?? millimetresFromMetres(part.centre[0]),
      y: item?.position.y ?? millimetresFromMetres(part.centre[1]),
      z: item?.position.z ?? millimetresFromMetres(part.centre[2]),
      share: total > 0 ? part.mass / total : 0,
    };
  });
}

export interface WeightBudget {
  readonly total: number;
  /** Sum of what geometry and data sheets say. */
  readonly computed: number;
  /** Weighed over computed of what was weighed; null before anything was. */
  readonly creep: number | null;
  /** Total if what is not weighed yet creeps as much [g]. */
  readonly expected: number;
  readonly byGroup: Readonly<Record<WeightGroup, number>>;
}

/** Sums by group, and what weighing so far says of the rest. */
export function weightBudget(rows: readonly WeightRow[]): WeightBudget {
  const byGroup = Object.fromEntries(
    WEIGHT_GROUPS.map((group) => [
      group,
      rows.filter((row) => row.group === group).reduce((sum, { counts }) => sum + counts, 0),
    ]),
  ) as Record<WeightGroup, number>;
  const weighed = rows.filter(({ measured }) => measured !== null);
  const computedOfWeighed = weighed.reduce((sum, { computed }) => sum + computed, 0);
  const creep =
    computedOfWeighed > 0 ? weighed.reduce((sum, { measured }) => sum + measured!, 0) / computedOfWeighed - 1 : null;
  const total = rows.reduce((sum, { counts }) => sum + counts, 0);
  const rest = rows.filter(({ measured }) => measured === null).reduce((sum, { counts }) => sum + counts, 0);
  return {
    total,
    computed: rows.reduce((sum, { computed }) => sum + computed, 0),
    creep,
    expected: total + rest * Math.max(0, creep ?? 0),
    byGroup,
  };
}
