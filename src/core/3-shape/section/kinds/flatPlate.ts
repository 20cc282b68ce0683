import { fromCamber } from '../faces';
import { ONE_SHEET } from '../sheet';
import { cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

/** Height left of a rear edge that was tapered [mm]. */
const TAPERED = 1;
/** Share of its height that the base of an edge sanded round still has (Hoerner, Fluid-Dynamic Drag, ch. 3; ±20 %). */
const ROUND_BASE = 0.7;

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
  bluntness: ({ thickness, edge }, _contour, chord) => {
    const left = { square: thickness, rounded: ROUND_BASE * thickness, sharpened: Math.min(TAPERED, thickness) };
    return { rear: left[edge] / chord, step: 0, openBays: 0 };
  },
  sheet: () => ONE_SHEET,
  working: ({ thickness }) => layersOfBoard(1, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({ kind: 'flatPlate', thickness, edge: 'rounded' }),
};
