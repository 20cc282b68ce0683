import { type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { AeroModel } from './aeroModel';
import { stripLifts } from './farField';
import { controlCase } from './flowCase';
import { forStrips } from './lattice';
import type { StallStrip } from './stall';
import { wholeLift } from './wholeLift';

/**
 * What a plain flap of about a quarter chord adds to the greatest lift of its
 * section when turned down by 20° or more, and takes when turned up; less in
 * proportion below. Model Reynolds numbers, ±0.15.
 * Source: Hoerner & Borst, Fluid-Dynamic Lift, 1985, ch. 5.
 */
const DROOPED_EXTRA_LIFT = 0.45;
const FULL_DROOP = radiansFromDegrees(20);

export const droopedExtraLift = (turn: Radians): number =>
  DROOPED_EXTRA_LIFT * Math.max(-1, Math.min(1, turn / FULL_DROOP));

/** Inboard of this share of the half span a stall drops the nose rather than a wing. */
const INBOARD = 0.6;
const MOST_WASHOUT = radiansFromDegrees(10);
const WASHOUT_STEP = radiansFromDegrees(0.25);

/** Lift coefficient left before the stall over the span of the roll controls, when the first strip stalls. */
export function marginAtRollControls(model: AeroModel, strips: readonly StallStrip[]): number | null {
  const margins = model.lattice.surfaces.flatMap(({ id, source }) =>
    source.controls
      .filter((control) => ['aileron', 'elevon', 'flaperon'].includes(control.function))
      .flatMap(({ from, to }) =>
        strips
          .filter(({ surface, spanFraction }) => surface === id && spanFraction >= from && spanFraction <= to)
          .map(({ lift, limit }) => limit - lift),
      ),
  );
  return margins.length > 0 ? Math.min(...margins) : null;
}

/**
 * Washout, linear from root to tip and on top of the drawn one, that brings
 * the first stall inboard of 60 % of the half span at the same lift [rad]; 0
 * when it starts there already, null when 10° would not do.
 */
export function washoutForInboardStall(
  model: AeroModel,
  surfaceId: string,
  strips: readonly StallStrip[],
  startsAt: number,
): number | null {
  if (startsAt <= INBOARD) return 0;
  const { lattice, matrices } = model;
  const index = lattice.surfaces.findIndex(({ id }) => id === surfaceId);
  const length = developedLength(lattice.surfaces[index]!);
  const linear = new Float64Array(lattice.panels);
  forStrips(lattice, index, (strip, first) => linear.fill(-strip.middle / length, first, first + lattice.cells.count));
  const twisted = stripLifts(matrices, controlCase(matrices, 'symmetric', linear));
  const rising = stripLifts(matrices, model.rising);
  // At the same lift the angle of attack makes up for what the washout takes.
  const made = wholeLift(model, twisted) / wholeLift(model, rising);
  const perRadian = twisted.map((value, i) => value - rising[i]! * made);
  const own = strips.flatMap((strip) => {
    const at = lattice.strips.findIndex(
      (candidate) => candidate.surface === index && Math.abs(candidate.middle / length - strip.spanFraction) < 1e-9,
    );
    return strip.surface === surfaceId && at >= 0 ? [{ ...strip, change: perRadian[at]! }] : [];
  });
  for (let washout = WASHOUT_STEP; washout <= MOST_WASHOUT; washout += WASHOUT_STEP) {
    const first = own.reduce((a, b) =>
      b.limit - b.lift - washout * b.change < a.limit - a.lift - washout * a.change ? b : a,
    );
    if (first.spanFraction <= INBOARD) return washout;
  }
  return null;
}

/** Lift coefficient at which each lifting surface would stall first, were the others to hold: the smallest leads. */
export function stallOrder(strips: readonly StallStrip[]): Record<string, number> {
  const order = new Map<string, number>();
  for (const { surface, lift, limit } of strips)
    order.set(surface, Math.min(order.get(surface) ?? Infinity, limit - lift));
  return Object.fromEntries(order);
}
