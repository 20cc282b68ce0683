import { isAftTail, isLifting } from '@/core/2-document/schema/roles';
import type { Metres } from '@/core/1-base/units/convert';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms, type Reference } from '@/core/3-shape/geometry/planform';

/** Where one rule of thumb would put the balance point [m from the datum]. */
export interface School {
  readonly id: 'quarterChord' | 'tailless' | 'betweenQuarterChords' | 'combinedLength';
  readonly name: string;
  readonly from: Metres;
  readonly to: Metres;
}

/**
 * Rules of thumb for the balance point. One wing: a quarter of the mean chord;
 * without any tail 15 to 20 % of it.
 * Two wings with mean chords c and leading edges s apart: midway between the
 * quarter chords, weighted by area, and a quarter to 30 % of the length from
 * the front leading edge to the rear trailing edge. Practice of the field.
 */
export function balanceSchools(surfaces: readonly PlacedSurface[], reference: Reference): School[] {
  const wings = surfaces
    .filter(isLifting)
    .flatMap((surface) => integratePlanforms([surface]) ?? [])
    .sort((a, b) => a.meanChordLeadingEdge - b.meanChordLeadingEdge);
  const quarter = reference.meanChordLeadingEdge + reference.meanChord / 4;
  const front = wings[0];
  const rear = wings.at(-1);
  if (wings.length < 2 || !front || !rear) {
    const quarterChord: School = {
      id: 'quarterChord',
      name: 'A quarter of the mean chord',
      from: quarter,
      to: quarter,
    };
    if (surfaces.some(isAftTail)) return [quarterChord];
    const at = (share: number) => reference.meanChordLeadingEdge + share * reference.meanChord;
    return [quarterChord, { id: 'tailless', name: 'Tailless: 15–20 % of the mean chord', from: at(0.15), to: at(0.2) }];
  }
  const area = wings.reduce((sum, wing) => sum + wing.area, 0);
  const between =
    wings.reduce((sum, wing) => sum + (wing.meanChordLeadingEdge + wing.meanChord / 4) * wing.area, 0) / area;
  const start = front.meanChordLeadingEdge;
  const length = rear.meanChordLeadingEdge + rear.meanChord - start;
  return [
    {
      id: 'betweenQuarterChords',
      name: 'Between the quarter chords, by area',
      from: between,
      to: between,
    },
    {
      id: 'combinedLength',
      name: '25–30 % of the combined length',
      from: start + 0.25 * length,
      to: start + 0.3 * length,
    },
  ];
}
