import { type Contour, type Face, fromFaces } from '../faces';
import { bothSkins } from '../sheet';
import { shell } from '../walls';
import { byThickness, cutFromSheet, type SectionBuild } from './kind';

type Point = readonly [x: number, y: number];

/** What can be wrong with a contour, in words that follow its name. */
export const CONTOUR_FAULTS = {
  isOpen: 'does not go round over the nose, from trailing edge to trailing edge',
  isShort: 'covers less than half of its chord',
  isFlat: 'has no thickness',
  isTooThick: 'is thicker than 60 % of its chord',
  crosses: 'crosses itself',
  isBentTooFar: 'is bent by more than a quarter of its chord',
} as const;
export type ContourFault = keyof typeof CONTOUR_FAULTS;

/** Fractions of the chord: points of a whole contour cover most of it; a board is not thinner, a wing not thicker. */
const LEAST_CHORD = 0.5;
const LEAST_THICKNESS = 0.002;
const MOST_THICKNESS = 0.6;
const MOST_CAMBER = 0.25;
/** The lower side may lie above the upper one by so much before the two count as crossing. */
const CROSSING = 0.01;
/** Ends of a list that are this near one another close it. */
const CLOSED = 0.02;

/** Computed in place of a contour that is none: a board of two percent. */
const STAND_IN = fromFaces(
  () => 0.01,
  () => -0.01,
);

/** The same points from the trailing edge over the upper side, wherever and whichever way round they were listed. */
export function fromTail(points: readonly Point[]): readonly Point[] {
  const xs = points.map(([x]) => x);
  const nose = xs.indexOf(Math.min(...xs));
  const tail = xs.indexOf(Math.max(...xs));
  const isLoop = Math.hypot(xs[0]! - xs.at(-1)!, points[0]![1] - points.at(-1)![1]) < CLOSED * (xs[tail]! - xs[nose]!);
  const startsAtNose = isLoop && (nose === 0 || nose === points.length - 1);
  const begins = startsAtNose ? [...points.slice(tail), ...points.slice(1, tail + 1)] : points;
  // Shoelace: positive when the upper side comes first.
  const area = begins.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = begins[(index + 1) % begins.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  return area < 0 ? begins.toReversed() : begins;
}

/** Splits a contour given as points (trailing edge, upper side, nose, lower side) and resamples it. */
function resample(listed: readonly Point[]): { readonly contour: Contour; readonly fault: ContourFault | null } {
  const points = fromTail(listed);
  const noseAt = points.reduce((best, point, index) => (point[0] < points[best]![0] ? index : best), 0);
  const [noseX, noseY] = points[noseAt]!;
  if (noseAt === 0 || noseAt === points.length - 1) return { contour: STAND_IN, fault: 'isOpen' };
  const rear = Math.max(points[0]![0], points.at(-1)![0]);
  if (rear - noseX < LEAST_CHORD) return { contour: STAND_IN, fault: 'isShort' };
  const rearY = (points[0]![1] + points.at(-1)![1]) / 2;
  const scale = 1 / (rear - noseX);
  // Turn the chord line level, so that the angle of the section is that of its chord.
  const slope = (rearY - noseY) * scale;
  const normalised = points.map(([x, y]) => {
    const along = (x - noseX) * scale;
    return [along, (y - noseY) * scale - slope * along] as const;
  });
  const face =
    (side: readonly Point[]): Face =>
    (x) => {
      const after = side.findIndex(([place]) => place >= x);
      if (after <= 0) return side[after === 0 ? 0 : side.length - 1]![1];
      const [x0, y0] = side[after - 1]!;
      const [x1, y1] = side[after]!;
      return x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
    };
  const contour = fromFaces(face(normalised.slice(0, noseAt + 1).reverse()), face(normalised.slice(noseAt)));
  const fault = faultIn(contour);
  return fault === null ? { contour, fault } : { contour: STAND_IN, fault };
}

function faultIn({ upper, lower }: Contour): ContourFault | null {
  const thickness = upper.map((height, index) => height - lower[index]!);
  const camber = upper.map((height, index) => Math.abs(height + lower[index]!) / 2);
  if (Math.min(...thickness) < -CROSSING) return 'crosses';
  if (Math.max(...thickness) < LEAST_THICKNESS) return 'isFlat';
  if (Math.max(...thickness) > MOST_THICKNESS) return 'isTooThick';
  return Math.max(...camber) > MOST_CAMBER ? 'isBentTooFar' : null;
}

/** Why points are no contour of a wing section; null when they are. Whoever computes takes a flat board instead. */
export const contourFault = (points: readonly Point[]): ContourFault | null => resample(points).fault;

export const coordinates: SectionBuild<'coordinates'> = {
  ...cutFromSheet,
  kind: 'coordinates',
  name: 'From coordinates',
  contour: ({ points }) => resample(points).contour,
  family: byThickness,
  sheet: (_section, contour) => bothSkins(contour),
  walls: (_section, contour, chord, sheet) => shell(contour, sheet / chord),
  working: ({ points }) => ({
    formula: 'greatest distance between upper and lower side, over the chord',
    given: [['n', 'Points that were read', points.length, 'ratio']],
    source: 'The coordinates as they were read, straight between them',
  }),
  board: () => null,
  fresh: null,
};
