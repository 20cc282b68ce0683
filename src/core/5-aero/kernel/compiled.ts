import { bytes } from './kernel.as.ts?wasm';
import type { LuFactors } from './factors';

/** What the module gives: see `kernel.as.ts`. */
interface Exports {
  readonly memory: WebAssembly.Memory;
  multiply(a: number, rows: number, columns: number, x: number, from: number, out: number): void;
  factorise(a: number, order: number, size: number, block: number, from: number, largest: number): number;
  solveOne(a: number, size: number, from: number, unknowns: number, x: number): void;
  solveFour(a: number, size: number, from: number, first: number, x: number): void;
  induce(
    field: number,
    edges: number,
    count: number,
    edgeOf: number,
    strips: number,
    spread: number,
    frame: number,
    y: number,
    z: number,
    xs: number,
    points: number,
    work: number,
    out: number,
  ): void;
  turn(
    field: number,
    edges: number,
    count: number,
    spread: number,
    from: number,
    to: number,
    strengths: number,
    y: number,
    z: number,
    xs: number,
    points: number,
    work: number,
    out: number,
  ): void;
}

/** Horseshoes, and what stays of them whatever they are seen from. */
export interface PackedField {
  readonly edges: number;
  readonly count: number;
  /** x of all corners, then of all edges y, z, trailing edge, and y, z, length and tangent of the strip of vorticity [m]. */
  readonly places: Float64Array;
  /** Edge inboard of every strip. */
  readonly edgeOf: Int32Array;
}

/** A line of points along x, and which edges are seen from it as strips of vorticity. */
export interface SeenLine {
  readonly y: number;
  readonly z: number;
  readonly xs: ArrayLike<number>;
  /** 1 or 0 for every edge. */
  readonly spread: Uint8Array;
}

/** A direction of wakes with two across it, d, e₁ and e₂: 3, 2 and 3 numbers. */
export type PackedFrame = Float64Array;

/** Velocities from every panel at one point. */
interface Row {
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
}

const NUMBER = 8;
const PAGE = 65_536;
/** Room for what points of a line see [bytes]; longer lines are left to TypeScript. */
const WORK = 24 * PAGE;
/** Bytes of what two points see of a corner and of a wake, as in the module. */
const CORNER = 80;
const WAKE = 64;
const FRAME = 8 * NUMBER;
/** Memory for matrices [bytes]: those of a few geometries of the finest lattice. */
const ROOM = 640 * PAGE;
/** Matrices with more rows or columns are left to TypeScript. */
export const MOST_ROWS = 2048;
/** Below so many rows a call costs more than it saves. */
export const LEAST_ROWS = 12;

/** Where a matrix lies in the module's memory; 0 once something else lies there. */
interface Place {
  at: number;
  readonly bytes: number;
}

/**
 * The compiled kernel with its memory. Matrices that come in stay there until
 * newer ones need the room, so that what is asked of one often is copied
 * once: they must not change any more.
 */
export class CompiledKernel {
  readonly #exports: Exports;
  readonly #numbers: Float64Array;
  readonly #integers: Int32Array;
  readonly #bytes: Uint8Array;
  readonly #known = new WeakMap<Float64Array, Place>();
  /** Oldest first; the room is written round and round. */
  readonly #places: Place[] = [];
  readonly #vectors: number;
  readonly #results: number;
  readonly #order: number;
  readonly #work: number;
  readonly #begin: number;
  readonly #end: number;
  #next: number;

