import { z } from 'zod';
import { bounded, identifier, point, shortText } from './limits';

/** What was asked for. */
export const briefSchema = z.strictObject({
  purpose: z
    .enum(['float', 'train', 'payload', 'soar', 'wind', 'aerobatics', 'experiment'])
    .default('train')
    .meta({ description: 'What the aircraft is for' }),
  launch: z.enum(['hand', 'wheels', 'bungee']).default('hand').meta({ description: 'How it gets into the air' }),
  grip: z
    .enum(['plain', 'good'])
    .default('plain')
    .meta({ description: 'How it is held for a throw: around the fuselage, or by a grip made for it' }),
  fieldLength: z.number().min(0).max(10000).optional().meta({ description: 'Length of the field [m]' }),
  wind: z.number().min(0).max(30).optional().meta({ description: 'Wind it should fly in [m/s]' }),
  duration: z.number().min(0).max(600).optional().meta({ description: 'How long it should fly level at cruise [min]' }),
  climbRate: z.number().min(0).max(60).optional().meta({ description: 'How fast it should climb [m/s]' }),
  maximumMass: bounded('mass', 'Weight class or own limit').optional(),
  maximumSpan: bounded('size', 'Greatest span').optional(),
  longestPanel: bounded('size', 'Longest panel that can be carried').optional(),
  payloadMass: bounded('mass', 'Mass to be carried').optional(),
  targetWingLoading: z.number().min(0).max(50000).optional().meta({ description: 'Wanted mass per wing area [g/m²]' }),
  controls: z
    .array(z.enum(['aileron', 'elevator', 'rudder', 'throttle', 'flap']))
    .default([])
    .meta({ description: 'Controls wanted' }),
  drawer: z
    .array(
      z.strictObject({
        kind: shortText('What it is'),
        name: shortText('Name'),
        mass: bounded('mass', 'Mass').optional(),
      }),
    )
    .default([])
    .meta({ description: 'Sheets, packs, motors and spars at hand' }),
});

export const toleranceSchema = z.strictObject({
  field: z
    .string()
    .regex(/^(\/[A-Za-z0-9_-]+)+$/, { error: 'must be a path such as /surfaces/wing/incidence' })
    .meta({
      description: 'Path of a number in this document; list members are named by their id, or by their place',
    }),
  plusMinus: bounded('plusMinus', 'Half width of the band, in the unit of that field'),
});

export const mixSchema = z
  .strictObject({
    command: z.enum(['pitch', 'roll', 'yaw', 'flap']).meta({ description: 'Stick that is moved' }),
    terms: z
      .array(
        z.strictObject({
          control: identifier('Control it moves'),
          left: bounded('gain', 'Trailing edge down on the left side per unit of command'),
          right: bounded('gain', 'Trailing edge down on the right side per unit of command'),
        }),
      )
      .max(24)
      .default([])
      .meta({ description: 'How far each control follows' }),
    drives: z
      .array(
        z.strictObject({
          drive: identifier('Drive it tilts'),
          left: bounded('gain', 'Nose up tilt of the left one per unit of command, of its travel'),
          right: bounded('gain', 'Nose up tilt of the right one, or the only one, per unit of command, of its travel'),
        }),
      )
      .max(8)
      .default([])
      .meta({ description: 'How far each tilting drive follows' }),
  })
  .refine(({ terms, drives }) => terms.length + drives.length > 0, {
    error: 'must move at least one control or drive',
  });

/** A setting of the transmitter: what it changes against the drawn neutrals and the usual mixes. */
export const flightModeSchema = z.strictObject({
  id: identifier('Name of the flight mode'),
  name: shortText('Name in words'),
  neutrals: z
    .array(
      z.strictObject({
        control: identifier('Control'),
        angle: bounded('turn', 'Where it stands in this mode, trailing edge down; a flap set, a reflex'),
      }),
    )
    .max(24)
    .default([])
    .meta({ description: 'Controls that stand elsewhere than drawn' }),
  mixes: z.array(mixSchema).max(12).default([]).meta({ description: 'Mixes in place of those of the design' }),
});

export const assemblySchema = z.strictObject({
  id: identifier('Name of the assembly'),
  name: shortText('Name in words'),
  kind: z.enum(['wing', 'tail', 'pod', 'equipment']).meta({ description: 'What is shared' }),
  sharedId: z.string().max(100).optional().meta({ description: 'Identity that it has in every design that shares it' }),
  sharedVersion: z.int().min(1).optional().meta({ description: 'Counts the changes of the shared parts' }),
  origin: point('Where the assembly sits in this design').optional(),
  surfaces: z.array(identifier('Surface')).default([]).meta({ description: 'Surfaces that belong to it' }),
  bodies: z.array(identifier('Body')).default([]).meta({ description: 'Bodies that belong to it' }),
  massItems: z.array(identifier('Mass item')).default([]).meta({ description: 'Mass items that belong to it' }),
  propulsion: z.array(identifier('Drive')).default([]).meta({ description: 'Drives that belong to it' }),
});

export type Brief = z.output<typeof briefSchema>;
export type Mix = z.output<typeof mixSchema>;
export type FlightMode = z.output<typeof flightModeSchema>;
