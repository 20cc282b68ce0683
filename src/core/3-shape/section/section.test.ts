import { describe, expect, test } from 'vitest';
import { sectionSchema } from '@/core/2-document/schema/section';
import type { Section } from '@/core/2-document/schema/section';
import { expectWithin } from '#/tests/matchers';
import { camberLine, contourOf, thicknessOf, twoParabolas } from './contour';
import { bluntEdgeDrag, profileDrag, sectionBand, sectionData, shapeOf } from './lowReynolds';
import { sectionPolar } from './sectionPolar';
import { thinAerofoil } from './thinAerofoil';

const section = (input: unknown): Section => sectionSchema.parse(input);

function thinOf(input: unknown, chord = 200) {
  const contour = contourOf(section(input), chord);
  return thinAerofoil(contour.x, camberLine(contour));
}

describe('thin-aerofoil theory', () => {
  test('a parabolic arc: α₀ = −2f, c_m = −πf, ideal lift 4πf (Glauert, ch. VII)', () => {
    const f = 0.04;
    const got = thinOf({ kind: 'curvedPlate', thickness: 5, camber: f, camberPosition: 0.5 });
    expectWithin(got.zeroLiftAngle, -2 * f, 1e-3);
    expectWithin(got.quarterChordMoment, -Math.PI * f, 1e-3);
    expectWithin(got.idealLift, 4 * Math.PI * f, 1e-3);
  });

  // Abbott & von Doenhoff, section 4.3 and tables: thin-aerofoil values of four-digit mean lines.
  test.each([
    [0.02, 0.4, -2.077, -0.0531],
    [0.04, 0.4, -4.155, -0.1063],
    [0.06, 0.4, -6.23, -0.1594],
  ])('four-digit mean line %d at %d', (camber, camberPosition, angle, moment) => {
    const got = thinOf({ kind: 'fourDigit', camber, camberPosition, thicknessRatio: 0.12 });
    expectWithin((got.zeroLiftAngle * 180) / Math.PI, angle, 0.01);
    expectWithin(got.quarterChordMoment, moment, 0.01);
  });

  test('a plate bent up at its rear is a flap: both formulas of Glauert', () => {
    const bend = (5 * Math.PI) / 180;
    const got = thinOf({ kind: 'reflexed', thickness: 5, camber: 0, bendPosition: 0.75, bendAngle: 5 });
    const theta = Math.acos(1 - 2 * 0.75);
    const rise = Math.tan(bend);
    // About the chord line through the raised edge: the bend less the tilt of that line.
    const angle = (rise * (Math.PI - theta + Math.sin(theta))) / Math.PI - rise * 0.25;
    expectWithin(got.zeroLiftAngle, angle, 0.005);
    expectWithin(got.quarterChordMoment, (rise * Math.sin(theta) * (1 - Math.cos(theta))) / 2, 0.005);
  });

  test('a symmetric section has neither', () => {
    const got = thinOf({ kind: 'fourDigit', camber: 0, thicknessRatio: 0.09 });
    expect(got.zeroLiftAngle).toBeCloseTo(0, 12);
    expect(got.quarterChordMoment).toBeCloseTo(0, 12);
  });

  test('it does not depend on how finely the line is given', () => {
    const line = twoParabolas(0.05, 0.3);
    const at = (count: number) => {
      const x = Array.from({ length: count }, (_, index) => (1 - Math.cos((Math.PI * index) / (count - 1))) / 2);
      return thinAerofoil(x, x.map(line));
    };
    expectWithin(at(41).zeroLiftAngle, at(801).zeroLiftAngle, 2e-3);
    expectWithin(at(41).quarterChordMoment, at(801).quarterChordMoment, 4e-3);
  });
});

