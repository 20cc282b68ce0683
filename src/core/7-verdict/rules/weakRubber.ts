import { distance, joules, percent, say } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import { makeRule } from '../makeRule';

/** Lower than that it only glides from the hand [m]; C. */
const HARDLY = 4;

/** Strands of rubber that hold too little for what they have to lift. */
export const weakRubber = makeRule(
  { id: 'weakRubber', stage: 'power', source: 'h = η e m/(M g): all of the energy into height' },
  (design, { rubber: { drive, energy, height, heightByEnergy, massShare } }) => {
    if (drive === null || energy === null || heightByEnergy === null || massShare === null) return null;
    if (height !== null && height >= HARDLY) return null;
    const strands = design.propulsion.find(({ rubber }) => rubber);
    const more = (times: number) => ({
      label: `Take ${Math.ceil((strands?.rubber?.strands ?? 1) * times)} strands`,
      change: strands?.rubber
        ? [field('propulsion', strands.id, 'rubber', 'strands').to(Math.ceil(strands.rubber.strands * times))]
        : [],
    });
    return {
      severity: height === null ? 'stop' : 'caution',
      message: say`The strands give back ${joules(energy)}: if all of the propeller’s work went into height that is ${distance(heightByEnergy, 1)}, and ${height === null ? 'its thrust is never more than the drag' : say`it climbs ${distance(height, 1)}`}. Rubber makes ${percent(massShare, 0)} of the weight, a quarter to a half is usual: more strands, a larger propeller, less weight.`,
      numbers: { energy: joules(energy), heightByEnergy: distance(heightByEnergy, 1) },
      remedies: strands?.rubber?.mass === undefined ? [more(1.5), more(2.5), more(4)] : [],
    };
  },
);
