import type { Metres, MetresPerSecond, Radians, Seconds } from '@/core/1-base/units/convert';

/** How a throw leaves the hand, level winged and pointed ahead but for what is said. */
export interface Throw {
  readonly speed: MetresPerSecond;
  /** Of the path against the horizon, up positive. */
  readonly path: Radians;
  /** Of the balance point above the ground. */
  readonly height: Metres;
  /** Beyond the angle of attack of level flight. */
  readonly alphaError?: Radians;
  readonly roll?: Radians;
  readonly rollRate?: number;
  readonly pitchRate?: number;
}

/** One flight at even steps of time; x ahead of the launch point, y to the right, z height. */
export interface Samples {
  readonly t: readonly Seconds[];
  readonly x: readonly Metres[];
  readonly y: readonly Metres[];
  readonly z: readonly Metres[];
  readonly speed: readonly MetresPerSecond[];
  readonly alpha: readonly Radians[];
  readonly beta: readonly Radians[];
  readonly roll: readonly Radians[];
  readonly pitch: readonly Radians[];
  readonly yaw: readonly Radians[];
  /** About its own axis [rad/s]: in a loop the roll flips, this does not. */
  readonly rollRate: readonly number[];
  /** Of the path against the horizon. */
  readonly path: readonly Radians[];
  /** Share of the wings over which the flow is attached. */
  readonly attached: readonly number[];
}

export interface FlightEvent {
  /**
   * `free`: line or wheels have let it go; `overturns`: before that it touched
   * or went over; `figure`: the loop or roll that was asked for has gone all
   * round; `leaves`: it is farther off than the field of the brief is long.
   */
  readonly name: 'free' | 'overturns' | 'ground' | 'stall' | 'recovers' | 'figure' | 'leaves' | 'end';
  readonly t: Seconds;
}

/** Attached over less of the wings than that is a stall. */
export const STALLED = 0.75;
