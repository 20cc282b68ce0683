import { GRAVITY } from '../aero/atmosphere';
import { commandTravel } from '../aero/commands';
import { controlFeel } from '../feel/controlFeel';
import type { AnalysisWithoutFindings } from '../findings/rule';
import { modesOfDesign } from '../motion/modesOfDesign';
import type { HandsOff } from '../rigging/handsOff';
import type { Prepared } from './prepare';
import type { Analysis } from './types';

type Solved = Omit<AnalysisWithoutFindings, 'motion' | 'feel'>;

const NOTHING_HOLDS = 'Nothing holds the nose with the pitch control left alone: it balances behind the neutral point.';

/** What the built-in angles do when the pitch control is left alone. */
export function riggingGroup({ weights, air, reference }: Prepared, angles: HandsOff): Analysis['rigging'] {
  const mass = weights.properties;
  return {
    handsOffLift: angles.lift,
    handsOffSpeed:
      angles.lift !== null && angles.lift > 0.02 && mass
        ? Math.sqrt((2 * mass.total * GRAVITY) / (air.density * reference.area * angles.lift))
        : null,
    surfaces: angles.lines,
    reasons: {
      ...(angles.lift === null ? { handsOffLift: NOTHING_HOLDS, handsOffSpeed: NOTHING_HOLDS } : {}),
      ...(angles.lift !== null && angles.lift <= 0.02
        ? { handsOffSpeed: 'With the pitch control neutral it has no lift: it dives.' }
        : mass
          ? {}
          : { handsOffSpeed: 'Nothing has a mass yet.' }),
    },
  };
}

/** How it answers to full stick. */
export function feelGroup(
  { mixes, pitchTravel }: Prepared,
  numbers: Omit<AnalysisWithoutFindings, 'feel'>,
): Analysis['feel'] {
  const least = (mix: Prepared['mixes']['roll']) => {
    const { up, down } = commandTravel(mix);
    return Number.isFinite(Math.min(up, down)) ? Math.min(up, down) : 0;
  };
  const pitch = Math.min(pitchTravel.up, pitchTravel.down);
  return controlFeel({
    numbers,
    travel: { pitch: Number.isFinite(pitch) ? pitch : 0, roll: least(mixes.roll), yaw: least(mixes.yaw) },
    manoeuvreMargin: numbers.pitch.manoeuvreMargin,
  });
}

/** Small motions, or why they could not be found. */
export function motionGroup(prepared: Prepared, numbers: Solved): Analysis['motion'] {
  const modes = modesOfDesign(prepared, numbers);
  return typeof modes === 'string'
    ? { longitudinal: [], lateral: [], reasons: { longitudinal: modes, lateral: modes } }
    : { ...modes, reasons: {} };
}
