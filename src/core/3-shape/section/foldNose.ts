import type { Millimetres } from '@/core/1-base/units/convert';
import type { SectionOf } from '@/core/2-document/schema/section';

type Fold = Pick<SectionOf<'foldedOverSpar'>, 'boardThickness' | 'sparHeight' | 'sparPosition' | 'scores'>;

/**
 * The nose of a fold, from its tip to the spar, on either side of its middle.
 * No bend is tighter than a sheet laid flat on itself, whose outside turns on
 * the thickness of the board:
 *
 * - scored or rolled round: z = b √(1 − (1 − x/a)^p) from the tip to the crest
 *   at the spar, an ellipse (p = 2) where that is round enough, blunter where
 *   it is not: its tip turns on b² p/(2a), so p = max(2, 2 t a/b²);
 * - one dent: an arc of that radius, and straight on to the crest.
 *
 * Lengths in mm: a from tip to spar, b half the height there, t board.
 */
export interface FoldNose {
  /** From the tip to the spar. */
  readonly length: Millimetres;
  /** Half the height at the spar. */
  readonly half: Millimetres;
  /** Radius on which the outside turns at the tip. */
  readonly radius: Millimetres;
  /** Half the height at a distance aft of the tip. */
  readonly heightAt: (x: Millimetres) => Millimetres;
  /** Arc length of one side from the tip to the spar, along the outer face. */
  readonly side: () => Millimetres;
}

/** Pieces of the arc, denser towards the tip. */
const PIECES = 400;

export function foldNose({ boardThickness, sparHeight, sparPosition, scores }: Fold, chord: Millimetres): FoldNose {
  const length = sparPosition * chord;
  const half = (sparHeight + 2 * boardThickness) / 2;
  const heightAt = scores === 1 ? dented(length, half, boardThickness) : rolled(length, half, boardThickness);
  const elliptic = half ** 2 / length;
  return {
    length,
    half,
    radius: scores === 1 ? Math.min(boardThickness, half) : Math.max(elliptic, Math.min(boardThickness, half)),
    heightAt,
    side: () => arcLength(length, heightAt),
  };
}

function rolled(a: number, b: number, t: number): FoldNose['heightAt'] {
  const power = Math.max(2, (2 * Math.min(t, b) * a) / b ** 2);
  return (x) => b * Math.sqrt(Math.max(0, 1 - Math.max(0, 1 - x / a) ** power));
}

function dented(a: number, b: number, t: number): FoldNose['heightAt'] {
  const radius = Math.min(t, b, a);
  const reach = Math.hypot(a - radius, b);
  // The straight skin touches the arc and ends at the crest.
  const slope = Math.atan2(b, a - radius) - Math.asin(Math.min(1, radius / reach));
  const touches = radius * (1 - Math.sin(slope));
  return (x) => (x < touches ? Math.sqrt(Math.max(0, 2 * radius * x - x ** 2)) : b - (a - x) * Math.tan(slope));
}

/** Along a curve that starts upright, by chords at x = a sin²(θ/2): the squares of their errors are below 10⁻⁵ of it. */
function arcLength(a: number, heightAt: FoldNose['heightAt']): number {
  let [sum, before] = [0, 0];
  let fromX = 0;
  for (let piece = 1; piece <= PIECES; piece++) {
    const x = a * (1 - Math.cos((Math.PI * piece) / PIECES / 2));
    const height = heightAt(x);
    sum += Math.hypot(x - fromX, height - before);
    [fromX, before] = [x, height];
  }
  return sum;
}
