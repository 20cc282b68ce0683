import { degrees, plain, say } from '@/core/1-base/words/phrase';
import { dragParts } from '@/core/5-aero/dragParts';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { makeRule } from '../makeRule';

/** Trim change that high or low drag may ask of the pitch control [°]. */
const MOST = 2;

/** Things in the wind far above or below the balance point pitch it: a trim change, hardly any stability. */
export const dragHeight = makeRule(
  { id: 'dragHeight', stage: 'rigging', source: 'Drag area times height over the mean chord: ΔC_m = −ΣC_DA Δz/(S c̄)' },
  (design, { mass, reference, pitch }) => {
    if (mass.cg === null || reference.area === null || reference.meanChord === null || !pitch.momentFromElevator)
      return null;
    const moment = dragParts(design)
      .map(({ area, place }) => (area * (place[2] - mass.cg![2])) / (reference.area! * reference.meanChord!))
      .reduce((sum, value) => sum + value, 0);
    const asked = degreesFromRadians(moment / pitch.momentFromElevator);
    if (Math.abs(asked) <= MOST) return null;
    return {
      severity: 'note',
      message: say`What stands in the wind lies ${moment > 0 ? 'above' : 'below'} the balance point and pitches the nose ${moment > 0 ? 'up' : 'down'}: it takes ${degrees(Math.abs(asked), 1)} of pitch control, at every speed alike.`,
      numbers: { moment: plain(moment), asked: degrees(asked) },
    };
  },
);
