import { percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { boomRemedies, rodRemedies, softestBoom } from '../stiffenings';

/** Margin under which an aircraft is not left to itself; C, practice. */
const LEFT = 0.03;

/** Bending that takes a margin which stood on paper: safe while it is stiff, at speed it is not. */
export const flexUnsettles = makeRule(
  { id: 'flexUnsettles', stage: 'strength', source: 'Neutral point of the bent aircraft, as computed' },
  (design, { pitch, reference, strength }) => {
    const { neutralPointShift: level, neutralPointShiftAtDive: dive, neutralPointShiftByBooms: byBooms } = strength;
    const { staticMargin: stiff } = pitch;
    if (stiff === null || reference.meanChord === null || level === null || stiff < LEFT) return null;
    const [atCruise, atDive] = [level, dive ?? level].map((shift) => stiff + shift / reference.meanChord!) as [
      number,
      number,
    ];
    const least = Math.min(atCruise, atDive);
    if (least >= LEFT) return null;
    // What moves it most is what is to be stiffened.
    const boom = Math.abs(byBooms ?? 0) > Math.abs(level) / 2 ? softestBoom(strength.booms) : undefined;
    return {
      severity: atCruise < 0 ? 'stop' : atCruise < LEFT || atDive < 0 ? 'caution' : 'note',
      message: say`Bending takes the static margin from ${percent(stiff)} to ${percent(least)} ${
        atCruise < LEFT ? 'at cruise speed' : 'in a dive'
      }: it may pitch up or dive by itself there. Stiffen ${boom ? boom.body : 'the wing'}, or balance it further forward.`,
      numbers: { stiff: percent(stiff), left: percent(least) },
      remedies: boom ? boomRemedies(design, boom) : rodRemedies(design, strength.breaksAt?.surface),
    };
  },
);
