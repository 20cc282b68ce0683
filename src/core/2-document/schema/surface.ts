import { z } from 'zod';
import { countedBy, checkTubes, fastenings, rodStock } from './airframe';
import { bounded, identifier, point, shortText } from './limits';
import { SURFACE_ROLES } from './roles';
import { sectionSchema } from './section';

export const stationSchema = z.strictObject({
  distanceFromRoot: bounded(
    'distanceFromRoot',
    'Distance from the root station, measured along the board (not projected)',
  ),
  chord: bounded('chord', 'Chord, measured along the flight direction'),
  leadingEdgeOffset: bounded('offset', 'Leading edge aft of the root leading edge').default(0),
  dihedral: bounded(
    'dihedral',
    'Angle above the horizontal of the panel from this station to the next; 90 is a fin; the last station has none',
  ).default(0),
  twist: bounded('twist', 'Nose-up angle against the root; washout is negative at the tip').default(0),
  section: sectionSchema.default({ kind: 'flatPlate', thickness: 5, edge: 'square' }),
});

/** Servo, pushrod and horn of one control. */
export const servoSchema = z.strictObject({
  travel: bounded('deflection', 'Travel of the servo arm each way').default(45),
  arm: bounded('size', 'Length of the servo arm').default(12),
  horn: bounded('size', 'Height of the control horn above the hinge').default(15),
  torque: bounded('torque', 'What the servo turns with before it stops').optional(),
  slop: bounded('size', 'Free play of the pushrod at the horn').default(0.2),
  pushrod: z
    .strictObject({
      length: bounded('size', 'Length between the places where it is held'),
      ...rodStock,
    })
    .optional()
    .meta({ description: 'Pushrod from servo to horn; checked for buckling' }),
});

export const controlSchema = z.strictObject({
  id: identifier('Name that mixes point to'),
  name: shortText('Name in words').default(''),
  function: z.enum(['aileron', 'elevator', 'rudder', 'elevon', 'flaperon', 'ruddervator', 'flap']).meta({
    description: 'What it answers to; elevons answer to pitch and roll, ruddervators to pitch and yaw',
  }),
  from: bounded('fraction', 'Inboard end as a fraction of the distance root to tip').default(0),
  to: bounded('fraction', 'Outboard end as a fraction of the distance root to tip').default(1),
  hingeInboard: bounded('fraction', 'Hinge at the inboard end, fraction of the local chord from the nose').default(
    0.75,
  ),
  hingeOutboard: bounded('fraction', 'Hinge at the outboard end, fraction of the local chord from the nose').default(
    0.75,
  ),
  allMoving: z
    .boolean()
    .default(false)
    .meta({ description: 'True when the whole chord turns and the hinge fractions do not matter' }),
  neutral: bounded(
    'turn',
    'Where it stands with the stick in the middle, trailing edge down (for a fin: to the right); reflex is negative',
  ).default(0),
  gap: z
    .enum(['sealed', 'open'])
    .default('sealed')
    .meta({ description: 'Hinge of paper or tape without a gap, or air through it' }),
  throwUp: bounded('deflection', 'Travel from there with the trailing edge up (for a fin: to the left)').default(20),
  throwDown: bounded('deflection', 'Travel from there with the trailing edge down (for a fin: to the right)').default(
    20,
  ),
  servo: servoSchema.optional().meta({ description: 'Linkage that moves the control' }),
  asBuilt: z
    .strictObject({
      left: bounded('turn', 'Measured on the left side with the stick in the middle, trailing edge down').optional(),
      right: bounded('turn', 'Measured on the right side with the stick in the middle, trailing edge down').optional(),
    })
    .optional()
    .meta({ description: 'Where it really stands, beside the drawn neutral; a single one has its angle on the right' }),
});

export const sparSchema = z.strictObject({
  id: identifier('Name of the spar'),
  name: shortText('Name in words').default(''),
  start: z.strictObject({
    distanceFromRoot: bounded('distanceFromRoot', 'Inner end, along the board'),
    x: bounded('offset', 'Inner end aft of the root leading edge'),
  }),
  end: z.strictObject({
    distanceFromRoot: bounded('distanceFromRoot', 'Outer end, along the board'),
    x: bounded('offset', 'Outer end aft of the root leading edge'),
  }),
  ...rodStock,
  level: z
    .enum(['upper', 'middle', 'lower'])
    .default('middle')
    .meta({ description: 'Where it lies in the section: under the upper face, midway, or on the lower face' }),
});

const sideSchema = z.strictObject({
  incidence: bounded('incidence', 'Measured angle of the root against the datum').optional(),
  tipTwist: bounded('twist', 'Measured nose-up angle of the tip against the root').optional(),
  dihedral: bounded('dihedral', 'Measured dihedral of the first panel').optional(),
});

