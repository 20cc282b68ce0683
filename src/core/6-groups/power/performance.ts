import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, MetresPerSecond, Newtons, Radians } from '@/core/1-base/units/convert';
import {
  type Demand,
  demandOf,
  type Drive,
  meeting,
  runDrive,
  type Running,
  type Throttled,
} from '@/core/5-power/drive/drive';
import type { DragAt } from './poweredDrag';

/** Sums of all drives at one opening of the throttle; of motors and propellers the busiest. */
export const throttled = (drives: readonly Drive[], speed: MetresPerSecond, duty: Fraction, left: Fraction): Summed =>
  together(drives.map((drive) => runDrive(drive, speed, duty, left)));

export const fullThrottle = (drives: readonly Drive[], speed: MetresPerSecond, left: Fraction): Summed =>
  throttled(drives, speed, 1, left);

/** What all drives do together, and what each pack gives. */
export interface Summed extends Running {
  readonly packCurrents: readonly number[];
}

/** Share of its charge that the first pack to be empty loses in a second. */
export const chargeUsed = (drives: readonly Drive[], packCurrents: readonly number[]): number =>
  Math.max(...packCurrents.map((current, index) => current / drives[index]!.pack.charge));

function together(all: readonly Running[]): Summed {
  const sum = (pick: (one: Running) => number) => all.reduce((total, one) => total + pick(one), 0);
  const most = (pick: (one: Running) => number) => Math.max(...all.map(pick));
  const shaft = sum(({ shaftPower }) => shaftPower);
  return {
    perSecond: most(({ perSecond }) => perSecond),
    thrust: sum(({ thrust }) => thrust) as Newtons,
    motorCurrent: most(({ motorCurrent }) => motorCurrent),
    shaftPower: shaft,
    packCurrent: sum(({ packCurrent }) => packCurrent),
    packCurrents: all.map(({ packCurrent }) => packCurrent),
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

/** What every drive is asked for where all share a thrust; null where one cannot. */
function demands(drives: readonly Drive[], speed: MetresPerSecond, thrust: Newtons): Demand[] | null {
  const shares = sharesOf(drives);
  const all = drives.map((drive, index) => demandOf(drive, speed, (thrust * shares[index]!) as Newtons));
  return all.every((one) => one !== null) ? all : null;
}

/** Every drive as it meets what it is asked for; null where one cannot. */
function met(drives: readonly Drive[], asked: readonly Demand[], left: Fraction): Throttled[] | null {
  const all = drives.map((drive, index) => meeting(drive, asked[index]!, left));
  return all.every((one) => one !== null) ? all : null;
}

/** Level flight at a moment: all drives together, the throttle of the widest open. */
export interface Steady extends Throttled, Summed {}

/** Level flight, and how long that lasts [s]. */
export interface Level extends Steady {
  readonly duration: number;
}

/** Level flight at a speed with a share of charge left; null where the drives cannot. */
export function levelAt(drives: readonly Drive[], speed: MetresPerSecond, drag: Newtons, left: Fraction): Level | null {
  const asked = demands(drives, speed, drag);
  const steady = asked && steadyOf(drives, asked, left);
  return steady && { ...steady, duration: durationOf(drives, asked) };
}

/** The same without how long it lasts, which takes most of the time to find. */
export function steadyAt(
  drives: readonly Drive[],
  speed: MetresPerSecond,
  drag: Newtons,
  left: Fraction,
): Steady | null {
  const asked = demands(drives, speed, drag);
  return asked && steadyOf(drives, asked, left);
}

function steadyOf(drives: readonly Drive[], asked: readonly Demand[], left: Fraction): Steady | null {
  const all = met(drives, asked, left);
  return all && { ...together(all), duty: Math.max(...all.map(({ duty }) => duty)) };
}

/** What is left in the pack in the end, and in how many steps it is emptied. */
const RESERVE = 0.2;
const STEPS = 16;

/** Down to a fifth of the first pack that is so far [s]; or until full throttle does no more. */
const durationOf = (drives: readonly Drive[], asked: readonly Demand[]): number =>
  emptying(drives, asked, [1, RESERVE]);

/** From one share of charge to another [s]: ∫ dQ/I. */
function emptying(
  drives: readonly Drive[],
  asked: readonly Demand[],
  [from, to]: readonly [Fraction, Fraction],
): number {
  let time = 0;
  for (let step = 0; step < STEPS; step++) {
    const left = from - ((from - to) * (step + 0.5)) / STEPS;
    const all = met(drives, asked, left);
    if (!all) break;
    const emptied = chargeUsed(
      drives,
      all.map(({ packCurrent }) => packCurrent),
    );
    time += (from - to) / STEPS / emptied;
  }
  return time;
}

/** How long level flight lasts between two shares of charge [s]; null where the drives cannot. */
export function timeBetween(
  drives: readonly Drive[],
  speed: MetresPerSecond,
  drag: Newtons,
  shares: readonly [from: Fraction, to: Fraction],
): number | null {
  const asked = demands(drives, speed, drag);
  return asked && emptying(drives, asked, shares);
}

/** What flight with power is asked of. */
export interface Flight {
  readonly drives: readonly Drive[];
  readonly weight: number;
  readonly stallSpeed: MetresPerSecond;
  readonly dragAt: DragAt;
  /** What propellers without power add to that in a glide. */
  readonly restingDragAt: DragAt;
}

/** Model aircraft of board are no faster [m/s]. */
const FASTEST = 100;
/** Speeds that are looked at between the stall and the fastest. */
const SPEEDS = 12;

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

/** Fastest and steepest climb at full throttle: sin γ = (T − D)/W, at most straight up; null where nothing is left over. @param top fastest level flight */
export function bestClimb(flight: Flight, left: Fraction, top: MetresPerSecond | null): Climb | null {
  const { drives, weight, stallSpeed, dragAt } = flight;
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
