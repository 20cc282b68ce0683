import type { SectionFamily } from '../section/lowReynolds';
import type { Vector3 } from '../units/convert';
import type { Working } from '../working/working';
import type { Finding } from '../findings/finding';
import type { MassPart } from '../mass/massModel';
import type { StallStrip } from '../aero/stall';
import type { Asymmetry } from '../aero/asymmetry';
import type { Mode } from '../motion/linearModes';
import type { SharedThrow } from '../aero/sharedThrow';
import type { PolarPoint } from '../aero/polar';
import type { School } from '../balance/schools';
import type { ControlFeel } from '../feel/axisFeel';
import type { RiggingLine } from '../rigging/handsOff';

/** A number that could be computed, or null; the group's `reasons` then say why. */
export type Maybe = number | null;
export type Reasons = Readonly<Record<string, string>>;

/** What `analyse` returns: the contract of the command line and more. SI units and radians. */
export interface Analysis {
  readonly format: 'inclinar-analysis';
  readonly version: 1;
  readonly options: { readonly surfacesOnly: boolean; readonly wake: 'datum' | 'wind' };
  readonly reference: {
    readonly area: Maybe;
    readonly span: Maybe;
    readonly meanChord: Maybe;
    readonly meanChordLeadingEdge: Maybe;
    readonly aspectRatio: Maybe;
    readonly reasons: Reasons;
  };
  readonly mass: {
    readonly total: Maybe;
    readonly cg: Vector3 | null;
    readonly inertia: {
      readonly xx: number;
      readonly yy: number;
      readonly zz: number;
      readonly xz: number;
    } | null;
    readonly wingLoading: Maybe;
    readonly parts: readonly MassPart[];
    readonly reasons: Reasons;
  };
  readonly pitch: {
    readonly liftSlope: Maybe;
    readonly zeroLiftAlpha: Maybe;
    readonly momentSlope: Maybe;
    readonly zeroLiftMoment: Maybe;
    readonly neutralPoint: Maybe;
    /** Half width of the band that the choice of wake gives [m]. */
    readonly neutralPointBand: Maybe;
    readonly neutralPointWithoutTail: Maybe;
    readonly staticMargin: Maybe;
    /** Margin in a pull-up, where the tail damps. */
    readonly manoeuvreMargin: Maybe;
    readonly downwash: Maybe;
    readonly downwashSlope: Maybe;
    readonly pitchDamping: Maybe;
    readonly liftFromElevator: Maybe;
    readonly momentFromElevator: Maybe;
    /** Point that moments refer to: the centre of gravity, or the quarter mean chord without masses. */
    readonly momentReference: Vector3 | null;
    readonly reasons: Reasons;
  };
  readonly lateral: {
    readonly sideForceSlope: Maybe;
    readonly dihedralEffect: Maybe;
    readonly yawStiffness: Maybe;
    readonly rollDamping: Maybe;
    readonly yawDamping: Maybe;
    readonly rollFromYawRate: Maybe;
    readonly yawFromRollRate: Maybe;
    readonly rollFromAileron: Maybe;
    readonly yawFromAileron: Maybe;
    readonly rollFromRudder: Maybe;
    readonly yawFromRudder: Maybe;
    readonly sideForceFromRollRate: Maybe;
    readonly sideForceFromYawRate: Maybe;
    readonly reasons: Reasons;
  };
  readonly lift: {
    readonly shares: Readonly<Record<string, number>> | null;
    readonly reasons: Reasons;
  };
  readonly trim: {
    readonly speed: Maybe;
    readonly alpha: Maybe;
    readonly elevator: Maybe;
    readonly liftCoefficient: Maybe;
    /** Moment left over when there is no pitch control. */
    readonly residualMoment: Maybe;
    /** Angle of the tail (or canard) against the datum at which the pitch control would be neutral. */
    readonly tailIncidence: Maybe;
    /** Pitch control that holds the same lift when the flaps droop, beyond the one without. */
    readonly flapElevator: Maybe;
    /** Pitching moment of the thrust that level flight needs, and the pitch command with power off. */
    readonly thrustMoment: Maybe;
    readonly elevatorPowerOff: Maybe;
    readonly reasons: Reasons;
  };
  readonly stall: {
    readonly liftCoefficient: Maybe;
    readonly speed: Maybe;
    readonly startsAtSpanFraction: Maybe;
    readonly surface: string | null;
    readonly strips: readonly StallStrip[];
    /** Lift left over the roll controls when the stall starts. */
    readonly marginAtRollControls: Maybe;
    /** Washout that would bring the start inboard [rad]. */
    readonly washoutToMoveInboard: Maybe;
    /** Lift each lifting surface has left when the first stalls; nought leads. */
    readonly liftLeft: Readonly<Record<string, number>>;
    /** With the flaps at the droop that lifts most [rad]. */
    readonly flapDroop: Maybe;
    readonly flappedLiftCoefficient: Maybe;
    readonly flappedSpeed: Maybe;
    readonly reasons: Reasons;
  };
  readonly drag: {
    readonly induced: Maybe;
    readonly spanEfficiency: Maybe;
    readonly profile: Maybe;
    readonly parasite: Maybe;
    readonly total: Maybe;
    readonly polar: readonly PolarPoint[];
    readonly reasons: Reasons;
  };
  readonly speeds: {
    readonly stall: Maybe;
    readonly approach: Maybe;
    readonly bestGlide: Maybe;
    readonly minimumSink: Maybe;
    readonly pitchFloor: Maybe;
    readonly glideRatio: Maybe;
    readonly sink: Maybe;
    readonly reasons: Reasons;
  };
  readonly window: {
    readonly forward: Maybe;
    readonly aft: Maybe;
    readonly forwardBecause: string | null;
    readonly aftBecause: string | null;
    readonly reasons: Reasons;
  };
  /** What the built-in angles do when the pitch control is left alone. */
  readonly rigging: {
    readonly handsOffLift: Maybe;
    readonly handsOffSpeed: Maybe;
    readonly surfaces: readonly RiggingLine[];
    readonly reasons: Reasons;
  };
  /** How it answers to full stick at cruise. */
  readonly feel: ControlFeel;
  /** What left–right differences (measured angles, a mass off the centre) ask for. */
  readonly asymmetry: Asymmetry | null;
  /** Air of the propellers over the tail in level flight: dynamic pressure ratio, and the share of the blown tail area; null without a drive. */
  readonly slipstream: { readonly pressureRatio: number; readonly tailShare: number } | null;
  /** Pitch and roll on the same controls; null when they share none. */
  readonly sharedThrow: SharedThrow | null;
  /** Angle by which the others lower the air at each surface, and its slope with angle of attack. */
  readonly wash: Readonly<Record<string, { readonly angle: number; readonly slope: number }>>;
  /** Small motions about level flight. */
  readonly motion: {
    readonly longitudinal: readonly Mode[];
    readonly lateral: readonly Mode[];
    readonly reasons: Reasons;
  };
  readonly schools: readonly School[];
  readonly spanLoading: readonly SpanLoadingPoint[];
  readonly tails: readonly {
    readonly surface: string;
    readonly arm: number;
    readonly horizontal: number;
    readonly vertical: number;
  }[];
  readonly sections: readonly SectionSummary[];
  readonly workings: readonly Working[];
  readonly findings: readonly Finding[];
}

export interface SpanLoadingPoint {
  readonly surface: string;
  readonly spanFraction: number;
  readonly y: number;
  readonly z: number;
  /** Lift coefficient of the strip at trim. */
  readonly lift: number;
  readonly chord: number;
}

export interface SectionSummary {
  readonly surface: string;
  readonly station: number;
  readonly thicknessRatio: number;
  readonly thicknessPosition: number;
  readonly camber: number;
  readonly zeroLiftAngle: number;
  readonly quarterChordMoment: number;
  readonly reynolds: number;
  readonly family: SectionFamily;
  readonly maximumLift: number;
  readonly outsideTable: boolean;
}
