import type { Fraction, Metres, MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';

export interface RunInput {
  readonly weight: Newtons;
  readonly stallSpeed: MetresPerSecond;
  readonly thrustAt: (speed: MetresPerSecond) => Newtons;
  /** Drag in level flight at a speed; on the ground at the lift of lift-off it goes with the square of the speed. */
  readonly dragAt: (speed: MetresPerSecond) => Newtons;
  readonly friction: Fraction;
}

/** Speed over the stall at which it leaves the ground or comes down on it; lift while it rolls, of that at the stall. */
const LIFTS_OFF = 1.2;
const TOUCHES = 1.15;
const ROLLING_LIFT = 0.4;
const STEPS = 60;

/** Way to lift-off: s = ∫ V dV/a, a = (T − D − μ(W − L))/m; null where it does not get there. Source: Anderson, Introduction to Flight, ch. 6. */
export function groundRun(input: RunInput): Metres | null {
  const end = LIFTS_OFF * input.stallSpeed;
  let way = 0;
  for (let step = 0; step < STEPS; step++) {
    const speed = (end * (step + 0.5)) / STEPS;
    const acceleration = (input.thrustAt(speed) - held(input, speed)) * (GRAVITY / input.weight);
    if (acceleration <= 0.05) return null;
    way += (speed * (end / STEPS)) / acceleration;
  }
  return way;
}

/** Way from touching down to standing, the drive off. */
export function landingRun(input: RunInput): Metres {
  const start = TOUCHES * input.stallSpeed;
  let way = 0;
  for (let step = 0; step < STEPS; step++) {
    const speed = (start * (step + 0.5)) / STEPS;
    way += (speed * (start / STEPS)) / (held(input, speed) * (GRAVITY / input.weight));
  }
  return way;
}

/** Drag and friction of what rolls or slides at a speed. */
function held({ weight, stallSpeed, dragAt, friction }: RunInput, speed: MetresPerSecond): Newtons {
  const reference = LIFTS_OFF * stallSpeed;
  const lift = ROLLING_LIFT * (speed / stallSpeed) ** 2 * weight;
  const drag = dragAt(reference) * (speed / reference) ** 2;
  return (drag + friction * Math.max(0, weight - lift)) as Newtons;
}
