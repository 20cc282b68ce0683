import type { Metres, MetresPerSecond, Newtons, Seconds } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';

export interface LaunchInput {
  /** Out of the hand, level. */
  readonly speed: MetresPerSecond;
  readonly stallSpeed: MetresPerSecond;
  readonly weight: Newtons;
  readonly thrustAt: (speed: MetresPerSecond) => Newtons;
  /** Drag of level flight at a speed. */
  readonly dragAt: (speed: MetresPerSecond) => Newtons;
}

export interface Launched {
  /** How far it sinks before it climbs or holds its height. */
  readonly heightLost: Metres;
  /** When it has a fifth over its stall; null where it never has. */
  readonly fliesAfter: Seconds | null;
}

/** Lift that is asked for at most, of the most there is; load factor of the hand that pulls it level again. */
const OF_MOST_LIFT = 0.9;
const PULLS = 1.15;
const FLIES = 1.2;
const STEP: Seconds = 0.01;
const LONGEST: Seconds = 6;
/** Deeper than any arm is high. */
const DEEPEST: Metres = 5;

/**
 * A throw with the drive at full: a point mass whose lift holds it level as far
 * as its speed allows, L ≤ 0.9 (V/V_s)² W, m V̇ = T − D − W sin γ, m V γ̇ = L −
 * W cos γ. Drag goes with lift as in level flight at V/√n. Source: Newton;
 * Perkins & Hage, ch. 4. Throws of 5–15 m/s.
 */
export function handLaunch({ speed, stallSpeed, weight, thrustAt, dragAt }: LaunchInput): Launched {
  const mass = weight / GRAVITY;
  let [fast, path, height, lowest] = [speed, 0, 0, 0];
  let fliesAfter: Seconds | null = fast >= FLIES * stallSpeed ? 0 : null;
  for (let time = 0; time < LONGEST && height > -DEEPEST; time += STEP) {
    const most = OF_MOST_LIFT * (fast / stallSpeed) ** 2;
    const asked = path < 0 ? PULLS : Math.cos(path);
    const factor = Math.min(most, asked);
    const drag = factor > 0 ? factor * dragAt(fast / Math.sqrt(factor)) : dragAt(fast);
    const faster = (thrustAt(fast) - drag) / mass - GRAVITY * Math.sin(path);
    const turning = (GRAVITY * (factor - Math.cos(path))) / fast;
    height += fast * Math.sin(path) * STEP;
    fast = Math.max(1, fast + faster * STEP);
    path = Math.min(0.3, Math.max(-1.2, path + turning * STEP));
    lowest = Math.min(lowest, height);
    if (fliesAfter === null && fast >= FLIES * stallSpeed) fliesAfter = time + STEP;
    if (fliesAfter !== null && path >= 0) break;
  }
  return { heightLost: -lowest, fliesAfter };
}
