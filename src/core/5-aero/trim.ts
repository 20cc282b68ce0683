import { radiansFromDegrees, type Vector3, type Fraction, type Radians } from '@/core/1-base/units/convert';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { type AeroModel, longitudinal } from './aeroModel';

/** A steady state at a wanted lift coefficient and, when there is a pitch control, at a wanted moment. */
export interface TrimState {
  readonly alpha: Radians;
  /** Pitch command [rad], trailing edge down positive; null without a pitch control. */
  readonly elevator: Radians | null;
  readonly lift: Fraction;
  readonly moment: Fraction;
}

export type TrimResult =
  { readonly ok: true; readonly state: TrimState } | { readonly ok: false; readonly reason: string };

const TOLERANCE = 1e-12;
const LIMIT = 40;
/** Steeper than this, small-angle lattices say nothing. */
const STEEPEST = radiansFromDegrees(35);

export interface TrimTarget {
  readonly lift: Fraction;
  /** Moment coefficient about the balance point that something else balances, such as thrust; usually 0. */
  readonly moment?: number;
  readonly about: Vector3;
}

/**
 * Angle of attack and pitch command by Newton's method on the two equations
 * C_L = target, C_m = target. The loads are quadratic in the unknowns, so it
 * settles in a few steps.
 */
export function trim(model: AeroModel, { lift, moment = 0, about }: TrimTarget): TrimResult {
  const hasControl = model.pitch.hasEven;
  const at = (alpha: number, command: number) =>
    longitudinal(model.loadAt(alpha, command, about), alpha, model.reference);
  const step = 1e-5;
  let alpha = 0;
  let command = 0;
  for (let round = 0; round < LIMIT; round++) {
    const here = at(alpha, command);
    const missingLift = lift - here.lift;
    const missingMoment = hasControl ? moment - here.moment : 0;
    if (Math.abs(missingLift) < TOLERANCE && Math.abs(missingMoment) < TOLERANCE) {
      return { ok: true, state: { alpha, elevator: hasControl ? command : null, ...here } };
    }
    const byAlpha = at(alpha + step, command);
    const liftByAlpha = (byAlpha.lift - here.lift) / step;
    const momentByAlpha = (byAlpha.moment - here.moment) / step;
    let changeAlpha: number;
    let changeCommand = 0;
    if (hasControl) {
      const byCommand = at(alpha, command + step);
      const liftByCommand = (byCommand.lift - here.lift) / step;
      const momentByCommand = (byCommand.moment - here.moment) / step;
      const determinant = liftByAlpha * momentByCommand - liftByCommand * momentByAlpha;
      changeAlpha = (missingLift * momentByCommand - liftByCommand * missingMoment) / determinant;
      changeCommand = (liftByAlpha * missingMoment - missingLift * momentByAlpha) / determinant;
    } else {
      changeAlpha = missingLift / liftByAlpha;
    }
    if (!Number.isFinite(changeAlpha) || !Number.isFinite(changeCommand)) {
      return {
        ok: false,
        reason: 'The pitch control has no hold on the aircraft at this balance point.',
      };
    }
    alpha += changeAlpha;
    command += changeCommand;
    if (Math.abs(alpha) > STEEPEST || Math.abs(command) > 2) {
      return {
        ok: false,
        reason:
          'This lift asks for an angle of attack or a control angle far beyond what can be flown: fly faster, lighter or with more area.',
      };
    }
    // Rounding keeps the last digits from settling on large models: what is left then is far below any reading.
    if (Math.abs(changeAlpha) < 1e-14 && Math.abs(changeCommand) < 1e-14) {
      return {
        ok: true,
        state: { alpha, elevator: hasControl ? command : null, ...at(alpha, command) },
      };
    }
  }
  return {
    ok: false,
    reason: 'The trim did not settle: no angle of attack and control angle balance this lift.',
  };
}

export type ZeroLiftResult =
  | { readonly ok: true; readonly alpha: Radians; readonly moment: Fraction }
  | { readonly ok: false; readonly reason: string };

/** Angle of attack without lift, controls neutral, and the moment there. */
export function zeroLift(model: AeroModel, about: Vector3): ZeroLiftResult {
  const at = (alpha: number) => longitudinal(model.loadAt(alpha, 0, about), alpha, model.reference);
  const found = findRoot((alpha) => at(alpha).lift, { low: -STEEPEST, high: STEEPEST, tolerance: 1e-13 });
  if (found.kind !== 'root')
    return {
      ok: false,
      reason: 'No angle of attack within 35° either way is without lift: look for steep incidence, twist or camber.',
    };
  return { ok: true, alpha: found.x, moment: at(found.x).moment };
}
