import type { DesignInput } from '@/core/document/schema/design';

type List<Key extends keyof DesignInput> = NonNullable<DesignInput[Key]>;
export type SurfaceInput = List<'surfaces'>[number];
export type ItemInput = List<'massItems'>[number];
export type BodyInput = List<'bodies'>[number];
export type DriveInput = List<'propulsion'>[number];
type StationInput = SurfaceInput['stations'][number];
type SectionInput = NonNullable<StationInput['section']>;

/** Sheets that the school keeps in stock. Densities are our own, in the usual range of such board. */
export const MATERIALS: List<'materials'> = [
  {
    id: 'board5',
    name: 'Faced board 5 mm',
    thickness: 5,
    arealDensity: 410,
    faces: 'both',
    sheetLength: 1000,
    sheetWidth: 700,
  },
  {
    id: 'board5bare',
    name: 'Bare board 5 mm',
    thickness: 4.6,
    arealDensity: 190,
    faces: 'none',
    sheetLength: 1000,
    sheetWidth: 700,
  },
  {
    id: 'board3',
    name: 'Faced board 3 mm',
    thickness: 3,
    arealDensity: 330,
    faces: 'both',
    sheetLength: 1000,
    sheetWidth: 700,
  },
];

export const flat = (thickness = 5): SectionInput => ({
  kind: 'flatPlate',
  thickness,
  edge: 'rounded',
});
export const curved = (camber = 0.05, thickness = 5): SectionInput => ({
  kind: 'curvedPlate',
  thickness,
  camber,
  camberPosition: 0.35,
  openBelow: true,
});
export const folded = (sparHeight = 12, boardThickness = 5): SectionInput => ({
  kind: 'foldedOverSpar',
  boardThickness,
  sparHeight,
  sparPosition: 0.28,
  bottomLength: 0.75,
  rearBevel: 12,
});

/** Board surface with the usual glue and tape. */
export const ofBoard = (material: string, glueLength = 0): Pick<SurfaceInput, 'construction'> => ({
  construction: {
    material,
    glueLength,
    glueDensity: 8,
    tapeArea: 0,
    tapeDensity: 50,
    lighteningFraction: 0,
  },
});

/** Pod of board from nose to tail frame: [x, width, top, bottom] each. */
export function boxBody(
  id: string,
  name: string,
  frames: [number, number, number, number][],
  material = 'board5',
): BodyInput {
  return {
    id,
    name,
    kind: 'box',
    frames: frames.map(([x, width, top, bottom]) => ({ x, width, top, bottom })),
    construction: { material, extraFraction: 0.2 },
  };
}

export const item = (
  id: string,
  name: string,
  category: NonNullable<ItemInput['category']>,
  mass: number,
  x: number,
  z = 0,
  more: Partial<ItemInput> = {},
): ItemInput => ({ id, name, category, mass, position: { x, y: 0, z }, ...more });

/** A pack that slides in a bay. */
export const pack = (name: string, mass: number, x: number, from: number, to: number, z = -10): ItemInput =>
  item('pack', name, 'battery', mass, x, z, {
    size: { length: 70, width: 34, height: 22 },
    attachment: { kind: 'slides', from, to },
  });

export function fin(
  x: number,
  z: number,
  root: number,
  tip: number,
  height: number,
  sweep: number,
  more: Partial<SurfaceInput> = {},
): SurfaceInput {
  return {
    id: 'fin',
    name: 'Fin',
    role: 'fin',
    mirrored: false,
    position: { x, y: 0, z },
    stations: [
      { distanceFromRoot: 0, chord: root, dihedral: 90, section: flat() },
      {
        distanceFromRoot: height,
        chord: tip,
        leadingEdgeOffset: sweep,
        dihedral: 90,
        section: flat(),
      },
    ],
    controls: [
      {
        id: 'rudder',
        name: 'Rudder',
        function: 'rudder',
        hingeInboard: 0.6,
        hingeOutboard: 0.55,
        throwUp: 25,
        throwDown: 25,
      },
    ],
    ...ofBoard('board5'),
    ...more,
  };
}

export function tailplane(
  x: number,
  z: number,
  root: number,
  tip: number,
  half: number,
  more: Partial<SurfaceInput> = {},
): SurfaceInput {
  return {
    id: 'tailplane',
    name: 'Tailplane',
    role: 'tailplane',
    position: { x, y: 0, z },
    stations: [
      { distanceFromRoot: 0, chord: root, section: flat() },
      {
        distanceFromRoot: half,
        chord: tip,
        leadingEdgeOffset: (root - tip) * 0.6,
        section: flat(),
      },
    ],
    controls: [
      {
        id: 'elevator',
        name: 'Elevator',
        function: 'elevator',
        hingeInboard: 0.68,
        hingeOutboard: 0.62,
        throwUp: 22,
        throwDown: 22,
      },
    ],
    ...ofBoard('board5'),
    ...more,
  };
}

export const tractor = (x: number, z: number, diameter = 203, more: Partial<DriveInput> = {}): DriveInput => ({
  id: 'drive',
  name: 'Drive',
  kind: 'tractor',
  position: { x, y: 0, z },
  propellerDiameter: diameter,
  propellerPitch: diameter * 0.55,
  downThrust: 2,
  ...more,
});

/** Receiver, controller and servos of the school's common set, around a place. */
export const radioSet = (x: number, servoX: number): ItemInput[] => [
  item('receiver', 'Receiver', 'receiver', 8, x, 5),
  item('controller', 'Speed controller', 'speedController', 22, x - 40, -10),
  item('servos', 'Two servos', 'servo', 19, servoX, 5),
];

export const design = (name: string, rest: Omit<DesignInput, 'format' | 'version' | 'name'>): DesignInput => ({
  format: 'inclinar-design',
  version: 1,
  name,
  materials: MATERIALS,
  ...rest,
});
