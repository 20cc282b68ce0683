import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { isAftTail, isFin, isWing } from '@/core/2-document/schema/roles';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { AeroModel } from './aeroModel';
import type { FlowCase } from './flowCase';
import { multiplyRows } from './kernel/luFactors';
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
  const { lattice } = matrices;
  const normal = multiplyRows(matrices.halves().symmetricNormal, lattice.panels, actingOn(matrices, receiver, state));
  return meanOver(matrices, receiver, (panel) => normal[panel]!);
}

/** Its slope with angle of attack dε/dα; `byAlpha` is what the state gains per radian. */
export function downwashSlope(
  { matrices, turnsWakes }: AeroModel,
  receiver: DownwashReceiver,
  { state, byAlpha, alpha }: { readonly state: FlowCase; readonly byAlpha: FlowCase; readonly alpha: number },
): number {
  const slope = meanDownwash(matrices, receiver, byAlpha);
  if (!turnsWakes) return slope;
  const { normal } = turnedAir(matrices, actingOn(matrices, receiver, state), 'up');
  return slope + meanOver(matrices, receiver, (panel) => normal[panel]!) / Math.cos(alpha) ** 2;
}

/** What acts: everything but the group itself and fins, which are end plates rather than wings. */
function actingOn({ lattice }: InfluenceMatrices, { surfaces }: DownwashReceiver, state: FlowCase): Float64Array {
  const isActing = lattice.surfaces.map((surface, index) => !surfaces.includes(index) && !isFin(surface));
  return mapToNumbers(state.circulation, (strength, j) =>
    isActing[lattice.strips[Math.floor(j / lattice.cells.count)]!.surface] ? strength : 0,
  );
}

/** Mean of a velocity along the normals of a group, as the angle by which it lowers the air. */
function meanOver(
  { lattice }: InfluenceMatrices,
  { surfaces }: DownwashReceiver,
  normalAt: (panel: number) => number,
): number {
  const count = lattice.cells.count;
  let sum = 0;
  let area = 0;
  lattice.strips.forEach((strip, stripIndex) => {
    if (!surfaces.includes(strip.surface) || strip.tangentY < 0.1) return;
    for (let k = 0; k < count; k++) {
      const share = strip.width * strip.m.chord;
      sum -= (share * normalAt(stripIndex * count + k)) / strip.tangentY;
      area += share;
    }
  });
  return area > 0 ? sum / area : 0;
}
