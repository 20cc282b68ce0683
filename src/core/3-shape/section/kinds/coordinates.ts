import type { SectionOf } from '@/core/2-document/schema/section';
import { type Contour, type Face, fromFaces } from '../faces';
import { bothSkins } from '../sheet';
import { byThickness, cutFromSheet, type SectionBuild } from './kind';

/** Splits a contour given as points (trailing edge, upper side, nose, lower side) and resamples it. */
function resample(points: SectionOf<'coordinates'>['points']): Contour {
  const noseAt = points.reduce((best, point, index) => (point[0] < points[best]![0] ? index : best), 0);
  const [noseX, noseY] = points[noseAt]!;
  const rear = Math.max(points[0]![0], points.at(-1)![0]);
  const rearY = (points[0]![1] + points.at(-1)![1]) / 2;
  const scale = 1 / (rear - noseX);
  // Turn the chord line level, so that the angle of the section is that of its chord.
  const slope = (rearY - noseY) * scale;
  const normalised = points.map(([x, y]) => {
    const along = (x - noseX) * scale;
    return [along, (y - noseY) * scale - slope * along] as const;
  });
  const face =
    (side: readonly (readonly [number, number])[]): Face =>
    (x) => {
      const after = side.findIndex(([place]) => place >= x);
      if (after <= 0) return side[after === 0 ? 0 : side.length - 1]![1];
      const [x0, y0] = side[after - 1]!;
      const [x1, y1] = side[after]!;
      return x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
    };
  return fromFaces(face(normalised.slice(0, noseAt + 1).reverse()), face(normalised.slice(noseAt)));
}

export const coordinates: SectionBuild<'coordinates'> = {
  ...cutFromSheet,
  kind: 'coordinates',
  name: 'From coordinates',
  contour: ({ points }) => resample(points),
  family: byThickness,
  sheet: (_section, contour) => bothSkins(contour),
  working: ({ points }) => ({
    formula: 'greatest distance between upper and lower side, over the chord',
    given: [['n', 'Points that were read', points.length, 'ratio']],
    source: 'The coordinates as they were read, straight between them',
  }),
  board: () => null,
  fresh: null,
};
