import type { Millimetres } from '@/core/1-base/units/convert';
import { openLine, polygon } from '../outline/path';
import type { LineKind, PartLine, PartOutline } from '../outline/partOutline';
import type { FoldPattern, PatternLine } from './foldPattern';

/** How each line of a fold is worked; edges are the edge of the part itself. */
const WORKED: Record<PatternLine['kind'], LineKind | null> = {
  score: 'score',
  spar: 'mark',
  bevel: 'bevel',
  edge: null,
};

/** The flat strip of a fold as a part: along the sheet from the end of the lower skin, across it so long a panel. */
export function stripOutline(pattern: FoldPattern, name: string, length: Millimetres): PartOutline {
  const { cutWidth } = pattern;
  return {
    name,
    edge: polygon([
      [0, 0],
      [cutWidth, 0],
      [cutWidth, length],
      [0, length],
    ]),
    holes: [],
    lines: pattern.lines.flatMap(({ at, kind }): PartLine[] => {
      const worked = WORKED[kind];
      return worked === null
        ? []
        : [
            {
              kind: worked,
              path: openLine([
                [at, 0],
                [at, length],
              ]),
            },
          ];
    }),
    texts: [],
  };
}
