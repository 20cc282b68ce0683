const NUMBER = 8;
/** As many laid matrices are written one beside the other. */
const BESIDE = 16;

/** Where a matrix lies; 0 once something else lies there. */
interface Place {
  at: number;
}

/**
 * Room for matrices in the memory of a module, written round and round: what
 * comes in stays there until newer ones need its room, so that what is asked of
 * one often is copied once.
 */
export class KernelMemory {
  readonly numbers: Float64Array;
  readonly integers: Int32Array;
  readonly bytes: Uint8Array;
  readonly #known = new WeakMap<Float64Array, Place>();
  /** Oldest first. */
  readonly #places: Place[] = [];
  readonly #begin: number;
  readonly #end: number;
  #next: number;

  /** @param begin address from which on nothing else lies @param room bytes from there */
  constructor(buffer: ArrayBuffer, begin: number, room: number) {
    this.numbers = new Float64Array(buffer);
    this.integers = new Int32Array(buffer);
    this.bytes = new Uint8Array(buffer);
    this.#begin = begin;
    this.#end = begin + room;
    this.#next = begin;
  }

  /**
   * Room for a matrix with the module itself, to be written at once: nothing
   * has to be brought there. Once newer ones need the room it is gone: see
   * `isThere`. Null where it would leave no room for others beside it.
   */
  lay(size: number): Float64Array | null {
    if (size * NUMBER > (this.#end - this.#begin) / BESIDE) return null;
    const place = this.#take(size * NUMBER);
    const matrix = this.numbers.subarray(place.at / NUMBER, place.at / NUMBER + size);
    this.#known.set(matrix, place);
    return matrix;
  }

  isInside(matrix: Float64Array): boolean {
    return matrix.buffer === this.numbers.buffer;
  }

  /** Whether a matrix that was laid still is what was written there. */
  isThere(matrix: Float64Array): boolean {
    return !this.isInside(matrix) || (this.#known.get(matrix)?.at ?? 0) > 0;
  }

  /** Where a matrix lies that does not change any more; brought there if need be. */
  placeOf(matrix: Float64Array): number {
    const known = this.#known.get(matrix);
    if (known && known.at > 0) return known.at;
    if (!this.isThere(matrix)) throw new Error('A matrix was asked for whose room newer ones have taken.');
    return this.#bring(matrix);
  }

  /** The same of one that may have changed since it was brought. */
  freshPlaceOf(matrix: Float64Array): number {
    return this.isInside(matrix) ? this.placeOf(matrix) : this.#bring(matrix);
  }

  #bring(matrix: Float64Array): number {
    const place = this.#take(matrix.byteLength);
    this.numbers.set(matrix, place.at / NUMBER);
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
    const place = { at: this.#next };
    this.#next += rounded;
    while (this.#places[0] && this.#places[0].at >= place.at && this.#places[0].at < this.#next)
      this.#places.shift()!.at = 0;
    this.#places.push(place);
    return place;
  }
}
