import { sectionData } from '@/core/3-shape/section/lowReynolds';
import { sectionSchema } from '@/core/2-document/schema/section';
import type { PublishedCase } from './publishedCase';
import { rectangle, sweptBoard } from './shapes';
import { solveSurfaces } from './solve';

/** Fit of NACA TN 3911 to wind tunnel results of straight wings, sections of slope 2π. */
const lowryPolhamus = (aspectRatio: number) => (2 * Math.PI * aspectRatio) / (2 + Math.sqrt(aspectRatio ** 2 + 4));

const greatestLift = (input: unknown) => sectionData(sectionSchema.parse(input), 200, 1e5).maximumLift;

export const MEASURED_CASES: readonly PublishedCase[] = [
  ...([1, 2, 6] as const).map((aspectRatio): PublishedCase => ({
    title: `Rectangle of aspect ratio ${aspectRatio}, lift slope, fit to wind tunnel results`,
    source: 'Lowry & Polhamus, NACA TN 3911, 1957',
    published: lowryPolhamus(aspectRatio),
    ours: () => solveSurfaces(rectangle(aspectRatio)).pitch().liftSlope,
    tolerance: 0.08,
    remark:
      'The fit takes section slopes of 2π, which measured sections at model scale do not reach; it lies above theory by up to 7 %.',
  })),
  {
    title: 'Wing of aspect ratio 5 swept 45°, constant chord, lift at 4.2°',
    source: 'Wind tunnel: Weber & Brebner, R&M 2882, 1958 (12 % section)',
    published: 0.238,
    ours: () => solveSurfaces(sweptBoard(5, 45)).pitch().liftSlope * Math.sin((4.2 * Math.PI) / 180),
    tolerance: 0.05,
    remark: 'The thickness of the section lifts more than its friction takes.',
  },
  {
    title: 'Rectangular model of aspect ratio 6, 127 mm chord, neutral point in chords',
    source: 'Wind tunnel: Jacobs & Clay, NACA Report 530, 1935 (section 23012)',
    published: 0.238,
    ours: () => solveSurfaces(rectangle(6)).pitch().neutralPoint / 0.2,
    tolerance: 0.02,
    remark: 'A thin surface; the goal for measured models is 5 % of the chord.',
  },
  {
    title: 'Thin flat plate at Re 1·10⁵, greatest lift',
    source: 'Wind tunnel at model scale: Schmitz, 1941; Pelletier & Mueller, J. Aircraft 37 (2000): 0.70 to 0.85',
    published: 0.775,
    ours: () => greatestLift({ kind: 'flatPlate', thickness: 5, edge: 'rounded' }),
    tolerance: 0.097,
    remark: 'The middle of the range; the tolerance is the range.',
  },
  {
    title: 'Curved plate of 5.5 % at Re 1·10⁵, greatest lift',
    source: 'Wind tunnel at model scale: Schmitz, Aerodynamik des Flugmodells, 1941: 1.10 to 1.25',
    published: 1.175,
    ours: () => greatestLift({ kind: 'curvedPlate', thickness: 5, camber: 0.055, camberPosition: 0.4 }),
    tolerance: 0.064,
    remark: 'The middle of the range; the tolerance is the range.',
  },
];
