import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { sectionSchema, type SectionOf } from '@/core/2-document/schema/section';
import { areaOfPart, boundsOfPart, outlineFaults } from '@/core/3-shape/outline/partOutline';
import { areaOf, type Point } from '@/core/3-shape/outline/path';
import { foldPattern } from '@/core/3-shape/pattern/foldPattern';
import { cutListOf } from './cutList';
import { develop, type Place3 } from './develop';
import type { CutPart } from './part';
import { splitToFit } from './split';

const MATERIALS = [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 }];
const construction = { material: 'board' };
const listOf = (surfaces: Parameters<typeof designOf>[0], more: object = {}) =>
  cutListOf(designOf(surfaces, { materials: MATERIALS, ...more }));
const partOf = (parts: readonly CutPart[], kind: string): CutPart => parts.find((part) => part.kind === kind)!;
const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - points[index]![0], y - points[index]![1]), 0);

describe('laying skins flat', () => {
  test('a quarter of a cylinder becomes a rectangle of its arc', () => {
    const arc = (y: number): Place3[] =>
      Array.from({ length: 91 }, (_, index) => {
        const turn = (index * Math.PI) / 180;
        return [50 * Math.sin(turn), y, 50 * Math.cos(turn)];
      });
    const { near, far } = develop(arc(0), arc(300));
    expectWithin(lengthOf(near), (Math.PI / 2) * 50, 1e-4);
    near.forEach(([x], index) => expect(far[index]![0] - x).toBeCloseTo(300, 9));
    expect(Math.abs(near.at(-1)![0])).toBeLessThan(1e-9);
  });

  test('a cone becomes a sector: radius its slant, angle 2π sin of its half angle', () => {
    const ring = (radius: number, x: number): Place3[] =>
      Array.from({ length: 361 }, (_, index) => {
        const turn = (index * Math.PI) / 180;
        return [x, radius * Math.cos(turn), radius * Math.sin(turn)];
      });
    const { near, far } = develop(ring(20, 0), ring(40, 100));
    const slant = Math.hypot(100, 20);
    // All lines across meet in the tip, as far from the near edge as its slant.
    const [ax, ay] = near[0]!;
    const [bx, by] = far[0]!;
    const tip: Point = [ax - (bx - ax), ay - (by - ay)];
    for (const index of [90, 200, 360]) {
      expectWithin(Math.hypot(near[index]![0] - tip[0], near[index]![1] - tip[1]), slant, 1e-3);
      expectWithin(Math.hypot(far[index]![0] - tip[0], far[index]![1] - tip[1]), 2 * slant, 1e-3);
    }
    expectWithin(lengthOf(near), 2 * Math.PI * 20, 1e-4);
    expectWithin(lengthOf(far), 2 * Math.PI * 40, 1e-4);
  });
});

