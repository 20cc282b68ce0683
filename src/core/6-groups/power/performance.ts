import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, MetresPerSecond, Newtons, Radians } from '@/core/1-base/units/convert';
import { type Drive, driveAtThrust, runDrive, type Running, type Throttled } from '@/core/5-power/drive/drive';
import type { DragAt } from './poweredDrag';

/** Sums of all drives; of motors and propellers the busiest. */
export function fullThrottle(drives: readonly Drive[], speed: MetresPerSecond, left: Fraction): Running {
  return together(drives.map((drive) => runDrive(drive, speed, 1, left)));
}

function together(all: readonly Running[]): Running {
  const sum = (pick: (one: Running) => number) => all.reduce((total, one) => total + pick(one), 0);
  const most = (pick: (one: Running) => number) => Math.max(...all.map(pick));
  const shaft = sum(({ shaftPower }) => shaftPower);
  return {
    perSecond: most(({ perSecond }) => perSecond),
    thrust: sum(({ thrust }) => thrust) as Newtons,
    motorCurrent: most(({ motorCurrent }) => motorCurrent),
    shaftPower: shaft,
    packCurrent: sum(({ packCurrent }) => packCurrent),
    packVoltage: Math.min(...all.map(({ packVoltage }) => packVoltage)),
    electricPower: sum(({ electricPower }) => electricPower),
    propellerEfficiency:
      shaft > 0 ? sum(({ propellerEfficiency, shaftPower }) => propellerEfficiency * shaftPower) / shaft : 0,
  };
}

/** Share of the thrust that each drive takes: by the area of its discs. */
function sharesOf(drives: readonly Drive[]): number[] {
  const areas = drives.map(({ count, propeller }) => count * propeller.propeller.diameter ** 2);
  const whole = areas.reduce((sum, area) => sum + area, 0);
  return areas.map((area) => area / whole);
}

/** Every drive as it bears its share of a thrust; null where one cannot. */
function shared(drives: readonly Drive[], speed: MetresPerSecond, thrust: Newtons, left: Fraction): Throttled[] | null {
  const shares = sharesOf(drives);
  const all = drives.map((drive, index) => driveAtThrust(drive, speed, (thrust * shares[index]!) as Newtons, left));
  return all.every((one) => one !== null) ? all : null;
}

/** Level flight at a speed: all drives together, the throttle of the widest open; null where they cannot. */
export function levelAt(
  drives: readonly Drive[],
  speed: MetresPerSecond,
  drag: Newtons,
  left: Fraction,
): Throttled | null {
  const all = shared(drives, speed, drag, left);
  return all && { ...together(all), duty: Math.max(...all.map(({ duty }) => duty)) };
}

/** What is left in the pack in the end, and in how many steps it is emptied. */
const RESERVE = 0.2;
const STEPS = 16;

/** How long level flight lasts down to a fifth of the first pack that is so far [s]: ∫ dQ/I; until full throttle does no more. */
export function durationAt(drives: readonly Drive[], speed: MetresPerSecond, drag: Newtons): number {
  let time = 0;
  for (let step = 0; step < STEPS; step++) {
    const left = 1 - ((1 - RESERVE) * (step + 0.5)) / STEPS;
    const all = shared(drives, speed, drag, left);
    if (!all) break;
    const emptied = Math.max(...all.map(({ packCurrent }, index) => packCurrent / drives[index]!.pack.charge));
    time += (1 - RESERVE) / STEPS / emptied;
  }
  return time;
}

/** What flight with power is asked of. */
export interface Flight {
  readonly drives: readonly Drive[];
  readonly weight: number;
  readonly stallSpeed: MetresPerSecond;
  readonly dragAt: DragAt;
}

/** Model aircraft of board are no faster [m/s]. */
const FASTEST = 100;
/** Speeds that are looked at between the stall and the fastest. */
const SPEEDS = 24;

/** Fastest level flight; null where full throttle holds it at no speed from the stall on. */
export function fastest({ drives, stallSpeed, dragAt }: Flight, left: Fraction): MetresPerSecond | null {
  const more = (speed: number) => fullThrottle(drives, speed, left).thrust - dragAt(speed);
  let [low, high] = [0, FASTEST];
  for (let step = 0; step <= SPEEDS; step++) {
    const speed = stallSpeed * (FASTEST / stallSpeed) ** (step / SPEEDS);
    if (more(speed) >= 0) low = speed;
    else if (low > 0) {
      high = speed;
      break;
    }
  }
  if (low === 0) return null;
  if (high === FASTEST && more(FASTEST) >= 0) return FASTEST;
  const found = findRoot(more, { low, high, tolerance: 1e-4 });
  return found.kind === 'root' ? found.x : low;
}

export interface Climb {
  readonly rate: MetresPerSecond;
  readonly speed: MetresPerSecond;
  readonly angle: Radians;
}

/** Slowest climb over the stall; slower a gust ends it. */
const OVER_STALL = 1.1;

/** Fastest and steepest climb at full throttle: sin γ = (T − D)/W, at most straight up; null where nothing is left over. */
export function bestClimb(flight: Flight, left: Fraction): Climb | null {
  const { drives, weight, stallSpeed, dragAt } = flight;
  const top = fastest(flight, left);
  const slowest = OVER_STALL * stallSpeed;
  if (top === null || top <= slowest) return null;
  let best: Climb | null = null;
  let steepest = 0;
  for (let step = 0; step <= SPEEDS; step++) {
    const speed = slowest + ((top - slowest) * step) / SPEEDS;
    const sine = Math.min(1, (fullThrottle(drives, speed, left).thrust - dragAt(speed)) / weight);
    steepest = Math.max(steepest, sine);
    if (speed * sine > (best?.rate ?? 0)) best = { rate: speed * sine, speed, angle: 0 };
  }
  return best && { ...best, angle: Math.asin(steepest) };
}
