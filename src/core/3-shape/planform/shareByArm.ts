/**
 * Shares of the wing area by arm over mean chord (level) or over span (fins), as
 * people use the rule: a third on short tails of 2 to 2.5 chords, a fifth at
 * four, a fourteenth for the fin. Practice of the field, ±20 %; how far what is
 * computed differs is shown beside it.
 */
const LEVEL_SHARE: readonly (readonly [number, number])[] = [
  [1.5, 0.38],
  [2, 0.34],
  [2.5, 0.32],
  [3, 0.26],
  [4, 0.2],
  [5, 0.165],
  [6, 0.14],
];
const FIN_SHARE: readonly (readonly [number, number])[] = [
  [0.25, 0.09],
  [0.35, 0.072],
  [0.8, 0.07],
];

/** Straight lines between the entries, the ends held. */
export function shareByArm(table: 'level' | 'fin', arm: number): number {
  const rows = table === 'level' ? LEVEL_SHARE : FIN_SHARE;
  const x = Math.min(rows.at(-1)![0], Math.max(rows[0]![0], Math.abs(arm)));
  const next = Math.max(
    1,
    rows.findIndex(([place]) => place >= x),
  );
  const [x0, y0] = rows[next - 1]!;
  const [x1, y1] = rows[next]!;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
