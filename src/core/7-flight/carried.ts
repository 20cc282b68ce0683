import type { Seconds } from '@/core/1-base/units/convert';
import type { Commands } from './commands';
import type { BodyLoads } from './rigidBody';

/** What pulls or bears an aircraft until it flies free: a line, or the ground under its wheels. */
export interface Carried {
  /** Where it begins, at rest or nearly: place, turn, speed and rates as a rigid body has them. */
  readonly state: Float64Array;
  /** What acts on it beside air, drives and weight, in flight axes about the balance point. */
  readonly loads: (state: ArrayLike<number>, commands: Commands) => BodyLoads;
  /** What the sticks do meanwhile. */
  readonly commands: (t: number, state: ArrayLike<number>) => Commands;
  /** Falls through nought where it is free. */
  readonly holds: (state: ArrayLike<number>) => number;
  /** Falls through nought where it goes over. */
  readonly standsUp: (state: ArrayLike<number>) => number;
  /** Longer than that it does not come free. */
  readonly longest: Seconds;
}
