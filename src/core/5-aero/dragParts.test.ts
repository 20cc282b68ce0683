import { describe, expect, test } from 'vitest';
import { boxBody, simpleAircraft } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { numbersOf } from '@/core/6-groups/solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { designSchema } from '@/core/2-document/schema/design';
import type { Design } from '@/core/2-document/schema/design';
import { dragParts } from './dragParts';

const base = simpleAircraft(90);
const having = (...fields: [string, unknown][]): Design =>
  designSchema.parse(
    withFields(
      base,
      fields.map(([field, value]) => ({ field, value })),
    ),
  );
/** Drag areas in mm², by the part they belong to. */
const areas = (design: Design) => Object.fromEntries(dragParts(design).map(({ id, area }) => [id, area * 1e6]));

describe('what stands in the wind', () => {
  test('a round bar 30 by 6 mm: 1.1 of its face, a faired one 0.15; a typed area as it is', () => {
    const item = (form: object | undefined, dragArea = 500) =>
      areas(having(['/dragItems', [{ id: 'peg', dragArea, ...(form ? { form } : {}) }]]))['peg'];
    expect(item({ shape: 'bar', width: 30, height: 6 })).toBeCloseTo(1.1 * 180, 9);
    expect(item({ shape: 'faired', width: 30, height: 6 })).toBeCloseTo(0.15 * 180, 9);
    expect(item(undefined)).toBeCloseTo(500, 9);
  });

  test('wheels with their legs, both of a pair; drawn in they drag nothing', () => {
    const wheel = { id: 'main', position: { x: 90, y: 80, z: -120 }, diameter: 60, width: 15, legDiameter: 3 };
    const pair = { ...wheel, mirrored: true };
    // Without a fuselage the leg goes up to the datum: 120 mm.
    const one = 0.35 * 60 * 15 + 1.1 * 3 * 120;
    expect(areas(having(['/wheels', [wheel]]))['main']).toBeCloseTo(one, 9);
    expect(areas(having(['/wheels', [pair]]))['main']).toBeCloseTo(2 * one, 9);
    expect(areas(having(['/wheels', [{ ...wheel, retracts: true }]]))['main']).toBeUndefined();
  });

  test('a leg ends at the fuselage beside it', () => {
    const frames = [
      { x: 0, width: 40, top: 20, bottom: -20 },
      { x: 90, width: 40, top: 20, bottom: -20 },
      { x: 400, width: 20, top: 10, bottom: -10 },
    ];
    const wheel = { id: 'main', position: { x: 90, y: 50, z: -60 }, legDiameter: 2 };
    const found = areas(having(['/bodies', [{ id: 'pod', frames }]], ['/wheels', [wheel]]));
    // From (50, −60) to the lower edge at (20, −20): a 3-4-5 triangle of 50 mm. No wheel, a skid.
    expect(found['main']).toBeCloseTo(1.1 * 2 * 50, 9);
  });

  test('horns of known linkages, and boxes that stand outside', () => {
    const horn = areas(having(['/surfaces/tail/controls/elevator/servo', { travel: 45, arm: 12, horn: 15 }]));
    expect(horn['elevator']).toBeCloseTo(2 * 1.1 * 4 * 15, 9);
    const servo = { id: 'servo', mass: 9, inWind: true, size: { length: 23, width: 12, height: 20 } };
    expect(areas(having(['/massItems', [...base.massItems, servo]]))['servo']).toBeCloseTo(1.05 * 240, 9);
    expect(areas(having(['/massItems', [...base.massItems, { ...servo, inWind: false }]]))['servo']).toBeUndefined();
  });

  test('a plank fuselage rubs on both sides: many times the drag of its front', () => {
    const frames = [0, 800].map((x) => ({ x, width: 5, top: 50, bottom: -50 }));
    const plank = areas(having(['/bodies', [{ id: 'plank', kind: 'plank', frames }]]))['plank']!;
    const side = 800 * 100;
    // Both sides of a plate at Re 6·10⁵: c_d0 0.012 on its side, and its blunt edges.
    expect(plank / side).toBeGreaterThan(0.0119);
    expect(plank / side).toBeLessThan(0.0135);
    expect(plank).toBeGreaterThan(10 * 0.12 * 5 * 100);
  });

  test('a thick root without fillets drags in its corners: (0.8 (t/c)³ − 0.0003) c² each', () => {
    const section = { kind: 'fourDigit', thicknessRatio: 0.15 };
    const stations = base.surfaces[0]!.stations.map((station) => ({ ...station, section }));
    const frames = [
      { x: 0, width: 40, top: 20, bottom: -20 },
      { x: 400, width: 40, top: 20, bottom: -20 },
    ];
    const design = having(['/surfaces/wing/stations', stations], ['/bodies', [{ id: 'pod', frames }]]);
    const corner = areas(design)['wing']!;
    const chord = stations[0]!.chord;
    expectWithin(corner, 2 * (0.8 * 0.15 ** 3 - 0.0003) * chord ** 2, 0.02);
    expect(areas(withFields(design, [{ field: '/surfaces/wing/filleted', value: true }]))['wing']).toBeUndefined();
  });
});

describe('drag of the whole', () => {
  const powered = (atRest: string) =>
    numbersOf(having(['/propulsion', [{ id: 'd', position: { x: -40 }, propellerDiameter: 220, atRest }]]));

  test('parts sum up to the whole, each with its share', () => {
    const { drag } = numbersOf(having(['/bodies', [boxBody(50, 400)]]));
    expect(drag.parts.reduce((sum, { coefficient }) => sum + coefficient, 0)).toBeCloseTo(drag.total!, 12);
    expect(drag.parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    const profile = drag.parts
      .filter(({ kind }) => kind === 'surface')
      .reduce((sum, { coefficient }) => sum + coefficient, 0);
    expect(profile).toBeCloseTo(drag.profile!, 12);
    expect(drag.parts.map(({ part }) => part)).toContain('wing');
  });

  test('the polar runs from the stall on without power, and the glide is the best of it', () => {
    const { drag, speeds, stall } = powered('stops');
    expect(drag.polar.length).toBeGreaterThan(20);
    expectWithin(drag.polar[0]!.speed, stall.speed!, 0.01);
    for (const { lift, drag: all, glideRatio, sink, speed } of drag.polar) {
      expect(glideRatio).toBeCloseTo(lift / all, 12);
      expect(sink).toBeCloseTo(speed / glideRatio, 12);
    }
    expectWithin(speeds.glideRatio!, Math.max(...drag.polar.map(({ glideRatio }) => glideRatio)), 0.01);
  });

  test('a propeller that folds glides flatter than one that is stopped; level flight under power is the same', () => {
    const [folded, stopped] = [powered('folds'), powered('stops')];
    expect(folded.speeds.glideRatio!).toBeGreaterThan(1.05 * stopped.speeds.glideRatio!);
    expect(folded.drag.total).toBeCloseTo(stopped.drag.total!, 12);
  });

  test('least sink lies above the stall: drag rises before it', () => {
    const { speeds } = numbersOf(base);
    expect(speeds.minimumSink!).toBeGreaterThan(1.02 * speeds.stall!);
  });
});
