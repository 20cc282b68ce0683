import { type CompiledKernel, compileKernel, LEAST_ROWS, MOST_ROWS } from './compiled';
import * as inTypeScript from './inTypeScript';

/** What the lattice does most, in either form. */
export type Kernel = Pick<CompiledKernel, Exclude<keyof typeof inTypeScript, 'dotRow'>> &
  // Without them the loops of `inducedVelocity.ts`, `wakeChange.ts` and `bothHalves.ts` do it.
  Partial<Pick<CompiledKernel, 'induce' | 'turnBoth' | 'seeBoth' | 'lay' | 'isThere'>>;

const reference: Kernel = inTypeScript;
const compiled: Kernel | null = compileKernel();
let chosen: Kernel = compiled ?? reference;

/** The kernel for matrices with so many columns and rows. */
export const kernelFor = (columns: number, rows = columns): Kernel =>
  columns < LEAST_ROWS || columns > MOST_ROWS || rows > MOST_ROWS ? reference : chosen;

/** A matrix to be written: with the compiled kernel where that is in use, so that it is never copied there. */
export const laidMatrix = (rows: number, columns: number): Float64Array =>
  kernelFor(columns, rows).lay?.(rows * columns) ?? new Float64Array(rows * columns);

/** Whether a laid matrix still is what was written. */
export const isStillThere = (matrix: Float64Array): boolean => compiled?.isThere?.(matrix) ?? true;

/** Both forms, for comparing them; the compiled one is null where it is not to be had. */
export const KERNELS: { readonly reference: Kernel; readonly compiled: Kernel | null } = { reference, compiled };

/** Lets everything run on one of them, for comparing and timing. @returns what takes that back */
export function useKernel(kernel: Kernel): () => void {
  const before = chosen;
  chosen = kernel;
  return () => {
    chosen = before;
  };
}
