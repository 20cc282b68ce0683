import { z } from 'zod';
import { bodySchema, dragItemSchema, massItemSchema, materialSchema, wheelSchema } from './airframe';
import { figuresSchema } from './figures';
import { bounded, identifier, listOf, longText, shortText } from './limits';
import { assemblySchema, briefSchema, flightModeSchema, mixSchema, toleranceSchema } from './brief';
import { checkReferences } from './references';
import { laidByHandSchema, pricesSchema } from './cutting';
import { missionPhaseSchema } from './mission';
import { propulsionSchema } from './propulsion';
import { surfaceSchema } from './surface';

export const DESIGN_FORMAT = 'inclinar-design';
export const DESIGN_VERSION = 11;

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

export const loadsSchema = z.strictObject({
  diveAngle: bounded('dive', 'Steepest dive it is flown in, power off').default(45),
  diveHeight: bounded('drop', 'Height lost in that dive').default(40),
  landingSink: bounded('sink', 'Sinking speed at which it touches the ground').default(1.5),
  landingTravel: bounded('size', 'Way over which legs or belly give').default(12),
});

export const levellingSchema = z.strictObject({
  face: shortText('Face that carries the level, in words').default(''),
  angle: bounded('incidence', 'Nose-up angle of that face against the datum line').default(0),
});

export const setAsideSchema = z.strictObject({
  finding: identifier('Code of the finding'),
  reason: shortText('Why it may stay as it is').min(1, { error: 'must say why' }),
});

/** Lists of the document: what their members are, how many there may be, what they are for. */
export const LIST_MEMBERS = {
  surfaces: { member: surfaceSchema, most: 24, description: 'Lifting surfaces' },
  bodies: { member: bodySchema, most: 12, description: 'Fuselages, pods and booms' },
  materials: { member: materialSchema, most: 40, description: 'Material sheets' },
  massItems: { member: massItemSchema, most: 200, description: 'Equipment and other masses' },
  propulsion: { member: propulsionSchema, most: 8, description: 'Drives' },
  dragItems: { member: dragItemSchema, most: 60, description: 'Things in the wind that are neither surface nor body' },
  wheels: { member: wheelSchema, most: 12, description: 'Undercarriage' },
  mixes: { member: mixSchema, most: 12, description: 'Mixes that replace the usual ones of a command' },
  modes: { member: flightModeSchema, most: 3, description: 'Flight modes beside the drawn one' },
  mission: { member: missionPhaseSchema, most: 12, description: 'Phases of a flight, in their order' },
  laid: { member: laidByHandSchema, most: 400, description: 'Parts laid on their sheets by hand' },
  setAside: { member: setAsideSchema, most: 100, description: 'Findings that were looked at and set aside' },
  tolerances: { member: toleranceSchema, most: 400, description: 'A ± on any number of this document' },
  assemblies: { member: assemblySchema, most: 20, description: 'Parts that several designs share' },
} as const;

export type ListName = keyof typeof LIST_MEMBERS;

type Lists = {
  [Name in ListName]: z.ZodDefault<z.ZodArray<(typeof LIST_MEMBERS)[Name]['member']>>;
};

const LISTS = Object.fromEntries(
  Object.entries(LIST_MEMBERS).map(([name, { member, most, description }]) => [
    name,
    listOf(member as z.ZodType, most, description),
  ]),
) as unknown as Lists;

/**
 * One aircraft on paper. Lengths in millimetres, masses in grams, angles in
 * degrees, speeds in metres a second. Axes: x aft from the datum point, y to
 * the right wing, z up; angles nose-up positive. What happened to it (tosses,
 * flights, revisions …) lies beside it as records.
 */
export const designSchema = z
  .strictObject({
    format: z
      .literal(DESIGN_FORMAT, { error: `must be "${DESIGN_FORMAT}"` })
      .meta({ description: 'Says what this file is' }),
    version: z.literal(DESIGN_VERSION).meta({ description: 'Version of the file format' }),
    name: shortText('Name of the design').min(1, { error: 'must not be empty' }),
    notes: longText('Anything worth keeping').default(''),
    tags: listOf(shortText('Word it is found by').min(1, { error: 'must not be empty' }), 20, 'Words it is found by'),
    brief: briefSchema.prefault({}),
    conditions: flightConditionsSchema.prefault({}).meta({ description: 'Where and how fast it flies' }),
    balance: balanceAimsSchema.prefault({}).meta({ description: 'Aims for the balance' }),
    ...LISTS,
    prices: pricesSchema.prefault({}).meta({ description: 'What is bought beside boards and parts' }),
    loads: loadsSchema.prefault({}).meta({ description: 'What it must bear beside level flight' }),
    mode: identifier('Flight mode that is flown and computed; without it as drawn').optional(),
    figures: figuresSchema
      .optional()
      .meta({ description: 'Own figures of the builder; without them what is computed' }),
    levelling: levellingSchema.prefault({}).meta({ description: 'Where the level is laid to set the datum level' }),
    built: listOf(identifier('Step of the build order'), 400, 'Steps of the build that are done'),
    basedOn: identifier('Revision that this state grew from').optional(),
  })
  .superRefine((design, context) =>
    checkReferences(design, (path, message) => context.addIssue({ code: 'custom', path, message })),
  )
  .meta({
    title: 'Inclinar design',
    description: 'One aircraft on paper: millimetres, grams, degrees, metres a second',
  });

export type Design = z.output<typeof designSchema>;
export type DesignInput = z.input<typeof designSchema>;
