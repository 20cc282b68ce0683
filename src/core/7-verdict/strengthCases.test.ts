import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
import { forAll } from '#/tests/forAll';
import { sentence } from '@/words/formatQuantity';
import { analyse } from '@/core/analyse';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design, DesignInput } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';

/** Whole aircraft whose strength or flex is what matters about them. */

type SectionInput = NonNullable<SurfaceInput['stations'][number]['section']>;

const stock = (name: string) => ROD_STOCK.find((rod) => rod.name.startsWith(name))!;

const materials = [
  { id: 'board4', thickness: 4, arealDensity: 330 },
  { id: 'board3', thickness: 3, arealDensity: 300 },
];
const built = { construction: { material: 'board4' } };
const fold: SectionInput = { kind: 'foldedOverSpar', boardThickness: 4, sparHeight: 8 };

const wing = (half: number, chord: number, section: SectionInput, more: Partial<SurfaceInput> = {}): SurfaceInput =>
  trapezoid(half, chord, chord, {
    name: 'Wing',
    position: { x: 0, y: 0, z: 30 },
    incidence: 3,
    stations: [
      { distanceFromRoot: 0, chord, dihedral: 4, section },
      { distanceFromRoot: half, chord, section },
    ],
    ...built,
    ...more,
  });

const rodAlong = (name: string, half: number, chord: number, level: 'upper' | 'middle' | 'lower' = 'middle') => ({
  id: 'rod',
  ...stock(name),
  level,
  start: { distanceFromRoot: 0, x: 0.3 * chord },
  end: { distanceFromRoot: 0.9 * half, x: 0.3 * chord },
});

const tail = (x: number): SurfaceInput[] => [
  {
    id: 'tail',
    role: 'tailplane',
    position: { x, y: 0, z: 30 },
    stations: [
      { distanceFromRoot: 0, chord: 120 },
      { distanceFromRoot: 200, chord: 100 },
    ],
    controls: [{ id: 'elevator', function: 'elevator' }],
    ...built,
  },
  {
    id: 'fin',
    role: 'fin',
    mirrored: false,
    position: { x, y: 0, z: 30 },
    stations: [
      { distanceFromRoot: 0, chord: 120, dihedral: 90 },
      { distanceFromRoot: 140, chord: 90, dihedral: 90 },
    ],
    controls: [{ id: 'rudder', function: 'rudder' }],
    ...built,
  },
];

const fuselage = (length: number) => ({
  id: 'body',
  name: 'Fuselage',
  position: { x: -150, y: 0, z: 0 },
  frames: [
    { x: 0, width: 50, top: 30, bottom: -30 },
    { x: 350, width: 50, top: 30, bottom: -30 },
    { x: length, width: 20, top: 30, bottom: 0 },
  ],
  ...built,
});

const aircraft = (surfaces: SurfaceInput[], more: Partial<DesignInput> = {}): Design =>
  designOf(surfaces, {
    materials,
    bodies: [fuselage(900)],
    massItems: [{ id: 'lump', mass: 250, position: { x: 20, y: 0, z: 0 } }],
    conditions: { cruiseSpeed: 11 },
    ...more,
  });

const strengthOf = (design: Design) => numbersOf(design, { without: ['bands', 'workings'] }).strength;
const toldOf = (design: Design) =>
  analyse(design, { without: ['remedies', 'bands', 'workings'] }).findings.map(
    ({ id, severity }) => `${severity} ${id}`,
  );

const RANK = { note: 0, caution: 1, stop: 2 };

