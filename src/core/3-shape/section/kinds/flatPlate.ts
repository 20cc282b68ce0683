import { fromCamber } from '../faces';
import { ONE_SHEET } from '../sheet';
import { cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

export const flatPlate: SectionBuild<'flatPlate'> = {
  ...cutFromSheet,
  kind: 'flatPlate',
  name: 'Flat sheet',
  contour: ({ thickness }, chord) =>
    fromCamber(
      () => 0,
      () => thickness / chord,
    ),
  family: () => 'flatPlate',
  sheet: () => ONE_SHEET,
  working: ({ thickness }) => layersOfBoard(1, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({ kind: 'flatPlate', thickness, edge: 'rounded' }),
};
