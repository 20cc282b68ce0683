import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import type { Drawn } from '@/core/8-field/faults';
import type { Off } from './built';
import { type FieldEffect, fieldEffect, NO_EFFECT } from './fieldEffects';
import { type Tolerance, type ToleranceKind, tolerancesOf } from './inputs';
import { measuredBalance } from './measuredBalance';
import { type Slopes, slopesOf } from './slopes';

/** All that may be off in a design, and what a unit of each does. */
export interface Errors {
  readonly tolerances: readonly Tolerance[];
  /** What has slopes of its own in the whole analysis, one to each. */
  readonly slopes: readonly Slopes[];
  /** Fields whose ± could not be taken, a reading that does not count, and why. */
  readonly reasons: Readonly<Record<string, string>>;
  /** Sum of all errors of a kind. */
  readonly of: (off: Off, kind: ToleranceKind) => number;
  /** What errors of fields come to in one respect, and what slopes do, these or others. */
  readonly byFields: (off: Off, key: keyof FieldEffect) => number;
  readonly bySlopes: (off: Off, key: keyof Slopes, own?: readonly Slopes[]) => number;
  /** Moment coefficient that errors of angles come to at the same lift. */
  readonly angleMoment: (off: Off) => number;
}

export function errorsOf(
  design: Design,
  drawn: Drawn,
  numbers: Numbers,
  readings: readonly RecordOf<'benchReadings'>[],
): Errors {
  const reasons: Record<string, string> = {};
  const balance = measuredBalance(design, readings, drawn.about[0]);
  const isRead = balance !== null && !('because' in balance);
  if (balance && !isRead) reasons['balance'] = balance.because;
  const tolerances = tolerancesOf(design, numbers, isRead ? balance : null);
  const effects = tolerances.map((tolerance): FieldEffect => {
    if (tolerance.kind !== 'field') return NO_EFFECT;
    const effect = fieldEffect(design, tolerance);
    if (!('because' in effect)) return effect;
    reasons[tolerance.id] = effect.because;
    return NO_EFFECT;
  });
  const slopes = tolerances.map((tolerance) => slopesOf(drawn, tolerance));
  const momentOf = new Map(
    numbers.rigging.surfaces.map(({ surface, momentPerRadian }) => [surface, momentPerRadian ?? 0]),
  );
  const moments = tolerances.map(({ kind, surface }) =>
    kind === 'incidence' ? (momentOf.get(surface ?? '') ?? 0) : 0,
  );
  const weighted = (off: Off, weights: readonly number[]) =>
    weights.reduce((all, weight, index) => all + off[index]! * weight, 0);
  return {
    tolerances,
    slopes,
    reasons,
    of: (off, kind) =>
      tolerances.reduce((all, tolerance, index) => all + (tolerance.kind === kind ? off[index]! : 0), 0),
    byFields: (off, key) => effects.reduce((all, effect, index) => all + off[index]! * effect[key], 0),
    bySlopes: (off, key, own = slopes) => own.reduce((all, slope, index) => all + off[index]! * slope[key], 0),
    angleMoment: (off) => weighted(off, moments),
  };
}
