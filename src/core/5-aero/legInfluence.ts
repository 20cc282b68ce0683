import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { type AskedLine, edgeLines } from './askedLines';
import { type Both, seeBoth } from './bothHalves';
import { laidMatrix } from './kernel/inUse';
import type { Lattice } from './lattice';
import { placeBeside } from './meetings';
import type { VortexField } from './vortexField';

/** Velocity to the right and up at every piece of every leg on the board, edges × chordwise by N, row by row. */
export interface LegInfluence {
  readonly v: Float64Array;
  readonly w: Float64Array;
}

/** What is induced at the legs on the board, in the middle between two vortices: all that the air does there. */
export function legInfluence(lattice: Lattice, field: VortexField): Both<LegInfluence> {
  const n = lattice.panels;
  const pieces = field.edges * lattice.cells.count;
  const pair = () => ({ normal: null, u: null, v: laidMatrix(pieces, n), w: laidMatrix(pieces, n) });
  const legs = { even: pair(), odd: pair() };
  seeBoth(field, legLines(lattice, field), 0, legs);
  return legs;
}

/** Every edge as it lies; where surfaces meet once more for each of the others, abreast of its vortices. */
function legLines({ cells: { count }, firstStrip }: Lattice, field: VortexField): AskedLine[] {
  return edgeLines(field).flatMap((line, edge) => [
    line,
    ...(field.meetings[edge]?.beside ?? []).map((beside) => ({
      ...line,
      xs: mapToNumbers(line.xs, (x, k) => placeBeside(field, x, beside, k)),
      from: firstStrip[beside.surface]! * count,
      to: firstStrip[beside.surface + 1]! * count,
    })),
  ]);
}
