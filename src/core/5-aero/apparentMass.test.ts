import { describe, expect, test } from 'vitest';
import { simpleAircraft, surface, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { apparentMass, heaveShare, rollShare } from './apparentMass';

describe('air that moves with the wings', () => {
  // Panel solutions of rectangles, heave and roll.
  test.each([
    [1, 0.579, 0.06],
    [2, 0.757, 0.02],
    [4, 0.872, 0.01],
    [6, 0.913, 0.01],
    [10, 0.948, 0.01],
  ])('aspect ratio %d: %d of the strips in heave', (aspectRatio, share, tolerance) => {
    expectWithin(heaveShare(aspectRatio), share, tolerance);
  });
  test.each([
    [4, 0.684],
    [6, 0.772],
    [10, 0.855],
  ])('aspect ratio %d: %d of them in roll', (aspectRatio, share) => {
    expectWithin(rollShare(aspectRatio), share, 0.02);
  });

  test('a rectangle: k (π/4) ρ c² b in heave, k_x (π/4) ρ c² b³/12 in roll, at its middle', () => {
    const wing = placeSurface(surface(trapezoid(600, 200)));
    const { heave, heaveMoment, pitch, roll } = apparentMass([wing], 1.225, [0.04, 0, 0]);
    const strip = (Math.PI / 4) * 1.225 * 0.2 ** 2;
    expectWithin(heave, heaveShare(6) * strip * 1.2, 1e-9);
    expectWithin(roll, (rollShare(6) * strip * 1.2 ** 3) / 12, 1e-3);
    expectWithin(heaveMoment, heave * 0.06, 1e-9);
    expectWithin(pitch, heave * 0.06 ** 2, 1e-9);
  });

  test('a fin has none that counts', () => {
    const fin = placeSurface(
      surface({
        ...trapezoid(150, 120),
        id: 'fin',
        role: 'fin',
        mirrored: false,
        stations: [
          { distanceFromRoot: 0, chord: 120, dihedral: 90 },
          { distanceFromRoot: 150, chord: 90 },
        ],
      }),
    );
    expect(apparentMass([fin], 1.225, [0, 0, 0])).toEqual({ heave: 0, heaveMoment: 0, pitch: 0, roll: 0 });
  });
});

/** Point mass at constant lift: ζ = (2 + κ)/(2√2 L/D); pitch damping of light models adds to both. */
describe('the slow swing of a whole aircraft', () => {
  const run = (propulsion: readonly object[]) =>
    analyse(withFields(simpleAircraft(60), [{ field: '/propulsion', value: propulsion }]), { without: ['remedies'] });
  const dampingOf = ({ motion }: ReturnType<typeof run>) => {
    const { real, imaginary } = motion.longitudinal.find(({ kind }) => kind === 'phugoid')!;
    return -real / Math.hypot(real, imaginary);
  };
  const drive = {
    id: 'd',
    name: '',
    kind: 'tractor',
    mirrored: false,
    position: { x: -60, y: 0, z: 0 },
    downThrust: 0,
    rightThrust: 0,
    propellerDiameter: 200,
    propellerPitch: 110,
    blades: 2,
    blade: [],
  };

  test('a propeller whose thrust falls with speed damps it by 5/3 of what a glide has', () => {
    const [gliding, powered] = [run([]), run([drive])];
    expectWithin(dampingOf(powered) / dampingOf(gliding), 5 / 3, 0.05);
    const ratio = gliding.trim.liftCoefficient! / gliding.drag.total!;
    expect(dampingOf(gliding)).toBeGreaterThan(3 / (2 * Math.SQRT2 * ratio));
  });
});
