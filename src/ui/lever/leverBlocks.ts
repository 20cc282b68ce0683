import type { WeightRow } from '@/core/4-weight/weightRows';

/** One weight on the lever [px]: left, foot above the lever, size. */
export interface Block {
  readonly row: WeightRow;
  readonly left: number;
  readonly foot: number;
  readonly width: number;
  readonly height: number;
}

interface BlocksInput {
  readonly rows: readonly WeightRow[];
  readonly u: (x: number) => number;
  readonly width: number;
  /** Room above the lever. */
  readonly room: number;
}

/** Stacks parts where they sit; all of one width, so that heights compare weights. The highest stack fills the room. */
export function leverBlocks({ rows, u, width, room }: BlocksInput): Block[] {
  const heavy = rows.filter(({ counts }) => counts > 0);
  // Stacked in grams first: the heaviest at the bottom.
  const stacked: { row: WeightRow; left: number; foot: number }[] = [];
  for (const row of heavy.toSorted((a, b) => b.counts - a.counts)) {
    const left = u(row.x) - width / 2;
    const under = stacked.filter((other) => Math.abs(other.left - left) < width);
    stacked.push({ row, left, foot: Math.max(0, ...under.map((other) => other.foot + other.row.counts)) });
  }
  const highest = Math.max(0, ...stacked.map(({ row, foot }) => foot + row.counts));
  const perGram = highest > 0 ? room / highest : 0;
  return stacked.map(({ row, left, foot }) => ({
    row,
    left,
    width,
    foot: foot * perGram,
    height: row.counts * perGram,
  }));
}

/** Of a part about a place [g·mm]: negative pulls the nose down. */
export const pullAbout = ({ counts, x }: Pick<WeightRow, 'counts' | 'x'>, balance: number): number =>
  counts * (x - balance);
