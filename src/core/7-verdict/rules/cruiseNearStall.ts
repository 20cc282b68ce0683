import { field } from '@/core/2-document/edit/field';
import { metresPerSecond, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Cruise over stall speed below which a gust of half a g, or a turn at 50°, stalls it (V_s √n); and where it flies at its stall. */
const LEAST_RATIO = 1.25;
const AT_STALL = 1.05;

/** The cruise speed asked for lies close to or below the stall. */
export const cruiseNearStall = makeRule(
  { id: 'cruiseNearStall', stage: 'stability', source: 'Load factor in a gust or turn, V_s √n' },
  (design, { stall }) => {
    const { cruiseSpeed } = design.conditions;
    if (stall.speed === null || cruiseSpeed >= LEAST_RATIO * stall.speed) return null;
    const better = Math.ceil(1.4 * stall.speed * 2) / 2;
    return {
      severity: cruiseSpeed < AT_STALL * stall.speed ? 'stop' : 'caution',
      message: say`Cruise at ${metresPerSecond(cruiseSpeed)} is only ${plain(cruiseSpeed / stall.speed)} times the stall speed of ${metresPerSecond(stall.speed)}: a gust or a turn stalls it.`,
      numbers: { cruiseSpeed: metresPerSecond(cruiseSpeed), stallSpeed: metresPerSecond(stall.speed) },
      remedies: [
        {
          label: say`Cruise at ${metresPerSecond(better)}`,
          change: [field('conditions', 'cruiseSpeed').to(better)],
        },
      ],
    };
  },
);
