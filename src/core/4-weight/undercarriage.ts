import type { Design } from '@/core/2-document/schema/design';
import {
  metresFromMillimetres,
  radiansFromDegrees,
  type Vector3,
  type Metres,
  type Radians,
} from '@/core/1-base/units/convert';
import { metres, radians, say, type Words } from '@/core/1-base/words/phrase';

/** How it stands on its wheels. Angles in rad, lengths in m. */
export interface Undercarriage {
  readonly layout: 'tricycle' | 'tailDragger' | 'skid';
  /** From the vertical over the main axle to the balance point: how far it tips before it falls over; negative when it already does. */
  readonly tipAngle: Radians;
  /** Angle at which it rolls over sideways, between the ground and the line to the balance point; smaller is steadier. */
  readonly turnoverAngle: Radians | null;
  /** Height of the lowest propeller tip over the ground, standing as drawn. */
  readonly propellerClearance: Metres | null;
  /** The same with the nose brought up for lift-off (tricycle) or the datum level (tail wheel). */
  readonly rotationClearance: Metres | null;
  readonly words: readonly Words[];
}

/** Usual bounds (Currey, Aircraft Landing Gear Design, 1988; Raymer, Aircraft Design, ch. 11). */
const TIP_BACK = { least: radiansFromDegrees(12), most: radiansFromDegrees(28) } as const;
const LARGEST_TURNOVER = radiansFromDegrees(63);
const LEAST_CLEARANCE = 0.02;

/**
 * Standing: main wheels are those nearest the balance point with the widest
 * track. Tip angle atan(|x_main − x_cg|/h) with h the height of the balance
 * point over the contact; turnover angle atan(h/d), d the distance of its foot
 * to the line from nose (or tail) wheel to a main wheel.
 */
export function undercarriageOf(design: Design, cg: Vector3): Undercarriage | null {
  if (design.wheels.length === 0) return null;
  const contacts = design.wheels.map(({ position, diameter, mirrored }) => ({
    x: metresFromMillimetres(position.x),
    y: metresFromMillimetres(Math.abs(position.y)),
    z: metresFromMillimetres(position.z - diameter / 2),
    mirrored,
    isSkid: diameter === 0,
  }));
  const main = [...contacts].sort((a, b) => b.y - a.y || Math.abs(a.x - cg[0]) - Math.abs(b.x - cg[0]))[0]!;
  const other = contacts
    .filter((contact) => contact !== main)
    .sort((a, b) => Math.abs(b.x - main.x) - Math.abs(a.x - main.x))[0];
  const noseWheel = other ? other.x < main.x : main.x > cg[0];
  const layout = main.isSkid && !other ? 'skid' : noseWheel ? 'tricycle' : 'tailDragger';
  const height = Math.max(1e-3, cg[2] - main.z);
  const tipAngle = Math.atan(((main.x - cg[0]) * (layout === 'tailDragger' ? -1 : 1)) / height);
  const turnoverAngle = other && main.y > 0 ? turnover(cg, main, other, height) : null;
  const ground = Math.min(...contacts.map(({ z }) => z));
  const tips = design.propulsion.map(
    ({ position, propellerDiameter }) => metresFromMillimetres(position.z - propellerDiameter / 2) - ground,
  );
  const propellerClearance = tips.length > 0 ? Math.min(...tips) : null;
  const rotationClearance = clearanceAt(design, main, layout === 'tricycle' ? ROTATION : 0);
  const words: Words[] = [];
  if (layout === 'tricycle' && tipAngle < TIP_BACK.least)
    words.push(
      tipAngle <= 0
        ? 'It stands with its balance point behind the main wheels and sits on its tail: move them back.'
        : say`It sits back on its tail at ${radians(tipAngle, 0)}: move the main wheels back until it takes 12° or more.`,
    );
  if (layout === 'tricycle' && tipAngle > TIP_BACK.most)
    words.push(
      say`The main wheels lie ${radians(tipAngle, 0)} behind the balance point: the elevator can hardly lift the nose. 12° to 28° is usual.`,
    );
  if (layout === 'tailDragger' && tipAngle < TIP_BACK.least)
    words.push(
      tipAngle <= 0
        ? 'It stands with its balance point ahead of the main wheels and falls on its nose: move them forward.'
        : say`It goes over on its nose at ${radians(tipAngle, 0)}: move the main wheels forward until it takes 12° or more.`,
    );
  if (turnoverAngle !== null && turnoverAngle > LARGEST_TURNOVER)
    words.push(
      say`The track is narrow: it rolls over sideways (${radians(turnoverAngle, 0)}, at most 63° is usual). Set the wheels wider or lower the balance point.`,
    );
  if (propellerClearance !== null && propellerClearance < LEAST_CLEARANCE)
    words.push(
      say`The propeller tip is ${metres(propellerClearance)} over the ground: ${metres(LEAST_CLEARANCE)} or more spares it. Keep hands and grass clear of it.`,
    );
  if (rotationClearance !== null && rotationClearance < LEAST_CLEARANCE && (propellerClearance ?? 1) >= LEAST_CLEARANCE)
    words.push(
      say`At lift-off the propeller tip comes to ${metres(rotationClearance)} over the ground: longer legs, or a smaller propeller.`,
    );
  return { layout, tipAngle, turnoverAngle, propellerClearance, rotationClearance, words };
}

/** Nose-up angle of a lift-off [rad]. */
const ROTATION = radiansFromDegrees(12);

/** Height of the lowest propeller tip over the main contact when turned nose up about it. */
function clearanceAt(design: Design, main: { x: number; z: number }, noseUp: number): number | null {
  const tips = design.propulsion.map(({ position, propellerDiameter }) => {
    const x = metresFromMillimetres(position.x) - main.x;
    const z = metresFromMillimetres(position.z) - main.z;
    return (
      z * Math.cos(noseUp) - x * Math.sin(noseUp) - metresFromMillimetres(propellerDiameter / 2) * Math.cos(noseUp)
    );
  });
  return tips.length > 0 ? Math.min(...tips) : null;
}

function turnover(
  cg: Vector3,
  main: { x: number; y: number },
  other: { x: number; y: number },
  height: number,
): number {
  const length = Math.hypot(main.x - other.x, main.y - other.y);
  // Distance of the foot of the balance point (on the centre line) to the line between the two contacts.
  const distance = Math.abs((main.x - other.x) * (other.y - 0) - (other.x - cg[0]) * (main.y - other.y)) / length;
  return Math.atan(height / Math.max(distance, 1e-6));
}

/** Lowest propeller tip under the belly [m]; positive when the belly touches first in a landing without wheels. */
export function bellyClearance(design: Design): number | null {
  if (design.propulsion.length === 0 || design.bodies.length === 0) return null;
  const belly = Math.min(
    ...design.bodies.flatMap(({ frames, position }) => frames.map(({ bottom }) => position.z + bottom)),
  );
  const tip = Math.min(
    ...design.propulsion.map(({ position, propellerDiameter }) => position.z - propellerDiameter / 2),
  );
  return metresFromMillimetres(tip - belly);
}
