import { percent, plain, say } from '@/core/1-base/words/phrase';
import { PITCH_CONTROLS, withThrows } from '../changes';
import { makeRule } from '../makeRule';

/** Full pitch control does too little, or too much. */
export const pitchFeel = makeRule(
  {
    id: 'pitchFeel',
    stage: 'tail',
    source: 'Load factor of full elevator from the manoeuvre margin; Etkin & Reid, section 3.1',
  },
  (design, { feel }) => {
    const axis = feel.axes.find((entry) => entry.axis === 'pitch');
    if (!axis || axis.travelShare === null || (axis.feel !== 'tooLittle' && axis.feel !== 'tooMuch')) return null;
    const little = axis.feel === 'tooLittle';
    return {
      severity: little ? 'caution' : 'note',
      message: say`Full pitch control is ${little ? 'too little' : 'too sensitive'}: full control adds ${plain(axis.response, 1)} g. About ${percent(axis.travelShare, 0)} of the travel would feel calm${little ? '' : ', or a low rate on the switch'}.`,
      numbers: { response: plain(axis.response), share: percent(axis.travelShare) },
      remedies: [
        {
          label: say`Set the pitch control to ${percent(axis.travelShare, 0)} of its throw`,
          change: withThrows(design, PITCH_CONTROLS, axis.travelShare),
        },
      ],
    };
  },
);
