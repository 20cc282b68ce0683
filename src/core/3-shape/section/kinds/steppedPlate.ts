import { type Face, fromFaces } from '../faces';
import { wallAlong } from '../walls';
import { cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

export const steppedPlate: SectionBuild<'steppedPlate'> = {
  ...cutFromSheet,
  kind: 'steppedPlate',
  name: 'Stepped sheet',
  contour: ({ thickness, stepPosition, stepSide }, chord) => {
    const board = thickness / chord;
    const doubled: Face = (x) => (x <= stepPosition ? board : 0);
    return stepSide === 'upper'
      ? fromFaces(
          (x) => board / 2 + doubled(x),
          () => -board / 2,
        )
      : fromFaces(
          () => board / 2,
          (x) => -board / 2 - doubled(x),
        );
  },
  family: () => 'flatPlate',
  bluntness: ({ thickness }, _contour, chord) => ({ rear: thickness / chord, step: thickness / chord, openBays: 0 }),
  walls: ({ thickness, stepPosition, stepSide }, _contour, chord) => {
    const board = thickness / chord;
    const beside = stepSide === 'upper' ? board : -board;
    return {
      walls: [wallAlong(() => 0, [0, 1]), wallAlong(() => beside, [0, stepPosition])],
      cell: [],
      isBlock: false,
    };
  },
  sheet: ({ stepPosition }) => {
    const lengthRatio = 1 + stepPosition;
    return { lengthRatio, centroid: (0.5 + stepPosition ** 2 / 2) / lengthRatio };
  },
  working: ({ thickness }) => layersOfBoard(2, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({ kind: 'steppedPlate', thickness, stepPosition: 0.5, stepSide: 'upper' }),
};
