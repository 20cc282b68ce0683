import { expect, test } from 'vitest';
import { forAll, SKIPPED } from '#/tests/forAll';
import { analyse } from '@/core/analyse';
import { printAnalysis } from '@/words/printAnalysis';
import { bent, wild } from './aircraft';
import { nonsenseIn } from './nonsense';

const RUNS = 40;
const GRID = { strips: 6, chordwise: 3 } as const;

test.each([
  ['a sound aircraft with some numbers bent', bent, 0.9],
  // Most of what a document allows is no aircraft: it says why, and what it weighs.
  ['anything that the document allows', wild, 0],
] as const)(
  '%s: numbers or reasons, sentences that can be read, nothing that ends the program',
  (_, aircraft, share) => {
    forAll(
      RUNS,
      [aircraft],
      (design) => {
        const analysis = analyse(design, { grid: GRID, without: ['remedies'] });
        expect(nonsenseIn(analysis)).toEqual([]);
        expect(() => JSON.stringify(printAnalysis(analysis))).not.toThrow();
        return analysis.pitch.liftSlope === null ? SKIPPED : undefined;
      },
      share,
    );
  },
);
