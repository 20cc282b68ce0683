import { forAll, SKIPPED } from '#/tests/forAll';
import type { Words } from '@/core/1-base/words/phrase';
import { said } from '#/tests/matchers';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { analyse } from '@/core/analyse';
import type { Analysis } from '@/core/analyse';
import { type Design, type DesignInput, designSchema, DESIGN_VERSION } from '@/core/2-document/schema/design';
import { freshSection } from '@/core/3-shape/section/freshSection';
import type { SectionKind } from '@/core/2-document/schema/section';

const RUNS = 40;
const GRID = { strips: 6, chordwise: 3 } as const;

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const section = fc
  .constantFrom<SectionKind>('flatPlate', 'steppedPlate', 'curvedPlate', 'foldedOverSpar', 'fourDigit', 'reflexed')
  .map((kind) => freshSection(kind, { kind: 'flatPlate', thickness: 5, edge: 'rounded' })!);

type SurfaceInput = NonNullable<DesignInput['surfaces']>[number];

const surface = (
  id: string,
  role: SurfaceInput['role'],
  x: readonly [number, number],
  size: number,
): fc.Arbitrary<SurfaceInput> =>
  fc
    .record({
      x: number(...x),
      z: number(-90, 90),
      span: number(0.3 * size, size),
      root: number(60, 300),
      taper: number(0.25, 1.1),
      sweep: number(-60, 220),
      dihedral: number(-8, 45),
      incidence: number(-5, 5),
      twist: number(-6, 3),
      section,
      throwUp: number(0, 35),
    })
    .map((one) => ({
      id,
      role,
      position: { x: one.x, z: one.z },
      incidence: one.incidence,
      stations: [
        { distanceFromRoot: 0, chord: one.root, dihedral: one.dihedral, section: one.section },
        {
          distanceFromRoot: one.span,
          chord: Math.max(20, one.root * one.taper),
          leadingEdgeOffset: one.sweep,
          twist: one.twist,
          section: one.section,
        },
      ],
      controls: [
        {
          id: `${id}Control`,
          function:
            role === 'wing' ? ('elevon' as const) : role === 'fin' ? ('rudder' as const) : ('elevator' as const),
          throwUp: one.throwUp,
          throwDown: one.throwUp,
        },
      ],
      construction: { material: 'board' },
    }));

/** Anything that could be cut from board: a wing, perhaps a tail, a canard, a fin, some equipment. */
const design: fc.Arbitrary<Design> = fc
  .record({
    wing: surface('wing', 'wing', [0, 300], 900),
    tail: fc.option(surface('tail', 'tailplane', [500, 1100], 400)),
    canard: fc.option(surface('canard', 'canard', [-500, -300], 300)),
    finHeight: fc.option(number(60, 260)),
    masses: fc.array(fc.record({ mass: number(1, 400), x: number(-200, 600), slides: fc.boolean() }), { maxLength: 4 }),
    speed: number(5, 25),
    drive: fc.option(fc.constantFrom('tractor' as const, 'pusher' as const)),
  })
  .map(({ wing, tail, canard, finHeight, masses, speed, drive }) =>
    designSchema.parse({
      format: 'inclinar-design',
      version: DESIGN_VERSION,
      name: 'Random',
      materials: [{ id: 'board', thickness: 5, arealDensity: 400 }],
      conditions: { cruiseSpeed: speed },
      surfaces: [
        wing,
        ...(tail ? [tail] : []),
        ...(canard ? [canard] : []),
        ...(finHeight
          ? [
              {
                id: 'fin',
                role: 'fin',
                mirrored: false,
                position: { x: 700, z: 12 },
                stations: [
                  { distanceFromRoot: 0, chord: 130, dihedral: 90 },
                  { distanceFromRoot: finHeight, chord: 80, dihedral: 90 },
                ],
              } as const,
            ]
          : []),
      ],
      bodies: [
        {
          id: 'pod',
          frames: [
            { x: -60, width: 40, top: 20, bottom: -20 },
            { x: 500, width: 20, top: 10, bottom: -10 },
          ],
        },
      ],
      massItems: masses.map(({ mass, x, slides }, index) => ({
        id: `m${index}`,
        mass,
        position: { x },
        size: { length: 60, width: 30, height: 20 },
        attachment: slides ? { kind: 'slides', from: x - 50, to: x + 50 } : { kind: 'fixed' },
      })),
      propulsion: drive ? [{ id: 'drive', kind: drive, position: { x: drive === 'tractor' ? -80 : 560 } }] : [],
    }),
  );

