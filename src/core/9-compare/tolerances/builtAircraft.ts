import {
  degreesFromRadians,
  type Fraction,
  type Kilograms,
  type Metres,
  type MetresPerSecond,
  type Radians,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Numbers } from '@/core/6-groups/page';
import { solve } from '@/core/6-groups/solve';
import { OUTBOARD } from '@/core/7-verdict/rules/tipStall';
import { rollAsked } from '@/core/7-verdict/rules/leftRight';
import { drawnOf, widestWing, withFault } from '@/core/8-field/faults';
import { type FieldEffect, fieldEffect, momentAtNoLift, NO_EFFECT } from './fieldEffects';
import { type Tolerance, type ToleranceKind, tolerancesOf } from './inputs';
import { NO_SLOPES, type Slopes, slopesOf } from './slopes';

/** How one built aircraft is off: a value for every tolerance, in its unit. */
export type Off = ArrayLike<number>;

/** What is told of one that was built; null where it has none. */
export interface Built {
  readonly staticMargin: Fraction;
  readonly neutralPoint: Metres;
  readonly balance: Metres;
  readonly window: { readonly forward: Metres; readonly aft: Metres } | null;
  /** Null where nothing holds the nose. */
  readonly handsOffLift: number | null;
  readonly handsOffSpeed: MetresPerSecond | null;
  readonly levelLift: number | null;
  readonly elevator: Radians | null;
  readonly mass: Kilograms;
  readonly maximumLift: number | null;
  readonly stallSpeed: MetresPerSecond | null;
  /** Roll command that holds the wings level, to the right positive; null where rudder or nothing holds them. */
  readonly rollCommand: Radians | null;
  /** Share of the travel that holding them takes. */
  readonly rollShare: Fraction;
  /** Lift coefficient that the outer wing has left when the inner one stalls; less than nought where a tip goes first. */
  readonly tipLeft: number | null;
}

