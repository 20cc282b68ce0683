import { metresFromMillimetres, type Metres, type Radians } from '@/core/1-base/units/convert';
import { isAftTail, isWing } from '@/core/2-document/schema/roles';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { downwashReceiver, meanDownwash } from '@/core/5-aero/downwash';
import { controlCase } from '@/core/5-aero/flowCase';
import { addLoads, type Load, loadChange, NO_LOAD, scaleLoad } from '@/core/5-aero/forces';
import { surfaceMask } from '@/core/5-aero/lattice';
import type { Solution } from './solution';

/** Share of the span over which the trailing vortices of a wing act. */
const EFFECTIVE_SPAN = 0.9;

/** Lowest point of a design, on which it would stand: wheels, else bodies, else surfaces [m]. */
function groundUnder(design: Design, placed: readonly PlacedSurface[]): Metres {
  const wheels = design.wheels.map(({ position, diameter }) => position.z - diameter / 2);
  const bodies = design.bodies.flatMap(({ position, frames }) => frames.map(({ bottom }) => position.z + bottom));
  const surfaces = placed.flatMap(({ stations }) => stations.map(({ z }) => z));
  return Math.min(...[...wheels, ...bodies].map(metresFromMillimetres), ...surfaces);
}

/** Height above the ground of the middle of some surfaces, weighted by chord [m]. */
function meanHeight(surfaces: readonly PlacedSurface[], ground: Metres): Metres {
  const stations = surfaces.flatMap((surface) => surface.stations);
  const chords = stations.reduce((sum, { chord }) => sum + chord, 0);
  return stations.reduce((sum, { z, chord }) => sum + (z - ground) * chord, 0) / chords;
}

/**
 * Share of the downwash at the tail that the ground takes away:
 * Δε/ε = (b_e² + 4 (h_t − h_w)²)/(b_e² + 4 (h_t + h_w)²), b_e ≈ 0.9 b, heights
 * of wing and tail above the ground. ±20 %.
 * Source: Hoak & Finck, USAF Stability and Control Datcom, section 4.7.1; Perkins & Hage, 1949, ch. 5.
 */
export function downwashLost(span: Metres, wingHeight: Metres, tailHeight: Metres): number {
  const effective = (EFFECTIVE_SPAN * span) ** 2;
  return (effective + 4 * (tailHeight - wingHeight) ** 2) / (effective + 4 * (tailHeight + wingHeight) ** 2);
}

/** Angles of attack between which the downwash is taken to grow evenly [rad]. */
const [LOW, HIGH] = [0, 0.2];

/** What the ground adds near it: by the height of the datum over it and the angle of attack, per density at unit speed. */
interface NearGround {
  /** Height of the datum when it stands. */
  readonly standing: Metres;
  readonly load: (datumHeight: Metres, alpha: Radians) => Load;
}

/**
 * Without the downwash that the ground takes away the tail lifts more. Null
 * without a tail behind a wing.
 */
function tailNearGround({ prepared, model }: Solution, command: Radians): NearGround | null {
  const { placed, reference, design, about } = prepared;
  const receiver = downwashReceiver(model.lattice);
  const tails = placed.filter(isAftTail);
  if (!receiver || tails.length === 0) return null;
  const [wing, tail] = [meanHeight(placed.filter(isWing), 0), meanHeight(tails, 0)];
  const [low, high] = [model.stateAt(LOW, command), model.stateAt(HIGH, command)];
  const [atLow, atHigh] = [low, high].map((state) => meanDownwash(model.matrices, receiver, state)) as [number, number];
  const perRadian = addLoads(
    receiver.surfaces.map((index) => {
      const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
      return loadChange(model.matrices, high, turned, about);
    }),
  );
  return {
    standing: -groundUnder(design, placed),
    load: (datum, alpha) => {
      const lost = downwashLost(reference.span, datum + wing, datum + tail);
      return scaleLoad(perRadian, lost * (atLow + ((atHigh - atLow) * (alpha - LOW)) / (HIGH - LOW)));
    },
  };
}

/** What the ground adds at the flare over the angle of attack, at a pitch command. */
export function groundLoad(solution: Solution, command: Radians): (alpha: Radians) => Load {
  const near = tailNearGround(solution, command);
  return near ? (alpha) => near.load(near.standing, alpha) : () => NO_LOAD;
}

/** Share of the induced drag that the ground takes away, h the height of the wing: e^(−2.48 (2h/b)^0.768). ±10 % from h/b 0.03 to 1. Source: Wieselsberger, NACA TM 77 (1922), as fitted by Hoerner, Fluid-Dynamic Drag, ch. 7. */
export const inducedLost = (span: Metres, height: Metres): number =>
  Math.exp(-2.48 * ((2 * Math.max(0, height)) / span) ** 0.768);

/** So many spans over the ground it is forgotten, little by little over the last one. */
export const FORGOTTEN = 3;

/**
 * The same for whatever height it flies at: the tail without its downwash, and
 * the wing, which meets the air so much steeper and whose lift leans back less.
 * Per density at unit speed, document
 * axes, about the balance point; nothing beyond three spans.
 */
export function groundInFlight(solution: Solution): (datumHeight: Metres, alpha: Radians) => Load {
  const { prepared, model } = solution;
  const { reference, placed, about } = prepared;
  const wings = placed.filter(isWing);
  const tail = tailNearGround(solution, 0);
  const wing = meanHeight(wings, 0);
  const [low, high] = [LOW, HIGH].map((alpha) => model.loadAt(alpha, 0, about));
  const state = model.stateAt(HIGH, 0);
  const perRadian = addLoads(
    wings.map((surface) => {
      const mask = surfaceMask(model.lattice, model.lattice.surfaces.indexOf(surface));
      return loadChange(model.matrices, state, controlCase(model.matrices, 'symmetric', mask), about);
    }),
  );
  const standing = -groundUnder(prepared.design, placed);
  return (above, alpha) => {
    // Lower than it stands it does not come.
    const datum = Math.max(standing, above);
    const height = datum + wing;
    const left = Math.min(1, FORGOTTEN - height / reference.span);
    if (!(left > 0)) return NO_LOAD;
    const lift = low!.force[2] + ((high!.force[2] - low!.force[2]) * (alpha - LOW)) / (HIGH - LOW);
    // ε = C_L/(π A), L per density at unit speed ½ S C_L; of it a share is gone, and with it what L leans back.
    const met = (inducedLost(reference.span, height) * lift) / ((reference.area / 2) * Math.PI * reference.aspectRatio);
    const { force, moment } = scaleLoad(perRadian, met);
    const wingLoad: Load = { force: [-met * lift, force[1], force[2]], moment };
    return scaleLoad(tail ? addLoads([wingLoad, tail.load(datum, alpha)]) : wingLoad, left);
  };
}
