import { field } from '@/core/2-document/edit/field';
import { degrees, nameOf, percent, radians, say } from '@/core/1-base/words/phrase';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { LEAST_TRAVEL } from '../changes';
import { makeRule } from '../makeRule';

/** Share of the travel that hands-off cruise may take before it is worth a word. */
const MOST_SHARE = 0.4;

/** Steady cruise needs so much pitch control that little is left, or none. */
export const elevatorAtStop = makeRule(
  { id: 'elevatorAtStop', stage: 'tail', source: 'Trim on lattice loads' },
  (design, { trim, pitch }) => {
    const { elevator } = trim;
    if (elevator === null || pitch.momentFromElevator === null) return null;
    const controls = design.surfaces.flatMap((surface) =>
      surface.controls.filter((control) => ['elevator', 'elevon', 'ruddervator'].includes(control.function)),
    );
    const travel = Math.min(...controls.map(({ throwUp, throwDown }) => (elevator > 0 ? throwDown : throwUp)));
    const asked = Math.abs(degreesFromRadians(elevator));
    if (!Number.isFinite(travel) || !(asked > MOST_SHARE * travel)) return null;
    const used = travel >= LEAST_TRAVEL ? asked / travel : null;
    const tail = design.surfaces.find(({ role }) => role === 'tailplane');
    // Turning a whole tailplane by i works like an elevator turned by i over its effectiveness, about one half.
    const turn = Math.round(degreesFromRadians(elevator) * 0.55 * 2) / 2;
    return {
      severity: used === null || used >= 1 ? 'stop' : 'caution',
      message: say`Level flight at cruise asks for ${radians(Math.abs(elevator))} of pitch control trailing edge ${elevator > 0 ? 'down' : 'up'}, ${used === null ? 'but it has no travel that way.' : say`${percent(used, 0)} of its travel.`}`,
      numbers: { elevator: radians(elevator), ...(used === null ? {} : { share: percent(used) }) },
      remedies: tail
        ? [
            {
              label: say`Set ${nameOf(tail)} to ${degrees(tail.incidence + turn)}`,
              change: [field('surfaces', tail.id, 'incidence').to(tail.incidence + turn)],
            },
          ]
        : [],
    };
  },
);
