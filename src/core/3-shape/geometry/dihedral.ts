import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { PlacedSurface } from './layout';

/** Rise of the tip over the root [m]. */
export const tipRise = ({ stations }: PlacedSurface): number => stations.at(-1)!.z - stations[0]!.z;

/**
 * Dihedral of a straight wing that rolls as much in sideslip as a polyhedral
 * one [°]: each panel weighted by its area times its arm,
 * Γ_e = ΣΓᵢ∫c y dy/∫c y dy. Source: strip theory, e.g. Etkin & Reid, Dynamics
 * of Flight, section 3.10. Good to about 10 %.
 */
export function effectiveDihedral({ stations, panelDihedrals }: PlacedSurface): number {
  let weighted = 0;
  let weight = 0;
  panelDihedrals.forEach((dihedral, panel) => {
    const a = stations[panel]!;
    const b = stations[panel + 1]!;
    const width = b.distance - a.distance;
    // ∫c y dy over a panel of linear chord, y from the root along the board.
    const moment =
      (width * (2 * a.chord * a.distance + a.chord * b.distance + b.chord * a.distance + 2 * b.chord * b.distance)) / 6;
    weighted += dihedral * moment;
    weight += moment;
  });
  return weight > 0 ? degreesFromRadians(weighted / weight) : 0;
}

/** Dihedral of one panel whose outer end rises by so much over its length [mm → °]; null when the rise is longer. */
export function dihedralForRise(rise: number, length: number): number | null {
  return Math.abs(rise) >= length ? null : degreesFromRadians(Math.asin(rise / length));
}
