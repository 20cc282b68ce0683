import { metresFromMillimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { type AeroModel, longitudinal } from '@/core/5-aero/aeroModel';
import { crossLoads, scaleLoad } from '@/core/5-aero/forces';
import { type Slipstream, slipstreamOver } from '@/core/5-aero/slipstream';
import { dragOf, liftCoefficientAt, stripData } from '@/core/5-aero/polar';
import { trim, type TrimState } from '@/core/5-aero/trim';
import type { Prepared } from './prepare';

/** Level flight at the cruise speed, or why there is none and the state that stands in for it. */
export type Cruise = Trimmed | Untrimmed;

interface Trimmed {
  readonly isTrimmed: true;
  readonly state: TrimState;
  /** Lift and pitching moment coefficients of thrust and slipstream, and the trim without them. */
  readonly thrust: { readonly lift: number; readonly moment: number } | null;
  readonly powerOff: TrimState | null;
  /** Air of the propellers over the tail in level flight; null without a drive. */
  readonly slipstream: Slipstream | null;
}

interface Untrimmed {
  readonly isTrimmed: false;
  readonly state: TrimState;
  readonly reason: string;
}

const AT_DATUM: TrimState = { alpha: 0, elevator: null, lift: 0, moment: 0 };

const untrimmed = (reason: string): Cruise => ({ isTrimmed: false, state: AT_DATUM, reason });

/** Trims at cruise speed; thrust equal to the drag found there pulls along its line. */
export function cruiseState(prepared: Prepared, model: AeroModel): Cruise {
  const { weights, about, air, design } = prepared;
  const mass = weights.properties?.total;
  if (mass === undefined) return untrimmed('Nothing has a mass yet: add weights to find the trim.');
  const lift = liftCoefficientAt({ model, air, mass }, design.conditions.cruiseSpeed);
  const first = trim(model, { lift, about });
  if (!first.ok) return untrimmed(first.reason);
  const glide = { isTrimmed: true, state: first.state, powerOff: first.state } as const;
  const thrust = prepared.surfacesOnly ? null : thrustCoefficients(prepared, model, first.state);
  if (!thrust) return { ...glide, thrust: null, slipstream: null };
  const powered = { ...glide, thrust, slipstream: thrust.stream };
  const second = trim(model, { lift: lift - thrust.lift, moment: -thrust.moment, about });
  return second.ok ? { ...powered, state: { ...second.state, lift } } : powered;
}

/** Trim at a lift coefficient under a thrust coefficient T/(q S) of all drives; null where there is none, or no drive. */
export function trimUnderThrust(
  { prepared, model }: { readonly prepared: Prepared; readonly model: AeroModel },
  lift: number,
  thrust: number,
): TrimState | null {
  const { about } = prepared;
  const first = trim(model, { lift, about });
  const pull = first.ok ? thrustCoefficients(prepared, model, first.state, thrust) : null;
  if (!pull) return null;
  const second = trim(model, { lift: lift - pull.lift, moment: -pull.moment, about });
  return second.ok ? second.state : null;
}

/** Lift and pitching moment coefficients of a thrust coefficient, of one that equals drag without it, with what its stream adds to the tail; null without a drive. */
function thrustCoefficients(prepared: Prepared, model: AeroModel, state: TrimState, thrust?: number) {
  const { design, about, air, sections, dragArea } = prepared;
  const drives = design.propulsion;
  if (drives.length === 0) return null;
  const flow = model.stateAt(state.alpha, state.elevator ?? 0);
  const drag =
    thrust ?? dragOf(model, flow, stripData(sections, air, design.conditions.cruiseSpeed), state.lift, dragArea).total;
  let lift = 0;
  let moment = 0;
  for (const drive of drives) {
    const share = drag / drives.length;
    const tilt = radiansFromDegrees(drive.downThrust);
    const dx = metresFromMillimetres(drive.position.x) - about[0];
    const dz = metresFromMillimetres(drive.position.z) - about[2];
    lift += share * Math.sin(state.alpha - tilt);
    moment += (share * (dx * Math.sin(tilt) - dz * Math.cos(tilt))) / model.reference.meanChord;
  }
  const stream = slipstreamOver(design, model.lattice, drag, model.reference.area);
  const loads = crossLoads(model.matrices, flow, flow, about);
  for (const [index, share] of stream.shares) {
    const gained = longitudinal(
      scaleLoad(loads[index]!, share * (stream.pressureRatio - 1)),
      state.alpha,
      model.reference,
    );
    lift += gained.lift;
    moment += gained.moment;
  }
  return { lift, moment, stream };
}
