import { fromCamber, twoParabolas } from '../faces';
import { bothSkins, solidCore } from '../sheet';
import { fourDigitThickness } from './fourDigit';
import { shell } from '../walls';
import { bluntRear, byThickness, filled, type SectionBuild } from './kind';

/** Ribs of board on spars under film: a built-up wing. Spars and edges are rods of the surface. */
export const ribsUnderFilm: SectionBuild<'ribsUnderFilm'> = {
  kind: 'ribsUnderFilm',
  name: 'Ribs under film',
  contour: ({ camber, camberPosition, thicknessRatio }) =>
    fromCamber(twoParabolas(camber, camberPosition), fourDigitThickness(thicknessRatio)),
  family: byThickness,
  bluntness: bluntRear,
  sheet: ({ ribSpacing, ribCutOut, filmDensity }, contour, chord) => {
    const skins = bothSkins(contour);
    // A rib is as much sheet as its outline holds: chord² × area, once in every spacing.
    const { lengthRatio: stacked, centroid } = solidCore(contour, chord);
    return {
      lengthRatio: 0,
      centroid,
      ribs: { lengthRatio: (stacked / ribSpacing) * (1 - ribCutOut), centroid },
      film: { weight: skins.lengthRatio * filmDensity, centroid: skins.centroid },
    };
  },
  walls: (_section, contour) => shell(contour, 0, 'film'),
  isSolid: false,
  within: filled,
  working: ({ thicknessRatio }) => ({
    formula: 't/c, as the ribs are cut',
    given: [['t/c', 'Thickness over chord', thicknessRatio, 'percent']],
    source: 'NACA Report 460, 1933',
  }),
  pattern: null,
  board: () => null,
  fresh: () => ({
    kind: 'ribsUnderFilm',
    camber: 0.03,
    camberPosition: 0.4,
    thicknessRatio: 0.11,
    ribSpacing: 60,
    ribCutOut: 0.3,
    filmDensity: 40,
  }),
};
