import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import type { Words } from '@/core/1-base/words/phrase';
import type { TrialFold } from '@/core/2-document/records/recordKinds';
import type { SectionOf } from '@/core/2-document/schema/section';

/**
 * Flat pattern of a sheet folded at the nose over a spar, on one chord. The
 * outer face runs along the building board from where the lower skin ends to
 * the spar, round the nose on a half ellipse of semi-axes a (spar position) and
 * b (half the height), and straight from the spar's crest to the trailing edge.
 *
 * The face that is not cut keeps its length: scored from inside it is the
 * outer one; cut from outside and cracked it is the inner one, which is shorter
 * by thickness × angle turned (parallel curves, do Carmo, Differential Geometry
 * of Curves and Surfaces, section 1-5). Lengths in mm, angles in rad.
 */
export type Face = 'inner' | 'outer';

/** A line across the strip, measured from the lower edge along the sheet [mm]. */
export interface PatternLine {
  readonly at: number;
  readonly kind: 'score' | 'spar' | 'bevel' | 'edge';
  readonly words: string;
}

export interface FoldPattern {
  /** Width of the strip to cut [mm]. */
  readonly cutWidth: number;
  /** Lengths along the outer face: below, round the nose, above [mm]. */
  readonly below: number;
  readonly nose: number;
  readonly above: number;
  /** Angle turned from the lower skin to the upper one [rad]. */
  readonly turn: number;
  readonly keptFace: Face;
  /** Added for this board after its trial folds [mm]. */
  readonly correction: number;
  readonly lines: readonly PatternLine[];
  /** Set when the nose is tighter than the board is thick. */
  readonly tooTight: Words | null;
}

const GAUSS = [
  [0.1488743389816312, 0.2955242247147529],
  [0.4333953941292472, 0.2692667193099963],
  [0.6794095682990244, 0.219086362515982],
  [0.8650633666889845, 0.1494513491505806],
  [0.9739065285171717, 0.0666713443086881],
] as const;
const PIECES = 8;

/** Arc length of an ellipse from one parameter angle to another, by Gauss–Legendre quadrature in pieces. */
export function ellipseArc(a: number, b: number, from: number, to: number): number {
  const speed = (angle: number) => Math.hypot(a * Math.sin(angle), b * Math.cos(angle));
  const width = (to - from) / PIECES;
  let sum = 0;
  for (let piece = 0; piece < PIECES; piece++) {
    const middle = from + (piece + 0.5) * width;
    for (const [node, weight] of GAUSS) {
      sum += weight * (speed(middle + (node * width) / 2) + speed(middle - (node * width) / 2));
    }
  }
  return (sum * width) / 2;
}

/** What a trial fold of this board showed. */
export type SeenFold = Pick<TrialFold, 'scoredFace' | 'angle' | 'shortfall'>;

/** How much more length this board takes per radian than its kept face says, from its trial folds [mm/rad]. */
export function bendCorrection(folds: readonly SeenFold[], scored: Face): number {
  const trials = folds.filter(({ scoredFace, angle }) => scoredFace === scored && angle > 0);
  if (trials.length === 0) return 0;
  return trials.reduce((sum, { shortfall, angle }) => sum + shortfall / radiansFromDegrees(angle), 0) / trials.length;
}

/** Scores lie this many board thicknesses apart round the nose. */
const SCORE_SPACING = 1.5;

/** How it is folded: the face that is worked, and what trial folds of the board showed. */
export interface FoldOptions {
  readonly folds?: readonly SeenFold[];
  readonly scored: Face;
}

/** The strip for one chord [mm]. */
export function foldPattern(
  section: SectionOf<'foldedOverSpar'>,
  chord: number,
  { folds = [], scored }: FoldOptions,
): FoldPattern {
  const t = section.boardThickness;
  const a = section.sparPosition * chord;
  const top = section.sparHeight + 2 * t;
  const b = top / 2;
  const end = Math.max(section.bottomLength, section.sparPosition) * chord;
  const tail = t * (section.bottomLength >= 1 ? 2 : 1);
  const below = end - a;
  const nose = ellipseArc(a, b, Math.PI / 2, (3 * Math.PI) / 2);
  const above = Math.hypot(chord - a, top - tail);
  const turn = Math.PI + Math.atan2(top - tail, chord - a);
  const keptFace: Face = scored === 'inner' ? 'outer' : 'inner';
  const correction = bendCorrection(folds, scored) * turn;
  const shorter = keptFace === 'inner' ? t : 0;
  const noseWidth = nose - shorter * Math.PI + correction;
  const aboveWidth = above - shorter * (turn - Math.PI);
  const cutWidth = below + noseWidth + aboveWidth;
  const scores = Math.max(1, Math.round(noseWidth / (SCORE_SPACING * t)));
  const score = (share: number) => below + share * noseWidth;
  const tightest = (b * b) / a;
  return {
    cutWidth,
    below,
    nose,
    above,
    turn,
    keptFace,
    correction,
    lines: [
      { at: 0, kind: 'edge', words: 'end of the lower skin' },
      { at: below, kind: 'spar', words: 'spar, below' },
      ...Array.from({ length: scores }, (_, index): PatternLine => {
        const share = (index + 0.5) / scores;
        return { at: score(share), kind: 'score', words: Math.abs(share - 0.5) < 0.5 / scores ? 'nose' : '' };
      }),
      { at: below + noseWidth, kind: 'spar', words: 'spar, above' },
      ...(section.rearBevel > 0
        ? [{ at: cutWidth - Math.min(section.rearBevel, aboveWidth), kind: 'bevel' as const, words: 'bevel from here' }]
        : []),
      { at: cutWidth, kind: 'edge', words: 'trailing edge' },
    ],
    tooTight:
      tightest < t
        ? say`The nose turns on a radius of ${millimetres(tightest, 1)}, less than the ${millimetres(t, Number.isInteger(t) ? 0 : 1)} of the board: the inside is crushed. Peel its paper there, or move the spar forward.`
        : null,
  };
}

/**
 * Chord square to the leading edge of a tapered, swept panel: the line from
 * the leading edge at right angles meets the trailing edge after
 * s = c/(cos Λ_LE + sin Λ_LE tan Λ_TE). Angles in rad.
 */
export function chordSquareToEdge(chord: number, leadingSweep: number, trailingSweep: number): number {
  return chord / (Math.cos(leadingSweep) + Math.sin(leadingSweep) * Math.tan(trailingSweep));
}
