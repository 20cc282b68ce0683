import { z } from 'zod';
import { cuttingOfBoard } from './cutting';
import { bounded, identifier, point, price, shortText } from './limits';

/** What holds board together and covers it, by length and area; typed or taken from the usual ones. */
export const fastenings = {
  glueLength: bounded('size', 'Glued joint length; of a mirrored part on each side').default(0),
  glueDensity: bounded('linearDensity', 'Glue per joint length').default(8),
  glueTest: z
    .strictObject({
      length: bounded('size', 'Length of the joint that was weighed'),
      weight: bounded('mass', 'What it gained by its glue'),
    })
    .optional()
    .meta({ description: 'Glue that was weighed; replaces what is typed for it' }),
  tapeArea: z.number().min(0).max(1e8).default(0).meta({ description: 'Tape or covering, all of the part [mm²]' }),
  tapeDensity: bounded('arealDensity', 'Tape or covering').default(50),
  covering: z
    .enum(['tape', 'film', 'tissue', 'glass', 'paint'])
    .default('tape')
    .meta({ description: 'What that tape or covering is; it stiffens the faces it lies on' }),
};

/** Whether weights take the drawn shape or the parts that are cut for it. */
export const countedBy = (description: string) => z.enum(['skin', 'parts']).default('skin').meta({ description });

const STRIP = 'of a strip that is held at one end and loaded at the other';

/** A strip or rod that was bent: how far it sank under a weight. */
export const sagTest = {
  length: bounded('size', `Free length ${STRIP}`),
  weight: bounded('mass', 'Weight at its end'),
  sag: bounded('size', 'How far the end sank by that weight'),
};

/** A rod laid lengthwise, along a surface or a body. */
export const rodStock = {
  linearDensity: bounded('linearDensity', 'Mass per length').default(0),
  shape: z
    .enum(['rectangle', 'round', 'tube'])
    .default('rectangle')
    .meta({ description: 'Stick or flat bar, full round rod, or round tube' }),
  width: bounded('size', 'Width; of a round rod or tube its outer diameter').default(0),
  height: bounded('size', 'Height; a round rod or tube has none beside its diameter').default(0),
  innerDiameter: bounded('size', 'Inner diameter of a tube').default(0),
  material: shortText('What it is made of').default(''),
  price: price('one metre of it'),
  sagTest: z
    .strictObject(sagTest)
    .optional()
    .meta({ description: 'How far such a rod was bent; replaces what its material is taken for' }),
};

/** A tube has a wall. */
export function checkTubes(
  rods: readonly { readonly shape: string; readonly width: number; readonly innerDiameter: number }[],
  path: string,
  context: z.RefinementCtx,
): void {
  rods.forEach(({ shape, width, innerDiameter }, index) => {
    if (shape === 'tube' && width > 0 && innerDiameter >= width) {
      context.addIssue({
        code: 'custom',
        path: [path, index, 'innerDiameter'],
        message: `must be less than the outer diameter of ${width} mm`,
      });
    }
  });
}