describe('flat board', () => {
  const wing = { ...trapezoid(400, 200, 120), construction };

  test('a level wing is one piece of twice the half area; with dihedral it is two, bevelled at the root', () => {
    const [whole] = listOf([wing]).parts;
    expect(whole).toMatchObject({ kind: 'plate', count: 1 });
    expectWithin(areaOfPart(whole!.outline), 2 * 400 * 160, 1e-9);
    const bent = listOf([
      { ...wing, stations: wing.stations.map((station, index) => ({ ...station, dihedral: index === 0 ? 5 : 0 })) },
    ]).parts[0]!;
    expect(bent).toMatchObject({ count: 2, mirrored: 1 });
    expectWithin(areaOfPart(bent.outline), 400 * 160, 1e-9);
  });

  test('a break between two panels is told with its bevel on each', () => {
    const stations = [
      { distanceFromRoot: 0, chord: 200, dihedral: 0 },
      { distanceFromRoot: 300, chord: 200, dihedral: 12 },
      { distanceFromRoot: 500, chord: 150 },
    ];
    const { parts } = listOf([{ ...wing, stations }]);
    const plates = parts.filter(({ kind }) => kind === 'plate');
    expect(plates.map(({ count }) => count)).toEqual([1, 2]);
    // Half of 12°: 5 mm · tan 6° = 0.53 mm.
    expect(plates.map(({ notes }) => said(notes[0]))).toEqual([
      expect.stringMatching(/outer end: bevel at 6.0°, 0.5 mm/),
      expect.stringMatching(/inner end: bevel at 6.0°, 0.5 mm/),
    ]);
  });

  test('a control has its hinge where it is drawn, slits at its ends, and a bevel for its travel', () => {
    const control = {
      id: 'aileron',
      function: 'aileron',
      from: 0.4,
      to: 0.9,
      hingeInboard: 0.75,
      hingeOutboard: 0.7,
      throwUp: 20,
      throwDown: 15,
    };
    const plate = listOf([{ ...trapezoid(400, 200), construction, joint: 'glued', controls: [control] } as never])
      .parts[0]!;
    const hinge = plate.outline.lines.find(({ kind }) => kind === 'hinge')!.path.vertices;
    expect(hinge.map(({ x, y }) => [x, y])).toEqual([
      [160, expect.closeTo(-150, 9)],
      [360, expect.closeTo(-140, 9)],
    ]);
    expect(plate.outline.lines.filter(({ kind }) => kind === 'cut')).toHaveLength(2);
    expect(plate.notes.map(said).join()).toMatch(/aileron: bevel 1.8 mm behind the hinge/);
  });

  test('a stepped plate has a doubler up to its step, on its own side', () => {
    const section = { kind: 'steppedPlate', thickness: 5, stepPosition: 0.4, stepSide: 'upper' } as const;
    const stations = [0, 400].map((distanceFromRoot) => ({ distanceFromRoot, chord: 200, section }));
    const { parts } = listOf([{ ...wing, stations }]);
    const doubler = partOf(parts, 'doubler');
    expectWithin(areaOfPart(doubler.outline), 0.4 * areaOfPart(partOf(parts, 'plate').outline), 1e-9);
    expect(doubler.hasFace).toBe(true);
  });
});

