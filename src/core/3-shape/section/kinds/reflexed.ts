import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { fromCamber, twoParabolas } from '../faces';
import { ONE_SHEET } from '../sheet';
import { cutFromSheet, layersOfBoard, type SectionBuild } from './kind';

export const reflexed: SectionBuild<'reflexed'> = {
  ...cutFromSheet,
  kind: 'reflexed',
  name: 'Reflexed sheet',
  contour: ({ thickness, camber, camberPosition, bendPosition, bendAngle }, chord) => {
    const base = twoParabolas(camber, camberPosition);
    const rise = Math.tan(radiansFromDegrees(bendAngle));
    const tip = rise * (1 - bendPosition);
    // The chord line runs from the nose to the raised trailing edge.
    return fromCamber(
      (x) => base(x) + rise * Math.max(0, x - bendPosition) - tip * x,
      () => thickness / chord,
    );
  },
  family: () => 'reflexed',
  sheet: () => ONE_SHEET,
  working: ({ thickness }) => layersOfBoard(1, thickness),
  board: ({ thickness }) => thickness,
  fresh: (thickness) => ({
    kind: 'reflexed',
    thickness,
    camber: 0.03,
    camberPosition: 0.3,
    bendPosition: 0.75,
    bendAngle: 5,
  }),
};
