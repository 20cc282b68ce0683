import { asymmetry } from './asymmetry/asymmetry';
import { bands } from './bands/bands';
import { ceilings } from './ceilings/ceilings';
import { drag } from './drag/drag';
import { driveLimits } from './driveLimits/driveLimits';
import { engineOut } from './engineOut/engineOut';
import { feel } from './feel/feel';
import type { Group, ValueOf } from './group';
import { lateral } from './lateral/lateral';
import { lift } from './lift/lift';
import { mass } from './mass/mass';
import { mission } from './mission/mission';
import { motion } from './motion/motion';
import { pitch } from './pitch/pitch';
import { power } from './power/power';
import { reference } from './reference/reference';
import { rigging } from './rigging/rigging';
import { rubber } from './rubber/rubber';
import { schools } from './schools/schools';
import { sections } from './sections/sections';
import { sharedThrow } from './sharedThrow/sharedThrow';
import { slipstream } from './slipstream/slipstream';
import { spanLoading } from './spanLoading/spanLoading';
import { speeds } from './speeds/speeds';
import { stall } from './stall/stall';
import { strength } from './strength/strength';
import { sustained } from './sustained/sustained';
import { tails } from './tails/tails';
import { takeOff } from './takeOff/takeOff';
import { tilt } from './tilt/tilt';
import { torque } from './torque/torque';
import { trim } from './trim/trim';
import { wash } from './wash/wash';
import { wetted } from './wetted/wetted';
import { wind } from './wind/wind';
import { window } from './window/window';

/**
 * The whole story of one design, in order: what coefficients refer to, what it
 * weighs, when it stalls, how it holds itself in pitch, roll and yaw and how
 * sure that is, what level flight asks, how fast it flies, where it may balance, what its angles
 * and its sticks do, how it moves, what is worth knowing beside it, what bends and
 * breaks, and what its drive gives: limits, range, launch, one motor out, torque,
 * a planned flight, rubber.
 * A group reads only groups above it and is computed when it is asked for.
 */
export const GROUPS = [
  reference,
  mass,
  stall,
  bands,
  pitch,
  lateral,
  lift,
  trim,
  drag,
  speeds,
  window,
  asymmetry,
  slipstream,
  sharedThrow,
  tilt,
  wash,
  rigging,
  motion,
  feel,
  schools,
  spanLoading,
  tails,
  sections,
  wetted,
  wind,
  strength,
  ceilings,
  power,
  driveLimits,
  sustained,
  takeOff,
  engineOut,
  torque,
  mission,
  rubber,
] as const satisfies readonly Group[];

type GroupOf = (typeof GROUPS)[number];

/** Every group of numbers under its name. SI units and radians. */
export type Numbers = { readonly [One in GroupOf as One['id']]: ValueOf<One> };

export type GroupId = keyof Numbers;
