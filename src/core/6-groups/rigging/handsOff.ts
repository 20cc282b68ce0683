import { isFin } from '@/core/2-document/schema/roles';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { surfaceMask } from '@/core/5-aero/lattice';
import { liftAtFullCommand } from '@/core/5-aero/controlReach';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import type { Fraction, Radians, Vector3 } from '@/core/1-base/units/convert';

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
  /** Change of hands-off lift per radian of error. */
  readonly liftPerRadian: number;
  /** Error either way that keeps hands-off lift between nought and 85 % of C_Lmax; null when it cannot be said. */
  readonly bears: Radians | null;
}

export interface HandsOff {
  /** Lift coefficient with neutral pitch control; null when nothing holds the nose. */
  readonly lift: Fraction | null;
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
  readonly wash: Readonly<Record<string, { readonly angle: number }>>;
}

export function handsOff(model: AeroModel, input: HandsOffInput): HandsOff {
  const { about, alpha, command, liftSlope, momentSlope, maximumLift, wash } = input;
  const isStable = momentSlope < -1e-9;
  const lift = isStable ? liftAtFullCommand(model, 0, about) : null;
  const state = model.stateAt(alpha, command);
  const lines = model.lattice.surfaces.flatMap((surface, index): RiggingLine[] => {
    if (isFin(surface)) return [];
    const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
    const change = longitudinal(loadChange(model.matrices, state, turned, about), alpha, model.reference);
    const liftPerRadian = isStable ? change.lift - (liftSlope * change.moment) / momentSlope : 0;
    const flown = builtAngles(surface).meanIncidence;
    const room = lift === null || maximumLift === null ? null : Math.min(HANDS_OFF_SHARE * maximumLift - lift, lift);
    return [
      {
        surface: surface.id,
        drawn: surface.incidence,
        flown,
        againstAir: flown + alpha - (wash[surface.id]?.angle ?? 0),
        liftPerRadian,
        bears:
          room === null || Math.abs(liftPerRadian) < 1e-6
            ? null
            : Math.min(RIGHT_ANGLE, Math.max(0, room) / Math.abs(liftPerRadian)),
      },
    ];
  });
  return { lift, lines };
}
