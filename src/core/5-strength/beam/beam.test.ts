import { describe, expect, test } from 'vitest';
import type { Vector3 } from '@/core/1-base/units/convert';
import { composite, type Fibre, utilisation } from '../section/composite';
import { sheetFibres } from '../section/fibres';
import { bend, weighed, weighedMoments } from './beam';
import { addTwo, CUT, eachPassing, PART, passingOf, placeOfCut } from './passing';
import { type Beam, type BeamLoad, centreAt, internalAt } from './stretch';
import { cross, dot, plus, times, unit } from '@/core/1-base/numeric/vectors';

const solid = { young: 2e9, shear: 8e8, tension: 2e7, compression: 1e7, band: 0 };

/** A crooked beam of unlike, unsymmetrical sections. */
function crookedBeam(): Beam {
  let inner: Vector3 = [0.1, 0, 0.02];
  const stretches = [0.11, 0.2, 0.05, 0.24].map((length, index) => {
    const along = unit([0.2 + 0.1 * index, 1, 0.15 * index]);
    const aft = unit(cross(along, [0, 0, 1]));
    const up = cross(aft, along);
    const outer = plus(inner, times(along, length));
    const fibre = (x: number, z: number): Fibre => ({
      member: 'rod',
      solid,
      x,
      z,
      pull: 4e4 + 1e4 * index,
      own: [0.4, 0.3, 0.05],
      reach: [0.001, 0, 0, 0.001],
    });
    const stretch = {
      from: [0, 0.11, 0.31, 0.36][index]!,
      to: [0.11, 0.31, 0.36, 0.6][index]!,
      inner,
      outer,
      along,
      aft,
      up,
      whole: composite([fibre(0, 0.01), fibre(0.1, 0), fibre(0.06, -0.02)]),
      twist: 3 + index,
      shear: 0,
      shearStrength: 0,
      centre: plus(times(plus(inner, outer), 0.5), times(aft, 0.03)),
    };
    inner = outer;
    return stretch;
  });
  return { stretches };
}

const loads: readonly BeamLoad[] = [
  { from: 0.05, to: 0.2, at: [0.12, 0.12, 0], way: [0.2, 1, 0], force: [0.3, 0.1, 4] },
  { from: 0.33, to: 0.33, at: [0.15, 0.33, 0.1], way: [0, 0, 0], force: [0, 0.4, -2], moment: [0.1, 0.3, 0] },
  { from: 0.3, to: 0.6, at: [0.2, 0.45, 0.05], way: [0.3, 1, 0.2], force: [0, -0.2, 3], moment: [0, -0.2, 0.05] },
];

describe('a beam', () => {
  const beam = crookedBeam();

  test('what passes the ends of every stretch, and it in the mean, is what lies outboard', () => {
    const passing = passingOf(beam, loads);
    beam.stretches.forEach((stretch, index) => {
      const { from, to, along, aft, up } = stretch;
      const outboardOf = (place: number) => {
        const { force, moment } = internalAt(loads, place, centreAt(stretch, place));
        return [dot(force, up), dot(moment, aft), -dot(moment, up), dot(moment, along)];
      };
      const [inner, middle, outer] = [from, (from + to) / 2, to].map(outboardOf) as [number[], number[], number[]];
      for (const part of Object.values(PART)) {
        expect(passing[placeOfCut(index, CUT.inner) + part]).toBeCloseTo(inner[part]!, 12);
        expect(passing[placeOfCut(index, CUT.outer) + part]).toBeCloseTo(outer[part]!, 12);
        const mean = (inner[part]! + 4 * middle[part]! + outer[part]!) / 6;
        expect(passing[placeOfCut(index, CUT.mean) + part]).toBeCloseTo(mean, 12);
      }
    });
  });

  test('loads one by one add up to what passes under all of them', () => {
    const each = eachPassing(beam, loads);
    const sum = new Float64Array(each.stride);
    addTwo(sum, each, 0, [2, -1]);
    addTwo(sum, each, 1, [0, 0.5]);
    const scaled = [2, -1, 0.5].map((by, which) => {
      const { force, moment = [0, 0, 0], ...rest } = loads[which]!;
      return { ...rest, force: times(force, by), moment: times(moment, by) };
    });
    passingOf(beam, scaled).forEach((value, at) => expect(sum[at]).toBeCloseTo(value, 12));
  });

  test('rotations weighed by moments are those of the bent beam', () => {
    const weights = [0, 1, 2, 3, 4].map((node): Vector3 => [0.2 * node, 1 - 0.3 * node, 0.5 + node]);
    const counts = weighedMoments(beam, weights);
    const each = eachPassing(beam, loads);
    loads.forEach((load, index) => {
      const { rotation } = bend(beam, [load]);
      const expected = rotation.reduce((sum, turned, node) => sum + dot(turned, weights[node]!), 0);
      expect(weighed(counts, each.values, index * each.stride)).toBeCloseTo(expected, 12);
      // What lies outboard of a load adds nothing.
      expect(weighed(counts, each.values, index * each.stride, each.reach[index])).toBeCloseTo(expected, 12);
    });
  });
});

test('a slanted sheet under both curvatures is worked hardest at one of its corners', () => {
  const [a, b, thickness] = [[0, 0], [0.06, 0.02], 0.004] as const;
  const [fibre] = sheetFibres({ a, b }, { layers: [{ member: 'paper', solid, thickness, height: 0 }] }, 0);
  const whole = composite([fibre!]);
  const length = Math.hypot(0.06, 0.02);
  for (const [up, aft] of [
    [0.3, 0.2],
    [0.3, -0.2],
    [-0.1, 0.4],
  ] as const) {
    const corners = [-1, 1].flatMap((long) =>
      [-1, 1].map((short) => {
        const z = (long * 0.02 + (short * thickness * 0.06) / length) / 2;
        const x = (long * 0.06 - (short * thickness * 0.02) / length) / 2;
        return -up * z - aft * x;
      }),
    );
    const pressed = (-Math.min(...corners) * solid.young) / solid.compression;
    expect(utilisation(whole, { up, aft }).share).toBeCloseTo(pressed, 9);
  }
});
