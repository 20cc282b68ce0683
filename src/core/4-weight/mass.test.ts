import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { DEMO_NAMES, demoDesign } from '#/demo';
import type { Design } from '@/core/2-document/schema/design';
import { NO_FIGURES } from '@/core/2-document/schema/figures';
import { placeAll, placeSurface } from '@/core/3-shape/geometry/layout';
import { elementsOfSurface } from './boardParts';
import { massProperties } from './massElement';
import { weigh } from './massModel';

const BOARD = { id: 'board', thickness: 5, arealDensity: 400 };
const ofBoard = { construction: { material: 'board' } };
const massesOf = (design: ReturnType<typeof designOf>) => weigh(design, design.surfaces.map(placeSurface));
const flat = { section: { kind: 'flatPlate' as const, thickness: 5 } };

function flatWing(more: object = {}) {
  return designOf(
    [
      {
        ...trapezoid(500, 200),
        stations: [
          { distanceFromRoot: 0, chord: 200, ...flat },
          { distanceFromRoot: 500, chord: 200, ...flat },
        ],
        ...ofBoard,
        ...more,
      },
    ],
    {
      materials: [BOARD],
    },
  );
}

describe('rigid bodies', () => {
  test('a uniform box: m(b² + h²)/12 about itself (Goldstein, ch. 5)', () => {
    const got = massProperties([{ mass: 2, centre: [1, 2, 3], size: [0.3, 0.4, 0.5] }])!;
    expect(got.centreOfGravity).toEqual([1, 2, 3]);
    expect(got.inertia.xx).toBeCloseTo((2 * (0.4 ** 2 + 0.5 ** 2)) / 12, 12);
    expect(got.inertia.yy).toBeCloseTo((2 * (0.3 ** 2 + 0.5 ** 2)) / 12, 12);
    expect(got.inertia.zz).toBeCloseTo((2 * (0.3 ** 2 + 0.4 ** 2)) / 12, 12);
    expect(got.inertia.xz).toBeCloseTo(0, 12);
  });

  test('two points on a slanted line: products of inertia by hand', () => {
    const got = massProperties([
      { mass: 1, centre: [-1, 0, -2], size: [0, 0, 0] },
      { mass: 1, centre: [1, 0, 2], size: [0, 0, 0] },
    ])!;
    expect(got.inertia).toEqual({ xx: 8, yy: 10, zz: 2, xz: 4 });
  });

  test('a physical body obeys the triangle of its inertias, wherever its parts lie', () => {
    const coordinate = fc.double({ min: -2, max: 2, noNaN: true });
    const element = fc.record({
      mass: fc.double({ min: 0.001, max: 2, noNaN: true }),
      centre: fc.tuple(coordinate, coordinate, coordinate),
      size: fc.tuple(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
      ),
    });
    forAll(100, [fc.array(element, { minLength: 1, maxLength: 12 })], (elements) => {
      const { inertia } = massProperties(elements)!;
      const { xx, yy, zz, xz } = inertia;
      expect(xx + yy).toBeGreaterThanOrEqual(zz - 1e-9);
      expect(yy + zz).toBeGreaterThanOrEqual(xx - 1e-9);
      expect(zz + xx).toBeGreaterThanOrEqual(yy - 1e-9);
      expect(xx * zz - xz * xz).toBeGreaterThanOrEqual(-1e-9);
    });
  });

  test('nothing has no balance', () => {
    expect(massProperties([])).toBeNull();
    expect(massesOf(designOf([trapezoid(500, 200)])).properties).toBeNull();
  });
});

