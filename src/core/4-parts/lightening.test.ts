import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { areaOfPart, outlineFaults } from '@/core/3-shape/outline/partOutline';
import { boundsOf, flattened } from '@/core/3-shape/outline/path';
import { cutListOf } from './cutList';

const flat = (lighteningFraction: number, chord = 200) => ({
  ...trapezoid(400, chord),
  construction: { material: 'board', lighteningFraction },
  controls: [
    {
      id: 'aileron',
      name: 'Aileron',
      function: 'aileron',
      from: 0.5,
      to: 0.9,
      hingeInboard: 0.75,
      hingeOutboard: 0.75,
    },
  ],
});
const listOf = (surface: object) =>
  cutListOf(
    designOf([surface] as never, { materials: [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400 }] }),
  );
const plateOf = (surface: object) => listOf(surface).parts.find(({ kind }) => kind === 'plate')!.outline;

describe('lightening holes', () => {
  test.each([0.05, 0.2, 0.3])('%f of the board is cut away, and no line or edge is nearer than the web', (share) => {
    const [whole, bored] = [plateOf(flat(0)), plateOf(flat(share))];
    expect(outlineFaults(bored)).toEqual([]);
    expectWithin(1 - areaOfPart(bored) / areaOfPart(whole), share, 1e-3);
    const rims = bored.holes.map((hole) => {
      const { left, right, bottom, top } = boundsOf([hole]);
      return { x: (left + right) / 2, y: (bottom + top) / 2, radius: (right - left) / 2 };
    });
    for (const [index, { x, y, radius }] of rims.entries()) {
      for (const other of rims.slice(index + 1))
        expect(Math.hypot(other.x - x, other.y - y)).toBeGreaterThan(radius + other.radius + 5.99);
      for (const [px, py] of flattened(bored.edge, 0.05))
        expect(Math.hypot(px - x, py - y)).toBeGreaterThan(radius + 5.9);
      // Hinge of the aileron at three quarters of the chord.
      if (x > 200 && x < 360) expect(Math.abs(y + 150)).toBeGreaterThan(radius + 5.9);
    }
  });

  test('more than has room is told of with what fits', () => {
    const told = (share: number) =>
      listOf(flat(share))
        .faults.map(({ message }) => said(message))
        .join();
    expect(told(0.8)).toMatch(/take [2-6]\d % of its board, where 80 % is to be cut away/);
    expect(told(0.3)).not.toMatch(/cut away/);
  });
});
