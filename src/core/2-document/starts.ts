import { type Design, designSchema, DESIGN_VERSION } from './schema/design';

/** An empty sheet with the usual boards at hand. Masses of what is commonly sold; weigh your own. */
export function blankDesign(name: string): Design {
  return designSchema.parse({
    format: 'inclinar-design',
    version: DESIGN_VERSION,
    name,
    conditions: { cruiseSpeed: 10 },
    materials: [
      { id: 'board5', name: 'Faced board 5 mm', thickness: 5, arealDensity: 410 },
      { id: 'board3', name: 'Faced board 3 mm', thickness: 3, arealDensity: 290 },
      { id: 'bare5', name: 'Bare board 5 mm, paper off', thickness: 4.6, arealDensity: 190, faces: 'none' },
    ],
  });
}

/** A plain start: rectangular wing, tailplane and fin of 5 mm board, to be drawn into shape. */
export function plainDesign(name: string): Design {
  const board = { material: 'board5' };
  const sheet = { kind: 'flatPlate', thickness: 5, edge: 'rounded' } as const;
  return designSchema.parse({
    format: 'inclinar-design',
    version: DESIGN_VERSION,
    name,
    conditions: { cruiseSpeed: 10 },
    materials: [{ id: 'board5', name: 'Faced board 5 mm', thickness: 5, arealDensity: 410 }],
    surfaces: [
      {
        id: 'wing',
        name: 'Wing',
        role: 'wing',
        position: { x: 150, y: 0, z: 30 },
        incidence: 3,
        construction: board,
        stations: [
          {
            distanceFromRoot: 0,
            chord: 200,
            dihedral: 4,
            section: { kind: 'curvedPlate', thickness: 5, camber: 0.04 },
          },
          {
            distanceFromRoot: 500,
            chord: 180,
            section: { kind: 'curvedPlate', thickness: 5, camber: 0.04 },
          },
        ],
      },
      {
        id: 'tailplane',
        name: 'Tailplane',
        role: 'tailplane',
        position: { x: 650, y: 0, z: 0 },
        construction: board,
        stations: [
          { distanceFromRoot: 0, chord: 120, section: sheet },
          { distanceFromRoot: 190, chord: 100, leadingEdgeOffset: 10, section: sheet },
        ],
        controls: [
          {
            id: 'elevator',
            name: 'Elevator',
            function: 'elevator',
            hingeInboard: 0.65,
            hingeOutboard: 0.6,
          },
        ],
      },
      {
        id: 'fin',
        name: 'Fin',
        role: 'fin',
        mirrored: false,
        position: { x: 660, y: 0, z: 4 },
        construction: board,
        stations: [
          { distanceFromRoot: 0, chord: 120, dihedral: 90, section: sheet },
          { distanceFromRoot: 140, chord: 80, leadingEdgeOffset: 40, dihedral: 90, section: sheet },
        ],
        controls: [
          {
            id: 'rudder',
            name: 'Rudder',
            function: 'rudder',
            hingeInboard: 0.6,
            hingeOutboard: 0.5,
          },
        ],
      },
    ],
    bodies: [
      {
        id: 'fuselage',
        name: 'Fuselage',
        kind: 'box',
        construction: board,
        frames: [
          { x: 0, width: 45, top: 25, bottom: -25 },
          { x: 250, width: 50, top: 28, bottom: -28 },
          { x: 770, width: 15, top: 8, bottom: -6 },
        ],
      },
    ],
    massItems: [
      { id: 'motor', name: 'Motor', category: 'motor', mass: 50, position: { x: -10 } },
      {
        id: 'pack',
        name: 'Pack',
        category: 'battery',
        mass: 100,
        position: { x: 80, z: -8 },
        size: { length: 70, width: 34, height: 22 },
        attachment: { kind: 'slides', from: 40, to: 200 },
      },
      {
        id: 'radio',
        name: 'Receiver and controller',
        category: 'receiver',
        mass: 30,
        position: { x: 200 },
      },
      { id: 'servos', name: 'Servos', category: 'servo', mass: 20, position: { x: 260 } },
    ],
  });
}