describe('contours as built', () => {
  test('a flat sheet is as thick as its board on any chord', () => {
    expect(shapeOf(section({ kind: 'flatPlate', thickness: 5 }), 200).thicknessRatio).toBeCloseTo(0.025, 12);
    expect(shapeOf(section({ kind: 'flatPlate', thickness: 5 }), 100).thicknessRatio).toBeCloseTo(0.05, 12);
  });

  test('a step doubles the board ahead of it and cambers the section to its own side', () => {
    for (const [stepSide, sign] of [
      ['upper', 1],
      ['lower', -1],
    ] as const) {
      const shape = shapeOf(section({ kind: 'steppedPlate', thickness: 5, stepPosition: 0.5, stepSide }), 200);
      expect(shape.thicknessRatio).toBeCloseTo(0.05, 12);
      expect(Math.sign(shape.camber)).toBe(sign);
    }
  });

  test('a fold is as thick at its spar as the spar and two skins', () => {
    const contour = contourOf(
      section({ kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 14, sparPosition: 0.3 }),
      200,
    );
    const { ratio, position } = thicknessOf(contour);
    expect(ratio).toBeCloseTo((14 + 10) / 200, 3);
    expect(position).toBeCloseTo(0.3, 3);
  });

  test('behind a short lower skin only the upper one is left', () => {
    const { x, upper, lower } = contourOf(
      section({ kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 14, sparPosition: 0.3, bottomLength: 0.7 }),
      200,
    );
    const at = [...x].findIndex((place) => place > 0.85);
    expect(upper[at]! - lower[at]!).toBeCloseTo(5 / 200, 9);
  });

  test('a four-digit section of 12 % is 12 % thick at 30 % (NACA Report 460)', () => {
    const { ratio, position } = thicknessOf(contourOf(section({ kind: 'fourDigit', thicknessRatio: 0.12 }), 200));
    expectWithin(ratio, 0.12, 1e-3);
    expect(position).toBeCloseTo(0.3, 3);
  });

  test('coordinates come back as they were, turned level', () => {
    const points: [number, number][] = [];
    for (let index = 0; index <= 40; index++)
      points.push([1 - index / 40, 0.05 * Math.sin((Math.PI * (40 - index)) / 40) + 0.02]);
    for (let index = 1; index <= 40; index++)
      points.push([index / 40, -0.03 * Math.sin((Math.PI * index) / 40) + 0.02]);
    const shape = shapeOf(section({ kind: 'coordinates', name: 'lens', points }), 200);
    expect(shape.thicknessRatio).toBeCloseTo(0.08, 3);
    expect(shape.camber).toBeCloseTo(0.01, 3);
  });

  test('a bevel thins the trailing edge from above and leaves the lower face where it was', () => {
    const fold = { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 12, sparPosition: 0.28, bottomLength: 0.75 };
    const plain = contourOf(section({ ...fold, rearBevel: 0 }), 200);
    const bevelled = contourOf(section({ ...fold, rearBevel: 12 }), 200);
    expect([...bevelled.lower]).toEqual([...plain.lower]);
    // Half of the single board is left at the trailing edge; ahead of the bevel nothing changed.
    expect(bevelled.upper.at(-1)! - bevelled.lower.at(-1)!).toBeCloseTo(2.5 / 200, 9);
    const ahead = [...plain.x.keys()].filter((index) => plain.x[index]! <= 1 - 12 / 200);
    expect(ahead.every((index) => bevelled.upper[index] === plain.upper[index])).toBe(true);
  });

  test('no kind gives a number that is not one', () => {
    const kinds: unknown[] = [
      { kind: 'flatPlate', thickness: 3 },
      { kind: 'steppedPlate', thickness: 5, stepPosition: 0.3 },
      { kind: 'curvedPlate', thickness: 5, camber: 0.08 },
      { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 10, bottomLength: 0, rearBevel: 40 },
      { kind: 'fourDigit', camber: 0.02, thicknessRatio: 0.15 },
      { kind: 'reflexed', thickness: 5, bendAngle: 8 },
    ];
    for (const input of kinds) {
      for (const chord of [30, 200, 600]) {
        const contour = contourOf(section(input), chord);
        for (const face of [contour.upper, contour.lower, camberLine(contour)]) {
          expect([...face].every(Number.isFinite)).toBe(true);
        }
        expect(contour.upper.every((height, index) => height >= contour.lower[index]! - 1e-12)).toBe(true);
      }
    }
  });
});

