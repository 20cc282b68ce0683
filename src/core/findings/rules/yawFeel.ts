import { YAW_CONTROLS, withThrows } from '../changes';
import { makeRule } from '../makeRule';
import { inDegrees } from '../words';

/** Full yaw control does too little, or too much. */
export const yawFeel = makeRule(
  { id: 'yawFeel', stage: 'tail', source: 'Steady sideslip of full rudder, practice of the field' },
  (design, { feel }) => {
    const axis = feel.axes.find((entry) => entry.axis === 'yaw');
    if (!axis || axis.travelShare === null || (axis.feel !== 'tooLittle' && axis.feel !== 'tooMuch')) return null;
    const little = axis.feel === 'tooLittle';
    return {
      severity: little ? 'caution' : 'note',
      message: `Full yaw control is ${little ? 'too little' : 'too sensitive'}: ${`full rudder yaws it by ${inDegrees(axis.response)}`}. About ${Math.round(axis.travelShare * 100)} % of the travel would feel calm${little ? '' : ', or a low rate on the switch'}.`,
      numbers: { response: axis.response, share: axis.travelShare },
      remedies: [
        {
          label: `Set the rudder to ${Math.round(axis.travelShare * 100)} % of its throw`,
          change: withThrows(design, YAW_CONTROLS, axis.travelShare),
        },
      ],
    };
  },
);
