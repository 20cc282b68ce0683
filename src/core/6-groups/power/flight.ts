import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import type { Words } from '@/core/1-base/words/phrase';
import type { ValueOf } from '../group';
import type { Solution } from '../solution/solution';
import type { stall } from '../stall/stall';
import { NO_MASS, NO_VISCOSITY } from '../words';
import { type DesignDrive, drivesOf } from './drives';
import type { Flight } from './performance';
import { poweredDrag } from './poweredDrag';

/** The pack is told of as full for what asks most of it, and half full for what lasts. */
export const FULL = 1;
export const HALF = 0.5;

/** A flight with the drives of the design. */
export interface DesignFlight extends Flight {
  readonly drives: readonly DesignDrive[];
  readonly mass: number;
  readonly cruise: MetresPerSecond;
}

const flights = new WeakMap<Solution, DesignFlight | Words>();

/** What flight with power is computed from, or why it cannot be; worked out once. */
export function flightOf(solution: Solution, stalls: ValueOf<typeof stall>): DesignFlight | Words {
  let known = flights.get(solution);
  if (known === undefined) {
    known = madeFlight(solution, stalls);
    flights.set(solution, known);
  }
  return known;
}

export const isFlight = (flight: DesignFlight | Words): flight is DesignFlight =>
  typeof flight === 'object' && 'drives' in flight;

function madeFlight(solution: Solution, { speed: stallSpeed, reasons }: ValueOf<typeof stall>): DesignFlight | Words {
  const { design, air, weights, surfacesOnly } = solution.prepared;
  if (surfacesOnly) return NO_VISCOSITY;
  const drives = drivesOf(design, air);
  if (typeof drives === 'string') return drives;
  const mass = weights.properties?.total;
  if (mass === undefined) return NO_MASS;
  const dragAt = stallSpeed === null ? null : poweredDrag(solution, stallSpeed);
  if (stallSpeed === null || !dragAt) return reasons['speed'] ?? 'Its drag could not be computed.';
  const { restingPropellers } = solution.prepared;
  return {
    drives,
    mass,
    weight: mass * GRAVITY,
    stallSpeed,
    dragAt,
    restingDragAt: (speed) => ((air.density * speed ** 2 * restingPropellers) / 2) as Newtons,
    cruise: design.conditions.cruiseSpeed,
  };
}