describe('board parts', () => {
  test('a flat rectangle weighs area times areal density and balances at half chord', () => {
    const { properties } = massesOf(flatWing());
    expect(properties!.total).toBeCloseTo(0.2 * 0.4, 12);
    expect(properties!.centreOfGravity[0]).toBeCloseTo(0.1, 12);
    // About x: m b²/12; about y: m c²/12.
    expectWithin(properties!.inertia.xx, (0.08 * 1) / 12, 1e-9);
    expectWithin(properties!.inertia.yy, (0.08 * 0.04) / 12, 1e-9);
  });

  test('a tapered panel: mass exact to a few parts in ten thousand, balance where its area is', () => {
    const { properties } = massesOf(designOf([{ ...trapezoid(500, 200, 100), ...ofBoard }], { materials: [BOARD] }));
    expectWithin(properties!.total, 0.15 * 0.4, 1e-3);
    const alongSpan = elementsOfSurface(
      designOf([{ ...trapezoid(500, 200, 100), ...ofBoard }], { materials: [BOARD] }),
      'wing',
    ).filter(({ centre }) => centre[1] > 0);
    const mean =
      alongSpan.reduce((sum, { mass, centre }) => sum + mass * centre[1], 0) /
      alongSpan.reduce((sum, { mass }) => sum + mass, 0);
    expectWithin(mean, (0.5 * (1 + 2 * 0.5)) / (3 * 1.5), 2e-3);
  });

  test.each([
    ['steppedPlate', { kind: 'steppedPlate', thickness: 5, stepPosition: 0.5 }, 1.5, (0.5 + 0.125) / 1.5],
    ['reflexed', { kind: 'reflexed', thickness: 5, bendAngle: 5 }, 1, 0.5],
  ] as const)('%s takes its layers', (_, section, layers, centroid) => {
    const design = designOf(
      [
        {
          ...trapezoid(500, 200),
          stations: [
            { distanceFromRoot: 0, chord: 200, section },
            { distanceFromRoot: 500, chord: 200, section },
          ],
          ...ofBoard,
        },
      ],
      { materials: [BOARD] },
    );
    const { properties } = massesOf(design);
    expect(properties!.total).toBeCloseTo(0.2 * 0.4 * layers, 9);
    expect(properties!.centreOfGravity[0]).toBeCloseTo(0.2 * centroid, 9);
  });

  test('a fold takes a little more than its two skins', () => {
    const section = { kind: 'foldedOverSpar' as const, boardThickness: 5, sparHeight: 12, bottomLength: 0.7 };
    const design = designOf(
      [
        {
          ...trapezoid(500, 200),
          stations: [
            { distanceFromRoot: 0, chord: 200, section },
            { distanceFromRoot: 500, chord: 200, section },
          ],
          ...ofBoard,
        },
      ],
      { materials: [BOARD] },
    );
    const ratio = massesOf(design).properties!.total / 0.08;
    expect(ratio).toBeGreaterThan(1.7);
    expect(ratio).toBeLessThan(1.95);
  });

  test('glue, tape, holes and spars add or take what they say', () => {
    const base = massesOf(flatWing()).properties!.total;
    const totalWith = (construction: object, more: object = {}) =>
      massesOf(flatWing({ construction: { material: 'board', ...construction }, ...more })).properties!.total;
    expect(totalWith({ glueLength: 1000, glueDensity: 8 }) - base).toBeCloseTo(0.016, 9);
    expect(totalWith({ tapeArea: 100_000, tapeDensity: 50 }) - base).toBeCloseTo(0.005, 9);
    expect(totalWith({ lighteningFraction: 0.25 })).toBeCloseTo(base * 0.75, 9);
    const spars = [
      { id: 's', start: { distanceFromRoot: 0, x: 60 }, end: { distanceFromRoot: 400, x: 60 }, linearDensity: 20 },
    ];
    expect(totalWith({}, { spars }) - base).toBeCloseTo(2 * 0.4 * 0.02, 9);
  });

  test('a weighed mass replaces the computed one, and both stay', () => {
    const { parts, properties } = massesOf(flatWing({ measuredMass: 95 }));
    expect(properties!.total).toBeCloseTo(0.095, 12);
    expect(parts[0]).toMatchObject({
      measured: 0.095,
      mass: expect.closeTo(0.095, 12),
      computed: expect.closeTo(0.08, 9),
    });
    const unbuilt = massesOf(designOf([{ ...trapezoid(500, 200), measuredMass: 70 }]));
    expect(unbuilt.properties!.total).toBeCloseTo(0.07, 12);
  });

  test('ribs under a curved plate: two thirds of camber times chord², every so far, behind one another', () => {
    const section = { kind: 'curvedPlate' as const, thickness: 5, camber: 0.06, camberPosition: 0.4 };
    const wing = (ribSpacing?: number) => {
      const stations = [0, 500].map((distanceFromRoot) => ({
        distanceFromRoot,
        chord: 200,
        section: { ...section, ...(ribSpacing ? { ribSpacing } : {}) },
      }));
      return massesOf(flatWing({ stations })).properties!;
    };
    const [bare, ribbed] = [wing(), wing(100)];
    // 10 ribs' worth of span on both sides: 2 · 0.5 m/0.1 m · ⅔ · 0.06 · (0.2 m)² · 400 g/m².
    const ribs = 2 * 5 * (2 / 3) * 0.06 * 0.04 * 0.4;
    expectWithin(ribbed.total - bare.total, ribs, 1e-3);
    const x = (ribbed.total * ribbed.centreOfGravity[0] - bare.total * bare.centreOfGravity[0]) / ribs;
    expectWithin(x, (0.2 * (3 + 2 * 0.4)) / 8, 1e-3);
  });

  test('ribs under film: as much board as their outlines hold, film on both faces', () => {
    const section = {
      kind: 'ribsUnderFilm' as const,
      camber: 0,
      camberPosition: 0.4,
      thicknessRatio: 0.12,
      ribSpacing: 50,
      ribCutOut: 0.25,
      filmDensity: 40,
    };
    const stations = [0, 500].map((distanceFromRoot) => ({ distanceFromRoot, chord: 200, section }));
    const { total } = massesOf(flatWing({ stations })).properties!;
    // The area of a four-digit section is 0.685 of thickness times chord; its girth 1.977 + 0.52 t/c (Raymer).
    const ribs = (1 / 0.05) * 0.75 * 0.685 * 0.12 * 0.04 * 0.4;
    const film = 0.2 * (1.977 + 0.52 * 0.12) * 0.04;
    expectWithin(total, ribs + film, 0.01);
  });

  describe('bodies', () => {
    const frames = [0, 500].map((x) => ({ x, width: 50, top: 30, bottom: -30 }));
    const body = (construction: object, more: object = {}) =>
      massesOf(
        designOf([], {
          materials: [BOARD],
          bodies: [
            { id: 'pod', frames, construction: { material: 'board', extraFraction: 0, ...construction }, ...more },
          ],
        }),
      ).properties!;
    const skin = 0.5 * 2 * (0.05 + 0.06) * 0.4;

    test('layers count as often as they lie; doublers lie on both walls where they are', () => {
      expect(body({}).total).toBeCloseTo(skin, 9);
      expect(body({ layers: 2 }).total).toBeCloseTo(2 * skin, 9);
      const doubled = body({ doublers: [{ from: 100, to: 200, layers: 2 }] });
      const doubler = 2 * 2 * 0.1 * 0.06 * 0.4;
      expect(doubled.total).toBeCloseTo(skin + doubler, 9);
      expect(doubled.centreOfGravity[0]).toBeCloseTo((skin * 0.25 + doubler * 0.15) / (skin + doubler), 9);
    });

    test('a plank of three layers, and doublers beyond its ends', () => {
      const plank = frames.map((frame) => ({ ...frame, width: 15 }));
      const more = { kind: 'plank', frames: plank };
      expect(body({ layers: 3 }, more).total).toBeCloseTo(3 * 0.5 * 0.06 * 0.4, 9);
      expect(body({ doublers: [{ from: -50, to: 100 }] }, more).total).toBeCloseTo((0.5 + 0.1) * 0.06 * 0.4, 9);
    });

    test('glue by its length and covering by its area', () => {
      const { total } = body({ glueLength: 2000, glueDensity: 6, tapeArea: 50_000, tapeDensity: 60 });
      expect(total - skin).toBeCloseTo(0.012 + 0.003, 9);
    });

    test('sticks under film: four long ones, two uprights and two cross pieces at each bay', () => {
      const truss = { stickDensity: 10, bay: 100, filmDensity: 40 };
      const { total, centreOfGravity } = body({ truss });
      const sticks = (4 * 0.5 + 6 * 2 * (0.06 + 0.05)) * 0.01;
      expect(total).toBeCloseTo(sticks + 0.5 * 2 * (0.05 + 0.06) * 0.04, 9);
      expect(centreOfGravity[0]).toBeCloseTo(0.25, 9);
      const braced = body({ truss: { ...truss, diagonals: true } }).total;
      expect(braced - total).toBeCloseTo(2 * 5 * Math.hypot(0.1, 0.06) * 0.01, 9);
    });
  });

  test('a box of board weighs its four sides', () => {
    const body = {
      id: 'b',
      kind: 'box' as const,
      frames: [
        { x: 0, width: 50, top: 30, bottom: -30 },
        { x: 400, width: 50, top: 30, bottom: -30 },
      ],
      construction: { material: 'board', extraFraction: 0 },
    };
    const { properties } = massesOf(designOf([], { materials: [BOARD], bodies: [body] }));
    expect(properties!.total).toBeCloseTo(0.4 * 2 * (0.05 + 0.06) * 0.4, 9);
    expect(properties!.centreOfGravity[0]).toBeCloseTo(0.2, 12);
    const plank = massesOf(designOf([], { materials: [BOARD], bodies: [{ ...body, kind: 'plank' }] }));
    expect(plank.properties!.total).toBeCloseTo(0.4 * 0.06 * 0.4, 9);
  });

  test('a tapered box weighs at its own centroid, however it is cut into frames', () => {
    // Height 100 → 20 mm and width 40 → 80 mm over 300 mm, in closed form: a side is a trapezoid, so is the top.
    const frame = (share: number) => ({
      x: 300 * share,
      width: 40 + 40 * share,
      top: 50 - 40 * share,
      bottom: -50 + 40 * share,
    });
    const box = (shares: number[]) =>
      massesOf(
        designOf([], {
          materials: [BOARD],
          bodies: [
            {
              id: 'b',
              kind: 'box' as const,
              frames: shares.map(frame),
              construction: { material: 'board', extraFraction: 0 },
            },
          ],
        }),
      ).properties!;
    const trapezoidal = (a: number, b: number) => ({
      area: 0.15 * (a + b),
      centre: (0.3 * (a + 2 * b)) / (3 * (a + b)),
    });
    const [side, top] = [trapezoidal(0.1, 0.02), trapezoidal(0.04, 0.08)];
    const centre = (side.area * side.centre + top.area * top.centre) / (side.area + top.area);
    expect(box([0, 1]).centreOfGravity[0]).toBeCloseTo(centre, 12);
    expect(box([0, 0.1, 0.5, 0.8, 1]).centreOfGravity[0]).toBeCloseTo(centre, 12);
    expect(box([0, 1]).total).toBeCloseTo(0.4 * 2 * (side.area + top.area), 12);
  });

  test('equipment: weighed beats listed, mirrored counts twice and keeps the balance central', () => {
    const { parts, properties } = massesOf(
      designOf([], {
        massItems: [
          { id: 'a', mass: 10, measuredMass: 12, position: { x: 100 } },
          { id: 'b', mass: 9, mirrored: true, position: { x: 200, y: 250 } },
        ],
      }),
    );
    expect(properties!.total).toBeCloseTo(0.03, 12);
    expect(properties!.centreOfGravity[0]).toBeCloseTo((0.012 * 0.1 + 0.018 * 0.2) / 0.03, 12);
    expect(properties!.centreOfGravity[1]).toBeCloseTo(0, 12);
    expect(parts.map(({ computed }) => Math.round(computed * 1000))).toEqual([10, 18]);
  });
});