export const surfaceSchema = z
  .strictObject({
    id: identifier('Name that other parts point to'),
    name: shortText('Name in words').default(''),
    role: z.enum(SURFACE_ROLES).meta({
      description: 'What it does; wing and secondWing make the reference area',
    }),
    mirrored: z.boolean().default(true).meta({
      description: 'True for a pair left and right; false for one surface in the plane of symmetry',
    }),
    position: point('Leading edge of the root station').default({ x: 0, y: 0, z: 0 }),
    incidence: bounded('incidence', 'Nose-up angle of the root chord against the datum line').default(0),
    stations: z
      .array(stationSchema)
      .min(2, { error: 'needs at least a root and a tip station' })
      .max(80, { error: 'must hold at most 80 stations' })
      .meta({ description: 'Stations from root to tip' }),
    controls: z.array(controlSchema).max(12).default([]).meta({ description: 'Hinged or all-moving parts' }),
    filleted: z.boolean().default(false).meta({ description: 'True when the corners at a fuselage are rounded out' }),
    spars: z.array(sparSchema).max(20).default([]).meta({ description: 'Straight spars in plan, on each side' }),
    construction: z
      .strictObject({
        material: identifier('Material sheet it is cut from'),
        ...fastenings,
        countedBy: countedBy(
          'Weighed by its board alone, or with folded spars, closing ribs and braces as they are cut',
        ),
        lighteningFraction: bounded('fraction', 'Share of the board cut away in lightening holes').default(0),
      })
      .optional()
      .meta({
        description: 'What the board parts are made of; without it the surface weighs nothing',
      }),
    joint: z.enum(['onePiece', 'braced', 'taped', 'glued', 'joiner']).default('onePiece').meta({
      description:
        'How left and right are joined at the root: one piece, butted with a brace as strong as the board, butted and taped on both faces, butted and glued only, or pushed over rods that run through',
    }),
    mount: z
      .strictObject({
        kind: z
          .enum(['glued', 'taped', 'bands', 'screws'])
          .default('glued')
          .meta({ description: 'How it is held on its body' }),
        bands: z.int().min(1).max(40).default(6).meta({ description: 'Rubber bands that cross it' }),
        bandPull: bounded('pull', 'Pull of one strand as it is stretched').default(6),
        bandWidth: bounded('size', 'Width of one strand').default(6),
        hasEdgeGuard: z
          .boolean()
          .default(false)
          .meta({ description: 'True when a stick or tape guards the board where bands bite' }),
      })
      .prefault({})
      .meta({ description: 'How it is held on its body' }),
    measuredMass: bounded(
      'mass',
      'Weighed mass of the whole surface, both sides; replaces the computed one',
    ).optional(),
    asBuilt: z
      .strictObject({ left: sideSchema.optional(), right: sideSchema.optional() })
      .optional()
      .meta({ description: 'Angles measured on the airframe, beside the drawn ones' }),
  })
  .superRefine((surface, context) => {
    surface.stations.forEach((station, index) => {
      const previous = surface.stations[index - 1];
      if (index === 0 && station.distanceFromRoot !== 0) {
        context.addIssue({
          code: 'custom',
          path: ['stations', 0, 'distanceFromRoot'],
          message: 'must be 0: the first station is the root',
        });
      }
      if (previous && station.distanceFromRoot - previous.distanceFromRoot < 1) {
        context.addIssue({
          code: 'custom',
          path: ['stations', index, 'distanceFromRoot'],
          message: `must be at least 1 mm beyond the station before it (${previous.distanceFromRoot} mm): stations run from root to tip`,
        });
      }
      const isPanel = index < surface.stations.length - 1;
      if (!surface.mirrored && isPanel && Math.abs(Math.abs(station.dihedral) - 90) > 1e-9) {
        context.addIssue({
          code: 'custom',
          path: ['stations', index, 'dihedral'],
          message:
            'must be 90 or −90 on a surface that is not mirrored: a single surface lies in the plane of symmetry',
        });
      }
    });
    if (!surface.mirrored && surface.position.y !== 0) {
      context.addIssue({
        code: 'custom',
        path: ['position', 'y'],
        message: 'must be 0 on a surface that is not mirrored: a single surface lies in the plane of symmetry',
      });
    }
    if (surface.mirrored && surface.position.y < 0) {
      context.addIssue({
        code: 'custom',
        path: ['position', 'y'],
        message: 'must not be negative: a mirrored surface is drawn on the right side',
      });
    }
    checkTubes(surface.spars, 'spars', context);
    surface.controls.forEach((control, index) => {
      if (control.to - control.from < 0.01) {
        context.addIssue({
          code: 'custom',
          path: ['controls', index, 'to'],
          message: 'must lie outboard of "from" by at least 0.01',
        });
      }
    });
  });

export type Surface = z.output<typeof surfaceSchema>;
export type { SurfaceRole } from './roles';
export type Station = z.output<typeof stationSchema>;
export type Control = z.output<typeof controlSchema>;
export type ControlFunction = Control['function'];
