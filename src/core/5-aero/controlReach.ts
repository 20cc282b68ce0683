import type { Vector3 } from '@/core/1-base/units/convert';
import { type AeroModel, longitudinal } from './aeroModel';
import { addLoads, type Load, NO_LOAD } from './forces';

/** Share of the nose-up travel that steady cruise may use. */
export const CRUISE_TRAVEL_SHARE = 0.35;
/** Load factor that the flare needs. */
export const FLARE_LOAD_FACTOR = 1.15;

/** A load beside those of the model over the angle of attack, such as that of the ground. */
export type ExtraLoad = (alpha: number) => Load;

/** Balance point at which a given pitch command trims a given lift; null when the lift is out of reach. */
export function balanceForCommand(model: AeroModel, lift: number, command: number, about: Vector3): number | null {
  const alpha = alphaForLift(model, lift, command, about);
  return alpha === null ? null : balanceAt(model, alpha, command, about);
}

/** Balance point at which a state is in trim: x = x₀ − M_y/F_z. */
export function balanceAt(
  model: AeroModel,
  alpha: number,
  command: number,
  about: Vector3,
  extra: ExtraLoad = () => NO_LOAD,
): number {
  const { force, moment } = addLoads([model.loadAt(alpha, command, about), extra(alpha)]);
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
export function liftAtFullCommand(
  model: AeroModel,
  command: number,
  about: Vector3,
  extra: ExtraLoad = () => NO_LOAD,
): number | null {
  const moment = (alpha: number) => model.loadAt(alpha, command, about).moment[1] + extra(alpha).moment[1];
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
