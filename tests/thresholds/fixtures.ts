import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';

/** Aircraft beside whose bounds the rules are asked. Lengths in mm, angles in degrees. */
export const base = simpleAircraft(85);
export const change = (design: Design, ...fields: (readonly [string, unknown])[]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
export const rad = radiansFromDegrees;

// A built tail whose neutral turn is not known, so that only the shim for its error is offered.
export const builtTail = change(base, ['/surfaces/tail/asBuilt', { left: { incidence: 1 }, right: { incidence: 1 } }]);
export const uncontrolled = change(base, ['/surfaces/wing/controls', []], ['/surfaces/fin/controls', []]);
export const tailless = designOf([trapezoid(600, 200)]);
export const throughTail = (throwUp: number, throwDown: number) =>
  change(
    base,
    ['/surfaces/tail/controls/elevator/throwUp', throwUp],
    ['/surfaces/tail/controls/elevator/throwDown', throwDown],
  );
export const drive = (below: number) =>
  change(base, [
    '/propulsion',
    [
      {
        id: 'drive',
        name: '',
        kind: 'tractor',
        mirrored: false,
        position: { x: -50, y: 0, z: below },
        downThrust: 0,
        rightThrust: 0,
        propellerDiameter: 200,
        propellerPitch: 110,
        blades: 2,
        blade: [],
      },
    ],
  ]);
export const vTail = (dihedral: number) =>
  designOf([
    trapezoid(600, 200),
    {
      id: 'vee',
      role: 'vTail',
      position: { x: 600 },
      stations: [
        { distanceFromRoot: 0, chord: 120, dihedral },
        { distanceFromRoot: 200, chord: 120, dihedral },
      ],
    },
  ]);
export const plate = (halfSpan: number) => {
  const section = { kind: 'flatPlate' as const, thickness: 5 };
  return designOf([
    trapezoid(halfSpan, 200, 200, {
      stations: [
        { distanceFromRoot: 0, chord: 200, section },
        { distanceFromRoot: halfSpan, chord: 200, section },
      ],
    }),
  ]);
};
/** A symmetric four-digit section is thickest at 30 % of the chord; the rod lies so much behind it, and ends so far out on 600 mm of wing. */
export const rodBehind = (share: number, end = 500) => {
  const section = { kind: 'fourDigit' as const, camber: 0, camberPosition: 0.4, thicknessRatio: 0.12 };
  const x = (0.3 + share) * 200;
  return designOf([
    trapezoid(600, 200, 200, {
      stations: [
        { distanceFromRoot: 0, chord: 200, section },
        { distanceFromRoot: 600, chord: 200, section },
      ],
      spars: [{ id: 'rod', start: { distanceFromRoot: 0, x }, end: { distanceFromRoot: end, x }, linearDensity: 10 }],
    }),
  ]);
};
/** A pointed wing, 200 to 60 mm, with a rod so far aft at the root and so much further aft at 500 mm. */
export const rodThrough = (x: number, bend = 0) => {
  const section = { kind: 'fourDigit' as const, camber: 0, camberPosition: 0.4, thicknessRatio: 0.12 };
  return designOf([
    trapezoid(600, 200, 60, {
      stations: [
        { distanceFromRoot: 0, chord: 200, section },
        { distanceFromRoot: 600, chord: 60, section },
      ],
      spars: [
        {
          id: 'rod',
          start: { distanceFromRoot: 0, x },
          end: { distanceFromRoot: 500, x: x + bend },
          linearDensity: 10,
        },
      ],
    }),
  ]);
};
/** Where such a rod is as far ahead of the thickest place at the root as behind it at its end: 0.3 of 200 and of 83.3 mm. */
export const straightRod = { best: 0.6 / (1 / 200 + 1 / (200 - (140 * 500) / 600)), perChord: 200 - (140 * 500) / 600 };
/** The elevator begins 0.1 of 220 mm out, 22 mm; the body leaves it so much. */
export const gap = (room: number) =>
  change(
    base,
    ['/surfaces/tail/controls/elevator/from', 0.1],
    [
      '/bodies',
      [
        {
          id: 'boom',
          name: '',
          kind: 'box',
          mirrored: false,
          position: { x: 0, y: 0, z: 30 },
          frames: [0, 800].map((x) => ({ x, width: 2 * (22 - room), top: 20, bottom: -20 })),
          rods: [],
        },
      ],
    ],
  );
export const sides = (difference: number) =>
  change(base, ['/surfaces/wing/asBuilt', { left: { incidence: 3 }, right: { incidence: 3 + difference } }]);
/** Wheels whose main axle stands this angle behind the balance point at the origin, 100 mm over the ground. */
export const standing = (angle: number) =>
  change(base, [
    '/wheels',
    [
      {
        id: 'main',
        position: { x: 100 * Math.tan(rad(angle)), y: 120, z: -75 },
        diameter: 50,
        mirrored: true,
      },
      { id: 'nose', position: { x: -300, y: 0, z: -75 }, diameter: 50, mirrored: false },
    ],
  ]);
export const high = change(base, [
  '/dragItems',
  [{ id: 'mast', name: '', dragArea: 20000, position: { x: 100, y: 0, z: 800 }, mirrored: false }],
]);

export const tandem = designOf([
  trapezoid(600, 200),
  trapezoid(600, 200, 200, { id: 'rear', role: 'secondWing', position: { x: 500 } }),
]);
/** 50 g of motor pull 16.5 times as much; seven tenths of that over 0.15 + 1/10 carry 2.31 kg. */
export const motor = change(base, [
  '/massItems',
  [...base.massItems, { ...base.massItems[0]!, id: 'motor', mass: 50, category: 'motor' }],
]);
export const rod = (material: string, side = 6) =>
  change(base, [
    '/surfaces/wing/spars',
    [
      {
        id: 'rod',
        name: '',
        start: { distanceFromRoot: 0, x: 60 },
        end: { distanceFromRoot: 500, x: 60 },
        linearDensity: 10,
        shape: 'rectangle',
        innerDiameter: 0,
        width: side,
        height: side,
        material,
      },
    ],
  ]);

/** A wing whose section is read as points: half a sine of thickness and camber, sides that cross by so much near the tail. */
export function contour({ length = 1, thickness = 0.1, camber = 0, crossing = 0 }) {
  const places = Array.from({ length: 41 }, (_, index) => index / 40);
  const crossed = (x: number) => (x > 0.8 && x < 1 ? -crossing : thickness * Math.sin(Math.PI * x));
  const half = (side: 1 | -1) =>
    places.map((x): [number, number] => [
      length * x,
      length *
        (camber * Math.sin(Math.PI * x) + (side * (crossing > 0 ? crossed(x) : thickness * Math.sin(Math.PI * x))) / 2),
    ]);
  const points = [...half(1).reverse(), ...half(-1).slice(1)];
  const section = { kind: 'coordinates' as const, name: 'Lens', points };
  return designOf([
    {
      id: 'wing',
      role: 'wing',
      stations: [
        { distanceFromRoot: 0, chord: 200, section },
        { distanceFromRoot: 500, chord: 200, section },
      ],
    },
  ]);
}
