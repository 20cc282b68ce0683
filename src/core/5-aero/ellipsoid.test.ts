import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import { propellerNormalForce } from './bodies';
import { inertiaCoefficients, munkFactor } from './ellipsoid';

describe('ellipsoids of revolution', () => {
  // Lamb; Munk, NACA Report 184; in closed form.
  test.each([
    [2, 0.21, 0.7042],
    [4, 0.0816, 0.8598],
    [6, 0.0452, 0.9171],
    [8, 0.0293, 0.9447],
    [10, 0.0207, 0.9602],
  ])('%d diameters long: %d along, %d across', (fineness, along, across) => {
    const of = inertiaCoefficients(fineness);
    expect(of.along).toBeCloseTo(along, 4);
    expect(of.across).toBeCloseTo(across, 4);
  });

  test('a sphere feels no moment, an endless body all of it', () => {
    expect(munkFactor(1)).toBe(0);
    expect(munkFactor(1.001)).toBeCloseTo(0, 2);
    expect(munkFactor(Infinity)).toBe(1);
    expect(munkFactor(5000)).toBeCloseTo(1, 4);
  });
});

test('normal force of propellers by blades, per radian (Perkins & Hage)', () => {
  expectWithin(propellerNormalForce(2), 0.095, 0.01);
  expectWithin(propellerNormalForce(3), 0.135, 0.01);
  expectWithin(propellerNormalForce(4), 0.17, 0.01);
  expect(propellerNormalForce(1)).toBeCloseTo(propellerNormalForce(2) / 2, 12);
  expect(propellerNormalForce(6)).toBeGreaterThan(propellerNormalForce(5));
});

describe('a straight fuselage', () => {
  const frame = (x: number, size: number) => ({ x, width: size, top: size / 2, bottom: -size / 2 });
  const withBody = (size: number, length: number) =>
    analyse(
      withFields(simpleAircraft(85), [
        {
          field: '/bodies',
          value: [
            {
              id: 'b',
              name: '',
              kind: 'box',
              mirrored: false,
              position: { x: 300, y: 0, z: 0 },
              frames: [frame(0, size), frame(length, size)],
              rods: [],
            },
          ],
        },
      ]),
      { without: ['remedies'] },
    );

  test('takes yaw by 0.6 of Munk’s moment, (k₂ − k₁) 2 V/(S b)', () => {
    const [with_, without] = [withBody(60, 600), withBody(0.001, 600)];
    const { area, span } = with_.reference;
    const volume = 0.06 ** 2 * 0.6 * (Math.PI / 4);
    const munk = (2 * munkFactor(10) * volume) / (area! * span!);
    expectWithin(without.lateral.yawStiffness! - with_.lateral.yawStiffness!, 0.6 * munk, 5e-3);
    expectWithin(with_.bands.yawStiffness! - without.bands.yawStiffness!, 0.35 * 0.6 * munk, 0.01);
  });

  test('and pitch, so that the neutral point comes forward and its band grows', () => {
    const [with_, without] = [withBody(80, 700), withBody(0.001, 700)];
    const moved = without.pitch.neutralPoint! - with_.pitch.neutralPoint!;
    expect(moved).toBeGreaterThan(0);
    expectWithin(with_.bands.neutralPoint! - without.bands.neutralPoint!, 0.2 * moved, 0.1);
  });
});
