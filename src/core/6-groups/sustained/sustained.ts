import { z } from 'zod';
import { maximum } from '@/core/1-base/numeric/maximum';
import type { Metres, MetresPerSecond } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { emptyNumbers, numbersGroup, reasonsOfNulls } from '../group';
import { maybe } from '../keys';
import { type DesignFlight, flightOf, HALF, isFlight } from '../power/flight';
import { fastest, fullThrottle, levelAt, steadyAt, timeBetween } from '../power/performance';
import { stall } from '../stall/stall';
import { windWithWay } from '../ceilings/briefTargets';

const keys = z.object({
  slowestSpeed: maybe('speed', 'Slowest level flight: the stall, or what full throttle holds, pack half full'),
  fastestSpeed: maybe('speed', 'Fastest level flight, pack half full'),
  durationSpeed: maybe('speed', 'Speed at which it lasts longest'),
  duration: maybe('time', 'How long that is, down to a fifth of the pack'),
  rangeSpeed: maybe('speed', 'Speed at which it comes farthest in still air'),
  range: maybe('distance', 'How far that is, down to a fifth of the pack'),
  cruiseRange: maybe('distance', 'How far it comes at cruise speed'),
  reserveTime: maybe('time', 'What the last fifth but the last twentieth of the pack still gives at cruise speed'),
  windBeaten: maybe('speed', 'Wind in which it still makes way, pack half full'),
  steepestBank: maybe(
    'angle',
    'Steepest turn that full throttle and the stall let it hold at its height, pack half full',
  ),
  steepestBankSpeed: maybe('speed', 'Speed of that turn'),
  turnRadius: maybe('distance', 'Radius of that turn'),
});

const TOO_WEAK = 'Full throttle holds level flight at no speed.';
const AT_CRUISE = 'Full throttle does not hold level flight at cruise speed.';
const NO_TURN = 'Full throttle leaves nothing for a turn.';

/** Level flight as long as it lasts: best speeds, range, reserve, wind and turns. */
export const sustained = numbersGroup(keys, {
  id: 'sustained',
  title: 'Range and turns',
  needs: { stall },
  compute: (solution, { stall: stalls }) => {
    const flight = flightOf(solution, stalls);
    if (!isFlight(flight)) return emptyNumbers(keys, flight);
    const { drives, dragAt, cruise } = flight;
    const top = fastest(flight, HALF);
    if (top === null) return emptyNumbers(keys, TOO_WEAK);
    const slow = slowest(flight, top);
    const level = (speed: MetresPerSecond) => levelAt(drives, speed, dragAt(speed), HALF);
    const power = (speed: MetresPerSecond) => steadyAt(drives, speed, dragAt(speed), HALF)?.electricPower ?? Infinity;
    const longest = bestSpeed(slow, top, (speed) => 1 / power(speed));
    const farthest = bestSpeed(slow, top, (speed) => speed / power(speed));
    const atCruise = level(cruise);
    const duration = level(longest)?.duration ?? null;
    const across = level(farthest)?.duration ?? null;
    const turn = steepestTurn(flight, top);
    const values = {
      slowestSpeed: slow,
      fastestSpeed: top,
      durationSpeed: longest,
      duration,
      rangeSpeed: farthest,
      range: across === null ? null : across * farthest,
      cruiseRange: atCruise && atCruise.duration * cruise,
      reserveTime: atCruise && timeBetween(drives, cruise, dragAt(cruise), [0.2, 0.05]),
      windBeaten: windWithWay(top),
      steepestBank: turn?.bank ?? null,
      steepestBankSpeed: turn?.speed ?? null,
      turnRadius: turn?.radius ?? null,
    };
    return {
      ...values,
      reasons: {
        ...reasonsOfNulls(values, NO_TURN),
        ...(atCruise ? {} : { cruiseRange: AT_CRUISE, reserveTime: AT_CRUISE }),
      },
    };
  },
});

const STEPS = 10;

/** Slowest speed from the stall on at which full throttle holds it. */
function slowest({ drives, dragAt, stallSpeed }: DesignFlight, top: MetresPerSecond): MetresPerSecond {
  for (let step = 0; step < STEPS; step++) {
    const speed = stallSpeed + ((top - stallSpeed) * step) / STEPS;
    if (fullThrottle(drives, speed, HALF).thrust >= dragAt(speed)) return speed;
  }
  return top;
}

const bestSpeed = (low: number, high: number, worth: (speed: number) => number): MetresPerSecond =>
  high > low ? maximum(worth, low, high, STEPS) : low;

interface Turn {
  readonly bank: number;
  readonly speed: MetresPerSecond;
  readonly radius: Metres;
}

/** Turns nearer to the stall than this end in one. */
const OVER_STALL = 1.1;
const MOST_LOAD = 6;
const HALVINGS = 24;

/**
 * Steepest turn that holds its height: lift n W, n = 1/cos φ, drag n D(V/√n),
 * radius V²/(g tan φ). Source: Anderson, Introduction to Flight, ch. 6. [exact
 * but for the Reynolds number]
 */
function steepestTurn({ drives, dragAt, stallSpeed }: DesignFlight, top: MetresPerSecond): Turn | null {
  const holds = (speed: number, load: number) =>
    speed >= OVER_STALL * stallSpeed * Math.sqrt(load) &&
    fullThrottle(drives, speed, HALF).thrust >= load * dragAt(speed / Math.sqrt(load));
  let best = { load: 1, speed: 0 };
  for (let step = 0; step <= STEPS; step++) {
    const speed = OVER_STALL * stallSpeed + ((top - OVER_STALL * stallSpeed) * step) / STEPS;
    if (!holds(speed, best.load * 1.001)) continue;
    let [low, high] = [best.load, MOST_LOAD];
    for (let round = 0; round < HALVINGS && high - low > 1e-3; round++) {
      const middle = (low + high) / 2;
      if (holds(speed, middle)) low = middle;
      else high = middle;
    }
    best = { load: low, speed };
  }
  if (best.load <= 1.001) return null;
  const bank = Math.acos(1 / best.load);
  return { bank, speed: best.speed, radius: best.speed ** 2 / (GRAVITY * Math.tan(bank)) };
}
