import { percent, say } from '@/core/1-base/words/phrase';
import { type Found, makeRule } from '../makeRule';

/** So much of the pack comes home. */
const RESERVE = 0.2;

/** A planned flight that cannot be flown, or that leaves less than a fifth of the pack. */
export const missionEmpties = makeRule(
  { id: 'missionEmpties', stage: 'power', source: 'Sum of what each phase takes of the pack' },
  (_design, { mission: { phases, left } }): Found | null => {
    const place = phases.findIndex(({ problem }) => problem !== '');
    if (place >= 0) {
      const { name, kind, problem } = phases[place]!;
      return {
        severity: 'caution',
        message: say`Phase ${String(place + 1)} of the flight plan, ${name || kind}, cannot be flown: ${problem}. Give it another speed, less wind, or less to climb.`,
        numbers: {},
      };
    }
    if (left === null || left >= RESERVE) return null;
    return {
      severity: 'caution',
      message:
        left < 0
          ? say`The planned flight takes ${percent(1 - left, 0)} of the pack: it is empty before the flight ends. Shorten it, fly its legs slower, or take a larger pack.`
          : say`The planned flight leaves ${percent(left, 0)} of the pack: less than a fifth is none for a second approach. Shorten it, or take a larger pack.`,
      numbers: { left: percent(left, 0) },
    };
  },
);
