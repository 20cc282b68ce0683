import { ROLL_CONTROLS, withThrows } from '../changes';
import { makeRule } from '../makeRule';
import { inDegrees } from '../words';

/** Full roll control does too little, or too much. */
export const rollFeel = makeRule(
  {
    id: 'rollFeel',
    stage: 'wing',
    source: 'Perkins & Hage, Airplane Performance, Stability and Control, ch. 9 (helix angle pb/2V)',
  },
  (design, { feel }) => {
    const axis = feel.axes.find((entry) => entry.axis === 'roll');
    if (!axis || axis.travelShare === null || (axis.feel !== 'tooLittle' && axis.feel !== 'tooMuch')) return null;
    const little = axis.feel === 'tooLittle';
    return {
      severity: little ? 'caution' : 'note',
      message: `Full roll control is ${little ? 'too little' : 'too sensitive'}: ${`it rolls at ${inDegrees(axis.response).replace(/\.\d/, '')} a second`}. About ${Math.round(axis.travelShare * 100)} % of the travel would feel calm${little ? '' : ', or a low rate on the switch'}.`,
      numbers: { response: axis.response, share: axis.travelShare },
      remedies: [
        {
          label: `Set the ailerons to ${Math.round(axis.travelShare * 100)} % of its throw`,
          change: withThrows(design, ROLL_CONTROLS, axis.travelShare),
        },
      ],
    };
  },
);