describe('low Reynolds numbers', () => {
  const flat = { kind: 'flatPlate', thickness: 4 };
  const arc = { kind: 'curvedPlate', thickness: 4, camber: 0.055 };
  const thick = { kind: 'fourDigit', camber: 0.03, thicknessRatio: 0.12 };
  const limit = (input: unknown, reynolds: number) => sectionData(section(input), 200, reynolds).maximumLift;

  test('anchors: flat plates 0.7–0.85, 5–6 % arcs 1.1–1.25 at 10⁵ (Schmitz; Mueller)', () => {
    expect(limit(flat, 4e4)).toBeGreaterThan(0.68);
    expect(limit(flat, 2e5)).toBeLessThan(0.86);
    expect(limit(arc, 1e5)).toBeGreaterThan(1.1);
    expect(limit(arc, 1e5)).toBeLessThan(1.25);
  });

  test('a thick cambered section collapses below 7·10⁴ and beats the arc above 2·10⁵', () => {
    expect(limit(thick, 4e4)).toBeLessThan(0.6 * limit(thick, 2e5));
    expect(limit(thick, 4e4)).toBeLessThan(limit(arc, 4e4));
    expect(sectionData(section(thick), 200, 3e5).leastDrag).toBeLessThan(sectionData(section(arc), 200, 3e5).leastDrag);
  });

  test('everything is continuous in the Reynolds number and says when the table ends', () => {
    for (let reynolds = 1e4; reynolds < 1e6; reynolds *= 1.05) {
      const here = sectionData(section(arc), 200, reynolds);
      const next = sectionData(section(arc), 200, reynolds * 1.001);
      expect(Math.abs(here.maximumLift - next.maximumLift)).toBeLessThan(2e-3);
      expect(here.outsideTable).toBe(reynolds < 2e4 || reynolds > 5e5);
    }
  });
});

describe('what edges and steps add', () => {
  const least = (input: unknown, chord: number, reynolds: number) =>
    sectionData(section(input), chord, reynolds).leastDrag;
  const plate = { kind: 'flatPlate', thickness: 5, edge: 'square' };

  // Hoerner, Fluid-Dynamic Drag, ch. 3: 5 mm on 120 mm at C_f 0.008: K 0.186, 0.0077.
  test('a blunt rear edge of 5 mm on 120 mm: 0.0077', () => {
    expect(bluntEdgeDrag(5 / 120, 0.008)).toBeCloseTo(0.0077, 4);
    expect(bluntEdgeDrag(0, 0.008)).toBe(0);
  });

  test('thin plates cut square drag 0.004 to 0.008 more than with a thin edge, the more the smaller they are', () => {
    const more = [120, 160, 200].map((chord) => {
      const thin = { ...plate, thickness: 0.2 };
      return least(plate, chord, 9e4) - least(thin, chord, 9e4);
    });
    for (const one of more) expect(one).toBeGreaterThan(0.0035);
    for (const one of more) expect(one).toBeLessThan(0.0085);
    expect(more[0]).toBeGreaterThan(more[2]! + 0.002);
  });

  test('rounding saves a third of the base, tapering most of it', () => {
    const of = (edge: string) => least({ ...plate, edge }, 150, 9e4);
    const [square, rounded, sharpened] = ['square', 'rounded', 'sharpened'].map(of) as [number, number, number];
    expect(square).toBeGreaterThan(rounded);
    expect(rounded).toBeGreaterThan(sharpened);
  });

  test('a step of 5 mm on 180 mm adds 0.005', () => {
    const stepped = least({ kind: 'steppedPlate', thickness: 5, stepPosition: 0.5 }, 180, 1e5);
    const flat = least(plate, 180, 1e5);
    // Twice as thick where it lies double: a little of the thickness drag as well.
    expect(stepped - flat).toBeGreaterThan(0.0045);
    expect(stepped - flat).toBeLessThan(0.0055);
  });

  test('bays open below drag more than a sheet without ribs; film closes them flat', () => {
    const arc = { kind: 'curvedPlate', thickness: 4, camber: 0.05, openBelow: true };
    expect(least({ ...arc, ribSpacing: 100 }, 200, 1e5) - least(arc, 200, 1e5)).toBeCloseTo(0.004, 9);
    const closed = contourOf(section({ ...arc, openBelow: false }), 200);
    expect([...closed.lower].every((height) => Math.abs(height + 0.01) < 1e-12)).toBe(true);
    expect(shapeOf(section({ ...arc, openBelow: false }), 200).camber).toBeCloseTo(0.025, 3);
  });
});

