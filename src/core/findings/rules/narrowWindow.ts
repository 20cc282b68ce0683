import type { Rule } from '../rule';
import { inMillimetres, nameOf } from '../words';

/** A balance point on foam can be set and kept to about this [m]. */
const BUILDING_ACCURACY = 0.004;

/** The window is narrower than a balance point can be built. */
export const narrowWindow: Rule = {
  id: 'narrowWindow',
  check: (design, { window }) => {
    if (window.aft === null || window.forward === null) return null;
    const width = window.aft - window.forward;
    if (width >= 2 * BUILDING_ACCURACY) return null;
    const tails = design.surfaces.filter(({ role }) => role === 'tailplane' || role === 'vTail');
    const shrunk = design.balance.minimumStaticMargin / 2;
    return {
      id: 'narrowWindow',
      severity: width <= 0 ? 'stop' : 'caution',
      stage: 'balance',
      message:
        width <= 0
          ? `There is no balance point that is both stable enough and within reach of the pitch control: the limits cross by ${inMillimetres(-width)}.`
          : `The balance window is ${inMillimetres(width)} wide, less than a balance point can be built and kept (±${inMillimetres(BUILDING_ACCURACY)}).`,
      numbers: { width },
      source: 'Etkin & Reid, Dynamics of Flight, section 2.4',
      remedies: [
        ...tails.map((tail) => ({
          label: `Make the chords of ${nameOf(tail)} a quarter larger`,
          change: tail.stations.map((station, index) => ({
            field: `/surfaces/${tail.id}/stations/${index}/chord`,
            value: Math.round(station.chord * 1.25),
          })),
        })),
        {
          label: 'Accept half the least margin',
          change: [{ field: '/balance/minimumStaticMargin', value: shrunk }],
        },
      ],
    };
  },
};