describe('folds', () => {
  const section = sectionSchema.parse({
    kind: 'foldedOverSpar',
    boardThickness: 5,
    sparHeight: 14,
    sparPosition: 0.3,
    bottomLength: 0.7,
  }) as SectionOf<'foldedOverSpar'>;
  const wing = (root: number, tip: number, leadingEdgeOffset = 0, more: object = {}) => ({
    ...trapezoid(400, root),
    construction,
    stations: [
      { distanceFromRoot: 0, chord: root, section },
      { distanceFromRoot: 400, chord: tip, leadingEdgeOffset, section, ...more },
    ],
  });
  const skinOf = (surface: ReturnType<typeof wing>) => partOf(listOf([surface]).parts, 'skin').outline;

  test('an even panel is a rectangle as wide as the true contour is long', () => {
    const { left, right, bottom, top } = boundsOfPart(skinOf(wing(200, 200)));
    expect(right - left).toBeCloseTo(400, 2);
    expect(Math.abs(top - bottom - foldPattern(section, 200, { scored: 'inner' }).cutWidth)).toBeLessThan(0.1);
  });

  test('tapered, swept and twisted: both ends keep their length to a tenth of a millimetre, edges that meet match to 0.3', () => {
    for (const surface of [wing(220, 130), wing(220, 130, 60), wing(220, 130, 60, { twist: -3 })]) {
      const points = skinOf(surface).edge.vertices.map(({ x, y }): Point => [x, y]);
      const half = points.length / 2;
      const ends = [220, 130].map((chord) => foldPattern(section, chord, { scored: 'inner' }).cutWidth);
      // Either way round: one end first, then the other.
      const own = [lengthOf(points.slice(0, half)), lengthOf(points.slice(half))].toSorted((a, b) => b - a);
      expect(Math.abs(own[0]! - ends[0]!)).toBeLessThan(0.1);
      expect(Math.abs(own[1]! - ends[1]!)).toBeLessThan(0.1);
      // The lines along the panel are as long flat as they are folded: at the trailing edge of the upper skin.
      const offset = (surface.stations[1] as { leadingEdgeOffset?: number }).leadingEdgeOffset ?? 0;
      const straight = Math.hypot(400, offset + 130 - 220);
      const sides = points.map((point, index) => lengthOf([point, points[(index + 1) % points.length]!]));
      const along = sides
        .filter((length) => length > 300)
        .toSorted((a, b) => Math.abs(a - straight) - Math.abs(b - straight));
      expect(Math.abs(along[0]! - straight)).toBeLessThan('twist' in surface.stations[1]! ? 3 : 0.3);
    }
  });

  test('scored outside it is narrower by board times angle turned; a spar stands in it as high as its room', () => {
    const outer = { ...section, scoredFace: 'outer' } as typeof section;
    const stations = [0, 400].map((distanceFromRoot) => ({ distanceFromRoot, chord: 200, section: outer }));
    const { parts } = listOf([{ ...trapezoid(400, 200), construction, stations }]);
    const { bottom, top } = boundsOfPart(partOf(parts, 'skin').outline);
    expect(Math.abs(top - bottom - foldPattern(outer, 200, { scored: 'outer' }).cutWidth)).toBeLessThan(0.15);
    const spar = boundsOfPart(partOf(parts, 'spar').outline);
    expect([spar.right - spar.left, spar.top - spar.bottom]).toEqual([400, 14]);
  });

  test('trial folds of its own sheet make the skin wider, those of another do not', () => {
    const stations = [0, 400].map((distanceFromRoot) => ({ distanceFromRoot, chord: 200, section }));
    const design = designOf([{ ...trapezoid(400, 200), construction, stations }], { materials: MATERIALS });
    const fold = { scoredFace: 'inner', angle: 180, shortfall: 3 } as const;
    const wide = (material: string) => {
      const { bottom, top } = boundsOfPart(
        partOf(cutListOf(design, { folds: [{ ...fold, material }] }).parts, 'skin').outline,
      );
      return top - bottom;
    };
    const folds = [fold];
    const asked = foldPattern(section, 200, { scored: 'inner', folds }).cutWidth;
    expect(Math.abs(wide('board') - asked)).toBeLessThan(0.15);
    expect(wide('board') - wide('other')).toBeGreaterThan(2.5);
  });

  test('a contour that cannot be folded says so with a remedy', () => {
    const thick = { ...section, boardThickness: 10, sparPosition: 0.05 } as typeof section;
    const stations = [0, 400].map((distanceFromRoot) => ({ distanceFromRoot, chord: 120, section: thick }));
    const { parts, faults } = listOf([{ ...trapezoid(400, 120), construction, stations }]);
    expect(parts.filter(({ kind }) => kind === 'skin')).toEqual([]);
    expect(faults.map(({ message }) => said(message)).join()).toMatch(/cannot be folded.*Set the spar farther back/);
  });
});

