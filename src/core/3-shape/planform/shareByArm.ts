/** Shares of the wing area by arm over mean chord (level) or over span (fins). Practice of the field, ±20 %. */
const LEVEL_SHARE: readonly (readonly [number, number])[] = [
  [1.5, 0.33],
  [2, 0.26],
  [2.5, 0.21],
  [3, 0.175],
  [4, 0.135],
  [5, 0.11],
];
const FIN_SHARE: readonly (readonly [number, number])[] = [
  [0.25, 0.13],
  [0.35, 0.1],
  [0.45, 0.08],
  [0.6, 0.06],
  [0.8, 0.045],
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
