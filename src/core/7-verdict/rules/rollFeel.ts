import { percent, radiansPerSecond, say } from '@/core/1-base/words/phrase';
import { ROLL_CONTROLS, withThrows } from '../changes';
import { makeRule } from '../makeRule';

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
      message: say`Full roll control is ${little ? 'too little' : 'too sensitive'}: it rolls at ${radiansPerSecond(axis.response)}. About ${percent(axis.travelShare, 0)} of the travel would feel calm${little ? '' : ', or a low rate on the switch'}.`,
      numbers: { response: radiansPerSecond(axis.response), share: percent(axis.travelShare) },
      remedies: [
        {
          label: say`Set the ailerons to ${percent(axis.travelShare, 0)} of its throw`,
          change: withThrows(design, ROLL_CONTROLS, axis.travelShare),
        },
      ],
    };
  },
);
