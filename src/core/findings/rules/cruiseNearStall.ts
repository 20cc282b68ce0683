import type { Rule } from '../rule';
import { inSpeed } from '../words';

const LEAST_RATIO = 1.25;

/** The cruise speed asked for lies close to or below the stall. */
export const cruiseNearStall: Rule = {
  id: 'cruiseNearStall',
  check: (design, { stall }) => {
    const { cruiseSpeed } = design.conditions;
    if (stall.speed === null || cruiseSpeed >= LEAST_RATIO * stall.speed) return null;
    const better = Math.ceil(1.4 * stall.speed * 2) / 2;
    return {
      id: 'cruiseNearStall',
      severity: cruiseSpeed < 1.05 * stall.speed ? 'stop' : 'caution',
      stage: 'stability',
      message: `Cruise at ${inSpeed(cruiseSpeed)} is only ${(cruiseSpeed / stall.speed).toFixed(2)} times the stall speed of ${inSpeed(stall.speed)}: a gust or a turn stalls it.`,
      numbers: { cruiseSpeed, stallSpeed: stall.speed },
      source: 'Load factor in a gust or turn, V_s √n',
      remedies: [
        {
          label: `Cruise at ${better} m/s`,
          change: [{ field: '/conditions/cruiseSpeed', value: better }],
        },
      ],
    };
  },
};
