import { metres, plain, say, type Words } from '@/core/1-base/words/phrase';
import { type AeroModel, longitudinal } from '@/core/5-aero/aeroModel';
import { downwashReceiver, meanDownwash } from '@/core/5-aero/downwash';
import { NoFlowError } from '@/core/5-aero/noFlow';
import type { Vector3 } from '@/core/1-base/units/convert';
import { integratePlanforms, referenceSurfaces } from '@/core/3-shape/geometry/planform';
import type { Prepared } from './prepare';

/** Share of its board that a wing must show from above, or nothing refers to its plan form. */
const LEAST_PROJECTED = 0.05;
/** Share of all surfaces that the wings must be, or nothing refers to them. */
const LEAST_WING = 0.03;
/** Span squared over area of anything that could be called a wing. */
const ASPECT_RATIO = { least: 0.02, most: 250 };

/** Why coefficients that refer to these wings would mean nothing; null when they mean something. */
export function referenceFault({ placed, reference }: Pick<Prepared, 'placed' | 'reference'>): Words | null {
  const board = (surfaces: typeof placed) => integratePlanforms(surfaces, 'true')?.area ?? 0;
  const wings = board(referenceSurfaces(placed));
  if (reference.area < LEAST_PROJECTED * wings)
    return 'The wing stands nearly upright: seen from above it has no area that numbers could refer to. Lower its dihedral, or give it the role of a fin.';
  if (wings < LEAST_WING * board(placed))
    return 'The wing is a small part of all surfaces, so numbers that refer to it would mean nothing: give the role of wing to the surface that carries the weight.';
  if (reference.aspectRatio < ASPECT_RATIO.least || reference.aspectRatio > ASPECT_RATIO.most)
    return say`The wing has an aspect ratio of ${plain(reference.aspectRatio)}, and nothing here holds for that: look at its span of ${metres(reference.span)} and its mean chord of ${metres(reference.meanChord)}.`;
  return null;
}

/** Lift slope over 2π per radian and the area of all surfaces: what is lower or higher is no wing in attached flow. */
const LIFT_SLOPE = { least: 0.001, most: 1.3 };
/** The neutral point lies within the aircraft, or at most so many of its lengths outside. */
const BEYOND_THE_ENDS = 1;

/**
 * The lift slope is positive and no more than thin aerofoils give, and the
 * neutral point lies where there is an aircraft: an answer of the lattice that
 * breaks this is not believed. @throws NoFlowError
 */
export function expectSoundPitch({ placed, reference }: Prepared, model: AeroModel): void {
  expectSoundWash(model);
  const at = (alpha: number) => longitudinal(model.loadAt(alpha, 0, ORIGIN), alpha, reference);
  const [less, more] = [at(-STEP), at(STEP)];
  const slope = (more.lift - less.lift) / (2 * STEP);
  const board = integratePlanforms(placed, 'true')!.area;
  const share = (slope * reference.area) / (2 * Math.PI * board);
  if (!(share > LIFT_SLOPE.least && share < LIFT_SLOPE.most))
    throw new NoFlowError(
      say`The lift slope of the whole comes out at ${plain(slope)} per radian, which no arrangement of boards has: surfaces hide or cross one another, or large bodies and propellers outweigh the wings. Look at where each part sits.`,
    );
  const neutral = (-(more.moment - less.moment) / (more.lift - less.lift)) * reference.meanChord;
  const xs = placed.flatMap(({ stations }) => stations.flatMap(({ x, chord }) => [x, x + chord]));
  const [nose, tail] = [Math.min(...xs), Math.max(...xs)];
  const reach = BEYOND_THE_ENDS * (tail - nose);
  if (!(neutral > nose - reach && neutral < tail + reach))
    throw new NoFlowError(
      say`The neutral point comes out ${metres(neutral)} from the datum, where there is no aircraft (it reaches from ${metres(nose)} to ${metres(tail)}): a body or a propeller far larger than the surfaces, or surfaces that cross one another. Look at their sizes and places.`,
    );
}

/** The air behind or beside a wing turns by less than the wing itself. */
const MOST_DOWNWASH = 1.02;

/** @throws NoFlowError when a surface would meet air that is turned by more than what turns it */
function expectSoundWash({ lattice, matrices, rising }: AeroModel): void {
  const receiver = downwashReceiver(lattice);
  if (!receiver || !(meanDownwash(matrices, receiver, rising) > MOST_DOWNWASH)) return;
  throw new NoFlowError(
    say`The air that meets the ${receiver.name} comes out turned by more than the wing that turns it: two surfaces lie in one another or nearly so. Move one of them up or down by a centimetre, or fore or aft until they do not overlap.`,
  );
}

const ORIGIN: Vector3 = [0, 0, 0];
/** Either way of the datum [rad]. */
const STEP = 0.02;