describe('a slender wing folded of 4 mm board, 1.6 m across, without a rod', () => {
  const [half, chord] = [800, 145];
  const of = (rod?: ReturnType<typeof rodAlong>) =>
    aircraft([wing(half, chord, fold, rod ? { spars: [rod] } : {}), ...tail(620)]);
  const bare = strengthOf(of());

  test('is computed, with a band', () => {
    // Two skins of two papers of 0.14 mm at 4 GPa, 8 to 16 mm apart over most of 145 mm: 3 to 9 N·m². The whole weight
    // of 4.9 N over it, elliptic: 0.048 n W s³/EI = 13 to 40 mm, of which the wing itself, half the weight, takes half.
    expect(bare.tipDeflection).toBeGreaterThan(0.006);
    expect(bare.tipDeflection).toBeLessThan(0.02);
    expect(Math.abs(bare.tipTwist!)).toBeLessThan(0.03);
    expect(bare.deflectionBand).toBeGreaterThan(0.25);
    expect(bare.deflectionBand).toBeLessThan(0.6);
    expect(bare.breaksAt).toMatchObject({ surface: 'Wing', spanFraction: 0 });
    expect(bare.breakingLoadFactor).toBeGreaterThan(3);
    expect(bare.breakingLoadFactor).toBeLessThan(20);
  });

  test.each([
    ['Carbon strip', 'middle'],
    ['Carbon strip', 'lower'],
    ['Carbon rod 2', 'middle'],
    ['Carbon rod 3', 'upper'],
    ['Carbon tube 6', 'middle'],
    ['Pine stick 5', 'middle'],
  ] as const)('%s, %s, only helps', (name, level) => {
    const design = of(rodAlong(name, half, chord, level));
    const reinforced = strengthOf(design);
    expect(reinforced.breakingLoadFactor!).toBeGreaterThan(bare.breakingLoadFactor!);
    expect(reinforced.breakingAtDive!).toBeGreaterThan(bare.breakingAtDive!);
    expect(reinforced.tipDeflection!).toBeLessThan(bare.tipDeflection!);
    const before = analyse(of(), { without: ['remedies', 'bands', 'workings'] }).findings;
    for (const { id, severity, stage } of analyse(design, { without: ['remedies', 'bands', 'workings'] }).findings) {
      if (stage !== 'strength') continue;
      const known = before.find((other) => other.id === id);
      expect(RANK[severity], id).toBeLessThanOrEqual(known ? RANK[known.severity] : -1);
    }
  });
});

test('a wing of bare board that a turn would break is told not to fly, and so is one that the air alone breaks', () => {
  const bare = materials.map((sheet) => ({ ...sheet, faces: 'none' as const, arealDensity: 130 }));
  const of = (cruiseSpeed: number) =>
    aircraft([wing(700, 150, fold), ...tail(620)], { materials: bare, conditions: { cruiseSpeed } });
  const calm = strengthOf(of(9));
  expect(calm.breakingLoadFactor!).toBeGreaterThan(1);
  expect(calm.breakingLoadFactor!).toBeLessThan(2);
  expect(toldOf(of(9))).toContain('stop breaksInFlight');
  // A cambered one that twists nose down by its own moment, whatever it pulls.
  const gannet = demoDesign('gannet-vee');
  const peeled = {
    ...gannet,
    materials: gannet.materials.map((sheet) => ({ ...sheet, faces: 'none' as const, arealDensity: 190 })),
  };
  expect(strengthOf(peeled).breakingLoadFactor).toBe(0);
  const told = analyse(peeled, { without: ['remedies', 'bands', 'workings'] }).findings;
  expect(sentence(told.find(({ id }) => id === 'breaksInFlight')!.message)).toMatch(/^At cruise speed the air alone/);
});

describe('two wings of limp board', () => {
  const limp: SectionInput = { kind: 'flatPlate', thickness: 3 };
  const soft = { construction: { material: 'board3' } };
  const of = (spars: ReturnType<typeof rodAlong>[]) =>
    aircraft([
      wing(500, 160, limp, { ...soft, spars }),
      wing(500, 160, limp, {
        ...soft,
        id: 'rear',
        name: 'Rear wing',
        role: 'secondWing',
        incidence: 2,
        position: { x: 60, y: 0, z: 190 },
        spars,
      }),
      ...tail(620),
    ]);

  test('is warned of its pull-up, and offered rods that take the warning away', () => {
    const design = of([]);
    const { findings } = analyse(design, { without: ['bands', 'workings'] });
    const parts = findings.find(({ id }) => id === 'wingsPart')!;
    expect(parts.severity).toBe('caution');
    expect(sentence(parts.message)).toMatch(/pull-up/);
    expect(parts.remedies.length).toBeGreaterThan(0);
    for (const { change, brings } of parts.remedies) {
      expect(toldOf(withFields(design, change)).join()).not.toMatch(/wingsPart/);
      expect(sentence(brings!)).toMatch(/\d g heavier/);
    }
  });

  test('is not with stiff tubes in both', () =>
    expect(toldOf(of([rodAlong('Carbon tube 8', 500, 160)])).join()).not.toMatch(/wingsPart|breaksInFlight/));
});

