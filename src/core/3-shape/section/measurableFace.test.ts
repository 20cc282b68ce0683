import { describe, expect, test } from 'vitest';
import { sectionSchema } from '@/core/2-document/schema/section';
import { measurableFace } from './measurableFace';

const of = (section: object, chord = 200) => measurableFace(sectionSchema.parse(section), chord);
const degrees = (radians: number) => (radians * 180) / Math.PI;

describe('the face that a tilt meter is laid on', () => {
  test('a flat plate: its face is its chord', () => {
    const { face, angle } = of({ kind: 'flatPlate', thickness: 5, edge: 'square' });
    expect(face).toBe('lower');
    expect(angle).toBeCloseTo(0, 9);
  });

  test('a fold: the flat bottom stands nose down of the chord through mid-nose and trailing edge by some 3°', () => {
    const { face, angle } = of({
      kind: 'foldedOverSpar',
      boardThickness: 5,
      bottomLength: 0.8,
      sparHeight: 16,
      sparPosition: 0.28,
      rearBevel: 8,
    });
    expect(face).toBe('lower');
    // Mid-nose 13 mm up (board, half the height and half a board more), mid-edge 1.25 mm up, 200 mm between them.
    expect(degrees(angle)).toBeCloseTo(-(Math.atan((13 - 1.25) / 200) * 180) / Math.PI, 0);
    expect(degrees(angle)).toBeLessThan(-2.5);
  });

  test('a carved symmetric section has none: nose and trailing edge in a jig', () => {
    expect(of({ kind: 'fourDigit', camber: 0, camberPosition: 0.4, thicknessRatio: 0.12 })).toEqual({
      face: 'chord',
      angle: 0,
    });
  });
});
