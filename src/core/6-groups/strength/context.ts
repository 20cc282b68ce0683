import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Kilograms, MetresPerSecond } from '@/core/1-base/units/convert';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { controlCase } from '@/core/5-aero/flowCase';
import { type StripLoads, stripLoadsOf } from '@/core/5-strength/aeroelastic/stripLoads';
import { diveSpeed } from '@/core/5-strength/aircraft/dive';
import { type Divergence, divergenceOf } from '@/core/5-strength/aircraft/divergence';
import { FASTEST } from '@/core/5-strength/aircraft/speeds';
import { type PullUps, pullUps } from '@/core/5-strength/aircraft/pullUp';
import type { SuppleAircraft } from '@/core/5-strength/aircraft/suppleAircraft';
import type { drag } from '../drag/drag';
import type { ValueOf } from '../group';
import type { pitch } from '../pitch/pitch';
import type { Solution } from '../solution/solution';
import type { stall } from '../stall/stall';
import { gustLoadFactor } from '../wind/gust';
import type { wind } from '../wind/wind';
import { bendingAircraft } from './bendingAircraft';

export interface Needed {
  readonly pitch: ValueOf<typeof pitch>;
  readonly stall: ValueOf<typeof stall>;
  readonly drag: ValueOf<typeof drag>;
  readonly wind: ValueOf<typeof wind>;
}

/** What all numbers of strength share. */
export interface StrengthContext {
  readonly solution: Solution;
  readonly body: SuppleAircraft;
  readonly mass: Kilograms;
  readonly cruise: MetresPerSecond;
  readonly dive: MetresPerSecond;
  /** Where nothing holds against the air; null up to the fastest. */
  readonly divergence: Divergence | null;
  /** That speed; endless without it. */
  readonly away: MetresPerSecond;
  /** The fastest at which it is shown bent: that of the dive, less where it turns away before. */
  readonly bentUpTo: MetresPerSecond;
  /** Load factor that flight may ask for. */
  readonly asked: number;
  /** Pull-ups at cruise speed and at the fastest at which it is shown bent; null where the air bends it away. */
  readonly atCruise: PullUps | null;
  /** At the speed whose dynamic pressure lies midway. */
  readonly atMiddle: PullUps | null;
  readonly atFastest: PullUps | null;
  /** Loads per dynamic pressure of one radian of a command; null where nothing answers to it. */
  readonly commanded: Readonly<Record<'pitch' | 'roll' | 'yaw', StripLoads | null>>;
}

/** So near to the speed at which it turns away it is still shown bent: six times as far as without the answer of the air. */
const NEAR_AWAY = 0.9;
/** A gust of a usual day [m/s], where the brief says nothing of wind. */
const USUAL_GUST = 4;
/** Less than that every aircraft meets in a turn or a flare. */
const LEAST_ASKED = 2.5;

export function strengthContext(solution: Solution, mass: Kilograms, needed: Needed): StrengthContext {
  const { design, air, reference } = solution.prepared;
  const body = bendingAircraft(solution, { mass, downwash: needed.pitch.downwash });
  const cruise = design.conditions.cruiseSpeed;
  const { total, induced } = needed.drag;
  const dragArea = total === null ? 0 : (total - (induced ?? 0)) * reference.area;
  const { diveAngle, diveHeight } = design.loads;
  const reached =
    dragArea > 0
      ? diveSpeed({
          mass,
          dragArea,
          density: air.density,
          from: cruise,
          angle: radiansFromDegrees(diveAngle),
          height: diveHeight,
        })
      : cruise;
  const dive = Math.min(FASTEST, Math.max(cruise, reached));
  const divergence = divergenceOf(body);
  const away = divergence?.speed ?? Infinity;
  const bentUpTo = dive < away ? dive : Math.max(cruise, NEAR_AWAY * away);
  const pullsAt = (speed: MetresPerSecond) => (cruise < away ? pullUps(body, speed) : null);
  return {
    solution,
    body,
    mass,
    cruise,
    dive,
    divergence,
    away,
    bentUpTo,
    asked: flightFactor(solution, needed, mass, dive),
    atCruise: pullsAt(cruise),
    atMiddle: pullsAt(middleSpeed(cruise, bentUpTo)),
    atFastest: pullsAt(bentUpTo),
    commanded: {
      pitch: body.commanded?.loads ?? null,
      roll: oddLoads(solution, 'roll'),
      yaw: oddLoads(solution, 'yaw'),
    },
  };
}

function oddLoads({ prepared, model: { matrices } }: Solution, name: 'roll' | 'yaw'): StripLoads | null {
  const { hasOdd, odd } = prepared.commands[name];
  return hasOdd ? stripLoadsOf(matrices, controlCase(matrices, 'antisymmetric', odd.angles).circulation) : null;
}

/** Midway by dynamic pressure. */
export const middleSpeed = (cruise: MetresPerSecond, dive: MetresPerSecond): MetresPerSecond =>
  Math.sqrt((cruise ** 2 + dive ** 2) / 2);

/**
 * What a pull-up out of the dive may ask for: as much lift as the wing has
 * there, or as full pitch command turns it up, Δn = |C_mδ − C_Lδ C_mα/C_Lα| δ/
 * (C_L H_m); and a gust at cruise. At least 2.5.
 */
function flightFactor(solution: Solution, { pitch, stall, wind }: Needed, mass: number, dive: number): number {
  const { air, reference } = solution.prepared;
  const weight = mass * GRAVITY;
  const pressure = (air.density * dive ** 2) / 2;
  const byLift =
    stall.liftCoefficient === null ? Infinity : (stall.liftCoefficient * pressure * reference.area) / weight;
  const full = solution.fullNoseUp;
  const { momentFromElevator, liftFromElevator, momentSlope, liftSlope, manoeuvreMargin } = pitch;
  let byCommand = Infinity;
  if (full !== null && momentFromElevator !== null && liftFromElevator !== null && liftSlope && momentSlope !== null) {
    const moment = momentFromElevator - (liftFromElevator * momentSlope) / liftSlope;
    const lift = weight / (pressure * reference.area);
    if (manoeuvreMargin !== null && manoeuvreMargin > 0.005)
      byCommand = 1 + Math.abs(moment * full) / (lift * manoeuvreMargin);
  }
  const gust = wind.gustLoadFactor === null ? gustOf(solution, mass, pitch.liftSlope) : wind.gustLoadFactor;
  const asked = Math.max(LEAST_ASKED, 1 + gust, Math.min(byLift, byCommand));
  return Number.isFinite(asked) ? asked : LEAST_ASKED;
}

function gustOf({ prepared }: Solution, mass: number, liftSlope: number | null): number {
  if (liftSlope === null || liftSlope <= 0) return 0;
  const { air, design, reference } = prepared;
  return gustLoadFactor({
    wingLoading: mass / reference.area,
    meanChord: reference.meanChord,
    liftSlope,
    speed: design.conditions.cruiseSpeed,
    gust: USUAL_GUST,
    density: air.density,
  });
}
