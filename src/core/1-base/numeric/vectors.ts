import type { Vector3 } from '../units/convert';

export const plus = (a: Vector3, b: Vector3): Vector3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vector3, b: Vector3): Vector3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vector3, by: number): Vector3 => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vector3, b: Vector3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector3, b: Vector3): Vector3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const lengthOf = (a: Vector3): number => Math.sqrt(dot(a, a));
export const unit = (a: Vector3): Vector3 => times(a, 1 / lengthOf(a));
export const NOUGHT: Vector3 = [0, 0, 0];