  constructor(exports: Exports) {
    this.#exports = exports;
    const { memory } = exports;
    // Nothing of its own lies in the second page and after it.
    this.#vectors = PAGE;
    this.#results = this.#vectors + 4 * MOST_ROWS * NUMBER;
    this.#order = this.#results + MOST_ROWS * NUMBER;
    this.#work = this.#order + MOST_ROWS * NUMBER;
    this.#begin = this.#work + WORK;
    this.#end = this.#begin + ROOM;
    this.#next = this.#begin;
    memory.grow(Math.ceil((this.#end - memory.buffer.byteLength) / PAGE));
    this.#numbers = new Float64Array(memory.buffer);
    this.#integers = new Int32Array(memory.buffer);
    this.#bytes = new Uint8Array(memory.buffer);
  }

  /**
   * Room for a matrix with the module itself, to be written at once: nothing
   * has to be brought there. Once newer ones need the room it is gone: see
   * `isThere`.
   */
  lay(size: number): Float64Array {
    const place = this.#take(size * NUMBER);
    const matrix = this.#numbers.subarray(place.at / NUMBER, place.at / NUMBER + size);
    this.#known.set(matrix, place);
    return matrix;
  }

  /** Whether a matrix that was laid still is what was written there. */
  isThere(matrix: Float64Array): boolean {
    return matrix.buffer !== this.#numbers.buffer || (this.#known.get(matrix)?.at ?? 0) > 0;
  }

  /** Σ a[i, j] x[j] over the columns from…columns−1, for every row. */
  multiplyRows(a: Float64Array, columns: number, x: Float64Array, from: number): Float64Array {
    const rows = a.length / columns;
    const at = this.#placeOf(a);
    this.#numbers.set(x, this.#vectors / NUMBER);
    this.#exports.multiply(at, rows, columns, this.#vectors, from, this.#results);
    return this.#numbers.slice(this.#results / NUMBER, this.#results / NUMBER + rows);
  }

  /** Factors in place. @returns −1, or the first column that the others leave open */
  factorInPlace(
    values: Float64Array,
    order: Int32Array,
    { size, block, from }: Pick<LuFactors, 'size' | 'block' | 'from'>,
    largest: number,
  ): number {
    const at = this.#bring(values);
    const failed = this.#exports.factorise(at, this.#order, size, block, from, largest);
    values.set(this.#numbers.subarray(at / NUMBER, at / NUMBER + values.length));
    order.set(this.#integers.subarray(this.#order / 4, this.#order / 4 + size));
    return failed;
  }

  /** Solves for the leading `unknowns`. */
  solveOne({ values, order, size, from }: LuFactors, right: Float64Array, unknowns: number): Float64Array {
    const at = this.#placeOf(values);
    const first = this.#vectors / NUMBER;
    for (let i = 0; i < unknowns; i++) this.#numbers[first + i] = right[i < from ? i : order[i]!]!;
    this.#exports.solveOne(at, size, from, unknowns, this.#vectors);
    return this.#numbers.slice(first, first + unknowns);
  }

  /** Up to four right sides at once: what is read of the factors serves all. */
  solveFour({ values, order, size, from }: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
    const at = this.#placeOf(values);
    const numbers = this.#numbers;
    const begin = this.#vectors / NUMBER;
    let first = size;
    if (rights.length < 4) numbers.fill(0, begin, begin + 4 * size);
    rights.forEach((right, side) => {
      for (let i = 0, to = begin + side; i < size; i++, to += 4) {
        const entry = right[i < from ? i : order[i]!]!;
        numbers[to] = entry;
        if (entry !== 0 && first > i) first = i;
      }
    });
    this.#exports.solveFour(at, size, from, first, this.#vectors);
    return rights.map((_, side) => {
      const answer = new Float64Array(size);
      for (let i = 0; i < size; i++) answer[i] = numbers[begin + 4 * i + side]!;
      return answer;
    });
  }

  /**
   * What horseshoes induce at the points of a line, into a row for each, wakes
   * along a direction or, without one, straight back. @returns false where
   * there is no room for that many
   */
  induce(field: PackedField, frame: PackedFrame | null, line: SeenLine, rows: readonly Row[]): boolean {
    const { edges, count, edgeOf } = field;
    const panels = edgeOf.length * count;
    const room = edges * (3 * NUMBER + WAKE + count * CORNER) + 16;
    const seen = this.#see(field, line, frame ? [frame] : [], room, 3 * rows.length * panels);
    if (!seen) return false;
    const { at, spread, frames, xs, work, out } = seen;
    const edgesAt = this.#results;
    this.#integers.set(edgeOf, edgesAt / 4);
    const directed = frame ? frames : 0;
    const { y, z } = line;
    this.#exports.induce(at, edges, count, edgesAt, edgeOf.length, spread, directed, y, z, xs, rows.length, work, out);
    let from = out / NUMBER;
    for (const { u, v, w } of rows)
      for (const values of [u, v, w]) {
        values.set(this.#numbers.subarray(from, from + panels));
        from += panels;
      }
    return true;
  }

  /**
   * Change of the velocity at the points of a line when wakes of these
   * strengths turn from one direction to another: u, v and w of two points side
   * by side. @returns null where there is no room for that many
   */
  turn(
    field: PackedField,
    [from, to]: readonly [PackedFrame, PackedFrame],
    strengths: Float64Array,
    line: SeenLine,
  ): Float64Array | null {
    const { edges, count } = field;
    const pairs = Math.ceil(line.xs.length / 2);
    const seen = this.#see(field, line, [from, to], 2 * edges * WAKE + 16, 6 * pairs);
    if (!seen) return null;
    const { at, spread, frames, xs, work, out } = seen;
    this.#numbers.set(strengths, this.#vectors / NUMBER);
    const { y, z } = line;
    this.#exports.turn(
      at,
      edges,
      count,
      spread,
      frames,
      frames + FRAME,
      this.#vectors,
      y,
      z,
      xs,
      line.xs.length,
      work,
      out,
    );
    return this.#numbers.slice(out / NUMBER, out / NUMBER + 6 * pairs);
  }

  /** Lays a field, a line and directions where the module reads them; null where there is no room. */
  #see(
    { edges, places }: PackedField,
    { xs, spread }: SeenLine,
    frames: readonly PackedFrame[],
    room: number,
    answers: number,
  ): {
    readonly at: number;
    readonly spread: number;
    readonly frames: number;
    readonly xs: number;
    readonly work: number;
    readonly out: number;
  } | null {
    const framesAt = this.#work;
    const points = framesAt + 2 * FRAME;
    const spreadAt = points + xs.length * NUMBER;
    const work = Math.ceil((spreadAt + edges) / 16) * 16;
    const out = Math.ceil((work + room) / 16) * 16;
    if (out + answers * NUMBER > this.#work + WORK || edges > MOST_ROWS) return null;
    frames.forEach((frame, index) => this.#numbers.set(frame, (framesAt + index * FRAME) / NUMBER));
    this.#numbers.set(xs, points / NUMBER);
    this.#bytes.set(spread, spreadAt);
    return { at: this.#placeOf(places), spread: spreadAt, frames: framesAt, xs: points, work, out };
  }

  #placeOf(matrix: Float64Array): number {
    const known = this.#known.get(matrix);
    if (known && known.at > 0) return known.at;
    if (!this.isThere(matrix)) throw new Error('A matrix was asked for whose room newer ones have taken.');
    return this.#bring(matrix);
  }

  #bring(matrix: Float64Array): number {
    const place = this.#take(matrix.byteLength);
    this.#numbers.set(matrix, place.at / NUMBER);
    this.#known.set(matrix, place);
    return place.at;
  }

  /** Room for so many bytes; what lay there is forgotten. */
  #take(size: number): Place {
    const rounded = Math.ceil(size / 16) * 16;
    if (this.#next + rounded > this.#end) {
      // What lies behind is the oldest: it goes first.
      while (this.#places[0] && this.#places[0].at >= this.#next) this.#places.shift()!.at = 0;
      this.#next = this.#begin;
    }
    const place = { at: this.#next, bytes: rounded };
    this.#next += rounded;
    while (this.#places[0] && this.#places[0].at >= place.at && this.#places[0].at < this.#next)
      this.#places.shift()!.at = 0;
    this.#places.push(place);
    return place;
  }
}

/** The compiled kernel, or null where WebAssembly with SIMD is not to be had or not allowed. */
export function compileKernel(): CompiledKernel | null {
  try {
    const instance = new WebAssembly.Instance(new WebAssembly.Module(bytes), { env: { abort() {} } });
    return new CompiledKernel(instance.exports as unknown as Exports);
  } catch {
    return null;
  }
}
