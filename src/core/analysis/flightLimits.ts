import type { AeroModel } from '../aero/aeroModel';
import { controlCase } from '../aero/flowCase';
import {
  DROOPED_EXTRA_LIFT,
  droopedExtraLift,
  flapHold,
  marginAtRollControls,
  stallOrder,
  washoutForInboardStall,
} from '../aero/stallDetails';
import { GRAVITY } from '../aero/atmosphere';
import { stripLifts } from '../aero/farField';
import { isTail } from '../aero/lattice';
import { dragOf, glidePolar, stripData, trimmedLine } from '../aero/polar';
import { findStall, stallSpeed } from '../aero/stall';
import {
  alphaForLift,
  balanceForCommand,
  CRUISE_TRAVEL_SHARE,
  FLARE_LOAD_FACTOR,
  liftAtFullCommand,
} from '../balance/window';
import { metresFromMillimetres } from '../units/convert';
import type { Cruise } from './cruise';
import { nulls, STALL_KEYS } from './nulls';
import type { Prepared } from './prepare';
import type { Analysis } from './types';

type Limits = Pick<Analysis, 'stall' | 'drag' | 'speeds' | 'window'>;

const NO_VISCOSITY = 'Viscosity is left out, and with it stall and profile drag.';
const APPROACH_OVER_STALL = 1.3;

/** Stall, drag, speeds and the balance window: what the section data and the controls allow. */
export function flightLimits(prepared: Prepared, model: AeroModel, cruise: Cruise, neutralPoint: number): Limits {
  const line: Line = prepared.surfacesOnly ? { reason: NO_VISCOSITY } : trimmedLine(model, prepared.about);
  const stall = stallGroup(prepared, model, line);
  const full = fullNoseUp(prepared, model);
  return {
    stall,
    drag: dragGroup(prepared, model, cruise),
    speeds: speedsGroup(prepared, model, { stall, full, line }),
    window: windowGroup(prepared, model, { stall, cruise, neutralPoint, full }),
  };
}

type Line = ReturnType<typeof trimmedLine>;

function stallGroup(prepared: Prepared, model: AeroModel, line: Line): Analysis['stall'] {
  const { design, air, weights, sections, reference } = prepared;
  const mass = weights.properties?.total ?? null;
  const stated = design.balance.statedMaximumLift;
  const none = (why: string) => ({ ...nulls(STALL_KEYS, why), strips: [], liftLeft: {} });
  if (prepared.surfacesOnly) return none(NO_VISCOSITY);
  const input = { model, sections, air, mass, cruiseSpeed: design.conditions.cruiseSpeed };
  const found = 'reason' in line ? line : findStall({ ...input, line });
  if ('reason' in line) return none(line.reason);
  if ('reason' in found) return none(found.reason);
  const lift = stated ?? found.liftCoefficient;
  const speedAt = (value: number) => (mass === null ? null : stallSpeed(mass, air, reference.area, value));
  const margin = marginAtRollControls(model, found.strips);
  const washout = washoutForInboardStall(model, found.surface, found.strips, found.startsAtSpanFraction);
  const flapped = flappedStall(prepared, model, line);
  return {
    liftCoefficient: lift,
    speed: speedAt(lift),
    startsAtSpanFraction: found.startsAtSpanFraction,
    surface: found.surface,
    strips: found.strips,
    marginAtRollControls: margin,
    washoutToMoveInboard: washout,
    liftLeft: stallOrder(found.strips),
    flappedLiftCoefficient: flapped?.lift ?? null,
    flappedSpeed: flapped ? speedAt(flapped.lift) : null,
    flapDroop: flapped?.droop ?? null,
    reasons: {
      ...(mass === null ? { speed: 'Nothing has a mass yet.', flappedSpeed: 'Nothing has a mass yet.' } : {}),
      ...(margin === null ? { marginAtRollControls: 'No control of a lifting surface answers to roll.' } : {}),
      ...(washout === null ? { washoutToMoveInboard: 'Even 10° of washout would leave the start near the tip.' } : {}),
      ...(flapped === null ? { flappedLiftCoefficient: NO_FLAPS, flappedSpeed: NO_FLAPS, flapDroop: NO_FLAPS } : {}),
    },
  };
}

const NO_FLAPS = 'Nothing droops as a flap.';

interface FlappedStall {
  readonly lift: number;
  readonly droop: number;
}

/** Steps in which the droop is tried up to the full travel. */
const DROOP_STEPS = 6;

