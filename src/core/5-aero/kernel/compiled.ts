import { bytes } from './kernel.as.ts?wasm';
import type { LuFactors } from './factors';
import { KernelMemory } from './kernelMemory';

/** What the module gives: see `kernel.as.ts`. */
interface Exports {
  readonly memory: WebAssembly.Memory;
  multiply(
    a: number,
    rows: number,
    columns: number,
    from: number,
    x: number,
    count: number,
    apart: number,
    out: number,
  ): void;
  factorise(a: number, order: number, size: number, block: number, from: number, largest: number): number;
  solveOne(a: number, size: number, from: number, unknowns: number, x: number): void;
  solveFour(a: number, size: number, from: number, first: number, x: number): void;
  solveTransposed(a: number, size: number, from: number, x: number): void;
  columnSums(a: number, size: number, from: number, out: number): void;
  largest(a: number, count: number): number;
  induce(shoes: number, line: number, work: number, out: number): void;
  turnBoth(shoes: number, lines: number, lineCount: number, line: number, turning: number, out: number): void;
  seeBoth(
    shoes: number,
    lines: number,
    lineCount: number,
    controls: number,
    line: number,
    halves: number,
    work: number,
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

/** Lines along x whose points both half problems see, all with as many points. */
export interface SeenLines {
  /** Of every line y, z, normal to the right and up, surface that it lies on, first row, panels from and to, then x of its points. */
  readonly lines: Float64Array;
  readonly points: number;
  /** Points at the head of every line that are seen along the normal. */
  readonly controls: number;
  /** 1 for every panel that has a twin on the left, else 0. */
  readonly twins: Float64Array;
  /** For every surface, 1 or 0 for every edge as in a `SeenLine`. */
  readonly spreads: readonly Uint8Array[];
}

/** Where it goes what panels with equal circulation left and right, or with opposite one, induce: laid matrices, null for what is not asked. */
export interface SeenHalf {
  readonly normal: Float64Array | null;
  readonly u: Float64Array | null;
  readonly v: Float64Array | null;
  readonly w: Float64Array | null;
}

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
/** Bytes of the module's records: `Horseshoes`, `Line`, and `Halves` or `Turning`. */
const SHOES = 32;
const LINE = 32;
const HALVES = 48;
/** Numbers of a line before those of its points. */
export const LINE_HEAD = 8;
/** Memory for matrices [bytes]: those of a few geometries of the finest lattice. */
const ROOM = 640 * PAGE;
/** Matrices with more rows or columns are left to TypeScript. */
export const MOST_ROWS = 2048;
/** Below so many rows a call costs more than it saves. */
export const LEAST_ROWS = 12;

/** What a look needs room for. */
interface Asked {
  readonly xs: ArrayLike<number>;
  readonly spreads: readonly Uint8Array[];
  /** Bytes for what is seen on the way. */
  readonly room: number;
  /** Numbers that come of it. */
  readonly answers: number;
}

/** Addresses of all that a look needs. */
interface Seen {
  readonly shoes: number;
  readonly line: number;
  readonly halves: number;
  readonly xs: number;
  readonly spread: number;
  readonly work: number;
  readonly out: number;
}

/** Bytes for what two points see of a field. */
const sightRoom = ({ edges, count }: PackedField): number => edges * (3 * NUMBER + WAKE + count * CORNER) + 16;

/** The compiled kernel with its memory. */
export class CompiledKernel {
  readonly #exports: Exports;
  readonly #memory: KernelMemory;
  readonly #numbers: Float64Array;
  readonly #integers: Int32Array;
  readonly #vectors: number;
  readonly #results: number;
  readonly #order: number;
  readonly #work: number;

  constructor(exports: Exports) {
    this.#exports = exports;
    const { memory } = exports;
    // Nothing of its own lies in the second page and after it.
    this.#vectors = PAGE;
    this.#results = this.#vectors + 4 * MOST_ROWS * NUMBER;
    this.#order = this.#results + 4 * MOST_ROWS * NUMBER;
    this.#work = this.#order + MOST_ROWS * NUMBER;
    const begin = this.#work + WORK;
    memory.grow(Math.ceil((begin + ROOM - memory.buffer.byteLength) / PAGE));
    this.#memory = new KernelMemory(memory.buffer, begin, ROOM);
    this.#numbers = this.#memory.numbers;
    this.#integers = this.#memory.integers;
  }

  /** Room for a matrix to be written at once; null where there is none: see `KernelMemory`. */
  lay(size: number): Float64Array | null {
    return this.#memory.lay(size);
  }

  /** Whether a matrix that was laid still is what was written there. */
  isThere(matrix: Float64Array): boolean {
    return this.#memory.isThere(matrix);
  }

  /** Σ a[i, j] x[j] over the columns from…columns−1, for every row of each of several matrices and up to four x: for every matrix the product of each. */
  multiplyRows(
    matrices: readonly Float64Array[],
    columns: number,
    sides: readonly Float64Array[],
    from: number,
  ): Float64Array[][] {
    const numbers = this.#numbers;
    sides.forEach((side, index) => numbers.set(side, this.#vectors / NUMBER + index * MOST_ROWS));
    const out = this.#results / NUMBER;
    return matrices.map((a) => {
      const rows = a.length / columns;
      const at = this.#memory.placeOf(a);
      this.#exports.multiply(at, rows, columns, from, this.#vectors, sides.length, MOST_ROWS * NUMBER, this.#results);
      return sides.map((_, index) => numbers.slice(out + index * MOST_ROWS, out + index * MOST_ROWS + rows));
    });
  }

  /** Largest magnitude of the entries from an index on; NaN or infinite where one of them is. */
  largestEntry(values: Float64Array, from: number): number {
    return this.#exports.largest(this.#memory.freshPlaceOf(values) + from * NUMBER, values.length - from);
  }

  /** Σ |a[i, j]| over the rows and columns from…size−1, for every column. */
  columnSums(a: Float64Array, size: number, from: number): Float64Array {
    this.#exports.columnSums(this.#memory.freshPlaceOf(a), size, from, this.#results);
    return this.#numbers.slice(this.#results / NUMBER, this.#results / NUMBER + size);
  }

  /** Factors in place. @returns −1, or the first column that the others leave open */
  factorInPlace(
    values: Float64Array,
    order: Int32Array,
    { size, block, from }: Pick<LuFactors, 'size' | 'block' | 'from'>,
    largest: number,
  ): number {
    const at = this.#memory.freshPlaceOf(values);
    const failed = this.#exports.factorise(at, this.#order, size, block, from, largest);
    if (!this.#memory.isInside(values)) values.set(this.#numbers.subarray(at / NUMBER, at / NUMBER + values.length));
    order.set(this.#integers.subarray(this.#order / 4, this.#order / 4 + size));
    return failed;
  }

  /** Solves Aᵀ x = b. */
  solveTransposed({ values, order, size, from }: LuFactors, right: Float64Array): Float64Array {
    const at = this.#memory.placeOf(values);
    const first = this.#vectors / NUMBER;
    this.#numbers.set(right, first);
    this.#exports.solveTransposed(at, size, from, this.#vectors);
    const x = new Float64Array(size);
    for (let i = from; i < size; i++) x[order[i]!] = this.#numbers[first + i]!;
    return x;
  }

  /** Solves for the leading `unknowns`. */
  solveOne({ values, order, size, from }: LuFactors, right: Float64Array, unknowns: number): Float64Array {
    const at = this.#memory.placeOf(values);
    const first = this.#vectors / NUMBER;
    for (let i = 0; i < unknowns; i++) this.#numbers[first + i] = right[i < from ? i : order[i]!]!;
    this.#exports.solveOne(at, size, from, unknowns, this.#vectors);
    return this.#numbers.slice(first, first + unknowns);
  }

  /** Up to four right sides at once: what is read of the factors serves all. */
  solveFour({ values, order, size, from }: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
    const at = this.#memory.placeOf(values);
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
    const panels = field.edgeOf.length * field.count;
    const seen = this.#see(field, frame, {
      xs: line.xs,
      spreads: [line.spread],
      room: sightRoom(field),
      answers: 3 * rows.length * panels,
    });
    if (!seen) return false;
    this.#look(seen, line);
    this.#exports.induce(seen.shoes, seen.line, seen.work, seen.out);
    let from = seen.out / NUMBER;
    for (const { u, v, w } of rows)
      for (const values of [u, v, w]) {
        values.set(this.#numbers.subarray(from, from + panels));
        from += panels;
      }
    return true;
  }

  /**
   * Change of the velocity at the points of lines, and of their images in the
   * mirror, as wakes of these strengths turn: for every line u, v and w as they
   * turn up and as they turn right, of two points side by side, then as much
   * for its image. @returns null where there is no room for that many
   */
  turnBoth(
    field: PackedField,
    frame: PackedFrame,
    [own, images]: readonly [Float64Array, Float64Array],
    { lines, points, spreads }: Omit<SeenLines, 'controls' | 'twins'>,
  ): Float64Array | null {
    const count = lines.length / (LINE_HEAD + points);
    const answers = 24 * Math.ceil(points / 2) * count;
    const seen = this.#see(field, frame, { xs: lines, spreads, room: 0, answers });
    if (!seen) return null;
    this.#look(seen, { y: 0, z: 0, xs: { length: points } });
    const [ownAt, imagesAt] = [this.#vectors, this.#vectors + MOST_ROWS * NUMBER];
    this.#numbers.set(own, ownAt / NUMBER);
    this.#numbers.set(images, imagesAt / NUMBER);
    const { shoes, line, halves, xs, out } = seen;
    this.#integers.set([ownAt, imagesAt, seen.spread], halves / 4);
    this.#exports.turnBoth(shoes, xs, count, line, halves, out);
    return this.#numbers.slice(out / NUMBER, out / NUMBER + answers);
  }

  /**
   * What panels with equal circulation left and right, and with opposite one,
   * induce at the points of lines, into matrices that were laid here.
   * @returns false where there is no room for that many
   */
  seeBoth(
    field: PackedField,
    frame: PackedFrame | null,
    seenLines: SeenLines,
    halves: readonly [even: SeenHalf, odd: SeenHalf],
  ): boolean {
    const { lines, points, controls, twins, spreads } = seenLines;
    const matrices = [...halves.map(({ normal }) => normal), ...halves.flatMap(({ u, v, w }) => [u, v, w])];
    if (matrices.some((matrix) => matrix && !this.#memory.isInside(matrix))) return false;
    const panels = field.edgeOf.length * field.count;
    const room = 2 * sightRoom(field) + 12 * panels * NUMBER;
    const seen = this.#see(field, frame, { xs: lines, spreads, room, answers: panels });
    if (!seen) return false;
    const { shoes, line, xs, out, work } = seen;
    this.#look(seen, { y: 0, z: 0, xs: { length: points } });
    this.#numbers.set(twins, out / NUMBER);
    const addresses = [...matrices.map((matrix) => (matrix ? this.#memory.placeOf(matrix) : 0)), out, seen.spread];
    this.#integers.set(addresses, seen.halves / 4);
    const count = lines.length / (LINE_HEAD + points);
    this.#exports.seeBoth(shoes, xs, count, controls, line, seen.halves, work);
    return true;
  }

  /** Lays a field, a direction and places of points where the module reads them; null where there is no room. */
  #see(
    { edges, places, edgeOf, count }: PackedField,
    frame: PackedFrame | null,
    { xs, spreads, room, answers }: Asked,
  ): Seen | null {
    const shoes = this.#work;
    const line = shoes + SHOES;
    const halves = line + LINE;
    const directed = halves + HALVES;
    const points = directed + FRAME;
    const spread = points + xs.length * NUMBER;
    const work = Math.ceil((spread + spreads.length * edges) / 16) * 16;
    const out = Math.ceil((work + room) / 16) * 16;
    if (out + answers * NUMBER > this.#work + WORK || edges > MOST_ROWS) return null;
    if (frame) this.#numbers.set(frame, directed / NUMBER);
    this.#numbers.set(xs, points / NUMBER);
    spreads.forEach((each, index) => this.#memory.bytes.set(each, spread + index * edges));
    const edgesAt = this.#results;
    this.#integers.set(edgeOf, edgesAt / 4);
    const toFrame = frame ? directed : 0;
    this.#integers.set([this.#memory.placeOf(places), edgesAt, toFrame, edges, count, edgeOf.length], shoes / 4);
    return { shoes, line, halves, xs: points, spread, work, out };
  }

  #look(
    { line, xs, spread }: Seen,
    { y, z, xs: { length } }: Pick<SeenLine, 'y' | 'z'> & { readonly xs: { readonly length: number } },
  ): void {
    this.#numbers.set([y, z], line / NUMBER);
    this.#integers.set([xs, length, spread], line / 4 + 4);
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
