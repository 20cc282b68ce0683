import { describe, expect, test } from 'vitest';
import { panelMethod } from '#/tests/published/panelMethod';
import { section4412, pointsOf } from '#/tests/published/sectionPoints';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { sectionSchema } from '@/core/2-document/schema/section';
import { camberLine, contourOf } from './contour';
import { thinAerofoil } from './thinAerofoil';

const fold = (input: object) =>
  sectionSchema.parse({ kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 12, sparPosition: 0.28, ...input });

const thinOf = (input: object, chord: number) => {
  const contour = contourOf(fold(input), chord);
  return thinAerofoil(contour.x, camberLine(contour));
};

describe('the panel method of the tests', () => {
  // Full-thickness panel methods, converged: edge closed −4.28°, −0.1045, 6.94; edge left open −4.30°.
  test.each([
    [true, -4.28],
    [false, -4.3],
  ])('a four-digit section 4412, edge closed %s, has its zero lift at %d°', (isClosed, angle) => {
    const found = panelMethod(section4412(120, isClosed));
    expect(degreesFromRadians(found.zeroLiftAngle)).toBeCloseTo(angle, 1);
    expect(found.zeroLiftMoment).toBeCloseTo(-0.1047, 3);
    expect(found.liftSlope).toBeCloseTo(6.94, 1);
  });
});

describe('a bevel at the rear', () => {
  test.each([
    [200, { bottomLength: 0.75 }],
    [200, { bottomLength: 1 }],
    [200, { bottomLength: 0.8, sparHeight: 16 }],
    [150, { bottomLength: 0.75, sparHeight: 10, sparPosition: 0.25 }],
    [250, { bottomLength: 1, sparHeight: 20, sparPosition: 0.3 }],
    [200, { bottomLength: 0.8, scores: 1 }],
    [220, { singleFrom: 0.72, sparHeight: 14 }],
  ])('on a chord of %d mm with %j: within 0.5° and 0.02 of the panel method', (chord, input) => {
    for (const rearBevel of [0, 12, 25, 50, 80]) {
      const contour = contourOf(fold({ ...input, rearBevel }), chord);
      const thin = thinAerofoil(contour.x, camberLine(contour));
      const whole = panelMethod(pointsOf(contour, 100));
      const [nose, tail] = [0, contour.x.length - 1].map((at) => (contour.upper[at]! + contour.lower[at]!) / 2);
      const turned = Math.atan(tail! - nose!);
      const off = degreesFromRadians(thin.zeroLiftAngle - (whole.zeroLiftAngle - turned));
      expect(Math.abs(off), `bevel ${rearBevel}`).toBeLessThan(0.5);
      expect(Math.abs(thin.quarterChordMoment - whole.zeroLiftMoment), `bevel ${rearBevel}`).toBeLessThan(0.02);
    }
  });

  test('that vanishes leaves the section as it was', () => {
    for (const input of [{ bottomLength: 0.75 }, { bottomLength: 1 }, { singleFrom: 0.7 }]) {
      const plain = thinOf(input, 200);
      const far = [1, 0.3, 0.1].map((rearBevel) => {
        const bevelled = thinOf({ ...input, rearBevel }, 200);
        return [
          Math.abs(degreesFromRadians(bevelled.zeroLiftAngle - plain.zeroLiftAngle)),
          Math.abs(bevelled.quarterChordMoment - plain.quarterChordMoment),
        ] as const;
      });
      expect(far[0]![0]).toBeLessThan(0.5);
      expect(far[1]![0]).toBeLessThan(0.12);
      expect(far[2]![0]).toBeLessThan(0.03);
      expect(far[2]![1]).toBeLessThan(0.001);
    }
  });
});

describe('a single sheet behind a closed fold', () => {
  test('two boards where the upper skin comes down, one behind it', () => {
    const contour = contourOf(fold({ singleFrom: 0.75 }), 200);
    const at = (x: number) => {
      const index = contour.x.findIndex((place) => place >= x);
      return (contour.upper[index]! - contour.lower[index]!) * 200;
    };
    expect(at(0.28)).toBeCloseTo(22, 1);
    expect(at(0.74)).toBeGreaterThan(10);
    expect(at(0.9)).toBeCloseTo(5, 9);
    expect(contour.lower.at(-1)).toBe(0);
  });
});
