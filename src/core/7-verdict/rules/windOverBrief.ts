import { metresPerSecond, plain, say } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import { type Found, makeRule } from '../makeRule';

/** Share of the cruise speed that must be left over the ground to come home. */
const LEAST_PROGRESS = 0.2;

/** The wind of the brief takes nearly all of its speed, or a gust of such a day stalls it. */
export const windOverBrief = makeRule(
  {
    id: 'windOverBrief',
    stage: 'weights',
    source: 'Pratt & Walker, NACA Report 1206, 1954; speed over the ground',
  },
  (design, { wind, stall }): Found | null => {
    const { cruiseSpeed } = design.conditions;
    if (wind.speed === null || wind.progress === null || wind.gust === null) return null;
    if (wind.progress < LEAST_PROGRESS * cruiseSpeed) {
      const enough = Math.ceil((2 * wind.speed) / (1 - LEAST_PROGRESS)) / 2;
      return {
        severity: 'caution',
        message: say`Against the ${metresPerSecond(wind.speed)} of the brief a cruise of ${metresPerSecond(cruiseSpeed)} leaves ${metresPerSecond(Math.max(0, wind.progress))} over the ground: it hardly comes home.`,
        numbers: { progress: metresPerSecond(wind.progress), wind: metresPerSecond(wind.speed) },
        remedies: [
          {
            label: say`Cruise at ${metresPerSecond(enough)}`,
            change: [field('conditions', 'cruiseSpeed').to(enough)],
          },
        ],
      };
    }
    if (wind.gustLoadFactor === null || wind.loadFactorAtStall === null || stall.speed === null) return null;
    if (1 + wind.gustLoadFactor <= wind.loadFactorAtStall) return null;
    return {
      severity: 'note',
      message: say`A gust of ${metresPerSecond(wind.gust)}, as such a day has, adds ${plain(wind.gustLoadFactor, 1)} times its weight at cruise, and from ${plain(wind.loadFactorAtStall, 1)} times it stalls: fly it faster in that wind.`,
      numbers: { gustLoadFactor: plain(wind.gustLoadFactor), loadFactorAtStall: plain(wind.loadFactorAtStall) },
    };
  },
);
