import { isFin } from '@/core/2-document/schema/roles';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { surfaceMask } from '@/core/5-aero/lattice';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { type MeasurableFace, measurableFace } from '@/core/3-shape/section/measurableFace';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import { type Fraction, millimetresFromMetres, type Radians, type Vector3 } from '@/core/1-base/units/convert';

/** A joint that bears more than this bears anything [rad]. */
const RIGHT_ANGLE = Math.PI / 2;

/**
 * What built-in angles do. Hands off (pitch control neutral) the aircraft
 * settles at the lift where C_m = 0; an error δ of one surface moves it by
 *
 *   dC_L/dδ = C_Lδ − C_Lα C_mδ/C_mα
 *
 * so the same degree is mild at a wide margin and fatal at a narrow one.
 * Angles in rad. Source: Etkin & Reid, Dynamics of Flight, section 2.4.
 */
export interface RiggingLine {
  readonly surface: string;
  /** Root incidence as drawn, and as flown (mean of both sides where measured). */
  readonly drawn: Radians;
  readonly flown: Radians;
  /** Angle of the root chord against the air it meets at trim: incidence + α − wash. */
  readonly againstAir: Radians;
  /** What a tilt meter shows on the face that can be measured at the root, datum level; by drawing and as flown. */
  readonly face: MeasurableFace['face'];
  readonly faceReadingDrawn: Radians;
  readonly faceReadingFlown: Radians;
  /** Pitching moment per radian of error at the same lift, nose up positive. */
  readonly momentPerRadian: number;
  /** Change of hands-off lift per radian of error; nought where nothing holds the nose. */
  readonly liftPerRadian: number;
  /** Error either way that keeps hands-off lift between nought and 85 % of C_Lmax; null when it cannot be said. */
  readonly bears: Radians | null;
}

export interface HandsOff {
  /** Lift coefficient with neutral pitch control; null when nothing holds the nose, or no lift within reach balances it. */
  readonly lift: Fraction | null;
  /** Pitching moment of level flight at cruise with the pitch control left alone, nose up positive. */
  readonly moment: number;
  readonly lines: readonly RiggingLine[];
}

/** Share of C_Lmax that hands-off flight may ask. */
export const HANDS_OFF_SHARE = 0.85;

interface HandsOffInput {
  readonly about: Vector3;
  readonly alpha: Radians;
  readonly command: Radians;
  readonly liftSlope: number;
  readonly momentSlope: number;
  readonly maximumLift: Fraction | null;
  /** Lift coefficient of level flight at cruise. */
  readonly level: Fraction;
  readonly wash: Readonly<Record<string, { readonly angle: number }>>;
}

export function handsOff(model: AeroModel, input: HandsOffInput): HandsOff {
  const { about, alpha, command, liftSlope, momentSlope, maximumLift, wash } = input;
  const isStable = momentSlope < -1e-9;
  const settled = isStable ? settledAlone(model, about, alpha) : null;
  const lift = settled?.lift ?? null;
  // Errors are judged where it settles by itself, or at cruise where it does not.
  const [atAlpha, atCommand] = settled ? [settled.alpha, 0] : [alpha, command];
  const state = model.stateAt(atAlpha, atCommand);
  const stiffness = momentSlope / liftSlope;
  const lines = model.lattice.surfaces.flatMap((surface, index): RiggingLine[] => {
    if (isFin(surface)) return [];
    const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
    const change = longitudinal(loadChange(model.matrices, state, turned, about), atAlpha, model.reference);
    const momentPerRadian = change.moment - change.lift * stiffness;
    const liftPerRadian = isStable ? -momentPerRadian / stiffness : 0;
    const flown = builtAngles(surface).meanIncidence;
    const room = lift === null || maximumLift === null ? null : Math.min(HANDS_OFF_SHARE * maximumLift - lift, lift);
    const { section, chord } = surface.stations[0]!;
    const { face, angle } = measurableFace(section, millimetresFromMetres(chord));
    return [
      {
        surface: surface.id,
        drawn: surface.incidence,
        flown,
        againstAir: flown + alpha - (wash[surface.id]?.angle ?? 0),
        face,
        faceReadingDrawn: surface.incidence + angle,
        faceReadingFlown: flown + angle,
        momentPerRadian,
        liftPerRadian,
        bears:
          room === null || Math.abs(liftPerRadian) < 1e-6
            ? null
            : Math.min(RIGHT_ANGLE, Math.max(0, room) / Math.abs(liftPerRadian)),
      },
    ];
  });
  return { lift, moment: momentAlone(model, input), lines };
}

/** Steps in which hands-off flight is looked for from cruise on, and how far [rad]. */
const STEP = 0.02;
const STEEPEST = 0.6;

/** Where the pitching moment first vanishes on the way that the nose goes from cruise when the control is left alone; null where it does nowhere. */
function settledAlone(
  model: AeroModel,
  about: Vector3,
  cruise: Radians,
): { readonly alpha: Radians; readonly lift: Fraction } | null {
  const at = (alpha: Radians) => longitudinal(model.loadAt(alpha, 0, about), alpha, model.reference);
  const way = Math.sign(at(cruise).moment) || 1;
  for (let from = cruise; Math.abs(from) < STEEPEST; from += way * STEP) {
    const to = from + way * STEP;
    if (way * at(to).moment > 0) continue;
    const found = findRoot((alpha) => at(alpha).moment, { low: from, high: to, tolerance: 1e-10 });
    return found.kind === 'root' ? { alpha: found.x, lift: at(found.x).lift } : null;
  }
  return null;
}

/** The moment at the lift of cruise with the control left alone, power off. */
function momentAlone(model: AeroModel, { alpha, about, liftSlope, momentSlope, level }: HandsOffInput): number {
  const free = longitudinal(model.loadAt(alpha, 0, about), alpha, model.reference);
  return free.moment + ((level - free.lift) * momentSlope) / liftSlope;
}