/** An aircraft as it may be built: what may be off, and what comes of it. */
export interface ToleratedAircraft {
  readonly ok: true;
  readonly design: Design;
  readonly numbers: Numbers;
  readonly tolerances: readonly Tolerance[];
  /** Fields whose ± could not be taken, and why. */
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

/** Share of a linear twist whose lift a wing has: A/(A + 4) of the section’s where A/(A + 2) is that of an even angle. Source: Etkin & Reid, Dynamics of Flight, app. B. */
const ofTwist = (aspectRatio: number) => (aspectRatio + 2) / (aspectRatio + 4);

const NO_TRIM = 'It is not trimmed at cruise, or nothing is weighed yet: what building changes of that has no number.';

/**
 * What building errors come to, without another analysis for each. Pitch is
 * C_m = M₀ + Σ m_i ε_i − h C_L with the moment m_i of one radian of every
 * surface at the same lift, and h = (x_NP − x)/c̄ as it is built: hands off it
 * settles at C_L = (M₀ + Σ m_i ε_i)/h [exact for the linear lattice]. Mass and
 * greatest lift move the stall, V ~ √(m/C_L,max); a warp asks for roll command
 * in proportion (one analysis more), and takes from the tip whose angle is
 * more. The forward limit goes with the effect of the control.
 */
export function toleratedAircraft(
  design: Design,
): ToleratedAircraft | { readonly ok: false; readonly because: string } {
  const drawn = drawnOf(design);
  const { numbers, solution } = solve(design, { without: ['bands'] });
  const { pitch, rigging, trim, stall, window, reference, mass } = numbers;
  const { momentSlope, liftSlope, staticMargin, neutralPoint } = pitch;
  const chord = reference.meanChord;
  if (
    !drawn ||
    !solution ||
    mass.total === null ||
    mass.cg === null ||
    chord === null ||
    staticMargin === null ||
    neutralPoint === null ||
    liftSlope === null ||
    momentSlope === null ||
    rigging.handsOffMoment === null
  )
    return { ok: false, because: NO_TRIM };
  const tolerances = tolerancesOf(design, numbers);
  const total = mass.total;
  const cg = mass.cg[0];
  const { air } = solution.prepared;
  const area = solution.prepared.reference.area;
  const level = trim.liftCoefficient;
  const stiffness = -momentSlope / liftSlope;
  const atNoLift = momentAtNoLift(numbers)!;
  const reasons: Record<string, string> = {};
  const effects = tolerances.map((tolerance): FieldEffect => {
    if (tolerance.kind !== 'field') return NO_EFFECT;
    const effect = fieldEffect(design, tolerance);
    if (!('because' in effect)) return effect;
    reasons[tolerance.id] = effect.because;
    return NO_EFFECT;
  });
  // What has slopes of its own in the whole analysis keeps them.
  const slopes = tolerances.map((tolerance) => slopesOf(drawn, tolerance));
  const bySlopes = (off: Off, key: keyof Slopes, own: readonly Slopes[] = slopes) =>
    own.reduce((all, slope, index) => all + off[index]! * slope[key], 0);
  const byFields = (off: Off, key: keyof FieldEffect) =>
    effects.reduce((all, effect, index) => all + off[index]! * effect[key], 0);
  const momentOf = new Map(rigging.surfaces.map(({ surface, momentPerRadian }) => [surface, momentPerRadian]));

  const rollOf = (of: Numbers) => rollAsked(design, of);
  const straight = rollOf(numbers);
  const warped = rollOf(solve(withFault(drawn, 'warp', 1).design, { without: ['bands'] }).numbers);
  const perWarp = straight && warped ? warped.asked - straight.asked : 0;
  // Where nothing holds it the rate counts, as the rule has it.
  const isHeld = straight !== null && straight.command !== null && Number.isFinite(straight.travel);

  const wing = widestWing(design.surfaces);
  const strips = stall.strips.filter(({ surface }) => surface === wing?.id);
  const perTwist = liftSlope * ofTwist(reference.aspectRatio ?? 6);

  const command =
    pitch.momentFromElevator === null || pitch.liftFromElevator === null
      ? null
      : pitch.momentFromElevator - (pitch.liftFromElevator * momentSlope) / liftSlope;

  const sum = (off: Off, kind: ToleranceKind) =>
    tolerances.reduce((all, tolerance, index) => all + (tolerance.kind === kind ? off[index]! : 0), 0);
  const angleMoment = (off: Off) =>
    tolerances.reduce(
      (all, { kind, surface }, index) =>
        all + (kind === 'incidence' ? off[index]! * (momentOf.get(surface ?? '') ?? 0) : 0),
      0,
    );

  /** What the outer wing has left over the inner one, on the side that a twist lifts. */
  function tipLeft(twist: Radians): number | null {
    let [outer, inner] = [Infinity, Infinity];
    for (const { spanFraction, lift, limit } of strips) {
      const left = limit - lift - perTwist * (twist / 2) * spanFraction;
      if (spanFraction > OUTBOARD) outer = Math.min(outer, left);
      else inner = Math.min(inner, left);
    }
    return Number.isFinite(outer - inner) ? outer - inner : null;
  }

  const linear = (off: Off): Built => {
    const balance = cg + sum(off, 'balance') + byFields(off, 'balance');
    // Hands off angles count as moments alone: what they shift besides is of second order there.
    const settled = neutralPoint + sum(off, 'neutralPoint') + byFields(off, 'neutralPoint');
    const neutral = settled + bySlopes(off, 'neutralPoint');
    const ownChord = chord * (1 + byFields(off, 'chord'));
    const margin = (neutral - balance) / ownChord;
    const larger = 1 + byFields(off, 'area');
    const heavier = total * (1 + sum(off, 'mass') + sum(off, 'boards') + byFields(off, 'mass'));
    const moment = atNoLift + angleMoment(off) + byFields(off, 'moment');
    const holds = stiffness + (settled - balance) / ownChord - staticMargin;
    const lift = holds > LEAST_MARGIN ? moment / holds : null;
    const levelLift = level === null ? null : (level * heavier) / total / larger;
    const more = 1 + sum(off, 'greatestLift') + byFields(off, 'greatestLift');
    const most = stall.liftCoefficient === null ? null : stall.liftCoefficient * more + bySlopes(off, 'maximumLift');
    const effect = Math.max(0.1, 1 + sum(off, 'control'));
    const elevatorAt = (of: number, at: number, by: number) => -(of - by * at) / (command! * effect);
    const warp = sum(off, 'warp');
    const asked = ((straight?.asked ?? 0) + perWarp * degreesFromRadians(warp)) / effect;
    const travel = straight?.travel ?? 0;
    return {
      staticMargin: margin,
      neutralPoint: neutral,
      balance,
      window:
        window.forward === null || window.aft === null
          ? null
          : {
              // Nose-up control reaches as much further forward of the neutral point as it does more.
              forward: neutral - (neutralPoint - window.forward) * effect,
              aft: window.aft + neutral - neutralPoint,
            },
      handsOffLift: lift,
      handsOffSpeed:
        lift !== null && lift > LEAST_LIFT
          ? (Math.sqrt((2 * heavier * GRAVITY) / (air.density * area * larger * lift)) as MetresPerSecond)
          : null,
      levelLift,
      elevator:
        command === null || levelLift === null || trim.elevator === null || level === null
          ? null
          : trim.elevator + elevatorAt(moment, levelLift, holds) + (atNoLift - stiffness * level) / command,
      mass: heavier,
      maximumLift: most,
      stallSpeed:
        stall.speed === null || stall.liftCoefficient === null || most === null
          ? null
          : stall.speed * Math.sqrt((heavier / total / larger) * (stall.liftCoefficient / Math.max(most, LEAST_LIFT))),
      rollCommand: straight?.command === 'aileron' ? radiansFromDegrees(asked) : null,
      rollShare: isHeld && travel > 0 ? Math.abs(asked) / travel : (straight?.share ?? 0),
      tipLeft: tipLeft(Math.abs(warp)),
    };
  };

  // Of the pitch control the linear model knows most; only what it lacks is added.
  const lacking = tolerances.map(({ sigma }, which): Slopes => {
    const at = (by: number) => linear(Float64Array.from(tolerances, (_, index) => (index === which ? by : 0))).elevator;
    const [less, more] = [at(-sigma), at(sigma)];
    const known = slopes[which]!;
    if (known === NO_SLOPES || less === null || more === null) return NO_SLOPES;
    return { ...NO_SLOPES, elevator: known.elevator - (more - less) / (2 * sigma) };
  });
  const built = (off: Off): Built => {
    const one = linear(off);
    return one.elevator === null ? one : { ...one, elevator: one.elevator + bySlopes(off, 'elevator', lacking) };
  };

  const trimmer = drawn.trimmer === null ? null : (momentOf.get(drawn.trimmer) ?? null);
  const perTurn = trimmer ?? command;
  return {
    ok: true,
    design,
    numbers,
    tolerances,
    reasons,
    built,
    decalage: (off) => (perTurn ? (angleMoment(off) + byFields(off, 'moment')) / perTurn : 0),
    shift: (off) =>
      sum(off, 'balance') - sum(off, 'neutralPoint') + byFields(off, 'balance') - byFields(off, 'neutralPoint'),
    stands: (off) => ({
      pitch: command ? (angleMoment(off) + byFields(off, 'moment')) / command : null,
      // What holds it against the warp is the opposite of what the warp is.
      roll:
        straight?.command === 'aileron' ? -radiansFromDegrees(perWarp * degreesFromRadians(sum(off, 'warp'))) : null,
    }),
    of: sum,
  };
}

/** With less margin nothing holds the nose; less lift is none. */
const LEAST_MARGIN: Fraction = 0.002;
const LEAST_LIFT = 0.02;
