/** A published or analytic value and what this program makes of it. */
export interface PublishedCase {
  readonly title: string;
  readonly source: string;
  readonly published: number;
  readonly ours: () => number;
  /** Largest relative error that passes; null where the value is shown only for comparison. */
  readonly tolerance: number | null;
  /** Why the two part, where they do. */
  readonly remark?: string;
}

export const GLAUERT = 'Glauert, The Elements of Aerofoil and Airscrew Theory, 1926';
export const SURFACE = 'Lifting-surface theory, as tabulated for rectangular wings (Kinner; Jordan)';
