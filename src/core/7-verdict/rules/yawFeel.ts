import { percent, radians, say } from '@/core/1-base/words/phrase';
import { YAW_CONTROLS, withThrows } from '../changes';
import { makeRule } from '../makeRule';

/** Full yaw control does too little, or too much. */
export const yawFeel = makeRule(
  { id: 'yawFeel', stage: 'tail', source: 'Steady sideslip of full rudder, practice of the field' },
  (design, { feel }) => {
    const axis = feel.axes.find((entry) => entry.axis === 'yaw');
    if (!axis || axis.travelShare === null || (axis.feel !== 'tooLittle' && axis.feel !== 'tooMuch')) return null;
    const little = axis.feel === 'tooLittle';
    return {
      severity: little ? 'caution' : 'note',
      message: say`Full yaw control is ${little ? 'too little' : 'too sensitive'}: full rudder yaws it by ${radians(axis.response)}. About ${percent(axis.travelShare, 0)} of the travel would feel calm${little ? '' : ', or a low rate on the switch'}.`,
      numbers: { response: radians(axis.response), share: percent(axis.travelShare) },
      remedies: [
        {
          label: say`Set the rudder to ${percent(axis.travelShare, 0)} of its throw`,
          change: withThrows(design, YAW_CONTROLS, axis.travelShare),
        },
      ],
    };
  },
);
