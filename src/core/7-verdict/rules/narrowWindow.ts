import { isAftTail } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { metres, nameOf, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** A balance point on foam can be set and kept to about this [m]. */
const BUILDING_ACCURACY = 0.004;

/** The window is narrower than a balance point can be built. */
export const narrowWindow = makeRule(
  { id: 'narrowWindow', stage: 'balance', source: 'Etkin & Reid, Dynamics of Flight, section 2.4' },
  (design, { window }) => {
    if (window.aft === null || window.forward === null) return null;
    const width = window.aft - window.forward;
    if (width >= 2 * BUILDING_ACCURACY) return null;
    const tails = design.surfaces.filter(isAftTail);
    const shrunk = design.balance.minimumStaticMargin / 2;
    return {
      severity: width <= 0 ? 'stop' : 'caution',
      message:
        width <= 0
          ? say`There is no balance point that is both stable enough and within reach of the pitch control: the limits cross by ${metres(-width)}.`
          : say`The balance window is ${metres(width)} wide, less than a balance point can be built and kept (±${metres(BUILDING_ACCURACY)}).`,
      numbers: { width: metres(width) },
      remedies: [
        ...tails.map((tail) => ({
          label: say`Make the chords of ${nameOf(tail)} a quarter larger`,
          change: tail.stations.map((station, index) =>
            field('surfaces', tail.id, 'stations', index, 'chord').to(Math.round(station.chord * 1.25)),
          ),
        })),
        {
          label: 'Accept half the least margin',
          change: [field('balance', 'minimumStaticMargin').to(shrunk)],
        },
      ],
    };
  },
);
