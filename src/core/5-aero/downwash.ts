import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { isAftTail, isFin, isWing } from '@/core/2-document/schema/roles';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { AeroModel } from './aeroModel';
import type { FlowCase } from './flowCase';
import type { InfluenceMatrices } from './influence';
import type { Lattice } from './lattice';
import { turnedAir } from './turningWakes';

/** Which surfaces feel the wake and what they are called in words. */
export interface DownwashReceiver {
  readonly surfaces: readonly number[];
  readonly name: string;
}

/** The surface behind: the tail; with a canard alone the wing; else the rear one of two wings. Null with one surface. */
export function downwashReceiver({ surfaces }: Lattice): DownwashReceiver | null {
  const having = (is: (surface: PlacedSurface) => boolean) =>
    surfaces.flatMap((surface, index) => (is(surface) ? [index] : []));
  const tail = having(isAftTail);
  if (tail.length > 0) return { surfaces: tail, name: 'tail' };
  const wings = having(isWing);
  if (having(({ role }) => role === 'canard').length > 0 && wings.length > 0)
    return { surfaces: wings, name: 'wing behind the canard' };
  if (wings.length < 2) return null;
  const edge = (index: number) => surfaces[index]!.stations[0]!.x;
  const rear = wings.reduce((best, index) => (edge(index) > edge(best) ? index : best));
  return { surfaces: [rear], name: 'rear wing' };
}

/**
 * Mean angle by which all other wings and tails lower the air that meets a group,
 * weighted by area, at its control points: ε = −w_n/(V cos Γ) [rad].
 */
export function meanDownwash(matrices: InfluenceMatrices, receiver: DownwashReceiver, state: FlowCase): number {
  const { circulation } = state;
  const each = washOfEach(matrices, receiver);
  let sum = 0;
  for (let panel = 0; panel < each.length; panel++) sum += each[panel]! * circulation[panel]!;
  return sum;
}

/** The same of a unit of circulation on every panel: it is asked of one state after the other. */
function washOfEach(matrices: InfluenceMatrices, receiver: DownwashReceiver): Float64Array {
  const { lattice, unitCases } = matrices;
  const key = `wash at ${receiver.surfaces.join()}`;
  const known = unitCases.get(key) as Float64Array | undefined;
  if (known) return known;
  const { panels } = lattice;
  const normal = matrices.symmetricNormal();
  const each = new Float64Array(panels);
  const weights = weightsOf(lattice, receiver);
  weights.forEach((weight, row) => {
    if (weight !== 0)
      for (let panel = 0; panel < panels; panel++) each[panel]! += weight * normal[row * panels + panel]!;
  });
  const made = actingOn(matrices, receiver, each);
  unitCases.set(key, made);
  return made;
}

/** Its slope with angle of attack dε/dα; `byAlpha` is what the state gains per radian. */
export function downwashSlope(
  { matrices, turnsWakes }: AeroModel,
  receiver: DownwashReceiver,
  { state, byAlpha, alpha }: { readonly state: FlowCase; readonly byAlpha: FlowCase; readonly alpha: number },
): number {
  const slope = meanDownwash(matrices, receiver, byAlpha);
  if (!turnsWakes) return slope;
  const { normal } = turnedAir(matrices, actingOn(matrices, receiver, state.circulation), 'up');
  const turned = weightsOf(matrices.lattice, receiver).reduce((sum, weight, row) => sum + weight * normal[row]!, 0);
  return slope + turned / Math.cos(alpha) ** 2;
}

/** What acts: everything but the group itself and fins, which are end plates rather than wings. @param values of every panel */
function actingOn({ lattice }: InfluenceMatrices, { surfaces }: DownwashReceiver, values: Float64Array): Float64Array {
  const isActing = lattice.surfaces.map((surface, index) => !surfaces.includes(index) && !isFin(surface));
  return mapToNumbers(values, (value, j) =>
    isActing[lattice.strips[Math.floor(j / lattice.cells.count)]!.surface] ? value : 0,
  );
}

/** How much a velocity along the normal of every panel counts in the mean angle by which it lowers the air at a group. */
function weightsOf({ panels, strips, cells: { count } }: Lattice, { surfaces }: DownwashReceiver): Float64Array {
  const weights = new Float64Array(panels);
  let area = 0;
  strips.forEach(({ surface, tangentY, width, m }, stripIndex) => {
    if (!surfaces.includes(surface) || tangentY < 0.1) return;
    const share = width * m.chord;
    weights.fill(-share / tangentY, stripIndex * count, (stripIndex + 1) * count);
    area += count * share;
  });
  return area > 0 ? mapToNumbers(weights, (weight) => weight / area) : weights;
}
