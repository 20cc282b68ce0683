import { say } from '@/core/1-base/words/phrase';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { buildLattice, DEFAULT_GRID, MOST_PANELS } from '@/core/5-aero/lattice';
import { makeRule } from '../makeRule';

/** So many surfaces and bends that the lattice had to be cut coarsely: numbers stand, their last digits do not. */
export const coarseLattice = makeRule(
  { id: 'coarseLattice', stage: 'stability', source: 'Convergence of the lattice, docs/validation.md' },
  (design) => {
    const placed = placeAll(design.surfaces);
    if (placed.length === 0 || !buildLattice(placed, DEFAULT_GRID, MOST_PANELS).isCoarse) return null;
    return {
      severity: 'note',
      message: say`With its ${String(placed.length)} surfaces and all their bends it is computed on a coarser lattice than others: expect derivatives to be off by some percent more.`,
      numbers: {},
    };
  },
);
