import {
  type Fraction,
  type Metres,
  metresFromMillimetres,
  type Pascals,
  type Radians,
  radiansFromDegrees,
  type SquareMetres,
  type Vector3,
} from '@/core/1-base/units/convert';
import { runDrive } from '@/core/5-power/drive/drive';
import { type DesignDrive, drivesOf } from '@/core/6-groups/power/drives';
import type { Design } from '@/core/2-document/schema/design';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import type { Commands } from './commands';
import type { BodyLoads } from './rigidBody';

/** Speeds along the axis that a drive is worked out at [m/s]; between them straight, beyond the last held. */
const SPEEDS = [0, 2, 4, 6, 8, 10, 12, 15, 18, 22, 27, 33] as const;
const FULL: Fraction = 1;

/** Thrust and torque of the drives, and the dynamic pressure that each adds behind it. */
export interface DriveLoads extends BodyLoads {
  readonly jets: readonly Pascals[];
}

/** What all drives do at a throttle, by the speed through the air in flight axes [m/s] and where the sticks are, for drives that tilt with them. */
export type ThrustOf = (speed: Vector3, sticks?: Commands['sticks']) => DriveLoads;

/** A drive in flight axes about the balance point. */
interface Pull {
  readonly down: Radians;
  readonly right: Radians;
  /** How far it tilts nose up with each stick in full [rad]. */
  readonly tilts: Readonly<Record<'pitch' | 'roll' | 'yaw', Radians>>;
  readonly arm: Vector3;
  /** Place of its drive in the document, and how much of that drive it is. */
  readonly drive: number;
  readonly part: Fraction;
  readonly thrust: readonly number[];
  /** Torque of the propellers on the aircraft about the axis; none for a pair that turns against one another. */
  readonly torque: readonly number[];
  /** Of its discs [m²]. */
  readonly area: SquareMetres;
}

const CENTRED = { pitch: 0, roll: 0, yaw: 0 } as const;

/**
 * Thrust along every shaft and the torque of its propeller, by blade elements,
 * motor and pack at one opening of the throttle; the air that it meets
 * is the speed along the shaft. Drives tilt as mixes say. A reason where a
 * drive is not known.
 * @param left share of the charge
 */
export function thrustOf(
  { design, air, about }: Prepared,
  throttle: Fraction,
  left: Fraction = FULL,
): ThrustOf | { readonly because: string } {
  const drives = drivesOf(design, air);
  if (typeof drives === 'string') return { because: drives };
  const pulls = drives.flatMap((drive, index) => pullsOf(design, { drive, index }, { throttle, left }, about));
  return (speed, sticks = CENTRED) => {
    const jets: Pascals[] = drives.map(() => 0);
    const force: [number, number, number] = [0, 0, 0];
    const moment: [number, number, number] = [0, 0, 0];
    for (const { down, right, tilts, arm, drive, part, thrust, torque, area } of pulls) {
      const under = down - tilts.pitch * sticks.pitch - tilts.roll * sticks.roll - tilts.yaw * sticks.yaw;
      const axis: Vector3 = [Math.cos(under) * Math.cos(right), Math.sin(right), Math.sin(under) * Math.cos(right)];
      const along = axis.reduce((sum, value, index) => sum + value * speed[index]!, 0);
      const [pull, turn] = [part * between(thrust, along), part * between(torque, along)];
      jets[drive]! += Math.max(0, pull) / area;
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

/** One pull for a drive; for a pair that tilts one for each side. */
function pullsOf(
  { mixes }: Design,
  { drive, index }: { readonly drive: DesignDrive; readonly index: number },
  { throttle, left }: { readonly throttle: Fraction; readonly left: Fraction },
  [x0, , z0]: Vector3,
): Pull[] {
  const { source, count } = drive;
  const isPair = count === 2;
  const side = isPair ? 0 : source.turns === 'clockwise' ? 1 : -1;
  const runs = SPEEDS.map((speed) => runDrive(drive, speed, throttle, left));
  const tiltOf = (command: 'pitch' | 'roll' | 'yaw', which: 'left' | 'right'): Radians =>
    mixes
      .filter((mix) => mix.command === command)
      .flatMap((mix) => mix.drives)
      .filter((term) => term.drive === source.id)
      .reduce((sum, term) => sum + radiansFromDegrees(source.tiltTravel) * term[which], 0);
  const pullAt = (y: Metres, which: 'left' | 'right', part: Fraction): Pull => ({
    down: radiansFromDegrees(source.downThrust),
    right: isPair ? 0 : radiansFromDegrees(source.rightThrust),
    tilts: { pitch: tiltOf('pitch', which), roll: tiltOf('roll', which), yaw: tiltOf('yaw', which) },
    arm: [x0 - metresFromMillimetres(source.position.x), y, z0 - metresFromMillimetres(source.position.z)],
    drive: index,
    part,
    thrust: runs.map(({ thrust }) => thrust),
    torque: runs.map(({ shaftPower, perSecond }) =>
      perSecond > 0 ? (-side * shaftPower) / (2 * Math.PI * perSecond) : 0,
    ),
    area: (count * Math.PI * metresFromMillimetres(source.propellerDiameter) ** 2) / 4,
  });
  const y = metresFromMillimetres(source.position.y);
  return isPair ? [pullAt(y, 'right', 0.5), pullAt(-y, 'left', 0.5)] : [pullAt(y, 'right', 1)];
}

function between(values: readonly number[], speed: number): number {
  const after = SPEEDS.findIndex((one) => one >= speed);
  if (after === 0) return values[0]!;
  if (after < 0) return values.at(-1)!;
  const [a, b] = [SPEEDS[after - 1]!, SPEEDS[after]!];
  return values[after - 1]! + ((values[after]! - values[after - 1]!) * (speed - a)) / (b - a);
}
