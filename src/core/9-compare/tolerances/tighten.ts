import type { Fraction } from '@/core/1-base/units/convert';
import type { ToleratedAircraft } from './builtAircraft';
import { offIn } from './draws';
import type { ToleranceKind } from './inputs';
import { holdsAll } from './verdicts';

/** How far one input has to be tightened, everything else as it is. */
export interface Tightening {
  readonly id: string;
  /** ±1σ at which it suffices; null where even an exact one does not. */
  readonly sigma: number | null;
  /** Chance that all hold when it is exact. */
  readonly exact: Fraction;
}

/** Chance that is aimed at when one input is tightened. */
export const AIM: Fraction = 0.95;
/** Inputs count that bring at least so much when they are exact. */
const LEAST_GAIN: Fraction = 0.01;
/** Halvings of what is sought: to a sixtieth of the spread. */
const HALVINGS = 6;
/** Draws are enough by which one input is compared with another. */
const TIGHTEN_DRAWS = 500;

/** What hands set closer where they take the care; tables and boards are as they are. */
const OF_HANDS: ReadonlySet<ToleranceKind> = new Set(['incidence', 'warp', 'balance', 'mass', 'field']);

/** How far everything that hands set has to come down together. */
export interface TightenedTogether {
  /** Share of its present spread that suffices; null where even exact hands do not. */
  readonly share: Fraction | null;
  /** Chance that all verdicts hold when all of it is exact. */
  readonly exact: Fraction;
}

export interface Tightened {
  /** One input each, everything else as it is; the best first. */
  readonly alone: readonly Tightening[];
  /** Null where nine and a half in ten hold as it is. */
  readonly together: TightenedTogether | null;
}

/** The same draws with some inputs closer, over and over: differences are those of these inputs alone. */
export function tightenings({ tolerances, built }: ToleratedAircraft, normals: readonly Float64Array[]): Tightened {
  const draws = Math.min(TIGHTEN_DRAWS, normals[0]?.length ?? 0);
  const chance = (isCloser: (input: number) => boolean, share: Fraction): Fraction => {
    let hold = 0;
    for (let index = 0; index < draws; index++) {
      const off = offIn(tolerances, normals, index, (input) => (isCloser(input) ? share : 1));
      if (holdsAll(built(off))) hold++;
    }
    return hold / draws;
  };
  /** Share at which it suffices, below which it does as well. */
  const enoughOf = (isCloser: (input: number) => boolean): Fraction => {
    let [enough, less] = [0, 1];
    for (let step = 0; step < HALVINGS; step++) {
      const middle = (enough + less) / 2;
      if (chance(isCloser, middle) >= AIM) enough = middle;
      else less = middle;
    }
    return enough;
  };
  const now = chance(() => false, 1);
  if (now >= AIM) return { alone: [], together: null };
  const alone = tolerances
    .flatMap(({ id, sigma }, which): Tightening[] => {
      const isOne = (input: number) => input === which;
      const exact = chance(isOne, 0);
      if (exact - now < LEAST_GAIN) return [];
      return [{ id, sigma: exact < AIM ? null : enoughOf(isOne) * sigma, exact }];
    })
    .toSorted((a, b) => b.exact - a.exact);
  const byHand = (input: number) => OF_HANDS.has(tolerances[input]!.kind);
  const exact = chance(byHand, 0);
  return { alone, together: { share: exact < AIM ? null : enoughOf(byHand), exact } };
}
