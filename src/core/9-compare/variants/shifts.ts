import type { Metres, SquareMetres } from '@/core/1-base/units/convert';
import { loadChangeBySurface } from '@/core/5-aero/forces';
import type { Numbers } from '@/core/6-groups/page';
import type { Solution } from '@/core/6-groups/solution/solution';

/** A part that weighs on a mean place: with mass on the balance point, with lift slope on the neutral point. */
export interface Weighing {
  readonly part: string;
  readonly weight: number;
  /** Σ weight times place aft of the datum: what only pitches has no weight of its own. */
  readonly moment: number;
}

/** How far a part moves a mean place on from one design to another. */
export interface Shift {
  readonly part: string;
  readonly by: Metres;
}

const totals = (parts: readonly Weighing[]) => ({
  weight: parts.reduce((sum, { weight }) => sum + weight, 0),
  moment: parts.reduce((sum, { moment }) => sum + moment, 0),
});

/** The mean place itself. */
export function meanPlace(parts: readonly Weighing[]): Metres {
  const { weight, moment } = totals(parts);
  return moment / weight;
}

/**
 * What each part moves of a mean place x̄ = Σ w x / Σ w on the way from one
 * design to another: Δᵢ = [wᵢ′(xᵢ′ − x̄) − wᵢ(xᵢ − x̄)] / Σ w′, parts by their
 * name. The moves add up to x̄′ − x̄ exactly, since Σ w (x − x̄) is nought.
 * Largest first; metres, aft positive.
 */
export function shiftsBetween(before: readonly Weighing[], after: readonly Weighing[]): Shift[] {
  if (before.length === 0 || after.length === 0) return [];
  const from = meanPlace(before);
  const { weight: total } = totals(after);
  const pull = (parts: readonly Weighing[], name: string) =>
    parts.reduce((sum, { part, weight, moment }) => sum + (part === name ? moment - weight * from : 0), 0);
  const names = [...new Set([...after, ...before].map(({ part }) => part))];
  return names
    .map((part) => ({ part, by: (pull(after, part) - pull(before, part)) / total }))
    .toSorted((a, b) => Math.abs(b.by) - Math.abs(a.by));
}

/** What weighs on the balance point [kg]. */
export const balanceOf = ({ mass }: Numbers): Weighing[] =>
  mass.parts.map(({ id, mass: weight, centre }) => ({ part: id, weight, moment: weight * centre[0] }));

/** Fuselages and propellers, which no surface is. */
export const BESIDE_SURFACES = 'bodies';

/**
 * What weighs on the neutral point: the lift slope of every surface and of all
 * bodies together [m² per radian], each where the lift that is gained acts.
 */
export function neutralPointOf({ model, state, byAlpha, alpha, prepared }: Solution): Weighing[] {
  const { about } = prepared;
  const loads = loadChangeBySurface(model.matrices, state, byAlpha, about);
  const extra = model.extra.perAlpha(alpha, about);
  return [
    ...loads.map((load, surface) => ({ part: model.lattice.surfaces[surface]!.source.id, load })),
    ...(prepared.surfacesOnly ? [] : [{ part: BESIDE_SURFACES, load: extra }]),
  ].map(({ part, load: { force, moment } }) => ({ part, weight: force[2], moment: about[0] * force[2] - moment[1] }));
}

/** Drag at cruise by part, as the area of a plate with a drag coefficient of one [m²]. */
export const dragOf = ({
  drag,
  reference,
}: Numbers): readonly { readonly part: string; readonly area: SquareMetres }[] =>
  (drag.parts ?? []).map(({ part, kind, coefficient }) => ({
    part: part === '' ? kind : part,
    area: coefficient * (reference.area ?? 0),
  }));
