import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { downwashReceiver } from './downwash';
import { findJunctions } from './junctions';
import { buildLattice } from './lattice';

const receiverOf = (name: string) => {
  const lattice = buildLattice(demoDesign(name).surfaces.map(placeSurface));
  return downwashReceiver(lattice)?.surfaces.map((index) => lattice.surfaces[index]!.id);
};

describe('who meets whose wake', () => {
  test.each([
    ['lagoon-postman', ['tailplane']],
    ['gannet-vee', ['vtail']],
    ['heron-canard', ['wing']],
    ['tandem-ferry', ['rear']],
    ['harbour-steward', ['tailplane']],
    ['tideline-plank', undefined],
  ])('%s', (name, wanted) => {
    expect(receiverOf(name)).toEqual(wanted);
  });
});

describe('downwash', () => {
  test('lies between that beside the wing and the far value 2C_L/(πA) twice over', () => {
    const { pitch, trim, reference } = analyse(simpleAircraft(), { surfacesOnly: true, without: ['remedies'] });
    const half = trim.liftCoefficient! / (Math.PI * reference.aspectRatio!);
    expect(pitch.downwash).toBeGreaterThan(half);
    expect(pitch.downwash).toBeLessThan(4 * half);
  });

  test('its slope fades as the tail rises out of the wake', () => {
    const slopes = [30, 150, 300].map((z) => {
      const aircraft = structuredClone(simpleAircraft());
      aircraft.surfaces[1]!.position.z = z;
      return analyse(aircraft, { surfacesOnly: true, without: ['remedies'] }).pitch.downwashSlope!;
    });
    expect(slopes[0]).toBeGreaterThan(slopes[1]!);
    expect(slopes[1]).toBeGreaterThan(slopes[2]!);
  });

  test.each(DEMO_NAMES)('%s: the same on a finer grid, to a twentieth of the angle of attack’s share', (name) => {
    const at = (grid?: { strips: number; chordwise: number }) =>
      analyse(demoDesign(name), { surfacesOnly: true, without: ['remedies'], grid }).pitch;
    const [coarse, fine] = [at(), at({ strips: 30, chordwise: 6 })];
    if (coarse.downwashSlope === null) return expect(fine.downwashSlope).toBeNull();
    expect(Math.abs(coarse.downwashSlope - fine.downwashSlope!)).toBeLessThan(0.05);
    expect(Math.abs(coarse.downwash! - fine.downwash!)).toBeLessThan(0.004);
  });
});

describe('junctions', () => {
  const placed = (inputs: Parameters<typeof designOf>[0]) => designOf(inputs).surfaces.map(placeSurface);

  test('a tip fin meets its wing at the tip, a tailplane meets the fin it sits on', () => {
    const wing = trapezoid(500, 200);
    const tipFin = trapezoid(120, 150, 100, { id: 'fin', role: 'tipFin', position: { x: 20, y: 500 } });
    tipFin.stations[0]!.dihedral = 90;
    expect(
      findJunctions(placed([wing, tipFin])).map(({ met, distance }) => [met, Math.round(distance * 1000)]),
    ).toContainEqual([0, 500]);
    const aircraft = simpleAircraft();
    const onFin = findJunctions(aircraft.surfaces.map(placeSurface)).find(({ met }) => met === 2)!;
    expectWithin(onFin.distance, 0.03, 1e-9);
  });

  test('surfaces that pass at a distance, or one behind the other, do not meet', () => {
    const far = trapezoid(200, 100, 100, { id: 'tail', role: 'tailplane', position: { x: 600 } });
    const above = trapezoid(500, 200, 200, { id: 'upper', role: 'secondWing', position: { x: 0, y: 0, z: 150 } });
    expect(findJunctions(placed([trapezoid(500, 200), far, above]))).toEqual([]);
  });
});
