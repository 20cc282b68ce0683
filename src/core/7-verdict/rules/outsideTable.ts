import { nameOf, plain, say, thousands } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** A section flies at a Reynolds number for which nothing was measured. */
export const outsideTable = makeRule(
  { id: 'outsideTable', stage: 'section', source: 'Range of the section table' },
  (design, { sections }) => {
    const outside = sections.filter((section) => section.outsideTable);
    const lowest = outside.sort((a, b) => a.reynolds - b.reynolds)[0];
    const surface = design.surfaces.find(({ id }) => id === lowest?.surface);
    if (!lowest || !surface) return null;
    return {
      severity: 'note',
      message: say`${nameOf(surface)} flies at a Reynolds number of ${thousands(lowest.reynolds)}, outside what the section table rests on: its stall and drag are a guess there.`,
      numbers: { reynolds: plain(lowest.reynolds, 0) },
    };
  },
);
