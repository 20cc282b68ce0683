import type { Vector3 } from '@/core/1-base/units/convert';
import { type AeroModel, longitudinal } from './aeroModel';

/** Share of the nose-up travel that steady cruise may use. */
export const CRUISE_TRAVEL_SHARE = 0.35;
/** Load factor that the flare needs. */
export const FLARE_LOAD_FACTOR = 1.15;

/**
 * Balance point at which a given pitch command trims a given lift: with the
 * loads about `about`, x = x₀ − M_y/F_z. Null when the lift is out of reach.
 */
export function balanceForCommand(model: AeroModel, lift: number, command: number, about: Vector3): number | null {
  const alpha = alphaForLift(model, lift, command, about);
  if (alpha === null) return null;
  const { force, moment } = model.loadAt(alpha, command, about);
  return about[0] - moment[1] / force[2];
}

/** Angle of attack for a lift coefficient at a fixed command, by secant steps; null when they do not settle. */
export function alphaForLift(model: AeroModel, lift: number, command: number, about: Vector3): number | null {
  const at = (alpha: number) => longitudinal(model.loadAt(alpha, command, about), alpha, model.reference).lift - lift;
  let previous = 0;
  let alpha = 0.1;
  let before = at(previous);
  for (let round = 0; round < 30; round++) {
    const here = at(alpha);
    if (Math.abs(here) < 1e-11) return alpha;
    const next = alpha - (here * (alpha - previous)) / (here - before);
    if (!Number.isFinite(next) || Math.abs(next) > 0.7) return null;
    previous = alpha;
    before = here;
    alpha = next;
  }
  return null;
}

/**
 * Greatest lift coefficient that full nose-up command can hold about a balance
 * point, out of the propeller wash: C_m(α, full) = 0. Null when the command
 * can hold any lift (the nose comes up without end).
 */
export function liftAtFullCommand(model: AeroModel, command: number, about: Vector3): number | null {
  const moment = (alpha: number) => longitudinal(model.loadAt(alpha, command, about), alpha, model.reference).moment;
  let low = -0.2;
  let high = 0.6;
  if (moment(low) < 0) return 0;
  if (moment(high) > 0) return null;
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (moment(middle) > 0) low = middle;
    else high = middle;
  }
  return longitudinal(model.loadAt(low, command, about), low, model.reference).lift;
}