/** The droop that gives the greatest C_Lmax: flaps lift more and stall later, but steep ones lose their hold. */
function flappedStall(
  prepared: Prepared,
  model: AeroModel,
  line: Exclude<Line, { reason: string }>,
): FlappedStall | null {
  const { commands, flapTravel, sections, air, weights, design } = prepared;
  if (!commands.flap.hasEven || flapTravel <= 0) return null;
  const perRadian = stripLifts(model.matrices, controlCase(model.matrices, 'symmetric', commands.flap.even));
  const { lattice, reference } = model;
  const count = lattice.cells.count;
  // Between the flaps the fuselage carries their lift across: its strips do not stall before the flapped ones.
  const half = Math.max(
    0,
    ...design.bodies
      .filter(({ mirrored }) => !mirrored)
      .flatMap(({ frames }) => frames.map(({ width }) => metresFromMillimetres(width) / 2)),
  );
  const isFlapped = lattice.strips.map(
    ({ m }, index) => commands.flap.even[index * count + count - 1] !== 0 || Math.abs(m.y) < 1.1 * half,
  );
  let best: FlappedStall | null = null;
  for (let step = 1; step <= DROOP_STEPS; step++) {
    const droop = (flapTravel * step) / DROOP_STEPS;
    const gained = perRadian.map((value) => value * droop * flapHold(droop));
    const whole = lattice.strips.reduce(
      (sum, { width, m, tangentY }, i) => sum + (2 * gained[i]! * width * m.chord * tangentY) / reference.area,
      0,
    );
    // At a whole lift C_L the aircraft without flaps carries C_L less what the flaps add by themselves.
    const found = findStall({
      model,
      sections,
      air,
      mass: weights.properties?.total ?? null,
      cruiseSpeed: design.conditions.cruiseSpeed,
      extraLimit: isFlapped.map((flapped) => (flapped ? droopedExtraLift(droop) : 0)),
      line: { ...line, stripLiftsAt: (lift) => line.stripLiftsAt(lift - whole).map((value, i) => value + gained[i]!) },
    });
    if (!('reason' in found) && found.liftCoefficient > (best?.lift ?? 0))
      best = { lift: found.liftCoefficient, droop };
  }
  return best;
}

function dragGroup(prepared: Prepared, model: AeroModel, cruise: Cruise): Analysis['drag'] {
  const { surfacesOnly, sections, air, design, dragArea } = prepared;
  const { alpha, elevator, lift } = cruise.state;
  if (!cruise.isTrimmed) {
    return {
      ...nulls(['induced', 'spanEfficiency', 'profile', 'parasite', 'total'], cruise.reason!),
      polar: [],
    };
  }
  const data = surfacesOnly ? null : stripData(sections, air, design.conditions.cruiseSpeed);
  const parts = dragOf(model, model.stateAt(alpha, elevator ?? 0), data, lift, dragArea);
  if (surfacesOnly) {
    return {
      induced: parts.induced,
      spanEfficiency: parts.spanEfficiency,
      profile: null,
      parasite: null,
      total: parts.induced,
      polar: [],
      reasons: { profile: NO_VISCOSITY, parasite: NO_VISCOSITY },
    };
  }
  return {
    ...parts,
    polar: [],
    reasons:
      parts.spanEfficiency === null ? { spanEfficiency: 'Without lift there is no induced drag to compare.' } : {},
  };
}

/** Full nose-up pitch command [rad], or null without a pitch control. */
function fullNoseUp({ pitchTravel, about }: Prepared, model: AeroModel): number | null {
  if (!model.pitch.hasEven) return null;
  const moment = (command: number) => model.loadAt(0, command, about).moment[1];
  return moment(0.01) > moment(-0.01) ? pitchTravel.down : -pitchTravel.up;
}

const SPEED_KEYS = ['stall', 'approach', 'bestGlide', 'minimumSink', 'pitchFloor', 'glideRatio', 'sink'] as const;

