import {
  type Fraction,
  metresFromMillimetres,
  type Pascals,
  radiansFromDegrees,
  type SquareMetres,
  type Vector3,
} from '@/core/1-base/units/convert';
import { runDrive } from '@/core/5-power/drive/drive';
import { type DesignDrive, drivesOf } from '@/core/6-groups/power/drives';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import type { BodyLoads } from './rigidBody';

/** Speeds along the axis that a drive is worked out at [m/s]; between them straight, beyond the last held. */
const SPEEDS = [0, 2, 4, 6, 8, 10, 12, 15, 18, 22, 27, 33] as const;
const FULL: Fraction = 1;

/** Thrust and torque of the drives, and the dynamic pressure that each adds behind it. */
export interface DriveLoads extends BodyLoads {
  readonly jets: readonly Pascals[];
}

/** What all drives do at a throttle, by the speed through the air in flight axes [m/s]. */
export type ThrustOf = (speed: Vector3) => DriveLoads;

/** A drive in flight axes about the balance point. */
interface Pull {
  readonly axis: Vector3;
  readonly arm: Vector3;
  readonly thrust: readonly number[];
  /** Torque of the propellers on the aircraft about the axis; none for a pair that turns against one another. */
  readonly torque: readonly number[];
  /** Of all its discs [m²]. */
  readonly area: SquareMetres;
}

/**
 * Thrust along every shaft and the torque of its propeller, by blade elements,
 * motor and pack at one opening of the throttle; the air that it meets
 * is the speed along the shaft. A reason where a drive is not known.
 * @param left share of the charge
 */
export function thrustOf(
  { design, air, about }: Prepared,
  throttle: Fraction,
  left: Fraction = FULL,
): ThrustOf | { readonly because: string } {
  const drives = drivesOf(design, air);
  if (typeof drives === 'string') return { because: drives };
  const pulls = drives.map((drive) => pullOf(drive, { throttle, left }, about));
  return (speed) => {
    const jets: Pascals[] = [];
    const force: [number, number, number] = [0, 0, 0];
    const moment: [number, number, number] = [0, 0, 0];
    for (const { axis, arm, thrust, torque, area } of pulls) {
      const along = axis.reduce((sum, value, index) => sum + value * speed[index]!, 0);
      const [pull, turn] = [between(thrust, along), between(torque, along)];
      jets.push(Math.max(0, pull) / area);
      const [x, y, z] = axis.map((value) => pull * value) as unknown as Vector3;
      force[0] += x;
      force[1] += y;
      force[2] += z;
      moment[0] += arm[1] * z - arm[2] * y + turn * axis[0];
      moment[1] += arm[2] * x - arm[0] * z + turn * axis[1];
      moment[2] += arm[0] * y - arm[1] * x + turn * axis[2];
    }
    return { force, moment, jets };
  };
}

function pullOf(
  drive: DesignDrive,
  { throttle, left }: { readonly throttle: Fraction; readonly left: Fraction },
  [x0, , z0]: Vector3,
): Pull {
  const { source, count } = drive;
  const [down, right] = [radiansFromDegrees(source.downThrust), radiansFromDegrees(source.rightThrust)];
  // A pair pulls in the middle, and turns against itself.
  const y = count === 2 ? 0 : metresFromMillimetres(source.position.y);
  const side = count === 2 ? 0 : source.turns === 'clockwise' ? 1 : -1;
  const runs = SPEEDS.map((speed) => runDrive(drive, speed, throttle, left));
  return {
    axis: [Math.cos(down) * Math.cos(right), count === 2 ? 0 : Math.sin(right), Math.sin(down) * Math.cos(right)],
    arm: [x0 - metresFromMillimetres(source.position.x), y, z0 - metresFromMillimetres(source.position.z)],
    area: (count * Math.PI * metresFromMillimetres(source.propellerDiameter) ** 2) / 4,
    thrust: runs.map(({ thrust }) => thrust),
    torque: runs.map(({ shaftPower, perSecond }) =>
      perSecond > 0 ? (-side * shaftPower) / (2 * Math.PI * perSecond) : 0,
    ),
  };
}

function between(values: readonly number[], speed: number): number {
  const after = SPEEDS.findIndex((one) => one >= speed);
  if (after === 0) return values[0]!;
  if (after < 0) return values.at(-1)!;
  const [a, b] = [SPEEDS[after - 1]!, SPEEDS[after]!];
  return values[after - 1]! + ((values[after]! - values[after - 1]!) * (speed - a)) / (b - a);
}
