import type { ChordPoint } from '@/core/3-shape/section/walls';
import { lengthAlong } from './fibres';

/** Points this near the straight line between their neighbours say nothing, share of the chord: a twentieth of a millimetre on a usual wing. */
const STRAIGHT = 2e-4;

/** Places in a line of the points that it does not pass straight: one long piece bends and twists as its parts do. */
export function bendsOfLine(line: readonly ChordPoint[]): number[] {
  const kept = line.length > 0 ? [0] : [];
  let from = 0;
  for (let to = 2; to < line.length; to++) {
    if (isStraight(line, from, to)) continue;
    from = to - 1;
    kept.push(from);
  }
  if (line.length > 1) kept.push(line.length - 1);
  return kept;
}

/** True where everything between two points of a line lies on the way from one to the other. */
function isStraight(line: readonly ChordPoint[], from: number, to: number): boolean {
  const a = line[from]!;
  const b = line[to]!;
  const [alongX, alongZ] = [b[0] - a[0], b[1] - a[1]];
  const most = STRAIGHT * lengthAlong(alongX, alongZ);
  for (let index = from + 1; index < to; index++) {
    const point = line[index]!;
    if (Math.abs((point[0] - a[0]) * alongZ - (point[1] - a[1]) * alongX) > most) return false;
  }
  return true;
}
