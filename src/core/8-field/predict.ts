import type { MetresPerSecond, Radians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { pullUp } from '@/core/5-strength/aircraft/pullUp';
import { bendingAircraft } from '@/core/6-groups/strength/bendingAircraft';
import { solve, type Solved } from '@/core/6-groups/solve';

/** What a flight at one speed is expected to show; null what cannot be known. */
export interface Predicted {
  /** Pitch trim under the power of level flight, at full throttle and without power, trailing edge down positive. */
  readonly pitchPower: Radians | null;
  readonly pitchFull: Radians | null;
  readonly pitchGlide: Radians | null;
  /** Roll trim to the right, of the rudder where nothing rolls, that holds the wings level. */
  readonly roll: Radians | null;
  readonly glideRatio: number | null;
  readonly stallSpeed: MetresPerSecond | null;
}

/** Stiffness of booms beside the computed one. */
export interface Flexing {
  readonly boomsSofter: number;
}

/** What flight at a speed is expected to show, with everything bending as it does there. */
export function predictAt(design: Design, speed: MetresPerSecond, { boomsSofter }: Flexing): Predicted {
  const flown = { ...design, conditions: { ...design.conditions, cruiseSpeed: speed } };
  const { solution, numbers } = solve(flown, { without: ['bands', 'remedies'] });
  const { trim, asymmetry, speeds, power } = numbers;
  const flex = solution?.cruise.isTrimmed ? flexOf({ solution, numbers }, boomsSofter) : 0;
  const polar = solution?.isSolvable ? solution.glideFrom(speeds.stall) : null;
  return {
    pitchPower: trim.elevator === null ? null : trim.elevator + flex,
    pitchFull: power.pitchControlAtFullPower === null ? null : power.pitchControlAtFullPower + flex,
    pitchGlide: trim.elevatorPowerOff === null ? null : trim.elevatorPowerOff + flex,
    roll: asymmetry?.aileron ?? asymmetry?.rudder ?? null,
    glideRatio: polar && glideAt(polar.points, speed),
    stallSpeed: speeds.stall,
  };
}

/** Pitch trim that bending adds at cruise speed. */
function flexOf({ solution, numbers }: Pick<Solved, 'solution' | 'numbers'>, boomsSofter: number): Radians {
  if (!solution || solution.turn === null) return 0 as Radians;
  const { design, weights, reach } = solution.prepared;
  const { cruiseSpeed } = design.conditions;
  const mass = weights.properties?.total;
  if (mass === undefined) return 0 as Radians;
  const body = bendingAircraft(solution, { mass, downwash: numbers.pitch.downwash, boomsSofter });
  if (body.beams.size === 0 && body.booms.length === 0) return 0 as Radians;
  const pull = pullUp(body, cruiseSpeed, 1);
  return pull
    ? ((reach.pitch.turnFor(solution.command + pull.commandMore) - solution.turn) as Radians)
    : (0 as Radians);
}

/** Glide ratio of a polar at a speed, between its points; null beyond them. */
function glideAt(points: readonly { readonly speed: number; readonly glideRatio: number }[], speed: number) {
  const after = points.findIndex((point) => point.speed >= speed);
  const [a, b] = [points[after - 1], points[after]];
  if (!a || !b) return null;
  const share = (speed - a.speed) / (b.speed - a.speed);
  return a.glideRatio + share * (b.glideRatio - a.glideRatio);
}
