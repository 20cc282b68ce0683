import { metresPerSecond, percent, say, seconds } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';

/** Under so much of what was wished it is another aircraft; C. */
const FAR_SHORT = 0.75;
const MINUTE = 60;

/** It flies for less time, or climbs more slowly, than the brief wishes. */
export const shortDuration = makeRule(
  { id: 'shortDuration', stage: 'power', source: 'Energy of four fifths of the pack over the power of level flight' },
  (design, { power: { duration, climbRate } }) => {
    const { brief } = design;
    const time = brief.duration === undefined || duration === null ? Infinity : duration / (brief.duration * MINUTE);
    const climb = brief.climbRate === undefined || climbRate === null ? Infinity : climbRate / brief.climbRate;
    const share = Math.min(time, climb);
    if (share >= 1) return null;
    return {
      severity: share < FAR_SHORT ? 'caution' : 'note',
      message:
        time <= climb
          ? say`At cruise speed it lasts ${seconds(duration!, 0)} down to a fifth of the pack: ${percent(time, 0)} of what the brief wishes. Take a larger pack, less drag, or fly slower.`
          : say`It climbs at ${metresPerSecond(climbRate!)}: ${percent(climb, 0)} of what the brief wishes. Take more thrust, or make it lighter.`,
      numbers: { share: percent(share, 0) },
      remedies: time <= climb ? largerPacks(design, 1 / time) : [],
    };
  },
);

/** What a pack that is so much larger adds is more than its share: it has to be carried. */
const CARRIED = [1.05, 1.2, 1.5] as const;

function largerPacks({ propulsion, massItems }: Design, missing: number): Remedy[] {
  const drive = propulsion.find(({ pack }) => pack);
  const item = massItems.filter(({ category }) => category === 'battery').toSorted((a, b) => b.mass - a.mass)[0];
  if (!drive?.pack) return [];
  const { capacity } = drive.pack;
  return CARRIED.map((more) => {
    const larger = Math.ceil((capacity * missing * more) / 50) * 50;
    return {
      label: `Take a pack of ${larger} mAh`,
      change: [
        field('propulsion', drive.id, 'pack', 'capacity').to(larger),
        ...(item
          ? [
              field('massItems', item.id, 'mass').to(
                Math.round(((item.measuredMass ?? item.mass) * larger) / capacity),
              ),
              field('massItems', item.id, 'measuredMass').to(undefined),
            ]
          : []),
      ],
    };
  });
}
