import { z } from 'zod';
import { bodySchema, dragItemSchema, massItemSchema, materialSchema, propulsionSchema, wheelSchema } from './airframe';
import { bounded, identifier, longText, shortText } from './limits';
import {
  assemblySchema,
  briefSchema,
  flightSchema,
  mixSchema,
  revisionSchema,
  toleranceSchema,
  tossSchema,
} from './record';
import { checkReferences } from './references';
import { surfaceSchema } from './surface';

export const DESIGN_FORMAT = 'inclinar-design';
export const DESIGN_VERSION = 1;

const listOf = <Item extends z.ZodType>(item: Item, most: number, description: string) =>
  z
    .array(item)
    .max(most, { error: `must hold at most ${most} entries` })
    .default([])
    .meta({ description });

export const flightConditionsSchema = z.strictObject({
  elevation: bounded('elevation', 'Height of the field above the sea').default(0),
  temperature: bounded('temperature', 'Air temperature at the field').default(15),
  cruiseSpeed: bounded('speed', 'Speed at which it should fly hands off').default(12),
});

export const balanceAimsSchema = z.strictObject({
  minimumStaticMargin: bounded('staticMargin', 'Least static margin that is wanted').default(0.05),
  maximumStaticMargin: bounded('staticMargin', 'Greatest static margin that is wanted').default(0.2),
  statedMaximumLift: bounded(
    'liftCoefficient',
    'Maximum lift coefficient to use instead of the computed one',
  ).optional(),
});

/**
 * One aircraft on paper. Lengths in millimetres, masses in grams, angles in
 * degrees, speeds in metres a second. Axes: x aft from the datum point, y to
 * the right wing, z up; angles nose-up positive.
 */
export const designSchema = z
  .strictObject({
    format: z
      .literal(DESIGN_FORMAT, { error: `must be "${DESIGN_FORMAT}"` })
      .meta({ description: 'Says what this file is' }),
    version: z.literal(DESIGN_VERSION).meta({ description: 'Version of the file format' }),
    name: shortText('Name of the design').min(1, { error: 'must not be empty' }),
    notes: longText('Anything worth keeping').default(''),
    brief: briefSchema.prefault({}),
    conditions: flightConditionsSchema.prefault({}).meta({ description: 'Where and how fast it flies' }),
    balance: balanceAimsSchema.prefault({}).meta({ description: 'Aims for the balance' }),
    surfaces: listOf(surfaceSchema, 24, 'Lifting surfaces'),
    bodies: listOf(bodySchema, 12, 'Fuselages, pods and booms'),
    materials: listOf(materialSchema, 40, 'Material sheets'),
    massItems: listOf(massItemSchema, 200, 'Equipment and other masses'),
    propulsion: listOf(propulsionSchema, 8, 'Drives'),
    dragItems: listOf(dragItemSchema, 60, 'Things in the wind that are neither surface nor body'),
    wheels: listOf(wheelSchema, 12, 'Undercarriage'),
    mixes: listOf(mixSchema, 12, 'Mixes that replace the usual ones of a command'),
    tolerances: listOf(toleranceSchema, 400, 'A ± on any number of this document'),
    assemblies: listOf(assemblySchema, 20, 'Parts that several designs share'),
    tosses: listOf(tossSchema, 2000, 'Hand tosses of a small glider'),
    flights: listOf(flightSchema, 5000, 'Flights'),
    revisions: listOf(revisionSchema, 200, 'Named states of this design'),
    basedOn: identifier('Revision that this state grew from').optional(),
  })
  .superRefine(checkReferences)
  .meta({
    title: 'Inclinar design',
    description: 'One aircraft on paper: millimetres, grams, degrees, metres a second',
  });

export type Design = z.output<typeof designSchema>;
export type DesignInput = z.input<typeof designSchema>;
