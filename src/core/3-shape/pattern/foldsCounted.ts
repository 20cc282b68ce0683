import type { Design } from '@/core/2-document/schema/design';
import type { Face, FoldOfSheet, SeenFold } from './foldPattern';

const FACES = ['inner', 'outer'] as const satisfies readonly Face[];
const HALF_TURN = 180;

/**
 * Trial folds that count for a board: its own, and for a face of which there is
 * none half a turn as this builder’s own figure has it, which goes with the
 * thickness of the board.
 */
export function foldsCounted(
  { materials, figures }: Pick<Design, 'materials' | 'figures'>,
  board: string | undefined,
  folds: readonly FoldOfSheet[],
): SeenFold[] {
  const own = folds.filter(({ material }) => material === board);
  const sheet = materials.find(({ id }) => id === board);
  if (!sheet || !figures) return own;
  const believed = FACES.filter((face) => !own.some(({ scoredFace }) => scoredFace === face)).map((scoredFace) => ({
    scoredFace,
    angle: HALF_TURN,
    shortfall: figures[scoredFace === 'inner' ? 'foldInside' : 'foldOutside'] * sheet.thickness * Math.PI,
  }));
  return [...own, ...believed.filter(({ shortfall }) => shortfall !== 0)];
}
