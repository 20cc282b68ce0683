/**
 * Factors of a square matrix, P A = L U, row-major, with row exchanges kept
 * inside the leading `block` rows for the leading `block` columns. The
 * leading block is then factored by itself as well, which gives the aircraft
 * without its tail for nothing. The first `from` unknowns stand for themselves
 * (their rows and columns are those of the identity) and cost nothing.
 * Source: Golub & Van Loan, Matrix Computations, 4th ed., section 3.4.
 */
export interface LuFactors {
  readonly size: number;
  readonly block: number;
  readonly from: number;
  /** Not to be changed: a copy of it may be at work. */
  readonly values: Float64Array;
  readonly order: Int32Array;
}