describe('a box', () => {
  const body = {
    id: 'pod',
    frames: [
      { x: 0, width: 50, top: 30, bottom: -30 },
      { x: 300, width: 50, top: 30, bottom: -30 },
      { x: 600, width: 30, top: 20, bottom: -10 },
    ],
    construction: { ...construction, doublers: [{ from: 50, to: 200, layers: 1 }] },
  };
  const wing = (z: number, incidence: number) => ({
    ...trapezoid(400, 160),
    position: { x: 80, y: 0, z },
    incidence,
    construction,
  });
  const boxed = (surface?: object) => listOf([surface ?? wing(300, 0)] as never, { bodies: [body] });

  test('sides run through, top and bottom stand between them, formers fit within all four', () => {
    const { parts } = boxed();
    const [side, top, former] = ['side', 'top', 'former'].map((kind) => boundsOfPart(partOf(parts, kind).outline));
    expect(side!.top - side!.bottom).toBe(60);
    expectWithin(top!.top - top!.bottom, 50 - 2 * 5, 1e-9);
    expectWithin(top!.right - top!.left, 300 + Math.hypot(300, 10), 1e-6);
    expectWithin(former!.right - former!.left, 50 - 2 * 5.2, 1e-9);
    expectWithin(former!.top - former!.bottom, 60 - 2 * 5.2, 1e-9);
    expect(partOf(parts, 'doubler').count).toBe(2);
  });

  test.each([
    [3, 0],
    [-2, 0],
  ])('a slot holds the wing at its incidence of %f°, with the stated play all round', (incidence, z) => {
    const { parts } = boxed(wing(z, incidence));
    const { holes } = partOf(parts, 'side').outline;
    expect(holes).toHaveLength(1);
    // Principal direction of the hole: along its longest side.
    const points = holes[0]!.vertices;
    const sides = points.map((a, index) => ({ a, b: points[(index + 1) % points.length]! }));
    const longest = sides.toSorted(
      (p, q) => Math.hypot(q.a.x - q.b.x, q.a.y - q.b.y) - Math.hypot(p.a.x - p.b.x, p.a.y - p.b.y),
    )[0]!;
    const slope = Math.atan((longest.b.y - longest.a.y) / (longest.b.x - longest.a.x));
    // Nose up: the hole falls to the rear.
    expect(Math.abs((-slope * 180) / Math.PI - incidence)).toBeLessThan(0.05);
    expectWithin(Math.abs(areaOf(holes[0]!)), (160 + 0.6) * (5 + 0.6), 0.02);
  });

  test('laid on top it has a saddle at its incidence; one that cuts it in two is refused with a remedy', () => {
    const { parts } = boxed(wing(28, 2));
    const { edge, holes } = partOf(parts, 'side').outline;
    expect(holes).toEqual([]);
    const sides = edge.vertices.map((a, index) => ({ a, b: edge.vertices[(index + 1) % edge.vertices.length]! }));
    const floor = sides
      .filter(({ a, b }) => [a, b].every(({ x, y }) => x > 79 && x < 241 && y > 0 && y < 29))
      .toSorted((p, q) => Math.abs(q.a.x - q.b.x) - Math.abs(p.a.x - p.b.x))[0]!;
    const slope = (-Math.atan((floor.b.y - floor.a.y) / (floor.b.x - floor.a.x)) * 180) / Math.PI;
    expect(Math.abs(slope - 2)).toBeLessThan(0.05);
    const flat = { ...body, frames: body.frames.map((frame) => ({ ...frame, top: 3, bottom: -3 })) };
    const thin = listOf([wing(0, 0)] as never, { bodies: [flat] });
    expect(thin.faults.map(({ message }) => said(message)).join()).toMatch(/Make the body higher there|crosses|cuts/);
  });

  test('the first former is the firewall where a motor pulls, tilted as the thrust line', () => {
    const propulsion = [{ id: 'drive', position: { x: -20, y: 0, z: 0 }, downThrust: 3, rightThrust: 2 }];
    const { parts } = listOf([wing(300, 0)] as never, { bodies: [body], propulsion });
    expect(said(partOf(parts, 'firewall').notes[1])).toMatch(/tilted 3.0° down and 2.0° right/);
    expect(parts.filter(({ kind }) => kind === 'gauge').map(({ name }) => name)).toEqual(
      expect.arrayContaining(['drive, down thrust 3°', 'drive, right thrust 2°']),
    );
  });
});

