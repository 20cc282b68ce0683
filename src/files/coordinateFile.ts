import type { SectionOf } from '@/core/2-document/schema/section';
import { CONTOUR_FAULTS as FAULTS, contourFault, fromTail } from '@/core/3-shape/section/kinds/coordinates';

/** A contour read from plain text: a name and x y pairs, or why it was not taken. */
export type CoordinateResult =
  { readonly ok: true; readonly section: SectionOf<'coordinates'> } | { readonly ok: false; readonly message: string };

type Pair = [number, number];

const LEAST = 5;
const MOST = 2000;

/**
 * Reads section coordinates as they are passed around: an optional line with a
 * name, then one `x y` pair a line, blanks or commas between. Either one run
 * from the trailing edge over the upper side and back below, or two blocks
 * from nose to tail, upper first, after a line that counts their points.
 * Chords of 1, 100 or any other length are brought to 1.
 */
export function readCoordinates(text: string): CoordinateResult {
  const lines = text.split(/\r?\n/).map((line) => line.trim());
  let name = '';
  const blocks: Pair[][] = [[]];
  for (const [index, line] of lines.entries()) {
    if (line === '' || line.startsWith('#')) {
      if (blocks.at(-1)!.length > 0) blocks.push([]);
      continue;
    }
    const numbers = line.split(/[\s,;]+/).map(Number);
    if (numbers.length === 2 && numbers.every(Number.isFinite)) {
      blocks.at(-1)!.push(numbers as Pair);
    } else if (name === '' && blocks.length === 1 && blocks[0]!.length === 0) {
      name = line.slice(0, 200);
    } else {
      return { ok: false, message: `Line ${index + 1} (“${line.slice(0, 40)}”) is not a pair of numbers x y.` };
    }
  }
  const filled = blocks.filter((block) => block.length > 0);
  // A line of two counts, such as "17. 17.", opens the two-block form.
  const counted =
    filled[0]?.length === 1 || (filled[0]?.[0]?.every((value) => value > 2 && Number.isInteger(value)) ?? false);
  const points = counted ? fromBlocks(filled) : filled.flat();
  if (typeof points === 'string') return { ok: false, message: points };
  if (points.length < LEAST)
    return { ok: false, message: `Only ${points.length} points were found; at least ${LEAST} are needed.` };
  if (points.length > MOST)
    return { ok: false, message: `${points.length} points are more than the ${MOST} that are kept. Thin them out.` };
  return normalised(name, points);
}

/** Two blocks nose to tail, upper first, become one run from the tail over the nose. */
function fromBlocks(blocks: Pair[][]): Pair[] | string {
  const [counts, ...rest] = blocks[0]!;
  const pairs = [...rest, ...blocks.slice(1).flat()];
  const upper = Math.round(counts![0]);
  if (pairs.length !== upper + Math.round(counts![1])) {
    return `The file announces ${upper} and ${Math.round(counts![1])} points but holds ${pairs.length}.`;
  }
  return [...pairs.slice(0, upper).reverse(), ...pairs.slice(upper + 1)];
}

function normalised(name: string, points: readonly Pair[]): CoordinateResult {
  const xs = points.map(([x]) => x);
  const nose = Math.min(...xs);
  const chord = Math.max(...xs) - nose;
  if (!(chord > 0)) return { ok: false, message: 'All points lie at the same place along the chord.' };
  // Wherever and whichever way round they were listed, they are kept from the trailing edge over the upper side.
  const scaled = fromTail(points.map(([x, y]): Pair => [(x - nose) / chord, y / chord])).map(([x, y]): Pair => [x, y]);
  const fault = contourFault(scaled);
  return fault === null
    ? { ok: true, section: { kind: 'coordinates', name, points: scaled } }
    : { ok: false, message: `The contour ${FAULTS[fault]}: this is no wing section.` };
}
