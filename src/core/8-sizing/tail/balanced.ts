import { field, type FieldChange } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { weigh } from '@/core/4-weight/massModel';
import type { MassProperties } from '@/core/4-weight/massElement';
import { placeForBalance, slidingItems } from '@/core/4-weight/placement';

const known = new WeakMap<Design, MassProperties | null>();

/** What weighed its bodies just before. */
export type WeighedBodies = Parameters<typeof weigh>[2];

/** Weighed once: a drag is counted from the design that it began with, step by step. */
function weighed(design: Design): MassProperties | null {
  const before = known.get(design);
  if (before !== undefined) return before;
  const { properties } = weigh(design, placeAll(design.surfaces));
  known.set(design, properties);
  return properties;
}

/**
 * A tail that grows gets heavier: what slides takes the balance back to where
 * it was, as far as its bay lets it. @param bodies taken as they weighed just
 * before instead of as the tail passes through them now
 */
export function balanced(
  design: Design,
  change: readonly FieldChange[],
  bodies?: WeighedBodies,
): readonly FieldChange[] {
  const before = weighed(design);
  const changed = withFields(design, change);
  const after = bodies ? weigh(changed, placeAll(changed.surfaces), bodies).properties : weighed(changed);
  const slider = slidingItems(changed)[0];
  if (!before || !after || !slider) return change;
  const { reachable } = placeForBalance(slider, before.centreOfGravity[0], {
    total: after.total,
    x: after.centreOfGravity[0],
  });
  return [...change, field('massItems', slider.id, 'position', 'x').to(Math.round(reachable * 10) / 10)];
}
