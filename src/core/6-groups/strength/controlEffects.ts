import { boomKept } from '@/core/5-strength/aircraft/effects';
import { pressureOf } from '@/core/5-strength/aircraft/flexed';
import type { PullUps } from '@/core/5-strength/aircraft/pullUp';
import { FASTEST, kept } from '@/core/5-strength/aircraft/speeds';
import { scaled } from '@/core/1-base/numeric/scaled';
import { metresPerSecond, say, type Words } from '@/core/1-base/words/phrase';
import { heldBack } from './bends';
import { middleSpeed, type StrengthContext } from './context';

const NO_COMMAND = 'No control answers to that.';
const NO_BOOM = 'No body of known board carries a tail behind the wing or ahead of it.';
const NO_HOLD = 'What this command does is too little to be told from nothing.';

/** Where it turns away everything turns its sign: a command is looked at up to just below. */
const JUST_BELOW = 0.999;

/** What of each command is told: the moment it makes about an axis through the balance point. */
const EFFECTS = [
  { of: 'pitch', parity: 'symmetric', axis: 1, kept: 'pitchKept', reverses: 'elevatorReversalSpeed' },
  { of: 'roll', parity: 'antisymmetric', axis: 0, kept: 'rollKept', reverses: 'aileronReversalSpeed' },
  { of: 'yaw', parity: 'antisymmetric', axis: 2, kept: 'rudderYawKept', reverses: 'rudderReversalSpeed' },
  { of: 'yaw', parity: 'antisymmetric', axis: 0, kept: 'rudderRollKept', reverses: 'rudderRollReversalSpeed' },
] as const;

type Effect = (typeof EFFECTS)[number];

/** Divergence, reversals and what is left of commands. */
export function controlEffectsOf(context: StrengthContext) {
  const { body, cruise, away, divergence, commanded } = context;
  const none = divergence
    ? say`None up to ${metresPerSecond(divergence.speed)}, where the air turns ${divergence.part} away.`
    : say`None up to ${metresPerSecond(FASTEST, 0)}.`;
  const values: Partial<Record<Effect['kept' | 'reverses'], number | null>> = {};
  const reasons: Record<string, Words> = divergence ? {} : { divergenceSpeed: none, divergesBy: none };
  for (const { of, parity, axis, kept: left, reverses } of EFFECTS) {
    const loads = commanded[of];
    const effect = loads && kept(body, parity, loads, axis);
    values[reverses] = effect?.reverses(Math.min(FASTEST, JUST_BELOW * away)) ?? null;
    values[left] = cruise < away ? (effect?.at(cruise) ?? null) : null;
    const missing = loads ? NO_HOLD : NO_COMMAND;
    if (values[reverses] === null) reasons[reverses] = effect ? none : missing;
    if (values[left] === null) reasons[left] = effect ? heldBack(context, cruise) : missing;
  }
  return {
    values: {
      ...(values as Required<typeof values>),
      divergenceSpeed: divergence?.speed ?? null,
      divergesBy: divergence?.part ?? null,
    },
    reasons,
  };
}

/** Booms, each by itself, and the one that leaves least. */
export function boomsOf(context: StrengthContext) {
  const { body, solution, cruise } = context;
  const pressure = pressureOf(solution.prepared.air.density, cruise);
  const { lattice } = body.alike;
  const stiff = body.booms.filter(({ beam }) => beam !== null);
  const booms = stiff.map((boom, mount) => {
    const isUpright = boom.surfaces.some((surface) =>
      lattice.strips.some((strip) => strip.surface === surface && Math.abs(strip.tangentZ) > UPRIGHT),
    );
    return {
      body: boom.body.name || boom.body.id,
      id: boom.body.id,
      carries: boom.surfaces.map((surface) => body.surfaces[surface]!.id),
      from: boom.from,
      isAft: boom.isAft,
      length: boom.length,
      ...boomTurns(context, mount),
      pitchFactor: boomKept(body.alike, mount, boom.surfaces, pressure, 1),
      yawFactor: isUpright ? boomKept(body.opposite(), mount, boom.surfaces, pressure, 2) : null,
    };
  });
  const least = (pick: (boom: (typeof booms)[number]) => number | null) => {
    const known = booms.map(pick).filter((value) => value !== null);
    return known.length > 0 ? Math.min(...known) : null;
  };
  const [pitchFactor, yawFactor] = [least((boom) => boom.pitchFactor), least((boom) => boom.yawFactor)];
  return {
    values: { booms, boomPitchFactor: pitchFactor, boomYawFactor: yawFactor },
    reasons: {
      ...(pitchFactor === null ? { boomPitchFactor: NO_BOOM } : {}),
      ...(yawFactor === null ? { boomYawFactor: NO_BOOM } : {}),
    },
  };
}

/** How the far end of a boom is turned at cruise, midway and in the dive: in pull-ups, and by full yaw command. */
function boomTurns(context: StrengthContext, mount: number) {
  const { body, solution, cruise, bentUpTo, atCruise, atMiddle, atFastest, commanded } = context;
  const { reach, air } = solution.prepared;
  const full = Math.min(reach.yaw.right, reach.yaw.left);
  const turns = commanded.yaw && full > 0 ? body.opposite().turnsBy(commanded.yaw) : null;
  const at = (pulls: PullUps | null, speed: number) => {
    if (!pulls) return null;
    const pitch = (factor: number) => pulls(factor).unknowns[body.alike.firstMount + 3 * mount + 1]!;
    const pressure = pressureOf(air.density, speed);
    const { body: opposite, held } = body.equations('antisymmetric', pressure);
    const turned = turns && held?.(scaled(turns, pressure * full));
    const row = opposite.firstMount + 3 * mount;
    return {
      pitch: pitch(1),
      pitchPerG: pitch(2) - pitch(1),
      yaw: -(turned?.[row + 2] ?? 0),
      roll: turned?.[row] ?? 0,
    };
  };
  return {
    cruise: at(atCruise, cruise),
    between: at(atMiddle, middleSpeed(cruise, bentUpTo)),
    dive: at(atFastest, bentUpTo),
  };
}

/** Rise over length from which a panel counts for yaw. */
const UPRIGHT = 0.2;
