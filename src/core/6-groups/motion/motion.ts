import { z } from 'zod';
import type { Words } from '@/core/1-base/words/phrase';
import { drag } from '../drag/drag';
import { numbersGroup } from '../group';
import { maybe, quantity } from '../keys';
import { mass } from '../mass/mass';
import { pitch } from '../pitch/pitch';
import { trim } from '../trim/trim';
import { lateWash } from './lateWash';
import { modesOfDesign } from './modesOfDesign';
import { smallLoads } from './smallLoads';

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
  needs: { mass, trim, pitch, drag },
  compute: (solution, needed) => {
    const { cruise } = solution.isSolvable ? solution : {};
    const modes = modesOfDesign(
      solution.prepared,
      needed,
      cruise?.isTrimmed
        ? {
            loads: smallLoads(solution),
            wash: lateWash(solution, needed.pitch.downwashSlope),
            thrust: cruise.thrust,
          }
        : null,
    );
    return 'because' in modes ? noModes(modes.because) : { ...modes, reasons: {} };
  },
  empty: (why) => noModes(why),
});

const noModes = (because: Words) => ({
  longitudinal: [],
  lateral: [],
  reasons: { longitudinal: because, lateral: because },
});