function speedsGroup(
  prepared: Prepared,
  model: AeroModel,
  { stall, full, line }: { stall: Analysis['stall']; full: number | null; line: Line },
): Analysis['speeds'] {
  const { weights, air, reference, about, sections, dragArea } = prepared;
  const mass = weights.properties?.total;
  if (prepared.surfacesOnly) return nulls(SPEED_KEYS, NO_VISCOSITY);
  if (mass === undefined || stall.speed === null || stall.liftCoefficient === null) {
    return nulls(
      SPEED_KEYS,
      stall.reasons['speed'] ?? stall.reasons['liftCoefficient'] ?? 'The stall could not be found.',
    );
  }
  const stallAlpha = full === null ? 0 : (alphaForLift(model, stall.liftCoefficient, full, about) ?? 0);
  const reachable =
    full === null ? null : liftAtFullCommand(model, usableCommand(prepared, model, full, stallAlpha), about);
  const floorLift = reachable === null ? stall.liftCoefficient : Math.min(reachable, stall.liftCoefficient);
  const pitchFloor =
    full === null || floorLift <= 0.01
      ? null
      : Math.sqrt((2 * FLARE_LOAD_FACTOR * mass * GRAVITY) / (air.density * reference.area * floorLift));
  const polar = 'reason' in line ? null : glidePolar({ model, line, sections, air, mass, dragArea }, stall.speed);
  return {
    stall: stall.speed,
    approach: Math.max(APPROACH_OVER_STALL * stall.speed, pitchFloor ?? 0),
    bestGlide: polar?.bestGlide.speed ?? null,
    minimumSink: polar?.minimumSink.speed ?? null,
    pitchFloor,
    glideRatio: polar?.bestGlide.glideRatio ?? null,
    sink: polar?.minimumSink.sink ?? null,
    reasons:
      pitchFloor === null
        ? {
            pitchFloor:
              full === null
                ? 'No control answers to pitch.'
                : 'Full nose-up control cannot hold the nose up at any speed.',
          }
        : {},
  };
}

/**
 * The part of the full pitch command that the tail or canard can carry before
 * it stalls itself, at an angle of attack near the stall of the wing.
 */
function usableCommand(prepared: Prepared, model: AeroModel, full: number, alpha: number): number {
  const { sections, air, design, lattice } = prepared;
  const data = stripData(sections, air, design.conditions.cruiseSpeed);
  const tail = lattice.strips.flatMap((strip, index) => (isTail(lattice.surfaces[strip.surface]!) ? [index] : []));
  if (tail.length === 0) return full;
  const neutral = stripLifts(model.matrices, model.stateAt(alpha, 0));
  const commanded = stripLifts(model.matrices, model.stateAt(alpha, full));
  let share = 1;
  for (const index of tail) {
    const gained = commanded[index]! - neutral[index]!;
    const limit = Math.sign(gained) * (data[index]!.maximumLift + DROOPED_EXTRA_LIFT);
    const room = (limit - neutral[index]!) / gained;
    if (Number.isFinite(room)) share = Math.min(share, Math.max(0, room));
  }
  return share * full;
}

interface WindowInput {
  readonly stall: Analysis['stall'];
  readonly cruise: Cruise;
  readonly neutralPoint: number;
  readonly full: number | null;
}

/**
 * Aft: the least wanted margin ahead of the neutral point. Forward: the
 * furthest place from which full nose-up control still holds the lift of the
 * stall, and half of it that of cruise. Without a pitch control or without
 * section data: the greatest wanted margin.
 */
function windowGroup(
  prepared: Prepared,
  model: AeroModel,
  { stall, cruise, neutralPoint, full }: WindowInput,
): Analysis['window'] {
  const { design, reference, about } = prepared;
  const { minimumStaticMargin, maximumStaticMargin } = design.balance;
  const percent = (fraction: number) => `${Math.round(fraction * 1000) / 10} %`;
  const aft = neutralPoint - minimumStaticMargin * reference.meanChord;
  const limits: { x: number; because: string }[] = [];
  if (full !== null && stall.liftCoefficient !== null) {
    const alpha = alphaForLift(model, stall.liftCoefficient, full, about) ?? 0;
    const flare = balanceForCommand(model, stall.liftCoefficient, usableCommand(prepared, model, full, alpha), about);
    if (flare !== null)
      limits.push({
        x: flare,
        because:
          'Further forward, full nose-up control (or the tail that carries it) no longer holds the lift of the stall for the flare.',
      });
  }
  if (full !== null && cruise.isTrimmed) {
    const steady = balanceForCommand(model, cruise.state.lift, CRUISE_TRAVEL_SHARE * full, about);
    if (steady !== null)
      limits.push({
        x: steady,
        because: `Further forward, steady cruise uses more than ${percent(CRUISE_TRAVEL_SHARE)} of the nose-up travel.`,
      });
  }
  if (limits.length === 0) {
    limits.push({
      x: neutralPoint - maximumStaticMargin * reference.meanChord,
      because: `The greatest wanted static margin is ${percent(maximumStaticMargin)} of the mean chord (control power could not be used).`,
    });
  }
  const binding = limits.reduce((a, b) => (b.x > a.x ? b : a));
  return {
    forward: binding.x,
    aft,
    forwardBecause: binding.because,
    aftBecause: `The least wanted static margin is ${percent(minimumStaticMargin)} of the mean chord.`,
    reasons: {},
  };
}
