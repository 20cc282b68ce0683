import { z } from 'zod';
import { camberLine, contourOf } from '@/core/3-shape/section/contour';
import { sectionData, shapeOf } from '@/core/3-shape/section/lowReynolds';
import { thinAerofoil } from '@/core/3-shape/section/thinAerofoil';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { valueGroup } from '../group';
import { quantity, text } from '../keys';

const value = z.array(
  z.object({
    surface: text('Surface'),
    station: z.int().meta({ description: 'Station, from 0 at the root' }),
    thicknessRatio: quantity('percent', 'Thickness over chord'),
    thicknessPosition: quantity('percent', 'Where it is thickest, from the nose'),
    camber: quantity('percent', 'Camber over chord'),
    zeroLiftAngle: quantity('angle', 'Angle without lift, thin-aerofoil theory'),
    quarterChordMoment: quantity('ratio', 'c_m about the quarter chord, thin-aerofoil theory'),
    reynolds: quantity('ratio', 'Reynolds number at cruise'),
    family: z.enum(['flatPlate', 'curvedPlate', 'thick']),
    maximumLift: quantity('ratio', 'c_lmax at that Reynolds number'),
    outsideTable: z.boolean(),
  }),
);

/** Section at every station: shape, thin-aerofoil results, data at the cruise Reynolds number. */
export const sections = valueGroup(value, {
  id: 'sections',
  title: 'Sections',
  needs: {},
  compute: ({ prepared: { placed, air, design } }) =>
    placed.flatMap((surface) =>
      surface.stations.map(({ section, chord }, station) => {
        const millimetres = millimetresFromMetres(chord);
        const contour = contourOf(section, millimetres);
        const thin = thinAerofoil(contour.x, camberLine(contour));
        const reynolds = (air.density * design.conditions.cruiseSpeed * chord) / air.viscosity;
        const data = sectionData(section, millimetres, reynolds);
        return {
          surface: surface.id,
          station,
          ...shapeOf(section, millimetres),
          zeroLiftAngle: thin.zeroLiftAngle,
          quarterChordMoment: thin.quarterChordMoment,
          reynolds,
          family: data.family,
          maximumLift: data.maximumLift,
          outsideTable: data.outsideTable,
        };
      }),
    ),
});