describe('a V-tail on a boom', () => {
  const boom = (name: string) => ({
    id: 'boom',
    name: 'Boom',
    position: { x: 100, y: 0, z: 20 },
    frames: [
      { x: 0, width: 10, top: 5, bottom: -5 },
      { x: 750, width: 10, top: 5, bottom: -5 },
    ],
    rods: [{ id: 'tube', from: 0, to: 750, ...stock(name) }],
  });
  const pod = {
    ...fuselage(400),
    id: 'pod',
    frames: [
      { x: 0, width: 50, top: 30, bottom: -30 },
      { x: 400, width: 50, top: 30, bottom: -30 },
    ],
  };
  const of = (name: string) =>
    aircraft(
      [
        wing(600, 180, fold, { spars: [rodAlong('Carbon tube 6', 600, 180)] }),
        {
          id: 'vee',
          name: 'V-tail',
          role: 'vTail',
          position: { x: 720, y: 0, z: 30 },
          stations: [
            { distanceFromRoot: 0, chord: 130, dihedral: 38 },
            { distanceFromRoot: 250, chord: 95, leadingEdgeOffset: 30 },
          ],
          controls: [{ id: 'ruddervator', function: 'ruddervator' }],
          ...built,
        },
      ],
      { bodies: [pod, boom(name)], conditions: { cruiseSpeed: 12 } },
    );
  const tubes = ['Carbon rod 3', 'Carbon tube 4', 'Carbon tube 6', 'Carbon tube 8', 'Carbon tube 10'];
  const all = tubes.map((name) => strengthOf(of(name)));

  test('is told that its rudder works backward while the boom is soft, and no longer with a stiff one', () => {
    expect(toldOf(of('Carbon rod 3'))).toEqual(expect.arrayContaining(['note turnsRound', 'caution softBoom']));
    expect(toldOf(of('Carbon tube 10')).join()).not.toMatch(/turnsRound|softBoom/);
  });

  test('yaw and roll of the rudder turn round later, and more of them is left, the stiffer the boom', () => {
    for (const key of ['rudderReversalSpeed', 'rudderRollReversalSpeed'] as const)
      all
        .slice(1)
        .forEach((strength, index) => expect(strength[key] ?? Infinity, key).toBeGreaterThan(all[index]![key]!));
    for (const key of ['rudderYawKept', 'rudderRollKept', 'boomPitchFactor', 'boomYawFactor'] as const)
      all.slice(1).forEach((strength, index) => expect(strength[key]!, key).toBeGreaterThan(all[index]![key]!));
  });

  test('a tail that the boom leaves alone at speed takes its neutral point along', () => {
    expect(all[0]!.neutralPointShift!).toBeLessThan(-0.03);
    expect(toldOf(of('Carbon rod 3'))).toContain('stop flexUnsettles');
    expect(all.at(-1)!.neutralPointShift!).toBeGreaterThan(-0.004);
  });
});

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const wings = fc.record({
  half: between(300, 900),
  chord: between(110, 260),
  section: fc.constantFrom<SectionInput>(
    fold,
    { kind: 'flatPlate', thickness: 4 },
    { kind: 'curvedPlate', thickness: 4, camber: 0.05 },
    { kind: 'steppedPlate', thickness: 4, stepPosition: 0.5 },
    { kind: 'fourDigit', camber: 0.02, thicknessRatio: 0.1 },
  ),
  rod: fc.constantFrom(...ROD_STOCK.map(({ name }) => name)),
  level: fc.constantFrom('upper', 'middle', 'lower' as const),
  faceDensity: between(70, 130),
  more: between(1.05, 1.6),
});

describe('nothing that is added weakens', () => {
  test('more rod, more paper, less span', () => {
    forAll(8, [wings], ({ half, chord, section, rod, level, faceDensity, more }) => {
      const of = (changed: { span?: number; rods?: boolean; paper?: number } = {}) => {
        const span = changed.span ?? half;
        // The core stays what it is.
        const paper = changed.paper ?? faceDensity;
        const sheets = materials.map(({ arealDensity, ...sheet }) => ({
          ...sheet,
          faceDensity: paper,
          arealDensity: arealDensity + 2 * (paper - faceDensity),
        }));
        const laid = changed.rods ? { spars: [{ ...rodAlong(rod, span, chord, level), linearDensity: 0 }] } : {};
        const { mass, strength } = numbersOf(
          aircraft([wing(span, chord, section, laid), ...tail(620)], { materials: sheets }),
          { without: ['bands', 'workings'] },
        );
        return { ...strength, mass: mass.total! };
      };
      const before = of();
      // Paper makes the tail heavier too, so what is borne counts as a load; a carved block has no paper.
      const papered = section.kind === 'fourDigit' ? [] : [of({ paper: faceDensity * more })];
      for (const [after, scale] of [
        [of({ rods: true }), 1],
        [of({ span: half / more }), 1],
        ...papered.map((one) => [one, one.mass / before.mass] as const),
      ] as const) {
        // None that breaks is beyond a hundred times the weight; a small wing may leave the tail to give way first.
        if (after.breaksAt?.surface === 'Wing')
          expect(after.breakingLoadFactor! * scale).toBeGreaterThan((before.breakingLoadFactor ?? 100) * 0.999);
      }
    });
  });
});
