import { boxBody, curved, design, fin, item, MATERIALS, ofBoard, pack, radioSet, tailplane, tractor } from './parts';

const mailHull = boxBody('pod', 'Fuselage', [
  [0, 40, 22, -28],
  [60, 58, 32, -38],
  [330, 58, 32, -36],
  [900, 22, 18, -4],
]);

const wing = (incidence: number) => ({
  id: 'wing',
  name: 'Wing',
  role: 'wing' as const,
  position: { x: 190, y: 0, z: 34 },
  incidence,
  stations: [
    { distanceFromRoot: 0, chord: 210, dihedral: 4, section: curved(0.045) },
    { distanceFromRoot: 430, chord: 210, dihedral: 4, section: curved(0.045) },
    { distanceFromRoot: 620, chord: 160, leadingEdgeOffset: 22, twist: -2, section: curved(0.04) },
  ],
  controls: [
    {
      id: 'aileron',
      name: 'Aileron',
      function: 'aileron' as const,
      from: 0.55,
      to: 0.95,
      hingeInboard: 0.76,
      hingeOutboard: 0.74,
      throwUp: 20,
      throwDown: 14,
    },
  ],
  spars: [
    {
      id: 'mainSpar',
      name: 'Carbon tube 6 mm',
      start: { distanceFromRoot: 0, x: 63 },
      end: { distanceFromRoot: 560, x: 66 },
      linearDensity: 22,
      width: 6,
      height: 6,
      material: 'carbon tube',
    },
  ],
  ...ofBoard('board5', 900),
});

/** Carries post between the buildings of the island school; balances as drawn. */
export const lagoonPostman = design('Lagoon Postman', {
  notes: 'Trainer and post carrier of the Cay Orell school. Slow, forgiving, hand launched from the jetty.',
  brief: {
    purpose: 'train',
    launch: 'hand',
    maximumMass: 900,
    longestPanel: 1300,
    controls: ['aileron', 'elevator', 'rudder', 'throttle'],
  },
  conditions: { elevation: 4, temperature: 27, cruiseSpeed: 11 },
  materials: MATERIALS,
  surfaces: [wing(3), tailplane(760, 12, 140, 105, 230, { incidence: 0 }), fin(770, 16, 140, 80, 165, 55)],
  bodies: [mailHull],
  massItems: [
    item('motor', 'Motor 28 mm', 'motor', 56, -8, 0, {
      size: { length: 30, width: 28, height: 28 },
    }),
    item('propeller', 'Propeller', 'propeller', 11, -30),
    pack('Pack 3 cells 1300', 112, 118, 50, 210),
    ...radioSet(260, 330),
    item('aileronServos', 'Aileron servo', 'servo', 9, 270, 34, {
      position: { x: 270, y: 250, z: 34 },
      mirrored: true,
    }),
    item('linkage', 'Push rods and horns', 'hardware', 16, 560, 5),
  ],
  propulsion: [tractor(-30, 0)],
});

/** The postman with a longer tail and a camera behind the wing; tail heavy until its pack moves forward. */
export const reefSurveyor = design('Reef Surveyor', {
  notes: 'Maps the lagoon. With the camera fitted it balances too far back; the pack has room to go forward.',
  brief: {
    purpose: 'payload',
    launch: 'hand',
    maximumMass: 1100,
    payloadMass: 70,
    controls: ['aileron', 'elevator', 'rudder', 'throttle'],
  },
  conditions: { elevation: 4, temperature: 27, cruiseSpeed: 12 },
  surfaces: [
    {
      ...wing(3),
      stations: [
        { distanceFromRoot: 0, chord: 220, dihedral: 3, section: curved(0.05) },
        { distanceFromRoot: 480, chord: 220, dihedral: 3, section: curved(0.05) },
        {
          distanceFromRoot: 700,
          chord: 165,
          leadingEdgeOffset: 24,
          twist: -2,
          section: curved(0.045),
        },
      ],
    },
    tailplane(790, 12, 150, 110, 245, { incidence: -0.5 }),
    fin(800, 16, 150, 85, 180, 60),
  ],
  bodies: [mailHull],
  massItems: [
    item('motor', 'Motor 28 mm', 'motor', 60, -8, 0, {
      size: { length: 32, width: 28, height: 28 },
    }),
    item('propeller', 'Propeller', 'propeller', 12, -30),
    pack('Pack 3 cells 2200', 168, 262, 50, 280),
    ...radioSet(300, 360),
    item('camera', 'Mapping camera', 'payload', 68, 345, -30),
    item('aileronServos', 'Aileron servo', 'servo', 9, 275, 34, {
      position: { x: 275, y: 280, z: 34 },
      mirrored: true,
    }),
    item('linkage', 'Push rods and horns', 'hardware', 17, 580, 5),
  ],
  propulsion: [tractor(-30, 0, 229)],
  dragItems: [
    {
      id: 'cameraWindow',
      name: 'Camera window',
      dragArea: 900,
      position: { x: 345, y: 0, z: -38 },
    },
  ],
});
