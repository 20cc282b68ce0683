import { z } from 'zod';
import {
  kilogramsFromGrams,
  metresFromMillimetres,
  type Metres,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { runDrive } from '@/core/5-power/drive/drive';
import { slipstreamOver } from '@/core/5-aero/slipstream';
import { launchSpeed } from '../ceilings/launchSpeed';
import { emptyNumbers, numbersGroup, reasonsOfNulls } from '../group';
import { maybe } from '../keys';
import { lateral } from '../lateral/lateral';
import { pitch } from '../pitch/pitch';
import type { DesignDrive } from '../power/drives';
import { flightOf, FULL, isFlight } from '../power/flight';
import type { Solution } from '../solution/solution';
import { stall } from '../stall/stall';

const keys = z.object({
  speed: maybe('speed', 'Speed it is told at: out of the launch, or 1.2 stall speeds'),
  torque: maybe('moment', 'Torque of the propellers on the aircraft at full throttle, right wing down positive'),
  aileron: maybe('angle', 'Roll command that holds it'),
  bladeYaw: maybe('moment', 'Yaw by the blade that goes down meeting more air, nose right positive'),
  swirlYaw: maybe('moment', 'Yaw by the turning stream on fins, nose right positive'),
  gyroYaw: maybe('moment', 'Yaw for each radian a second that the nose is pulled up, nose right positive'),
  sideThrust: maybe('angle', 'Turn of the thrust line to the right that cancels blade and stream there'),
  sideThrustDrawn: maybe('angle', 'Turn to the right that is drawn'),
});

const LAUNCH_OVER_STALL = 1.2;
const IN_PAIRS = 'Its propellers turn against one another: nothing is left of it.';
const NO_ROLL = 'No control answers to roll.';
const NO_LEVER =
  'The propeller is too near to the balance point, or too much would be asked of its line: the rudder has to hold it.';

/** What a propeller turns beside itself at the start: torque, blade, stream and gyroscope. */
export const torque = numbersGroup(keys, {
  id: 'torque',
  title: 'Torque and side thrust',
  needs: { stall, pitch, lateral },
  compute: (solution, { stall: stalls, pitch: { zeroLiftAlpha, liftSlope }, lateral: { rollFromAileron } }) => {
    const flight = flightOf(solution, stalls);
    if (!isFlight(flight)) return emptyNumbers(keys, flight);
    const { design, air, about, reference } = solution.prepared;
    // Two of a pair turn against one another.
    const turning = flight.drives.filter(({ count }) => count === 1);
    if (turning.length === 0) return emptyNumbers(keys, IN_PAIRS);
    const speed = Math.max(launchSpeed(design.brief, flight.mass) ?? 0, LAUNCH_OVER_STALL * flight.stallSpeed);
    const pressure = (air.density * speed ** 2) / 2;
    const lift = flight.weight / (pressure * reference.area);
    const alpha = zeroLiftAlpha === null || !liftSlope ? 0 : zeroLiftAlpha + lift / liftSlope;
    let [rolls, blade, swirl, gyro, lever] = [0, 0, 0, 0, 0];
    for (const drive of turning) {
      const side = drive.source.turns === 'clockwise' ? 1 : -1;
      const { perSecond, thrust, shaftPower } = runDrive(drive, speed, 1, FULL);
      if (perSecond <= 0) continue;
      const omega = 2 * Math.PI * perSecond;
      const own = shaftPower / omega;
      rolls -= side * own;
      blade -= side * bladeYawOf(drive, { speed, perSecond, alpha });
      swirl -= side * swirlYawOf(solution, drive, { speed, thrust, torque: own });
      gyro += side * inertiaOf(design, drive) * omega;
      lever += thrust * (about[0] - metresFromMillimetres(drive.source.position.x));
    }
    const values = {
      speed,
      torque: rolls,
      aileron: rollFromAileron ? -rolls / (pressure * reference.area * reference.span) / rollFromAileron : null,
      bladeYaw: blade,
      swirlYaw: swirl,
      gyroYaw: gyro,
      sideThrust: sideThrustFor(-(blade + swirl), lever),
      sideThrustDrawn:
        turning.reduce((sum, { source }) => sum + radiansFromDegrees(source.rightThrust), 0) / turning.length,
    };
    return {
      ...values,
      reasons: { ...reasonsOfNulls(values, NO_ROLL), ...(values.sideThrust === null ? { sideThrust: NO_LEVER } : {}) },
    };
  },
});

interface Running {
  readonly speed: number;
  readonly perSecond: number;
  readonly alpha: number;
}

/** Of the revolutions, to tell how the thrust goes with them. */
const NEAR = 0.01;

/** N = ½ V α ∂T/∂Ω, the blade that goes down on the right meets more air: nose left for a propeller that turns clockwise. Frozen inflow; C. */
function bladeYawOf({ propeller }: DesignDrive, { speed, perSecond, alpha }: Running): number {
  const thrust = (share: number) => propeller.at(speed, perSecond * share).thrust;
  const slope = (thrust(1 + NEAR) - thrust(1 - NEAR)) / (2 * NEAR * 2 * Math.PI * perSecond);
  return (speed * alpha * slope) / 2;
}

interface Stream {
  readonly speed: number;
  readonly thrust: number;
  readonly torque: number;
}

/** Mean radius at which the stream turns, of that of the disc. */
const MEAN_RADIUS = 0.6;
/** What wing and body leave of the turning; C. */
const SWIRL_LEFT = 0.5;
/** Lift slope of small fins [1/rad]. */
const FIN_SLOPE = 3;

/** tan ψ = Q/(ρ A_d r̄ V_d V_s) on what of upright surfaces lies in the stream; nose left for a propeller that turns clockwise, where the fins stand up. C, ±50 %. */
function swirlYawOf({ prepared }: Solution, drive: DesignDrive, { speed, thrust, torque: own }: Stream): number {
  const { design, air, lattice, reference, about } = prepared;
  const pressure = (air.density * speed ** 2) / 2;
  const radius = drive.propeller.propeller.diameter / 2;
  const disc = Math.PI * radius ** 2;
  const behind = speed * Math.sqrt(1 + Math.max(0, thrust) / (pressure * disc));
  const through = (speed + behind) / 2;
  const swirl = Math.atan(own / (air.density * disc * MEAN_RADIUS * radius * through * behind));
  const only = { ...design, propulsion: [drive.source] };
  const { shares } = slipstreamOver(only, lattice, thrust / (pressure * reference.area), reference.area);
  const level = metresFromMillimetres(drive.source.position.z);
  let moment = 0;
  for (const strip of lattice.strips) {
    const share = shares.get(strip.surface) ?? 0;
    const upright = Math.abs(strip.tangentZ);
    if (share === 0 || upright < 0.5) continue;
    const area = strip.width * strip.m.chord * (lattice.surfaces[strip.surface]!.mirrored ? 2 : 1);
    const above = Math.sign(strip.m.z - level);
    moment += above * share * upright * area * (strip.m.x - about[0]);
  }
  return ((air.density * behind ** 2) / 2) * FIN_SLOPE * SWIRL_LEFT * swirl * moment;
}

/** A usual propeller of that size [kg], where none is among the weights. */
const usualMass = (diameter: Metres): number => 0.009 * (diameter / 0.203) ** 2.2;
/** Thinner towards the tip than a bar. */
const TAPERED = 0.7;

/** Moment of inertia of a propeller: of a bar m D²/12 that tapers. */
function inertiaOf({ massItems }: Design, { propeller: { propeller } }: DesignDrive): number {
  const known = massItems.find(({ category }) => category === 'propeller');
  const mass = known ? kilogramsFromGrams(known.measuredMass ?? known.mass) : usualMass(propeller.diameter);
  return (TAPERED * mass * propeller.diameter ** 2) / 12;
}

/** Steeper nobody turns a motor [rad]. */
const MOST_TURN = 0.35;
/** Share of a newton metre per newton below which its line is no lever [m]. */
const LEAST_LEVER = 0.02;

/** Angle whose sine times the lever of the thrust gives a moment; null where the thrust has no lever. */
function sideThrustFor(moment: number, lever: number): number | null {
  if (Math.abs(lever) < LEAST_LEVER) return null;
  const sine = moment / lever;
  return Math.abs(sine) > Math.sin(MOST_TURN) ? null : Math.asin(sine);
}