describe('sections that are bent', () => {
  const lift = (input: object, reynolds: number, chord = 200) =>
    sectionData(section(input), chord, reynolds).maximumLift;
  const straight = { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 12, bottomLength: 1 };

  test('a fold with its scored nose trips early: 0.85 to 0.95 from 4·10⁴ on, where smooth thick sections collapse', () => {
    for (const reynolds of [4e4, 6e4]) {
      expect(lift(straight, reynolds)).toBeGreaterThan(0.85);
      expect(lift(straight, reynolds)).toBeLessThan(0.97);
      expect(lift({ kind: 'fourDigit', thicknessRatio: 0.11 }, reynolds)).toBeLessThan(0.75);
    }
  });

  test('a reflexed plate carries 0.85 to 0.9 at 10⁵', () => {
    for (const camber of [0.02, 0.03])
      expect(lift({ kind: 'reflexed', thickness: 5, camber, bendAngle: 5 }, 1e5)).toBeCloseTo(0.875, 1);
  });

  test('bands are twice as wide outside the table', () => {
    expect(sectionBand('maximumLift', true)).toBe(2 * sectionBand('maximumLift', false));
  });
});

describe('polars of sections', () => {
  const board = (input: unknown) => section(input);

  test('run from nought to the greatest lift, least drag where the camber works best', () => {
    const arc = board({ kind: 'curvedPlate', thickness: 4, camber: 0.05 });
    const points = sectionPolar(arc, 200, 1e5);
    const data = sectionData(arc, 200, 1e5);
    expect(points[0]!.lift).toBe(0);
    expect(points.at(-1)!.lift).toBeCloseTo(data.maximumLift, 12);
    const least = points.reduce((a, b) => (b.drag < a.drag ? b : a));
    expect(least.drag).toBeGreaterThanOrEqual(data.leastDrag);
    // Of points between nought and the greatest lift the nearest.
    expect(Math.abs(least.lift - data.bestLift)).toBeLessThanOrEqual(data.maximumLift / (points.length - 1) / 2);
    // At the greatest lift the flow begins to leave: 0.03 more.
    expect(points.at(-1)!.drag).toBeCloseTo(
      data.leastDrag + data.dragGrowth * (data.maximumLift - data.bestLift) ** 2 + 0.03,
      12,
    );
    const before = 0.8 * data.maximumLift;
    expect(profileDrag(data, before)).toBeCloseTo(data.leastDrag + data.dragGrowth * (before - data.bestLift) ** 2, 12);
  });

  test('a curved sheet lifts more than a flat one, and drags less there', () => {
    const [flat, arc] = [
      board({ kind: 'flatPlate', thickness: 4 }),
      board({ kind: 'curvedPlate', thickness: 4, camber: 0.05 }),
    ].map((one) => sectionPolar(one, 200, 1e5));
    expect(arc!.at(-1)!.lift).toBeGreaterThan(flat!.at(-1)!.lift);
    const near = (points: typeof flat, lift: number) =>
      points!.reduce((a, b) => (Math.abs(b.lift - lift) < Math.abs(a.lift - lift) ? b : a)).drag;
    expect(near(arc, 0.6)).toBeLessThan(near(flat, 0.6));
  });
});

test('of a section on ever other chords few contours are kept: a drag leaves one for every place it was at', () => {
  const plate = section({ kind: 'flatPlate', thickness: 5 });
  const first = contourOf(plate, 200);
  expect(contourOf(plate, 200)).toBe(first);
  for (let step = 1; step <= 100; step++) contourOf(plate, 200 + step / 10);
  const again = contourOf(plate, 200);
  expect(again).not.toBe(first);
  expect(again).toEqual(first);
});
