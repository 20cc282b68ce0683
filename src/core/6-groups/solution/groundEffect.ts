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

/**
 * What the ground adds at the flare over the angle of attack, at a pitch
 * command: without the downwash that it takes away the tail lifts more.
 * Nothing without a tail behind a wing.
 */
export function groundLoad({ prepared, model }: Solution, command: Radians): (alpha: Radians) => Load {
  const { placed, reference, design, about } = prepared;
  const receiver = downwashReceiver(model.lattice);
  const tails = placed.filter(isAftTail);
  if (!receiver || tails.length === 0) return () => NO_LOAD;
  const ground = groundUnder(design, placed);
  const lost = downwashLost(reference.span, meanHeight(placed.filter(isWing), ground), meanHeight(tails, ground));
  const [low, high] = [model.stateAt(LOW, command), model.stateAt(HIGH, command)];
  const [atLow, atHigh] = [low, high].map((state) => meanDownwash(model.matrices, receiver, state)) as [number, number];
  const perRadian = addLoads(
    receiver.surfaces.map((index) => {
      const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
      return loadChange(model.matrices, high, turned, about);
    }),
  );
  return (alpha) => scaleLoad(perRadian, lost * (atLow + ((atHigh - atLow) * (alpha - LOW)) / (HIGH - LOW)));
}
