import { findRoot } from '@/core/1-base/numeric/findRoot';
import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { TrialFold } from '@/core/2-document/records/recordKinds';
import type { SectionOf } from '@/core/2-document/schema/section';
import { foldNose } from '../section/foldNose';

/**
 * Flat pattern of a sheet folded at the nose over a spar, on one chord. The
 * outer face runs along the building board from where the lower skin ends to
 * the spar, round the nose, and straight from the spar's crest to where the
 * upper skin ends.
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
}

/** What a trial fold of this board showed. */
export type SeenFold = Pick<TrialFold, 'scoredFace' | 'angle' | 'shortfall'>;

/** A trial fold of the sheet of a design that it names. */
export type FoldOfSheet = SeenFold & Pick<TrialFold, 'material'>;

/** How much more length this board takes per radian than its kept face says, from its trial folds [mm/rad]. */
export function bendCorrection(folds: readonly SeenFold[], scored: Face): number {
  const trials = folds.filter(({ scoredFace, angle }) => scoredFace === scored && angle > 0);
  if (trials.length === 0) return 0;
  return trials.reduce((sum, { shortfall, angle }) => sum + shortfall / radiansFromDegrees(angle), 0) / trials.length;
}

/** Chords that a strip is looked for on [mm]. */
const CHORDS = { low: 20, high: 2000 } as const;

/**
 * What a trial fold of a section showed: the chord that a strip of such a width
 * should have reached by the drawing, less the one it reached, and through which
 * angle it was folded; null where no chord takes such a strip. Lengths in mm, angle in °.
 */
export function shortfallOf(
  section: SectionOf<'foldedOverSpar'>,
  {
    stripCut,
    chordReached,
    scored,
  }: { readonly stripCut: number; readonly chordReached: number; readonly scored: Face },
): { readonly shortfall: number; readonly angle: number } | null {
  const patternOn = (chord: number) => foldPattern(section, chord, { scored });
  const found = findRoot((chord) => patternOn(chord).cutWidth - stripCut, { ...CHORDS, tolerance: 1e-6 });
  return found.kind === 'root'
    ? { shortfall: found.x - chordReached, angle: degreesFromRadians(patternOn(found.x).turn) }
    : null;
}

/** Scores lie this many board thicknesses apart round the nose. */
const SCORE_SPACING = 1.5;
/** Fewer than three would be dents: between them the inside is crushed. */
const FEWEST_SCORES = 3;

/** How many lines are scored round a nose of such a length: as typed, else what the board needs, one of them on the nose. */
const scoresFor = (typed: number | undefined, length: number, board: number): number => {
  if (typed !== undefined) return typed;
  const needed = Math.max(Math.round(length / (SCORE_SPACING * board)), FEWEST_SCORES);
  return needed % 2 === 0 ? needed + 1 : needed;
};

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
  const shape = foldNose(section, chord);
  const top = 2 * shape.half;
  const isSingle = section.singleFrom !== undefined;
  const end = isSingle ? chord : Math.max(section.bottomLength, section.sparPosition) * chord;
  const tail = t * (end >= chord ? 2 : 1);
  const run = (isSingle ? Math.max(section.singleFrom!, section.sparPosition) * chord : chord) - a;
  const below = end - a;
  const nose = 2 * shape.side();
  const above = Math.hypot(run, top - tail);
  const turn = Math.PI + Math.atan2(top - tail, run);
  const keptFace: Face = scored === 'inner' ? 'outer' : 'inner';
  const correction = bendCorrection(folds, scored) * turn;
  const shorter = keptFace === 'inner' ? t : 0;
  const noseWidth = nose - shorter * Math.PI + correction;
  const aboveWidth = above - shorter * (turn - Math.PI);
  const cutWidth = below + noseWidth + aboveWidth;
  const scores = scoresFor(section.scores, noseWidth, t);
  // They share the nose evenly, the middle one on it.
  const score = (index: number) => below + ((index + 0.5) / scores) * noseWidth;
  return {
    cutWidth,
    below,
    nose,
    above,
    turn,
    keptFace,
    correction,
    lines: [
      { at: 0, kind: 'edge', words: isSingle ? 'trailing edge' : 'end of the lower skin' },
      { at: below, kind: 'spar', words: 'spar, below' },
      ...Array.from({ length: scores }, (_, index): PatternLine => ({
        at: score(index),
        kind: 'score',
        words: 2 * index + 1 === scores ? 'nose' : '',
      })),
      { at: below + noseWidth, kind: 'spar', words: 'spar, above' },
      ...(section.rearBevel > 0
        ? [{ at: cutWidth - Math.min(section.rearBevel, aboveWidth), kind: 'bevel' as const, words: 'bevel from here' }]
        : []),
      { at: cutWidth, kind: 'edge', words: isSingle ? 'end of the upper skin' : 'trailing edge' },
    ],
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
