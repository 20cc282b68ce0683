import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { FoldOfSheet } from '@/core/3-shape/pattern/foldPattern';
import { weighedGlue } from '@/core/4-parts/glue';
import { airAt } from '@/core/5-aero/atmosphere';
import { stiffnessSeen } from '@/core/5-strength/materials/board';
import { drivesOf } from '@/core/6-groups/power/drives';
import { type Lesson, type Reading, together } from './learn';

/** How well a bent strip, a pulled scale and a weighed bead say it, ±1σ as shares; and a fold, read to a millimetre [mm]. C. */
const STRIP = 0.05;
const PULL = 0.03;
const BEAD = 0.1;
const FOLD = 1;

/** A share of itself as its spread. */
const within = (ratio: number, share: number): Reading => ({ ratio, sigma: share * ratio });

/** What bent strips, thrust on the bench, weighed joints and trial folds say of the builder’s own figures. */
export function lessonsOfBench(design: Design, folds: readonly FoldOfSheet[]): Lesson[] {
  const { materials, surfaces, bodies, conditions } = design;
  const strips = materials.flatMap((sheet) => {
    const seen = stiffnessSeen(sheet);
    return seen === null ? [] : [within(seen, STRIP)];
  });
  const drives = drivesOf(design, airAt(conditions.elevation, conditions.temperature));
  const pulls =
    typeof drives === 'string'
      ? []
      : drives.flatMap(({ source, calibration }) =>
          source.benchTest?.thrust === undefined ? [] : [within(calibration.thrust, PULL)],
        );
  const beads = [...surfaces, ...bodies].flatMap(({ construction }) => {
    const seen = construction ? weighedGlue(construction) : null;
    return seen === null || !construction?.glueDensity ? [] : [within(seen / construction.glueDensity, BEAD)];
  });
  const bends = (face: FoldOfSheet['scoredFace']) =>
    folds.flatMap(({ material, scoredFace, angle, shortfall }): Reading[] => {
      const sheet = materials.find(({ id }) => id === material);
      const turned = radiansFromDegrees(angle) * (sheet?.thickness ?? 0);
      return scoredFace === face && turned > 0 ? [{ ratio: shortfall / turned, sigma: FOLD / turned }] : [];
    });
  return [
    ...together('stiffness', strips),
    ...together('thrust', pulls),
    ...together('glue', beads),
    ...together('foldInside', bends('inner')),
    ...together('foldOutside', bends('outer')),
  ];
}
