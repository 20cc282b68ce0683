import { z } from 'zod';
import { bounded, identifier, longText, point, shortText } from './limits';

/** What was asked for and what was seen: brief, tosses, flights, revisions. */
export const briefSchema = z.strictObject({
  purpose: z
    .enum(['float', 'train', 'payload', 'soar', 'wind', 'aerobatics', 'experiment'])
    .default('train')
    .meta({ description: 'What the aircraft is for' }),
  launch: z.enum(['hand', 'wheels', 'bungee']).default('hand').meta({ description: 'How it gets into the air' }),
  fieldLength: z.number().min(0).max(10000).optional().meta({ description: 'Length of the field [m]' }),
  wind: z.number().min(0).max(30).optional().meta({ description: 'Wind it should fly in [m/s]' }),
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

const moment = z.iso.datetime().meta({ description: 'Instant, UTC (ISO 8601)' });

export const tossSchema = z.strictObject({
  id: identifier('Name of the toss'),
  at: moment,
  scale: z.number().min(0.01).max(10).default(1).meta({ description: 'Size of the tossed glider over the design' }),
  mass: bounded('mass', 'Mass when tossed').optional(),
  balance: bounded('position', 'Balance point aft of the datum').optional(),
  launchSpeed: bounded('speed', 'Speed out of the hand').optional(),
  distance: z.number().min(0).max(1000).optional().meta({ description: 'Distance flown [m]' }),
  result: z
    .enum(['steadyGlide', 'dived', 'ballooned', 'stalled', 'turnedLeft', 'turnedRight', 'other'])
    .meta({ description: 'What it did' }),
  notes: longText('What was seen').default(''),
});

export const flightSchema = z.strictObject({
  id: identifier('Name of the flight'),
  at: moment,
  revision: identifier('Revision that was flown').optional(),
  mass: bounded('mass', 'Take-off mass').optional(),
  balance: bounded('position', 'Balance point aft of the datum').optional(),
  wind: z.number().min(0).max(30).optional().meta({ description: 'Mean wind [m/s]' }),
  duration: z.number().min(0).max(86400).optional().meta({ description: 'Time in the air [s]' }),
  trims: z
    .array(
      z.strictObject({
        control: identifier('Control'),
        deflection: bounded('angle', 'Trim found, trailing edge down positive'),
      }),
    )
    .default([])
    .meta({ description: 'Trim found in flight' }),
  changed: longText('The one thing that was changed before this flight').default(''),
  verdict: z
    .enum(['better', 'same', 'worse', 'unknown'])
    .default('unknown')
    .meta({ description: 'Against the flight before' }),
  notes: longText('What was seen').default(''),
});

export const revisionSchema = z.strictObject({
  id: identifier('Name of the revision'),
  name: shortText('Name in words'),
  at: moment,
  parent: identifier('Revision it grew from').optional(),
  notes: longText('Why').default(''),
  design: z.record(z.string(), z.unknown()).meta({
    description: 'The whole design as it was, in the form of its own version, without its revisions',
  }),
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

export const mixSchema = z.strictObject({
  command: z.enum(['pitch', 'roll', 'yaw', 'flap']).meta({ description: 'Stick that is moved' }),
  terms: z
    .array(
      z.strictObject({
        control: identifier('Control it moves'),
        left: bounded('gain', 'Trailing edge down on the left side per unit of command'),
        right: bounded('gain', 'Trailing edge down on the right side per unit of command'),
      }),
    )
    .min(1)
    .meta({ description: 'How far each control follows' }),
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
