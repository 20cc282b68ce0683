import { nameOf, percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { boomRemedies, keptBy, softestBoom } from '../stiffenings';

/** Less than that of a tail is felt as a smaller tail; less than that no tail rule holds any more; C, practice. */
const FELT = 0.85;
const SOFT = 0.7;

/** A boom or fuselage that bends so far under its tail that much of the tail is lost at cruise speed. */
export const softBoom = makeRule(
  {
    id: 'softBoom',
    stage: 'strength',
    source: 'Tail effect × 1/(1 + q S a L²/(2 E I)); Bisplinghoff, Ashley & Halfman',
  },
  (design, { strength: { booms } }) => {
    const boom = softestBoom(booms);
    if (!boom || keptBy(boom) >= FELT) return null;
    const kept = keptBy(boom);
    const isPitch = kept === (boom.pitchFactor ?? 1);
    return {
      severity: kept < SOFT ? 'caution' : 'note',
      message: say`${nameOf({ name: boom.body, id: boom.id })} bends so far at cruise speed that only ${percent(kept, 0)} of its tail acts in ${
        isPitch ? 'pitch' : 'yaw'
      }, less the faster it flies. Take a stiffer boom, or a shorter one.`,
      numbers: { kept: percent(kept, 0) },
      remedies: kept < SOFT ? boomRemedies(design, boom) : [],
    };
  },
);
