import { z } from 'zod';
import type { MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import type { MissionPhase } from '@/core/2-document/schema/mission';
import { emptyNumbers, numbersGroup, type ValueOf } from '../group';
import { maybe, text } from '../keys';
import { type DesignFlight, flightOf, HALF, isFlight } from '../power/flight';
import { power } from '../power/power';
import { chargeUsed, fullThrottle, steadyAt } from '../power/performance';
import { speeds } from '../speeds/speeds';
import { stall } from '../stall/stall';
import { sustained } from '../sustained/sustained';

const phase = z.object({
  id: text('Phase by its id'),
  name: text('Phase by its name'),
  kind: text('Climb, loiter, cruise, return or glide'),
  speed: maybe('speed', 'Airspeed in it'),
  time: maybe('time', 'How long it takes'),
  distance: maybe('distance', 'Way over ground'),
  height: maybe('distance', 'Height gained, lost where negative'),
  charge: maybe('percent', 'Share of the pack it takes'),
  left: maybe('percent', 'Share of the pack that is then left; below nought it is empty before'),
  problem: text('Why it cannot be flown; empty where it can'),
});

const keys = z.object({
  phases: z.array(phase),
  time: maybe('time', 'The whole flight'),
  left: maybe('percent', 'Share of the pack that is left in the end'),
});

const NO_PLAN = 'No flight is planned.';
const FAILS = 'One of its phases cannot be flown.';
const BLOWN_BACK = 'the wind is faster than it flies';
const TOO_WEAK = 'full throttle does not hold it at that speed';
const NO_CLIMB = 'full throttle leaves nothing to climb with at that speed';
const NO_GLIDE = 'its glide is not known';

/** A flight phase by phase: what each takes of the pack. */
export const mission = numbersGroup(keys, {
  id: 'mission',
  title: 'Flight plan',
  needs: { stall, speeds, power, sustained },
  compute: (solution, needed) => {
    const { mission: plan } = solution.prepared.design;
    if (plan.length === 0) return emptyNumbers(keys, NO_PLAN);
    const flight = flightOf(solution, needed.stall);
    if (!isFlight(flight)) return emptyNumbers(keys, flight);
    let left: number | null = 1;
    const phases = plan.map((one) => {
      const flown = fly(one, flight, needed);
      left = left === null || flown.charge === null ? null : left - flown.charge;
      return { id: one.id, name: one.name, kind: one.kind, ...flown, left };
    });
    const times = phases.map(({ time }) => time);
    const isWhole = times.every((time) => time !== null);
    return {
      phases,
      time: isWhole ? times.reduce((sum: number, time) => sum + (time ?? 0), 0) : null,
      left,
      reasons: { ...(isWhole ? {} : { time: FAILS }), ...(left === null ? { left: FAILS } : {}) },
    };
  },
});

interface Needed {
  readonly power: ValueOf<typeof power>;
  readonly sustained: ValueOf<typeof sustained>;
  readonly speeds: ValueOf<typeof speeds>;
}

interface Flown {
  readonly speed: MetresPerSecond | null;
  readonly time: number | null;
  readonly distance: number | null;
  readonly height: number | null;
  readonly charge: number | null;
  readonly problem: string;
}

const failed = (speed: number | null, problem: string): Flown => ({
  speed,
  time: null,
  distance: null,
  height: null,
  charge: null,
  problem,
});

/** One phase at its own speed, or the best for it. */
function fly(one: MissionPhase, flight: DesignFlight, needed: Needed): Flown {
  const best = bestSpeeds(flight, needed)[one.kind];
  const speed = one.speed ?? best;
  if (speed === null) return failed(null, one.kind === 'glide' ? NO_GLIDE : one.kind === 'climb' ? NO_CLIMB : TOO_WEAK);
  if (one.kind === 'climb') return climb(one, speed, flight);
  if (one.kind === 'glide') return glide(one, speed, flight);
  const level = steadyAt(flight.drives, speed, flight.dragAt(speed), HALF);
  if (!level) return failed(speed, TOO_WEAK);
  const overGround = speed - one.wind;
  if (one.kind !== 'loiter' && overGround <= 0) return failed(speed, BLOWN_BACK);
  const time = one.kind === 'loiter' ? one.minutes * 60 : one.distance / overGround;
  return {
    speed,
    time,
    distance: one.kind === 'loiter' ? 0 : one.distance,
    height: 0,
    charge: time * chargeUsed(flight.drives, level.packCurrents),
    problem: '',
  };
}

const bestSpeeds = (
  { cruise }: DesignFlight,
  { power: { climbRateSpeed }, sustained: { durationSpeed }, speeds: { bestGlide } }: Needed,
): Readonly<Record<MissionPhase['kind'], MetresPerSecond | null>> => ({
  climb: climbRateSpeed,
  loiter: durationSpeed,
  cruise,
  return: cruise,
  glide: bestGlide,
});

function climb({ height, wind }: MissionPhase, speed: number, { drives, dragAt, weight }: DesignFlight): Flown {
  const full = fullThrottle(drives, speed, HALF);
  const sine = Math.min(1, (full.thrust - dragAt(speed)) / weight);
  if (sine <= 0) return failed(speed, NO_CLIMB);
  const time = height / (speed * sine);
  return {
    speed,
    time,
    distance: time * (speed * Math.sqrt(1 - sine ** 2) - wind),
    height,
    charge: time * chargeUsed(drives, full.packCurrents),
    problem: '',
  };
}

/** Without power: the drag of its resting propellers comes in again. */
function glide({ height, wind }: MissionPhase, speed: number, { dragAt, restingDragAt, weight }: DesignFlight): Flown {
  const sine = Math.min(1, ((dragAt(speed) + restingDragAt(speed)) as Newtons) / weight);
  const time = height / (speed * sine);
  return {
    speed,
    time,
    distance: time * (speed * Math.sqrt(1 - sine ** 2) - wind),
    height: -height,
    charge: 0,
    problem: '',
  };
}
