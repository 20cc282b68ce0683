import { isFin } from '@/core/2-document/schema/roles';
import type { FieldChange } from '@/core/2-document/edit/field';
import { percent, plain, say, type Words } from '@/core/1-base/words/phrase';
import { numbersOf } from '@/core/6-groups/solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { placeAll, placeSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms, type Reference, referenceOf, tailVolume } from '@/core/3-shape/geometry/planform';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { balanced } from './balanced';
import { shareByArm } from '@/core/3-shape/planform/shareByArm';

export type TailSchool = 'percentOfWing' | 'volume' | 'result';

/** Aims of one tail surface; each school reads its own. */
export interface TailAims {
  /** S_t l/(S c̄) of level tails, S_f l/(S b) of fins. */
  readonly volume: number;
  /** Static margin for level and V-tails, yaw stiffness per radian for fins. */
  readonly result: number;
  /** Yaw stiffness per radian that a V-tail has to give beside it. */
  readonly yaw?: number;
}

export interface TailSizingInput {
  readonly design: Design;
  readonly surface: string;
  readonly aims: TailAims;
}

/** What one school would build. SI. */
export interface TailProposal {
  readonly school: TailSchool;
  readonly words: Words;
  /** Area of both sides along the board [m²]; null when the school cannot say. */
  readonly area: number | null;
  readonly staticMargin: number | null;
  readonly yawStiffness: number | null;
  readonly change: readonly FieldChange[];
  readonly because: string | null;
  /** Area over what is computed for the wanted result, less one; null where either is not known. */
  readonly overComputed: number | null;
}

export type TailSizingResult =
  | {
      readonly kind: 'sized';
      readonly isFin: boolean;
      readonly area: number;
      readonly proposals: readonly TailProposal[];
    }
  | { readonly kind: 'impossible'; readonly because: string };

const GRID = { strips: 10, chordwise: 4 } as const;
/** Area factors that are looked at. */
const FACTORS = { low: 0.15, high: 6 } as const;

/** Yaw stiffness that holds a nose without weathercocking [per radian]; 0.04 to 0.12 is usual. */
const USUAL_YAW = 0.05;

const TOO_MUCH = 'Even a sixth of the area gives more';

/** The larger of what pitch and yaw ask; one that is met anyhow asks nothing. */
function both(pitch: number | string, yaw: number | string): number | string {
  if (typeof pitch === 'number' && typeof yaw === 'number') return Math.max(pitch, yaw);
  const [met, other] = typeof pitch === 'string' && pitch.startsWith(TOO_MUCH) ? [pitch, yaw] : [yaw, pitch];
  return typeof met === 'string' && met.startsWith(TOO_MUCH) ? other : met;
}

/**
 * One tail surface by three schools: a share of the wing area by arm, a tail
 * volume, or whatever gives the wanted margin (fins: yaw stiffness), found on
 * the whole analysis by Brent's method. The shape is kept, only its size moves,
 * and the pack slides so that the balance stays; a V-tail has to do both jobs.
 */
