import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { solveSurfaces } from '#/tests/published/solve';
import { analyse } from '@/core/analyse';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { withFields } from '@/core/2-document/edit/withFields';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { referenceOf } from '@/core/3-shape/geometry/planform';
import { ballastFor, placeForBalance } from '@/core/4-weight/placement';
import { balanceSchools } from '@/core/6-groups/schools/rulesOfThumb';
import { balanceForCommand, liftAtFullCommand } from '@/core/5-aero/controlReach';

describe('placement', () => {
  const design = simpleAircraft(150);
  const { mass } = analyse(design, { without: ['remedies'] });
  const balance = { total: mass.total!, x: mass.cg![0] };
  const pack = design.massItems[1]!;

  test('the solved place balances at the target when weighed anew, to 1e-6 mm', () => {
    const { position, withinTravel } = placeForBalance(pack, 0.12, balance);
    expect(withinTravel).toBe(true);
    const moved = withFields(design, [{ field: '/massItems/pack/position/x', value: position }]);
    const again = analyse(moved, { without: ['remedies'] }).mass.cg![0];
    expect(Math.abs(again - 0.12) * 1000).toBeLessThan(1e-6);
  });

  test('beyond its bay it says how far it gets', () => {
    const { position, reachable, withinTravel } = placeForBalance(pack, 0.05, balance);
    expect(position).toBeLessThan(-100);
    expect([reachable, withinTravel]).toEqual([-100, false]);
  });

  test('ballast at the nose: the sum of moments by hand', () => {
    // 600 g at 150 mm and m at −50 mm balance at 120 mm: m = 600 · 30/170.
    expect(ballastFor(-50, 0.12, { total: 0.6, x: 0.15 })).toBeCloseTo((600 * 30) / 170, 9);
    expect(ballastFor(300, 0.12, { total: 0.6, x: 0.15 })).toBeNull();
  });
});

describe('window', () => {
  test('at the balance point it names, the command really trims that lift', () => {
    const { model, reference } = solveSurfaces(simpleAircraft(), { strips: 10, chordwise: 4 });
    const x = balanceForCommand(model, 0.8, -0.3, [0, 0, 0])!;
    const alpha = (() => {
      let low = -0.3;
      let high = 0.5;
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2;
        if (longitudinal(model.loadAt(middle, -0.3, [0, 0, 0]), middle, reference).lift < 0.8) low = middle;
        else high = middle;
      }
      return low;
    })();
    expect(longitudinal(model.loadAt(alpha, -0.3, [x, 0, 0]), alpha, reference).moment).toBeCloseTo(0, 6);
    expect(liftAtFullCommand(model, -0.3, [x, 0, 0])).toBeCloseTo(0.8, 6);
  });

  test('more nose-up command moves the forward limit forward', () => {
    const { model } = solveSurfaces(simpleAircraft(), { strips: 10, chordwise: 4 });
    const [little, much] = [-0.1, -0.3].map((command) => balanceForCommand(model, 0.8, command, [0, 0, 0])!);
    expect(much).toBeLessThan(little!);
  });

  test('aft limit is the margin ahead of the neutral point; both ends have a reason', () => {
    const { window, pitch, reference } = analyse(simpleAircraft(), { without: ['remedies'] });
    expect(window.aft).toBeCloseTo(pitch.neutralPoint! - 0.05 * reference.meanChord!, 12);
    expect(said(window.forwardBecause)).toMatch(/nose-up/);
    expect(said(window.aftBecause)).toMatch(/5 %/);
  });

  test('without a pitch control the greatest wanted margin stands in, and says so', () => {
    const { window, pitch, reference } = analyse(designOf([trapezoid(500, 200)]), { without: ['remedies'] });
    expect(window.forward).toBeCloseTo(pitch.neutralPoint! - 0.2 * reference.meanChord!, 12);
    expect(said(window.forwardBecause)).toMatch(/control power could not be used/);
  });
});

describe('schools', () => {
  const schoolsOf = (...inputs: Parameters<typeof designOf>[0]) => {
    const placed = designOf(inputs).surfaces.map(placeSurface);
    return balanceSchools(placed, referenceOf(placed)!);
  };

  test('one wing: a quarter of the mean chord', () => {
    const tail = { ...trapezoid(150, 100), id: 'tail', role: 'tailplane' as const, position: { x: 600 } };
    expect(schoolsOf(trapezoid(500, 200), tail)).toEqual([
      expect.objectContaining({ id: 'quarterChord', from: expect.closeTo(0.05, 12), to: expect.closeTo(0.05, 12) }),
    ]);
  });

  test('a wing without a tail: also 15 to 20 % of the mean chord', () => {
    const [, tailless] = schoolsOf(trapezoid(500, 200));
    expect(tailless).toMatchObject({ id: 'tailless', from: expect.closeTo(0.03, 12), to: expect.closeTo(0.04, 12) });
  });

  test('two equal wings, chord c, stagger s: 0.25c + s/2 and 0.25…0.30 (c + s)', () => {
    const [between, combined] = schoolsOf(trapezoid(500, 200), {
      ...trapezoid(500, 200),
      id: 'rear',
      role: 'secondWing',
      position: { x: 300, z: 120 },
    });
    expect(between!.from).toBeCloseTo(0.25 * 0.2 + 0.15, 12);
    expect(combined!.from).toBeCloseTo(0.25 * 0.5, 12);
    expect(combined!.to).toBeCloseTo(0.3 * 0.5, 12);
  });

  test('unequal wings are weighted by area', () => {
    const [between] = schoolsOf(trapezoid(500, 200), {
      ...trapezoid(250, 200),
      id: 'rear',
      role: 'secondWing',
      position: { x: 300 },
    });
    expect(between!.from).toBeCloseTo((0.05 * 2 + 0.35) / 3, 12);
  });
});
