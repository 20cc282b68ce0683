import { camberLine, contourOf } from '../section/contour';
import { sectionData, shapeOf } from '../section/lowReynolds';
import { thinAerofoil } from '../section/thinAerofoil';
import type { Prepared } from './prepare';
import type { SectionSummary } from './types';

/** Section at every station: shape, thin-aerofoil results, data at the cruise Reynolds number. */
export function sectionSummaries({ placed, air, design }: Prepared): SectionSummary[] {
  return placed.flatMap((surface) =>
    surface.stations.map(({ section, chord }, station) => {
      const chordMillimetres = chord * 1000;
      const contour = contourOf(section, chordMillimetres);
      const thin = thinAerofoil(contour.x, camberLine(contour));
      const reynolds = (air.density * design.conditions.cruiseSpeed * chord) / air.viscosity;
      const data = sectionData(section, chordMillimetres, reynolds);
      return {
        surface: surface.id,
        station,
        ...shapeOf(section, chordMillimetres),
        zeroLiftAngle: thin.zeroLiftAngle,
        quarterChordMoment: thin.quarterChordMoment,
        reynolds,
        family: data.family,
        maximumLift: data.maximumLift,
        outsideTable: data.outsideTable,
      };
    }),
  );
}
