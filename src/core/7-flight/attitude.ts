import type { Radians, Vector3 } from '@/core/1-base/units/convert';

/** Turn from flight axes (x forward, y right, z down) to the earth (x along the launch, y right of it, z down), as a unit quaternion w, x, y, z. */
export type Quaternion = readonly [w: number, x: number, y: number, z: number];

export interface Attitude {
  readonly roll: Radians;
  readonly pitch: Radians;
  readonly yaw: Radians;
}

/** Yaw, then pitch, then roll, each about the axes as they then lie. Source: Etkin & Reid, Dynamics of Flight, 3rd ed., section 4.3. */
export function quaternionOf({ roll, pitch, yaw }: Attitude): Quaternion {
  const [cr, sr] = [Math.cos(roll / 2), Math.sin(roll / 2)];
  const [cp, sp] = [Math.cos(pitch / 2), Math.sin(pitch / 2)];
  const [cy, sy] = [Math.cos(yaw / 2), Math.sin(yaw / 2)];
  return [
    cr * cp * cy + sr * sp * sy,
    sr * cp * cy - cr * sp * sy,
    cr * sp * cy + sr * cp * sy,
    cr * cp * sy - sr * sp * cy,
  ];
}

/** Back again; straight up or down roll and yaw are one, and count as yaw. */
export function attitudeOf([w, x, y, z]: Quaternion): Attitude {
  const square = w * w + x * x + y * y + z * z;
  const nose = (2 * (w * y - x * z)) / square;
  const pitch = Math.asin(Math.min(1, Math.max(-1, nose))) as Radians;
  if (Math.abs(nose) > 1 - 1e-10)
    return { roll: 0 as Radians, pitch, yaw: (-2 * Math.sign(nose) * Math.atan2(x, w)) as Radians };
  return {
    roll: Math.atan2(2 * (w * x + y * z), w * w - x * x - y * y + z * z) as Radians,
    pitch,
    yaw: Math.atan2(2 * (w * z + x * y), w * w + x * x - y * y - z * z) as Radians,
  };
}

/** Rows of the turn from flight axes to the earth; the quaternion need not be quite of length one. */
export function turnMatrix([w, x, y, z]: Quaternion): readonly [Vector3, Vector3, Vector3] {
  const s = 2 / (w * w + x * x + y * y + z * z);
  return [
    [1 - s * (y * y + z * z), s * (x * y - w * z), s * (x * z + w * y)],
    [s * (x * y + w * z), 1 - s * (x * x + z * z), s * (y * z - w * x)],
    [s * (x * z - w * y), s * (y * z + w * x), 1 - s * (x * x + y * y)],
  ];
}
