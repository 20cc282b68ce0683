import { z } from 'zod';
import { camberLine, contourOf } from '@/core/3-shape/section/contour';
import { sectionBand, sectionData, shapeOf } from '@/core/3-shape/section/lowReynolds';
import { thinAerofoil } from '@/core/3-shape/section/thinAerofoil';
import { metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import { buildOf } from '@/core/3-shape/section/kinds';
import { SECTION_FAMILIES } from '@/core/3-shape/section/kinds/kind';
import { valueGroup } from '../group';
import { input, type Working } from '../working';
import { quantity, text } from '../keys';

const value = z.array(
  z.object({
    surface: text('Surface'),
    station: z.int().meta({ description: 'Station, from 0 at the root' }),
    thicknessRatio: quantity('percent', 'Thickness over chord'),
    thicknessPosition: quantity('percent', 'Where it is thickest, from the nose'),
    camber: quantity('percent', 'Camber over chord'),
    zeroLiftAngle: quantity('angle', 'Angle without lift, nose up positive, thin-aerofoil theory'),
    quarterChordMoment: quantity('ratio', 'c_m about the quarter chord, nose up positive, thin-aerofoil theory'),
    reynolds: quantity('ratio', 'Reynolds number at cruise'),
    family: z.enum(SECTION_FAMILIES),
    maximumLift: quantity('ratio', 'c_lmax at that Reynolds number'),
    maximumLiftBand: quantity('ratio', 'Half width of its band, as a share of it; doubled outside the table'),
    leastDrag: quantity('ratio', 'c_d0 at that Reynolds number, with what its edges and steps add'),
    outsideTable: z.boolean(),
  }),
);

/** Name of the working of a section's thickness. */
export const thicknessWorking = (surface: string, station: number): string => `sectionThickness/${surface}/${station}`;

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
        const { thicknessRatio, thicknessPosition, camber } = shapeOf(section, millimetres);
        const thin = thinAerofoil(contour.x, camberLine(contour));
        const reynolds = (air.density * design.conditions.cruiseSpeed * chord) / air.viscosity;
        const data = sectionData(section, millimetres, reynolds);
        return {
          surface: surface.id,
          station,
          thicknessRatio,
          thicknessPosition,
          camber,
          zeroLiftAngle: thin.zeroLiftAngle,
          quarterChordMoment: thin.quarterChordMoment,
          reynolds,
          family: data.family,
          maximumLift: data.maximumLift,
          maximumLiftBand: sectionBand('maximumLift', data.outsideTable),
          leastDrag: data.leastDrag,
          outsideTable: data.outsideTable,
        };
      }),
    ),
  explain: ({ prepared: { design } }, list) =>
    list.flatMap(({ surface: id, station: at, thicknessRatio }): Working[] => {
      const station = design.surfaces.find((surface) => surface.id === id)?.stations[at];
      if (!station) return [];
      const { formula, given, source } = buildOf(station.section).working(station.section);
      return [
        {
          id: thicknessWorking(id, at),
          name: 'Thickness of the section',
          symbol: 't/c',
          value: thicknessRatio,
          unit: 'percent',
          formula,
          inputs: [
            ...given.map((one) => input(...one)),
            input('c', 'Chord', metresFromMillimetres(station.chord), 'length'),
          ],
          source,
          range: 'As drawn; bends and sanding are what the builder makes of them',
          band: null,
          bandBecause: 'Exact for what was typed.',
        },
      ];
    }),
});
