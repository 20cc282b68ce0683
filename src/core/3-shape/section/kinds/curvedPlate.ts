import { fromCamber, twoParabolas } from '../faces';
import { sheetAlong } from '../sheet';
import { cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

export const curvedPlate: SectionBuild<'curvedPlate'> = {
  ...cutFromSheet,
  kind: 'curvedPlate',
  name: 'Curved over ribs',
  contour: ({ thickness, camber, camberPosition }, chord) =>
    fromCamber(twoParabolas(camber, camberPosition), () => thickness / chord),
  family: () => 'curvedPlate',
  sheet: (_section, contour) => sheetAlong(contour, contour.upper),
  working: ({ thickness }) => layersOfBoard(1, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({ kind: 'curvedPlate', thickness, camber: 0.05, camberPosition: 0.35, openBelow: true }),
};
