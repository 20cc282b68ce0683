import type { AeroModel } from './aeroModel';

/** Lift coefficient of the whole from those of its strips, both sides. */
export const wholeLift = ({ lattice, reference }: AeroModel, lifts: Float64Array): number =>
  lattice.strips.reduce(
    (sum, { width, m, tangentY }, i) => sum + (2 * lifts[i]! * width * m.chord * tangentY) / reference.area,
    0,
  );
