import { nameOf, say } from '@/core/1-base/words/phrase';
import { CONTOUR_FAULTS, contourFault } from '@/core/3-shape/section/kinds/coordinates';
import { makeRule } from '../makeRule';

/** The points of a section are no contour of a wing: a flat board stands for them, and that has to be said. */
export const contourUnusable = makeRule(
  { id: 'contourUnusable', stage: 'section', source: 'Points of the section as they were read' },
  (design) => {
    for (const surface of design.surfaces)
      for (const { section } of surface.stations) {
        if (section.kind !== 'coordinates') continue;
        const fault = contourFault(section.points);
        if (fault === null) continue;
        return {
          severity: 'stop',
          message: say`The contour of ${nameOf(surface)}${section.name === '' ? '' : ` (“${section.name}”)`} ${CONTOUR_FAULTS[fault]}: every number takes a flat board of 2 % in its place. Read it anew, from the trailing edge over the upper side to the nose and back below.`,
          numbers: {},
        };
      }
    return null;
  },
);
