import { metresFromMillimetres, radiansFromDegrees } from '../units/convert';
import { type AeroModel, longitudinal } from '../aero/aeroModel';
import { crossLoads, scaleLoad } from '../aero/forces';
import { type Slipstream, slipstreamOver } from '../aero/slipstream';
import { dragOf, liftCoefficientAt, stripData } from '../aero/polar';
import { trim, type TrimState } from '../aero/trim';
import type { Prepared } from './prepare';

/** Level flight at the cruise speed, or why there is none and the state that stands in for it. */
export interface Cruise {
  readonly state: TrimState;
  readonly isTrimmed: boolean;
  readonly reason: string | null;
  /** Pitching moment coefficient of thrust and slipstream, and the trim without them. */
  readonly thrustMoment: number | null;
  readonly powerOff: TrimState | null;
  /** Air of the propellers over the tail in level flight; null without a drive. */
  readonly slipstream: Slipstream | null;
}

const NO_THRUST = { thrustMoment: null, powerOff: null, slipstream: null };
const AT_DATUM = { elevator: null, lift: 0, moment: 0 };

/** Trims at cruise speed; thrust equal to the drag found there pulls along its line. */
export function cruiseState(prepared: Prepared, model: AeroModel): Cruise {
  const { weights, about, air, design } = prepared;
  const mass = weights.properties?.total;
  if (mass === undefined) {
    return {
      state: { alpha: 0, ...AT_DATUM },
      isTrimmed: false,
      reason: 'Nothing has a mass yet: add weights to find the trim.',
      ...NO_THRUST,
    };
  }
  const lift = liftCoefficientAt({ model, air, mass }, design.conditions.cruiseSpeed);
  const first = trim(model, { lift, about });
  if (!first.ok) return { state: { alpha: 0, ...AT_DATUM }, isTrimmed: false, reason: first.reason, ...NO_THRUST };
  const thrust = prepared.surfacesOnly ? null : thrustCoefficients(prepared, model, first.state);
  if (!thrust)
    return {
      state: first.state,
      isTrimmed: true,
      reason: null,
      thrustMoment: null,
      powerOff: first.state,
      slipstream: null,
    };
  const rest = {
    isTrimmed: true,
    reason: null,
    thrustMoment: thrust.moment,
    powerOff: first.state,
    slipstream: thrust.stream,
  };
  const second = trim(model, { lift: lift - thrust.lift, moment: -thrust.moment, about });
  return second.ok ? { state: { ...second.state, lift }, ...rest } : { state: first.state, ...rest };
}

/** Lift and pitching moment coefficients of thrust that equals drag, with what its stream adds to the tail; null without a drive. */
function thrustCoefficients(prepared: Prepared, model: AeroModel, state: TrimState) {
  const { design, about, air, sections, dragArea } = prepared;
  const drives = design.propulsion;
  if (drives.length === 0) return null;
  const flow = model.stateAt(state.alpha, state.elevator ?? 0);
  const drag = dragOf(model, flow, stripData(sections, air, design.conditions.cruiseSpeed), state.lift, dragArea).total;
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