/** Fuselages, pods and booms: a row of frames along the datum. */
export const bodySchema = z
  .strictObject({
    id: identifier('Name that other parts point to'),
    name: shortText('Name in words').default(''),
    kind: z
      .enum(['box', 'round', 'plank'])
      .default('box')
      .meta({ description: 'Box of board, round shell, or a single upright board' }),
    mirrored: z.boolean().default(false).meta({ description: 'True for a pair left and right, such as two booms' }),
    position: point('Origin of the frames').default({ x: 0, y: 0, z: 0 }),
    frames: z
      .array(
        z.strictObject({
          x: bounded('offset', 'Aft of the body position'),
          width: bounded('size', 'Full width'),
          top: bounded('offset', 'Upper edge above the body position'),
          bottom: bounded('offset', 'Lower edge above the body position (negative below)'),
        }),
      )
      .min(2, { error: 'needs at least a nose and a tail frame' })
      .max(60)
      .meta({ description: 'Outline as frames from nose to tail' }),
    construction: z
      .strictObject({
        material: identifier('Material sheet it is cut from, and its doublers'),
        layers: z.int().min(1).max(6).default(1).meta({ description: 'Layers of board all over' }),
        countedBy: countedBy('Weighed by its skin and a share for the rest, or part by part as it is cut'),
        extraFraction: bounded('fraction', 'Formers, doublers and tabs as a share of the skin').default(0.15),
        doublers: z
          .array(
            z.strictObject({
              from: bounded('offset', 'Front end, aft of the body position'),
              to: bounded('offset', 'Rear end, aft of the body position'),
              layers: z.int().min(1).max(6).default(1).meta({ description: 'Layers more on each wall' }),
            }),
          )
          .max(8)
          .default([])
          .meta({ description: 'Stretches where the walls are doubled' }),
        ...fastenings,
        truss: z
          .strictObject({
            stickDensity: bounded('linearDensity', 'Mass per length of the sticks'),
            bay: bounded('ribSpacing', 'From upright to upright'),
            diagonals: z.boolean().default(false).meta({ description: 'True when every bay of the sides has one' }),
            filmDensity: bounded('arealDensity', 'Film all round, as put on').default(40),
          })
          .optional()
          .meta({ description: 'Four long sticks with uprights and cross pieces under film, in place of board' }),
      })
      .optional()
      .meta({ description: 'What it is made of; without it the body weighs nothing' }),
    rods: z
      .array(
        z
          .strictObject({
            id: identifier('Name of the rod'),
            name: shortText('Name in words').default(''),
            from: bounded('offset', 'Front end, aft of the body position'),
            to: bounded('offset', 'Rear end, aft of the body position'),
            y: bounded('offset', 'To the right of the middle of the body').default(0),
            z: bounded('offset', 'Above the body position').default(0),
            mirrored: z.boolean().default(false).meta({ description: 'True for two of them, left and right' }),
            ...rodStock,
          })
          .refine(({ from, to }) => to - from >= 1, {
            path: ['to'],
            error: 'must lie at least 1 mm aft of its front end',
          }),
      )
      .max(12)
      .default([])
      .meta({ description: 'Rods, sticks and tubes laid along it, such as a boom that is a tube' }),
    asBuilt: z
      .strictObject({
        twist: bounded('twist', 'Tail against wing seen from behind, right side down positive').optional(),
      })
      .optional()
      .meta({ description: 'What was measured on the finished body' }),
    measuredMass: bounded('mass', 'Weighed mass; replaces the computed one').optional(),
  })
  .superRefine((body, context) => {
    checkTubes(body.rods, 'rods', context);
    body.construction?.doublers.forEach(({ from, to }, index) => {
      if (to - from < 1) {
        context.addIssue({
          code: 'custom',
          path: ['construction', 'doublers', index, 'to'],
          message: 'must lie at least 1 mm aft of its front end',
        });
      }
    });
    body.frames.forEach((frame, index) => {
      const previous = body.frames[index - 1];
      if (previous && frame.x - previous.x < 0.1) {
        context.addIssue({
          code: 'custom',
          path: ['frames', index, 'x'],
          message: 'must lie aft of the frame before it',
        });
      }
      if (frame.top < frame.bottom) {
        context.addIssue({
          code: 'custom',
          path: ['frames', index, 'top'],
          message: 'must not lie below the lower edge',
        });
      }
    });
  });

export const materialSchema = z.strictObject({
  id: identifier('Name that parts point to'),
  name: shortText('Name in words').default(''),
  thickness: bounded('thickness', 'Sheet thickness'),
  arealDensity: bounded('arealDensity', 'Mass per area as used'),
  faces: z
    .enum(['both', 'one', 'none'])
    .default('both')
    .meta({ description: 'Paper left on both faces, one, or none' }),
  core: z
    .enum(['extruded', 'bead', 'polypropylene', 'wood'])
    .default('extruded')
    .meta({ description: 'What it is within: extruded or bead polystyrene, bead polypropylene, light wood' }),
  faceDensity: bounded('arealDensity', 'Paper of one face').default(110),
  sagTest: z
    .strictObject({ ...sagTest, width: bounded('size', 'Width of that strip') })
    .optional()
    .meta({ description: 'How far a strip of it was bent; replaces the stiffness it is taken for' }),
  breakTest: z
    .strictObject({
      length: bounded('size', `Free length ${STRIP}`),
      width: bounded('size', 'Width of that strip'),
      weight: bounded('mass', 'Weight at its end under which it gave way'),
    })
    .optional()
    .meta({ description: 'What broke a strip of it; replaces the strength it is taken for' }),
  price: price('one sheet'),
  ...cuttingOfBoard,
  sheetLength: bounded('size', 'Length of one sheet').default(1000),
  sheetWidth: bounded('size', 'Width of one sheet').default(700),
});

const attachmentSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('fixed') }),
    z.strictObject({
      kind: z.literal('slides').meta({ description: 'Moves fore and aft in a bay' }),
      from: bounded('position', 'Foremost place of its centre, x from the datum'),
      to: bounded('position', 'Rearmost place of its centre, x from the datum'),
    }),
    z.strictObject({
      kind: z.literal('movesWith').meta({ description: 'Moves with a body, such as a pod' }),
      body: identifier('Body it belongs to'),
    }),
  ])
  .superRefine((attachment, context) => {
    if (attachment.kind === 'slides' && attachment.to < attachment.from) {
      context.addIssue({
        code: 'custom',
        path: ['to'],
        message: 'must not lie in front of "from"',
      });
    }
  });

export const massItemSchema = z.strictObject({
  id: identifier('Name that other parts point to'),
  name: shortText('Name in words').default(''),
  category: z
    .enum([
      'battery',
      'motor',
      'propeller',
      'speedController',
      'servo',
      'receiver',
      'payload',
      'ballast',
      'undercarriage',
      'hardware',
      'other',
    ])
    .default('other')
    .meta({ description: 'Group it is summed under' }),
  mass: bounded('mass', 'Mass as computed or taken from a data sheet'),
  measuredMass: bounded('mass', 'Weighed mass; replaces the other').optional(),
  position: point('Centre of the part').default({ x: 0, y: 0, z: 0 }),
  size: z
    .strictObject({
      length: bounded('size', 'Along x').default(0),
      width: bounded('size', 'Along y').default(0),
      height: bounded('size', 'Along z').default(0),
    })
    .optional()
    .meta({ description: 'Box it fills; gives it inertia of its own' }),
  mirrored: z
    .boolean()
    .default(false)
    .meta({ description: 'True for two of them, left and right; the mass is of one' }),
  inWind: z
    .boolean()
    .default(false)
    .meta({ description: 'True when its box stands out in the wind, such as a servo on the outside' }),
  attachment: attachmentSchema.default({ kind: 'fixed' }),
  price: price('one of them'),
  heldBy: z
    .enum(['strap', 'hookAndLoop', 'glue', 'screws'])
    .optional()
    .meta({ description: 'What holds it in its place; what that bears is then checked' }),
  view: z
    .strictObject({
      fieldOfView: z.number().min(5).max(175).default(70).meta({ description: 'Angle across the picture [°]' }),
      towards: bounded('angle', 'Where it looks, seen from above: 0 forward, 90 to the right').default(0),
      down: bounded('angle', 'How far it looks down; 90 straight down').default(0),
    })
    .optional()
    .meta({ description: 'What a camera sees: a cone about where it looks' }),
});

export const dragItemSchema = z.strictObject({
  id: identifier('Name of the item'),
  name: shortText('Name in words').default(''),
  dragArea: bounded('dragArea', 'Drag coefficient times frontal area; not used where a form is given').default(0),
  form: z
    .strictObject({
      shape: z
        .enum(['bar', 'box', 'disc', 'faired'])
        .meta({ description: 'Round bar across the wind, box, flat face, or a faired body' }),
      width: bounded('size', 'Width across the wind'),
      height: bounded('size', 'Height across the wind'),
    })
    .optional()
    .meta({ description: 'What it is seen from the front; its drag area follows' }),
  position: point('Where the drag acts').default({ x: 0, y: 0, z: 0 }),
  mirrored: z.boolean().default(false).meta({ description: 'True for two of them, left and right' }),
});

export const wheelSchema = z.strictObject({
  id: identifier('Name of the wheel or skid'),
  position: point('Axle, or lowest point of a skid'),
  diameter: bounded('size', 'Wheel diameter; 0 for a skid').default(0),
  width: bounded('size', 'Width of the tyre').optional(),
  legDiameter: bounded('size', 'Thickness of the leg across the wind').default(2),
  retracts: z.boolean().default(false).meta({ description: 'True when it is drawn in for flight' }),
  mirrored: z.boolean().default(false).meta({ description: 'True for a pair left and right' }),
});

export type Body = z.output<typeof bodySchema>;
export type Material = z.output<typeof materialSchema>;
export type MassItem = z.output<typeof massItemSchema>;
export type DragItem = z.output<typeof dragItemSchema>;
export type Wheel = z.output<typeof wheelSchema>;
