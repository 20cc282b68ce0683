import { z } from 'zod';
import type { Words } from '@/core/1-base/words/phrase';
import { drag } from '../drag/drag';
import { numbersGroup } from '../group';
import { maybe, quantity } from '../keys';
import { lateral } from '../lateral/lateral';
import { mass } from '../mass/mass';
import { pitch } from '../pitch/pitch';
import { trim } from '../trim/trim';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { surfaceMask } from '@/core/5-aero/lattice';
import type { Solution } from '../solution/solution';
import { type LateWash, modesOfDesign } from './modesOfDesign';

const mode = z.object({
  kind: z.enum(['phugoid', 'shortPeriod', 'dutchRoll', 'roll', 'spiral', 'rollSpiral', 'slow', 'fast']),
  real: quantity('perSecond', 'Eigenvalue, real part: below nought it dies away'),
  imaginary: quantity('angularRate', 'Eigenvalue, imaginary part'),
  period: maybe('time', 'Time of one swing; null when it does not swing'),
  timeToHalf: maybe('time', 'Time to half, or to double when it grows; null when it does neither'),
  grows: z.boolean(),
});

const keys = z.object({ longitudinal: z.array(mode), lateral: z.array(mode) });

/** Small motions about level flight, or why they could not be found. */
export const motion = numbersGroup(keys, {
  id: 'motion',
  title: 'Motion',
  needs: { mass, trim, pitch, lateral, drag },
  compute: (solution, needed) => {
    const modes = modesOfDesign(solution.prepared, needed, lateWash(solution, needed.pitch.downwashSlope));
    return 'because' in modes ? noModes(modes.because) : { ...modes, reasons: {} };
  },
  empty: (why) => noModes(why),
});

/** The surface behind, which meets the wash of a moment ago. */
function lateWash({ model, receiver, state, prepared, alpha }: Solution, slope: number | null): LateWash | null {
  if (!receiver || slope === null) return null;
  const { about, reference } = prepared;
  const { surfaces } = model.lattice;
  const moments = receiver.surfaces.map((index) => {
    const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
    return longitudinal(loadChange(model.matrices, state, turned, about), alpha, reference).moment;
  });
  // A tail that stands upright has no plan form to feel a wash with.
  const planform = integratePlanforms(receiver.surfaces.map((index) => surfaces[index]!));
  if (!planform) return null;
  return {
    momentPerRadian: moments.reduce((sum, moment) => sum + moment, 0),
    slope,
    arm: planform.meanChordLeadingEdge + planform.meanChord / 4 - about[0],
  };
}

const noModes = (because: Words) => ({
  longitudinal: [],
  lateral: [],
  reasons: { longitudinal: because, lateral: because },
});
