import type { PackedFrame } from './kernel/compiled';
import type { WakeDirection } from './vortexField';

/** A direction in which wakes go, and the plane across it: d, e₁ level, e₂ = d × e₁. */
export interface WakeFrame {
  readonly d: readonly [number, number, number];
  readonly e1: readonly [number, number];
  readonly e2: readonly [number, number, number];
  /** All of it one after the other. */
  readonly packed: PackedFrame;
}

export function wakeFrame({ rise, drift = 0 }: WakeDirection): WakeFrame {
  const long = 1 / Math.hypot(1, drift, rise);
  const d = [long, drift * long, rise * long] as const;
  const level = 1 / Math.hypot(1, drift);
  const e1 = [-drift * level, level] as const;
  const e2 = [-d[2] * e1[1], d[2] * e1[0], d[0] * e1[1] - d[1] * e1[0]] as const;
  return { d, e1, e2, packed: Float64Array.of(...d, ...e1, ...e2) };
}
