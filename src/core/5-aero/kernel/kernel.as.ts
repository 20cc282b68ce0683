/*
 * What the lattice does most, compiled to WebAssembly (AssemblyScript): two
 * numbers of double precision at once. Addresses are in bytes, matrices row by
 * row. What it computes and why stands beside the same in TypeScript, with
 * which tests compare it.
 */

export { columnSums, largest, multiply } from './products.as';
export { factorise, solveFour, solveOne, solveTransposed } from './equations.as';
export { seeBoth, turnBoth } from './halves.as';
export { induce } from './vortices.as';
