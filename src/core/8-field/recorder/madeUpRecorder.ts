import type { MetresPerSecond, Seconds } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { FlightRun } from '../sights';
import type { Track, TrackPoint } from './track';

/** A piece of a made-up flight. */
export interface Piece {
  readonly kind: FlightRun['kind'] | 'other';
  readonly from: Seconds;
  readonly to: Seconds;
  readonly speed: MetresPerSecond;
}

/** What a made-up flight is made of. */
export interface MadeUpFlight {
  readonly stall: MetresPerSecond;
  /** Flown level and gliding at each. */
  readonly speeds: readonly MetresPerSecond[];
  /** Distance over height lost at a speed. */
  readonly glideRatioAt: (speed: MetresPerSecond) => number;
  /** Normal numbers: what trembles. */
  readonly normal: () => number;
}

const RATE = 10;
/** A speed sensor in gusts, and a barometer [m/s, m]. C. */
const OFF = { speed: 0.35, height: 0.25 } as const;
/** From one speed to the next so much in a second [m/s²], and how long each piece takes. */
const CHANGES = 1.6;
const LASTS = { climb: 8, level: 9, glide: 9, between: 2 } as const;
const CLIMBS = 0.28;

/** A recording of a flight from the launch to the ground, and of what it is made: up, level and gliding at every speed, a stall, down. */
export function madeUpRecording({ stall, speeds, glideRatioAt, normal }: MadeUpFlight): {
  readonly track: Track;
  readonly pieces: readonly Piece[];
} {
  const track: TrackPoint[] = [];
  const pieces: Piece[] = [];
  let [t, speed, height] = [0, 1.3 * stall, 2];
  const record = (throttle: number) => {
    track.push({
      t,
      speed: Math.max(0, speed + OFF.speed * normal()),
      height: height + OFF.height * normal(),
      throttle,
    });
    t += 1 / RATE;
  };
  /** Flies on: what speed it goes to, how fast that may change, how steep it climbs, how far the throttle is open. */
  const fly = (
    kind: Piece['kind'],
    seconds: Seconds,
    to: MetresPerSecond,
    climb: number,
    throttle: number,
    quick = CHANGES,
  ) => {
    const from = t;
    for (let tick = 0; tick < Math.round(seconds * RATE); tick++) {
      speed += Math.max(-quick / RATE, Math.min(quick / RATE, to - speed));
      height = Math.max(0, height + (climb * speed) / RATE);
      record(throttle);
    }
    pieces.push({ kind, from, to: t, speed: to });
  };
  const between = (to: MetresPerSecond, throttle: number) =>
    fly('other', Math.max(LASTS.between, Math.abs(to - speed) / CHANGES + 1), to, 0, throttle);
  for (const own of speeds) {
    between(own, 0.6);
    fly('climb', LASTS.climb, own, CLIMBS, 1);
    between(own, 0.6);
    fly('level', LASTS.level, own, 0, 0.55);
    fly('other', LASTS.between, own, -0.02, 0);
    fly('glide', LASTS.glide, own, -1 / Math.hypot(1, glideRatioAt(own)), 0);
  }
  // Slowed down level without power, then the nose falls and speed comes back out of height.
  between(1.5 * stall, 0.5);
  const before = t;
  fly('other', 4, stall, -0.03, 0, (0.5 * stall) / 3.6);
  const lowest = height;
  fly('other', 1.6, 1.5 * stall, -0.45, 0, 0.5 * GRAVITY);
  pieces.push({ kind: 'stall', from: before, to: t, speed: stall });
  height = Math.min(height, lowest);
  between(1.4 * stall, 0.5);
  const down = Math.max(4, height / (0.12 * speed));
  fly('other', down, 1.3 * stall, -0.12, 0.2);
  return { track, pieces: pieces.filter(({ kind }) => kind !== 'other') };
}