describe('round bodies, ribs, templates and gauges', () => {
  test('a round shell is as wide as the middle of its board goes round', () => {
    const frames = [
      { x: 0, width: 60, top: 30, bottom: -30 },
      { x: 400, width: 60, top: 30, bottom: -30 },
    ];
    const { parts } = listOf([], { bodies: [{ id: 'tube', kind: 'round', frames, construction }] });
    const { left, right, bottom, top } = boundsOfPart(partOf(parts, 'shell').outline);
    expectWithin(right - left, 400, 1e-6);
    expectWithin(top - bottom, Math.PI * 55, 2e-3);
    const former = boundsOfPart(partOf(parts, 'former').outline);
    expectWithin(former.right - former.left, 60 - 2 * 5.2, 1e-6);
  });

  test('ribs under film stand at even steps, as many as the spacing asks, each with its own chord', () => {
    const section = { kind: 'ribsUnderFilm', thicknessRatio: 0.1, ribSpacing: 80 } as never;
    const stations = [
      { distanceFromRoot: 0, chord: 200, section },
      { distanceFromRoot: 400, chord: 120, section },
    ];
    const { parts } = listOf([{ ...trapezoid(400, 200), construction, stations }]);
    const ribs = parts.filter(({ kind }) => kind === 'rib');
    expect(ribs.map(({ outline }) => Math.round(boundsOfPart(outline).right))).toEqual([200, 184, 168, 152, 136, 120]);
  });

  test('a wing that was built at another angle gets shims that bring it back, left and right by themselves', () => {
    const built = (left: number, right: number) => ({
      ...trapezoid(400, 200),
      construction,
      incidence: 2,
      asBuilt: { left: { incidence: left }, right: { incidence: right } },
    });
    const shimsOf = (...angles: [number, number]) =>
      listOf([built(...angles)]).parts.filter(({ id }) => id.includes('-shim'));
    expect(shimsOf(2, 2.05)).toEqual([]);
    const [both] = shimsOf(3, 3);
    expect(both!.count).toBe(2);
    // Nose up by one degree: the trailing edge is raised by 200 mm · tan 1°.
    expectWithin(boundsOfPart(both!.outline).top, 3.491, 1e-3);
    expect(both!.outline.edge.vertices.find(({ y }) => y > 1)!.x).toBe(200);
    const sides = shimsOf(1, 2.5);
    expect(sides.map(({ name }) => name)).toEqual([expect.stringMatching(/left$/), expect.stringMatching(/right$/)]);
    expectWithin(boundsOfPart(sides[1]!.outline).top, 1.745, 1e-3);
    expect(sides[0]!.outline.edge.vertices.find(({ y }) => y > 1)!.x).toBe(0);
  });

  test('hot wire gets a template for each end, and the block to start from', () => {
    const section = { kind: 'fourDigit', thicknessRatio: 0.12 } as never;
    const stations = [
      { distanceFromRoot: 0, chord: 200, section },
      { distanceFromRoot: 500, chord: 150, section },
    ];
    const { parts, blocks } = listOf([{ ...trapezoid(500, 200), construction, stations }]);
    expect(parts.filter(({ kind }) => kind === 'template')).toHaveLength(2);
    expectWithin(blocks[0]!.height, 0.12 * 200 + 12, 0.01);
    expect(blocks[0]).toMatchObject({ length: 500, count: 2 });
  });

  test('a wedge gauge slopes as the face that is measured reads', () => {
    const { parts } = listOf([{ ...trapezoid(400, 200), incidence: 2.5, construction }]);
    const { vertices } = partOf(parts, 'gauge').outline.edge;
    const tops = vertices.filter(({ y }) => y > 0).toSorted((a, b) => a.x - b.x);
    const slope = (Math.atan2(tops[0]!.y - tops[1]!.y, tops[1]!.x - tops[0]!.x) * 180) / Math.PI;
    expect(slope).toBeCloseTo(2.5, 6);
  });

  test('without dihedral there is no gauge for it', () => {
    const of = (dihedral: number) =>
      listOf([
        {
          ...trapezoid(400, 200),
          construction,
          stations: trapezoid(400, 200).stations.map((station, index) => ({
            ...station,
            dihedral: index === 0 ? dihedral : 0,
          })),
        },
      ]).parts.filter(({ name }) => name.includes(', V '));
    expect(of(0)).toEqual([]);
    expect(of(6)[0]!.name).toMatch(/V 12°/);
  });
});

