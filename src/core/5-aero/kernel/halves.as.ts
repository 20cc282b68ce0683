/* What both half problems see: the same in TypeScript is `bothHalves.ts`. */

import { Horseshoes, induceFrom, Line, lookAlong, lookFrom, pairAt, sightBytes } from './vortices.as';
import { turn } from './wakeChange.as';

/** Bytes of a number, and of two. */
const NUMBER: usize = 8;
const PAIR: usize = 16;
/** Numbers of a line before those of its points: y, z, normal to the right and up, surface, first row, from and to. */
const HEAD: usize = 8;

/** Matrices that are written, 0 for those that nobody asks for. */
@unmanaged
export class Halves {
  evenNormal: usize;
  oddNormal: usize;
  evenU: usize;
  evenV: usize;
  evenW: usize;
  oddU: usize;
  oddV: usize;
  oddW: usize;
  /** 1 for every panel that has a twin on the left, else 0. */
  twins: usize;
  /** For every surface that may see, a byte an edge as `Line.spread`. */
  spreads: usize;
}

/**
 * Sees all points of all lines, and of their images in the mirror, and writes
 * what panels with equal circulation left and right, and with opposite one,
 * induce there: along the normal for the first `controls` points of a line,
 * component by component for the others.
 * @param line room for one line
 */
export function seeBoth(
  shoes: Horseshoes,
  lines: usize,
  lineCount: i32,
  controls: i32,
  line: Line,
  halves: Halves,
  work: usize,
): void {
  const points = line.points;
  const count = shoes.count;
  const row = (<usize>(shoes.strips * count)) * NUMBER;
  const sight = work;
  const imageSight = sight + sightBytes(shoes);
  // Of two points at a time, so that all of it stays at hand.
  const seen = imageSight + sightBytes(shoes);
  const image = seen + 6 * row;
  for (let index = 0; index < lineCount; index++) {
    takeLine(line, lines, halves.spreads, shoes.edges);
    const y = line.y;
    const first = <i32>load<f64>(lines, 40);
    const from = <i32>load<f64>(lines, 48);
    const to = <i32>load<f64>(lines, 56);
    lookAlong(shoes, line, sight);
    line.y = -y;
    lookAlong(shoes, line, imageSight);
    for (let point = 0; point < points; point += 2) {
      const x = pairAt(line.xs, point, points);
      line.y = y;
      lookFrom(shoes, line, x, sight);
      induceFrom(shoes, line, sight, from / count, to / count, seen, seen + 3 * row);
      line.y = -y;
      lookFrom(shoes, line, x, imageSight);
      induceFrom(shoes, line, imageSight, from / count, to / count, image, image + 3 * row);
      for (let one = point; one < min(point + 2, points); one++) {
        const skip = (<usize>from) * NUMBER;
        const skipped = 3 * row * <usize>(one - point) + skip;
        const twins = halves.twins + skip;
        if (one < controls)
          alongNormal(lines, seen + skipped, image + skipped, row, twins, to - from, halves, row * <usize>(first + one) + skip);
        else components(seen + skipped, image + skipped, row, twins, to - from, halves, row * <usize>(first + one - controls) + skip);
      }
    }
    lines += (HEAD + <usize>points) * NUMBER;
  }
}

/** Rows u, v, w of a point and of its image, into both halves. */
function components(own: usize, image: usize, row: usize, twins: usize, count: i32, halves: Halves, at: usize): void {
  if (halves.evenU != 0) combine(own, image, twins, count, halves.evenU + at, halves.oddU + at);
  // What the image sees to the right lies to the left of the aircraft.
  combine(own + row, image + row, twins, count, halves.oddV + at, halves.evenV + at);
  combine(own + 2 * row, image + 2 * row, twins, count, halves.evenW + at, halves.oddW + at);
}

/** Wakes that turn. */
@unmanaged
export class Turning {
  /** What every edge leaves in its wake on the right, and what its image does. */
  own: usize;
  images: usize;
  /** For every surface that may see, a byte an edge as `Line.spread`. */
  spreads: usize;
}

/** What moves at all points of all lines, and of their images, line by line. @param line room for one line */
export function turnBoth(
  shoes: Horseshoes,
  lines: usize,
  lineCount: i32,
  line: Line,
  turning: Turning,
  out: usize,
): void {
  const points = line.points;
  const each = 12 * NUMBER * <usize>((points + 1) >> 1);
  for (let index = 0; index < lineCount; index++) {
    takeLine(line, lines, turning.spreads, shoes.edges);
    turn(shoes, line, turning.own, out);
    line.y = -line.y;
    turn(shoes, line, turning.images, out + each);
    out += 2 * each;
    lines += (HEAD + <usize>points) * NUMBER;
  }
}

@inline
function takeLine(line: Line, from: usize, spreads: usize, edges: i32): void {
  line.y = load<f64>(from);
  line.z = load<f64>(from, 8);
  line.xs = from + HEAD * NUMBER;
  line.spread = spreads + <usize>(<i32>load<f64>(from, 32) * edges);
}

/** sum = own + twin · image, difference = own − twin · image. */
function combine(own: usize, image: usize, twins: usize, count: i32, sum: usize, difference: usize): void {
  let j = 0;
  for (; j + 1 < count; j += 2) {
    const direct = v128.load(own);
    const other = f64x2.mul(v128.load(twins), v128.load(image));
    v128.store(sum, f64x2.add(direct, other));
    v128.store(difference, f64x2.sub(direct, other));
    own += PAIR;
    image += PAIR;
    twins += PAIR;
    sum += PAIR;
    difference += PAIR;
  }
  if (j < count) {
    const direct = load<f64>(own);
    const other = load<f64>(twins) * load<f64>(image);
    store<f64>(sum, direct + other);
    store<f64>(difference, direct - other);
  }
}

/** Velocity along a normal, from the rows v and w behind u of a point and of its image. */
function alongNormal(
  line: usize,
  own: usize,
  image: usize,
  row: usize,
  twins: usize,
  count: i32,
  halves: Halves,
  at: usize,
): void {
  const right = load<f64>(line, 16);
  const up = load<f64>(line, 24);
  let even = halves.evenNormal + at;
  let odd = halves.oddNormal + at;
  const rights = f64x2.splat(right);
  const ups = f64x2.splat(up);
  let v = own + row;
  let w = v + row;
  let imageV = image + row;
  let imageW = imageV + row;
  let j = 0;
  for (; j + 1 < count; j += 2) {
    const direct = f64x2.add(f64x2.mul(v128.load(v), rights), f64x2.mul(v128.load(w), ups));
    const turned = f64x2.sub(f64x2.mul(v128.load(imageW), ups), f64x2.mul(v128.load(imageV), rights));
    const other = f64x2.mul(v128.load(twins), turned);
    v128.store(even, f64x2.add(direct, other));
    v128.store(odd, f64x2.sub(direct, other));
    v += PAIR;
    w += PAIR;
    imageV += PAIR;
    imageW += PAIR;
    twins += PAIR;
    even += PAIR;
    odd += PAIR;
  }
  if (j < count) {
    const direct = load<f64>(v) * right + load<f64>(w) * up;
    const other = load<f64>(twins) * (load<f64>(imageW) * up - load<f64>(imageV) * right);
    store<f64>(even, direct + other);
    store<f64>(odd, direct - other);
  }
}
