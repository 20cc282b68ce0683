import { expect, test } from 'vitest';
import { surface, trapezoid } from '#/tests/designs';
import { dihedralForRise, effectiveDihedral, tipRise } from './dihedral';
import { placeSurface } from './layout';

const wing = (inner: number, outer: number) =>
  placeSurface(
    surface(
      trapezoid(1000, 200, 200, {
        stations: [
          { distanceFromRoot: 0, chord: 200, dihedral: inner },
          { distanceFromRoot: 500, chord: 200, dihedral: outer },
          { distanceFromRoot: 1000, chord: 200 },
        ],
      }),
    ),
  );

test('equal panels: the outer half counts three quarters, as ∫y dy says', () => {
  expect(effectiveDihedral(wing(5, 5))).toBeCloseTo(5, 10);
  expect(effectiveDihedral(wing(0, 8))).toBeCloseTo(6, 10);
  expect(effectiveDihedral(wing(4, 8))).toBeCloseTo(7, 10);
});

test('tip rise and back', () => {
  expect(tipRise(wing(0, 30))).toBeCloseTo(0.25, 10);
  expect(dihedralForRise(250, 500)).toBeCloseTo(30, 10);
  expect(dihedralForRise(600, 500)).toBeNull();
});