describe('braces, horns, stands and blade templates', () => {
  const section = sectionSchema.parse({ kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 14, sparPosition: 0.3 });
  const hollow = (dihedral: number) => ({
    ...trapezoid(400, 200),
    construction,
    stations: [0, 400].map((distanceFromRoot) => ({
      distanceFromRoot,
      chord: 200,
      section,
      dihedral: distanceFromRoot === 0 ? dihedral : 0,
    })),
  });

  test('a root brace is as high as the room in the fold, and bent by twice the dihedral', () => {
    const brace = partOf(listOf([hollow(5)] as never).parts, 'brace');
    const { vertices } = brace.outline.edge;
    const [a, b, c] = vertices.filter(({ y }, index) => index < 3 || y < 0).slice(0, 3);
    const bend = (Math.atan2(c!.y - b!.y, c!.x - b!.x) - Math.atan2(b!.y - a!.y, b!.x - a!.x)) * (180 / Math.PI);
    expect(bend).toBeCloseTo(10, 6);
    // Both legs are as high everywhere: area is height times the length of the bent middle line.
    expectWithin(areaOfPart(brace.outline), 14 * 2 * 70 - 14 ** 2 * Math.tan((5 * Math.PI) / 180), 1e-3);
    expect(listOf([hollow(0)] as never).parts.filter(({ kind }) => kind === 'brace')).toEqual([]);
  });

  test('a horn has its hole as high above the hinge as the linkage says', () => {
    const control = { id: 'aileron', function: 'aileron', servo: { horn: 13 } };
    const horn = partOf(listOf([{ ...trapezoid(400, 200), construction, controls: [control] } as never]).parts, 'horn');
    const [hole] = horn.outline.holes;
    expect(hole!.vertices.every(({ y }) => y === 13)).toBe(true);
    expectWithin(-areaOf(hole!), Math.PI * 0.8 ** 2, 1e-6);
  });

  test('uprights and feet of the stand slot into one another at half their height', () => {
    const stand = listOf([{ ...trapezoid(400, 200), construction }]).parts.filter(({ owner }) => owner === 'bench');
    expect(stand.map(({ count }) => count)).toEqual([2, 2]);
    expect(stand.every(({ outline }) => outlineFaults(outline).length === 0)).toBe(true);
  });

  test('an own blade has a template for each of its places, sloped as it is', () => {
    const blade = [0.3, 0.6, 0.95].map((share, index) => ({ share, chord: 20 - 4 * index, angle: 40 - 12 * index }));
    const { parts } = listOf([{ ...trapezoid(400, 200), construction }], { propulsion: [{ id: 'drive', blade }] });
    const notes = parts.filter(({ name }) => name.includes('blade at')).map(({ notes: [note] }) => said(note));
    expect(notes).toEqual([
      '30 mm from the middle of the hub, 40.0° to the disc',
      '60 mm from the middle of the hub, 28.0° to the disc',
      '95 mm from the middle of the hub, 16.0° to the disc',
    ]);
  });
});

describe('parts longer than a sheet', () => {
  const long = partOf(listOf([{ ...trapezoid(900, 200, 140), construction }]).parts, 'plate');

  test('are cut in pieces that fit and lose nothing, with a brace behind each joint', () => {
    const all = splitToFit(long, 990);
    const pieces = all.filter(({ kind }) => kind === 'plate');
    expect(pieces).toHaveLength(2);
    for (const { outline } of pieces) {
      const { left, right } = boundsOfPart(outline);
      expect(right - left).toBeLessThanOrEqual(990);
    }
    expectWithin(
      pieces.reduce((sum, { outline }) => sum + areaOfPart(outline), 0),
      areaOfPart(long.outline),
      1e-5,
    );
    expect(all.filter(({ kind }) => kind === 'brace')).toHaveLength(1);
    expect(splitToFit(long, 2000)).toEqual([long]);
  });
});

describe('the fleet', () => {
  test.each(DEMO_NAMES)('%s: every part can be cut, none crosses itself, names are different', (name) => {
    const { parts, faults } = cutListOf(demoDesign(name));
    expect(parts.length).toBeGreaterThan(2);
    for (const { outline } of parts) expect(outlineFaults(outline)).toEqual([]);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
    expect(faults.every(({ message }) => /^[A-Z].*\.$/.test(said(message)))).toBe(true);
  });

  test('formers lie within the walls they are glued to', () => {
    const design: Design = demoDesign('lagoon-postman');
    const { parts } = cutListOf(design);
    const [body] = design.bodies;
    parts
      .filter(({ kind, owner }) => (kind === 'former' || kind === 'firewall') && owner === body!.id)
      .forEach(({ outline, id }) => {
        const frame = body!.frames[Number(id.split('-').at(-1)) - 1]!;
        const { left, right, bottom, top } = boundsOfPart(outline);
        expect(right - left).toBeLessThan(frame.width);
        expect(top - bottom).toBeLessThan(frame.top - frame.bottom);
      });
  });

  test('removing the board of a wing says what is missing', () => {
    const bare = withFields(demoDesign('gannet-vee'), [{ field: '/surfaces/wing/construction', value: undefined }]);
    expect(
      cutListOf(bare)
        .faults.map(({ message }) => said(message))
        .join(),
    ).toMatch(/Nobody says what .* is cut from/);
  });
});