/** Every number of an analysis, with its path. */
function numbers(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]];
  if (Array.isArray(value)) return value.flatMap((entry, index) => numbers(entry, `${path}/${index}`));
  if (value && typeof value === 'object')
    return Object.entries(value).flatMap(([key, entry]) => numbers(entry, `${path}/${key}`));
  return [];
}

/** Every null has its reason, under the same key. @returns how many there were */
function expectReasons(analysis: Analysis): number {
  let nulls = 0;
  for (const [name, group] of Object.entries(analysis)) {
    const reasons = (group as { reasons?: Record<string, Words> } | null)?.reasons;
    if (!reasons) continue;
    for (const [key, value] of Object.entries(group as object)) {
      if (value !== null) continue;
      nulls++;
      expect(said(reasons[key]), `${name}.${key}`).toMatch(/.{10,}/);
    }
  }
  return nulls;
}

describe('anything that can be drawn', () => {
  test('gives numbers or reasons, and findings that can be read', () => {
    const seen = { nulls: 0, findings: 0 };
    forAll(RUNS, [design], (one) => {
      const analysis = analyse(one, { grid: GRID, without: ['remedies'] });
      for (const [path, value] of numbers(analysis)) expect(Number.isFinite(value), path).toBe(true);
      seen.nulls += expectReasons(analysis);
      seen.findings += analysis.findings.length;
      for (const { message, id, numbers: amounts } of analysis.findings) {
        expect(said(message), id).not.toMatch(/NaN|undefined|null|Infinity/);
        expect(said(message), id).toMatch(/^[A-Z“].*\.$/);
        expect(
          Object.values(amounts).every(({ value }) => Number.isFinite(value)),
          id,
        ).toBe(true);
      }
    });
    expect(seen.nulls).toBeGreaterThan(RUNS);
    expect(seen.findings).toBeGreaterThan(RUNS);
  });

  test('balances by itself: the pitching moment at the trimmed state is nought', () => {
    forAll(
      RUNS,
      [design],
      (one) => {
        const { trim, mass } = analyse(one, { grid: GRID, without: ['remedies'] });
        if (trim.alpha === null || mass.total === null || trim.elevator === null) return SKIPPED;
        expect(Math.abs(trim.residualMoment!)).toBeLessThan(1e-9);
      },
      0.5,
    );
  });

  test('weighs what its parts weigh, and balances where their moments say', () => {
    forAll(RUNS, [design], (one) => {
      const { mass } = analyse(one, { grid: GRID, without: ['remedies'] });
      const total = mass.parts.reduce((sum, part) => sum + part.mass, 0);
      expect(mass.total).toBeCloseTo(total, 9);
      const first = mass.parts.reduce((sum, part) => sum + part.mass * part.centre[0], 0);
      expect(mass.cg![0]).toBeCloseTo(first / total, 9);
      const { xx, yy, zz, xz } = mass.inertia!;
      // Principal moments of any body: none is larger than the sum of the others.
      expect(xx + yy).toBeGreaterThan(zz - 1e-12);
      expect(yy + zz).toBeGreaterThan(xx - 1e-12);
      expect(zz + xx).toBeGreaterThan(yy - 1e-12);
      expect(xx * zz).toBeGreaterThan(xz * xz);
    });
  });

  test('a heavier lump at the balance point moves only what weight moves', () => {
    forAll(15, [design, number(50, 400)], (one, grams) => {
      const before = analyse(one, { grid: GRID, without: ['remedies'] });
      const [x, y, z] = before.mass.cg!.map((metres) => metres * 1000) as [number, number, number];
      const heavier = designSchema.parse({
        ...one,
        massItems: [...one.massItems, { id: 'lump', mass: grams, position: { x, y, z } }],
      });
      const after = analyse(heavier, { grid: GRID, without: ['remedies'] });
      expect(after.mass.cg![0]).toBeCloseTo(before.mass.cg![0], 9);
      expect(after.mass.inertia!.yy).toBeCloseTo(before.mass.inertia!.yy, 9);
      expect(after.mass.wingLoading!).toBeGreaterThan(before.mass.wingLoading!);
      expect(after.reference).toEqual(before.reference);
    });
  });
});
