import { describe, expect, test } from 'vitest';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { alignFins } from './alignFins';

/** A tailplane with fins at its ends, drawn off the tip by so much sideways and up. */
const endPlates = (aside: number, above = 0) => {
  const tail: SurfaceInput = { ...trapezoid(220, 100, 90), id: 'tail', role: 'tailplane', position: { x: 500 } };
  const fins: SurfaceInput = {
    ...trapezoid(120, 100, 80),
    id: 'fins',
    role: 'fin',
    position: { x: 500, y: 220 + aside, z: above },
  };
  fins.stations[0]!.dihedral = 90;
  return designOf([trapezoid(500, 180), tail, fins]);
};

const yaw = (design: ReturnType<typeof designOf>, strips = 14) =>
  solveSurfaces(design, { strips, chordwise: 4 }).lateral(0.05, [0.07, 0, 0]);

describe('fins at the ends of a tail', () => {
  test('the yaw stiffness does not hang on the grid', () => {
    const wanted = yaw(endPlates(-1), 36).yawStiffness;
    for (const strips of [9, 12, 16, 20, 25]) expectWithin(yaw(endPlates(-1), strips).yawStiffness, wanted, 0.03);
  });

  test('nor on a millimetre inside or outside the tip', () => {
    const wanted = yaw(endPlates(0)).yawStiffness;
    for (const aside of [-1.5, -0.7, 0.4, 1.5]) expectWithin(yaw(endPlates(aside)).yawStiffness, wanted, 0.01);
  });

  test('a fin clear of the tail stays where it is drawn', () => {
    const placed = endPlates(0, 30).surfaces.map(placeSurface);
    expect(alignFins(placed)).toEqual(placed);
  });

  test('only the fin moves, and only across the chord', () => {
    const placed = endPlates(-1, 0.5).surfaces.map(placeSurface);
    const [wing, tail, fins] = alignFins(placed);
    expect(wing).toBe(placed[0]);
    expect(tail).toBe(placed[1]);
    fins!.stations.forEach((station, index) => {
      const drawn = placed[2]!.stations[index]!;
      expect(station.x).toBe(drawn.x);
      expect(station.chord).toBe(drawn.chord);
      expect(station.y - drawn.y).toBeCloseTo(0.001, 12);
      expect(station.z - drawn.z).toBeCloseTo(-0.0005, 12);
    });
  });

  test('a fin on the centre line stays on it', () => {
    const fin: SurfaceInput = { ...trapezoid(140, 130, 90), id: 'fin', role: 'fin', mirrored: false };
    fin.stations[0]!.dihedral = 90;
    const tail: SurfaceInput = { ...trapezoid(200, 120), id: 'tail', role: 'tailplane', position: { z: 1 } };
    const placed = designOf([tail, fin]).surfaces.map(placeSurface);
    const moved = alignFins(placed)[1]!;
    expect(moved.stations.map(({ y }) => y)).toEqual([0, 0]);
    expect(moved.stations[0]!.z).toBeCloseTo(0.001, 12);
  });
});

describe('a bend beside the end of a control', () => {
  /** A wing whose outer panel stands up, with an aileron that ends so far from the bend. */
  const winglets = (end: number | null) =>
    designOf([
      {
        id: 'wing',
        role: 'wing',
        stations: [
          { distanceFromRoot: 0, chord: 180, dihedral: 2 },
          { distanceFromRoot: 450, chord: 130, leadingEdgeOffset: 20, dihedral: 70 },
          { distanceFromRoot: 560, chord: 80, leadingEdgeOffset: 80 },
        ],
        controls: end === null ? [] : [{ id: 'aileron', function: 'aileron', from: 0.45, to: end / 560 }],
      },
    ]);

  test.each([444, 448, 450, 452, 455])('%d mm of 450: sideways nothing changes', (end) => {
    const [plain, cut] = [winglets(null), winglets(end)].map((design) => yaw(design, 18));
    expectWithin(cut!.sideForceSlope, plain!.sideForceSlope, 0.02);
    expectWithin(cut!.dihedralEffect, plain!.dihedralEffect, 0.02);
    expectWithin(cut!.yawFromRollRate, plain!.yawFromRollRate, 0.05);
  });
});
