import type { Metres, Radians } from '@/core/1-base/units/convert';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Numbers } from '@/core/6-groups/page';
import { type Drawn, drawnOf } from '@/core/8-field/faults';
import type { Built, Off } from './built';
import { type Errors, errorsOf } from './errors';
import { momentAtNoLift } from './fieldEffects';
import type { Tolerance, ToleranceKind } from './inputs';
import { type AsDrawn, linearAircraft } from './linearAircraft';
import { NO_SLOPES, type Slopes } from './slopes';
import { wingsLevel } from './wingsLevel';

/** An aircraft as it may be built: what may be off, and what comes of it. */
export interface ToleratedAircraft {
  readonly ok: true;
  readonly design: Design;
  readonly numbers: Numbers;
  readonly tolerances: readonly Tolerance[];
  /** Fields whose ± could not be taken, a reading that does not count, and why. */
  readonly reasons: Readonly<Record<string, string>>;
  readonly built: (off: Off) => Built;
  /** Turn of the surface that trims it, or of the pitch control where it has none, that all errors of angles come to [rad]. */
  readonly decalage: (off: Off) => Radians;
  /** Pitch and roll command that errors of angles and a warp come to; null where it has no such control. */
  readonly stands: (off: Off) => { readonly pitch: Radians | null; readonly roll: Radians | null };
  /** How far the balance point comes to lie aft against the neutral point [m]. */
  readonly shift: (off: Off) => Metres;
  readonly of: (off: Off, kind: ToleranceKind) => number;
}

const NO_TRIM = 'It is not trimmed at cruise, or nothing is weighed yet: what building changes of that has no number.';

/** What building errors come to, without another analysis for each draw: linear in pitch, with the slopes of the whole analysis where that knows more. */
export function toleratedAircraft(
  design: Design,
  readings: readonly RecordOf<'benchReadings'>[] = [],
): ToleratedAircraft | { readonly ok: false; readonly because: string } {
  const drawn = drawnOf(design);
  const known = drawn && asDrawn(drawn);
  if (!drawn || !known) return { ok: false, because: NO_TRIM };
  const { numbers, command } = known;
  const errors = errorsOf(design, drawn, numbers, readings);
  const wings = wingsLevel(drawn, numbers, numbers.pitch.liftSlope!);
  const { tolerances, reasons, of, byFields, bySlopes, angleMoment } = errors;
  const linear = linearAircraft(known, errors, wings);
  const lacking = slopesLacking(linear, errors);
  const angles = (off: Off) => angleMoment(off) + byFields(off, 'moment');
  const perTurn = momentOfTrimmer(drawn, numbers) ?? command;
  return {
    ok: true,
    design,
    numbers,
    tolerances,
    reasons,
    built: (off) => {
      const one = linear(off);
      return one.elevator === null ? one : { ...one, elevator: one.elevator + bySlopes(off, 'elevator', lacking) };
    },
    decalage: (off) => (perTurn ? angles(off) / perTurn : 0),
    shift: (off) =>
      of(off, 'balance') - of(off, 'neutralPoint') + byFields(off, 'balance') - byFields(off, 'neutralPoint'),
    stands: (off) => ({
      pitch: command ? angles(off) / command : null,
      roll: wings.against(of(off, 'warp')),
    }),
    of,
  };
}

/** What errors are taken from; null where it has no margin, or nothing holds it hands off. */
function asDrawn({ design: { conditions }, numbers }: Drawn): AsDrawn | null {
  const { pitch, rigging, reference, mass } = numbers;
  const { momentSlope, liftSlope, staticMargin, neutralPoint, momentFromElevator, liftFromElevator } = pitch;
  if (
    mass.total === null ||
    mass.cg === null ||
    reference.meanChord === null ||
    reference.area === null ||
    staticMargin === null ||
    neutralPoint === null ||
    liftSlope === null ||
    momentSlope === null ||
    rigging.handsOffMoment === null
  )
    return null;
  return {
    numbers,
    mass: mass.total,
    balance: mass.cg[0],
    chord: reference.meanChord,
    area: reference.area,
    density: airAt(conditions.elevation, conditions.temperature).density,
    staticMargin,
    neutralPoint,
    stiffness: -momentSlope / liftSlope,
    atNoLift: momentAtNoLift(numbers)!,
    command:
      momentFromElevator === null || liftFromElevator === null
        ? null
        : momentFromElevator - (liftFromElevator * momentSlope) / liftSlope,
  };
}

/** Of the pitch control the linear model knows most; only what it lacks is added. */
function slopesLacking(linear: (off: Off) => Built, { tolerances, slopes }: Errors): Slopes[] {
  return tolerances.map(({ sigma }, which) => {
    const at = (by: number) => linear(Float64Array.from(tolerances, (_, index) => (index === which ? by : 0))).elevator;
    const [less, more] = [at(-sigma), at(sigma)];
    const known = slopes[which]!;
    if (known === NO_SLOPES || less === null || more === null) return NO_SLOPES;
    return { ...NO_SLOPES, elevator: known.elevator - (more - less) / (2 * sigma) };
  });
}

/** Moment of one radian of the surface that trims it; null where none does. */
function momentOfTrimmer({ trimmer }: Drawn, { rigging }: Numbers): number | null {
  const line = rigging.surfaces.find(({ surface }) => surface === trimmer);
  return trimmer === null ? null : (line?.momentPerRadian ?? null);
}
