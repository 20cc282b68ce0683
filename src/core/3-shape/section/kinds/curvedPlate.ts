import { fromCamber, fromFaces, twoParabolas } from '../faces';
import { sheetAlong } from '../sheet';
import { wallAlong } from '../walls';
import { bluntRear, byThickness, cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

export const curvedPlate: SectionBuild<'curvedPlate'> = {
  ...cutFromSheet,
  kind: 'curvedPlate',
  name: 'Curved over ribs',
  contour: ({ thickness, camber, camberPosition, openBelow }, chord) => {
    const line = twoParabolas(camber, camberPosition);
    const half = thickness / chord / 2;
    // Film runs straight from nose to trailing edge over what hangs hollow.
    return openBelow
      ? fromCamber(line, () => 2 * half)
      : fromFaces(
          (x) => line(x) + half + Math.max(0, -line(x)),
          (x) => Math.min(0, line(x)) - half,
        );
  },
  walls: ({ camber, camberPosition, openBelow }) => {
    const plate = wallAlong(twoParabolas(camber, camberPosition), [1, 0]);
    return openBelow || camber === 0
      ? { walls: [plate], cell: [], isBlock: false }
      : { walls: [plate, wallAlong(() => 0, [0, 1], 'film')], cell: [0, 1], isBlock: false };
  },
  family: (camber, thickness) => (thickness > SWOLLEN ? byThickness(camber, thickness) : 'curvedPlate'),
  bluntness: (section, contour) => ({
    ...bluntRear(section, contour),
    openBays: section.openBelow && section.ribSpacing !== undefined ? 1 : 0,
  }),
  sheet: ({ camber, camberPosition, ribSpacing, thickness }, contour, chord) => {
    const line = twoParabolas(camber, camberPosition);
    const bent = sheetAlong(
      contour,
      contour.x.map((x) => line(x) + thickness / chord / 2),
    );
    return ribSpacing === undefined
      ? bent
      : { ...bent, ribs: ribsUnder(Math.abs(camber), camberPosition, chord / ribSpacing) };
  },
  working: ({ thickness }) => layersOfBoard(1, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({
    kind: 'curvedPlate',
    thickness,
    camber: 0.05,
    camberPosition: 0.35,
    openBelow: true,
    ribSpacing: 120,
  }),
};

/** Closed below, it is a thick section from this thickness over chord on. */
const SWOLLEN = 0.07;

/**
 * Ribs fill what lies between the plate and the chord line, ∫ z dx = ⅔ f for
 * two parabolas, centred at (3 + 2p)/8 of the chord; as lengths of sheet.
 */
const ribsUnder = (camber: number, position: number, ribsPerChord: number) => ({
  lengthRatio: (2 / 3) * camber * ribsPerChord,
  centroid: (3 + 2 * position) / 8,
});