describe('what is known from before', () => {
  const asNew = (design: Design) => {
    const fresh = structuredClone(design);
    return weigh(fresh, placeAll(fresh.surfaces));
  };

  test.each(DEMO_NAMES)('%s: whatever is changed, it weighs what it weighs anew', (name) => {
    const design = demoDesign(name);
    const [surface, ...surfaces] = design.surfaces;
    const changes: readonly Partial<Design>[] = [
      {},
      { massItems: design.massItems.map((item) => ({ ...item, mass: item.mass + 1 })) },
      { materials: design.materials.map((one) => ({ ...one, arealDensity: one.arealDensity * 1.1 })) },
      { figures: { ...NO_FIGURES, boards: 1.07, glue: 9 } },
      { surfaces: [{ ...surface!, incidence: surface!.incidence + 2 }, ...surfaces] },
      { surfaces: [{ ...surface!, position: { ...surface!.position, x: surface!.position.x + 5 } }, ...surfaces] },
      { bodies: design.bodies.map((body) => ({ ...body, measuredMass: 77 })) },
      {},
    ];
    for (const change of changes) {
      const changed: Design = { ...design, ...change };
      expect(weigh(changed, placeAll(changed.surfaces)), JSON.stringify(Object.keys(change))).toEqual(asNew(changed));
    }
  });
});