export function sizeTail({ design, surface: id, aims }: TailSizingInput): TailSizingResult {
  const surface = design.surfaces.find((candidate) => candidate.id === id);
  const reference = referenceOf(placeAll(design.surfaces));
  if (!surface || !reference) return { kind: 'impossible', because: 'Draw a wing first: tails are sized against it.' };
  const placed = placeSurface(surface);
  const area = integratePlanforms([placed], 'true')?.area ?? 0;
  const volume = tailVolume(placed, reference);
  const fin = isFin(surface);
  const present = Math.abs(fin ? volume.vertical : volume.horizontal);
  if (area <= 0 || present <= 1e-6)
    return { kind: 'impossible', because: 'It has no area or no arm yet: move it away from the wing.' };
  const arm = Math.abs(volume.arm);
  const shares = {
    level: shareByArm('level', arm / reference.meanChord),
    fin: shareByArm('fin', arm / reference.span),
  };
  const isVee = surface.role === 'vTail';
  const short = (yaw: boolean) => shares[yaw ? 'fin' : 'level'] / projectedShare(surface, reference, yaw);
  const wanted = isVee
    ? both(
        factorForResult(design, surface, aims.result, false),
        factorForResult(design, surface, aims.yaw ?? USUAL_YAW, true),
      )
    : factorForResult(design, surface, aims.result, fin);
  const propose = (school: TailSchool, words: Words, factor: number | null, because: string | null): TailProposal => {
    const none = { area: null, staticMargin: null, yawStiffness: null, change: [], overComputed: null };
    if (factor === null) return { school, words, because, ...none };
    const change = balanced(design, scaledSurface(surface, factor));
    const numbers = numbersWith(design, change);
    return {
      school,
      words,
      area: area * factor,
      staticMargin: numbers?.pitch.staticMargin ?? null,
      yawStiffness: numbers?.lateral.yawStiffness ?? null,
      change,
      because,
      overComputed: typeof wanted === 'number' ? factor / wanted - 1 : null,
    };
  };
  return {
    kind: 'sized',
    isFin: fin,
    area,
    proposals: [
      isVee
        ? propose(
            'percentOfWing',
            say`${percent(shares.level, 0)} of the wing seen from above and ${percent(shares.fin, 0)} from the side, for this arm`,
            Math.max(short(false), short(true)),
            null,
          )
        : propose(
            'percentOfWing',
            say`${percent(shares[fin ? 'fin' : 'level'], 0)} of the wing, for this arm`,
            short(fin),
            null,
          ),
      propose('volume', say`volume ${plain(aims.volume, fin ? 3 : 2)}`, aims.volume / present, null),
      propose(
        'result',
        fin
          ? say`yaw stiffness ${plain(aims.result)}`
          : isVee
            ? say`margin ${percent(aims.result, 0)} and yaw stiffness ${plain(aims.yaw ?? USUAL_YAW)}`
            : say`margin ${percent(aims.result, 0)}`,
        typeof wanted === 'number' ? wanted : null,
        typeof wanted === 'number' ? null : wanted,
      ),
    ],
  };
}

/** Plan area of level tails, side area of fins, over the wing's. */
function projectedShare(surface: Surface, reference: Reference, fin: boolean): number {
  const placed = placeSurface(surface);
  const { arm, horizontal, vertical } = tailVolume(placed, reference);
  return Math.abs(fin ? (vertical * reference.span) / arm : (horizontal * reference.meanChord) / arm);
}

function numbersWith(design: Design, change: readonly FieldChange[]) {
  const checked = designSchema.safeParse(withFields(design, change));
  return checked.success ? numbersOf(checked.data, { grid: GRID }) : null;
}

/** Area factor at which the wanted result comes out, or why there is none. */
function factorForResult(design: Design, surface: Surface, wanted: number, fin: boolean): number | string {
  const off = (logarithm: number): number => {
    const numbers = numbersWith(design, balanced(design, scaledSurface(surface, Math.exp(logarithm))));
    const got = fin ? numbers?.lateral.yawStiffness : numbers?.pitch.staticMargin;
    return got === null || got === undefined ? Number.NaN : got - wanted;
  };
  const found = findRoot(off, { low: Math.log(FACTORS.low), high: Math.log(FACTORS.high), tolerance: 1e-4 });
  if (found.kind === 'root') return Math.exp(found.x);
  if (found.kind === 'notConverged') return 'The search did not settle.';
  if (Number.isNaN(found.atLow) || Number.isNaN(found.atHigh))
    return fin ? 'The yaw stiffness is not known yet.' : 'Nothing has a mass yet, so there is no margin to aim at.';
  return found.atHigh < 0 === found.atLow < 0 && found.atHigh < 0
    ? 'Even six times the area would not reach it: lengthen the arm, or move the balance forward.'
    : `${TOO_MUCH}: shorten the arm, or move the balance back.`;
}
