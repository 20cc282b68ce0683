import { z } from 'zod';
import { bounded, identifier, listOf, longText, point, shortText } from '../schema/limits';

/**
 * What happened to a design, beside what it is: each record names itself, its
 * day, and the revision it belongs to. Records are no part of the drawing and
 * outside its undo. Units as in the document.
 */
const moment = z.iso.datetime().meta({ description: 'Instant, UTC (ISO 8601)' });

const head = {
  id: identifier('Name of the record'),
  at: moment,
  revision: identifier('Revision it belongs to').optional(),
};
const notes = longText('What was seen').default('');
const metres = (least: number, most: number, description: string) =>
  z
    .number()
    .min(least)
    .max(most)
    .meta({ description: `${description} [m]` });

export const revisionSchema = z.strictObject({
  id: head.id,
  at: moment,
  name: shortText('Name in words'),
  parent: identifier('Revision it grew from').optional(),
  notes: longText('Why').default(''),
  design: z.record(z.string(), z.unknown()).meta({
    description: 'The whole design as it was, in the form of its own version, without records',
  }),
});

export const trialFoldSchema = z.strictObject({
  ...head,
  material: identifier('Board that was folded'),
  noseRadius: bounded('size', 'Radius of the fold'),
  angle: bounded('angle', 'Angle through which the sheet was folded'),
  shortfall: bounded(
    'offset',
    'How much shorter the upper skin came out than drawn; follows from strip and chord where they are given',
  ),
  stripCut: bounded('size', 'Width of the strip that was cut').optional(),
  chordReached: bounded('size', 'Chord that it reached when it was folded').optional(),
  scoredFace: z.enum(['inner', 'outer']).meta({ description: 'Face that was cut or dented' }),
  notes: shortText('What was seen').default(''),
});

export const tossSchema = z.strictObject({
  ...head,
  scale: z.number().min(0.01).max(10).default(1).meta({ description: 'Size of the tossed glider over the design' }),
  mass: bounded('mass', 'Mass when tossed').optional(),
  balance: bounded('position', 'Balance point aft of the datum').optional(),
  launchSpeed: bounded('speed', 'Speed out of the hand').optional(),
  launchPath: bounded('angle', 'Path out of the hand, up positive; level without it').optional(),
  launchHeight: metres(0.05, 200, 'Height of the hand above the ground').optional(),
  distance: metres(0, 1000, 'Distance flown').optional(),
  sideways: metres(-1000, 1000, 'Where it came down beside the line of the throw, right positive').optional(),
  time: z.number().min(0).max(3600).optional().meta({ description: 'From the hand to the ground [s]' }),
  wind: z.number().min(-20).max(20).optional().meta({ description: 'Mean wind, against the throw positive [m/s]' }),
  shim: bounded('incidence', 'Turn of the surface that trims it by shims, nose up beyond the drawing').optional(),
  ballast: bounded('mass', 'Ballast on it, counted in its mass').optional(),
  ballastAt: bounded('position', 'Where the ballast sits, aft of the datum on the tossed glider').optional(),
  result: z
    .enum(['steadyGlide', 'dived', 'ballooned', 'stalled', 'snapped', 'turnedLeft', 'turnedRight', 'other'])
    .meta({ description: 'What it did' }),
  track: z
    .array(
      z.strictObject({
        t: z.number().min(0).max(3600).meta({ description: 'Since it left the hand [s]' }),
        x: metres(-1000, 1000, 'Ahead of the hand'),
        z: metres(-200, 1000, 'Above the ground'),
      }),
    )
    .max(2000, { error: 'must hold at most 2000 places' })
    .default([])
    .meta({ description: 'Places over time, as a video shows them' }),
  notes,
});

export const benchReadingSchema = z.strictObject({
  ...head,
  what: z
    .enum(['angle', 'mass', 'balance', 'throw', 'warp', 'length', 'thrust', 'thrustAngle', 'check', 'other'])
    .meta({ description: 'What was measured' }),
  part: identifier('Part it was measured on').optional(),
  side: z.enum(['left', 'right', 'both']).optional().meta({ description: 'Side, where it has two' }),
  value: z.number().min(-1e6).max(1e6).meta({
    description:
      'Reading: degrees for angles, throws and warps, grams for masses and thrust, 1 for a check that is done, else millimetres',
  }),
  plusMinus: bounded('plusMinus', 'How far to trust it, in the same unit').optional(),
  place: point('Where it was measured').optional(),
  notes,
});

/** What a flight did, in plain words: none of it needs an instrument. */
export const FLIGHT_DEEDS = [
  'flewWell',
  'divesHandsOff',
  'climbsHandsOff',
  'balloonsWithPower',
  'noseDropsWithPower',
  'turnsLeft',
  'turnsRight',
  'dropsLeft',
  'dropsRight',
  'wanders',
  'slowToTurn',
  'flexes',
  'reversed',
] as const;

/** A piece of a flight that says something by itself. */
export const flightRunSchema = z.strictObject({
  kind: z
    .enum(['level', 'climb', 'glide', 'stall'])
    .meta({ description: 'Level under power, at full throttle, steady without power, or slowed down to the stall' }),
  speed: bounded('speed', 'Through the air').optional(),
  pitch: bounded('angle', 'Pitch trim found, trailing edge down positive').optional(),
  roll: bounded('angle', 'Roll trim found, to the right positive; of the rudder where nothing rolls').optional(),
  glideRatio: z.number().min(0).max(100).optional().meta({ description: 'Distance over height lost' }),
  duration: z.number().min(0).max(86400).optional().meta({ description: 'How long [s]' }),
  from: z.enum(['hand', 'recorder']).default('hand').meta({ description: 'Noted by hand, or found in a recording' }),
});

export const flightSchema = z.strictObject({
  ...head,
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
  did: z
    .array(z.enum(FLIGHT_DEEDS))
    .max(FLIGHT_DEEDS.length)
    .default([])
    .meta({ description: 'What it did, in plain words' }),
  runs: z
    .array(flightRunSchema)
    .max(200, { error: 'must hold at most 200 runs' })
    .default([])
    .meta({ description: 'Pieces of the flight that say something by themselves' }),
  pack: shortText('Pack that flew').default(''),
  turns: z.number().min(0).max(1e5).optional().meta({ description: 'Turns on the rubber motor' }),
  ticked: z.array(shortText('Item')).max(100).default([]).meta({ description: 'Items ticked before this flight' }),
  crash: z
    .strictObject({
      broke: z.array(shortText('What broke')).max(50).default([]).meta({ description: 'What broke' }),
      massAfter: bounded('mass', 'Mass after the repair').optional(),
      gates: z.array(identifier('Gate')).max(200).default([]).meta({ description: 'Gates to be read again' }),
    })
    .optional()
    .meta({ description: 'Present when it crashed' }),
  changed: longText('The one thing that was changed before this flight').default(''),
  verdict: z
    .enum(['better', 'same', 'worse', 'unknown'])
    .default('unknown')
    .meta({ description: 'Against the flight before' }),
  notes,
});

/** What a row of experiments cuts back, step by step. */
export const CUT_BACKS = ['fin', 'tips', 'throw'] as const;

export const experimentSchema = z.strictObject({
  ...head,
  question: longText('What is to be found out'),
  changed: longText('The one thing that differs').default(''),
  expected: longText('What should happen, said beforehand').default(''),
  found: longText('What happened').default(''),
  cutBack: z
    .strictObject({
      what: z.enum(CUT_BACKS).meta({ description: 'Height of a fin, span at the tips, or throw of a control' }),
      of: identifier('Surface or control'),
      steps: z
        .array(
          z.strictObject({
            share: z.number().min(0.1).max(1).meta({ description: 'What is left of what is drawn' }),
            verdict: z.enum(['better', 'same', 'worse', 'unknown']).default('unknown').meta({
              description: 'Against the step before',
            }),
            flight: identifier('Flight in which it was tried').optional(),
          }),
        )
        .min(1)
        .max(20)
        .meta({ description: 'Steps, from the drawing down' }),
    })
    .optional()
    .meta({ description: 'A planned row that takes off a little more each time' }),
  tosses: z.array(identifier('Toss')).max(200).default([]).meta({ description: 'Tosses that belong to it' }),
  flights: z.array(identifier('Flight')).max(200).default([]).meta({ description: 'Flights that belong to it' }),
});

/** Largest picture that is kept [bytes]. */
export const MOST_PICTURE_BYTES = 400_000;

export const photoSchema = z.strictObject({
  ...head,
  name: shortText('What it shows').default(''),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp']).meta({ description: 'Kind of picture' }),
  bytes: z
    .int()
    .min(1)
    .max(MOST_PICTURE_BYTES, { error: 'must be at most 400 kB: make the picture smaller' })
    .meta({ description: 'Size of the picture; it lies beside the file, under its id' }),
  part: identifier('Part or toss it shows').optional(),
  underlay: z
    .strictObject({
      view: z.enum(['plan', 'side']).default('plan').meta({ description: 'Drawing under which it lies' }),
      x: bounded('offset', 'Middle of the picture, aft of the datum').default(0),
      across: bounded('offset', 'Middle of the picture, right of the datum or above it').default(0),
      width: z.number().min(1).max(1e5).default(1000).meta({ description: 'What its width stands for [mm]' }),
      turn: bounded('angle', 'Turned clockwise on the sheet').default(0),
    })
    .optional()
    .meta({ description: 'Where it lies under the drawing, to be traced' }),
  notes,
});

/** Every kind of record: its schema and how many a design may have. */
export const RECORD_KINDS = {
  revisions: { schema: revisionSchema, most: 500, description: 'Named states of this design' },
  trialFolds: { schema: trialFoldSchema, most: 500, description: 'Trial folds that calibrate the bend of a board' },
  tosses: { schema: tossSchema, most: 2000, description: 'Hand tosses of a small glider' },
  benchReadings: { schema: benchReadingSchema, most: 5000, description: 'Readings on the bench' },
  flights: { schema: flightSchema, most: 5000, description: 'Flights' },
  experiments: { schema: experimentSchema, most: 500, description: 'One thing changed, and what it did' },
  photos: { schema: photoSchema, most: 500, description: 'Photographs' },
} as const;

export type RecordKind = keyof typeof RECORD_KINDS;
export const RECORD_NAMES = Object.keys(RECORD_KINDS) as RecordKind[];

export type RecordOf<Kind extends RecordKind> = z.output<(typeof RECORD_KINDS)[Kind]['schema']>;
/** All records of one design, by kind. */
export type Records = { readonly [Kind in RecordKind]: readonly RecordOf<Kind>[] };

export type Revision = RecordOf<'revisions'>;
export type TrialFold = RecordOf<'trialFolds'>;

export const NO_RECORDS: Records = {
  revisions: [],
  trialFolds: [],
  tosses: [],
  benchReadings: [],
  flights: [],
  experiments: [],
  photos: [],
};

type Shape = { [Kind in RecordKind]: z.ZodDefault<z.ZodArray<(typeof RECORD_KINDS)[Kind]['schema']>> };

const LISTS = Object.fromEntries(
  Object.entries(RECORD_KINDS).map(([kind, { schema, most, description }]) => [
    kind,
    listOf(schema as z.ZodType, most, description),
  ]),
) as unknown as Shape;

interface Grown {
  readonly id: string;
  readonly parent?: string;
}

/** Revisions grow from one another as a tree: every parent is there, and none grew from itself. */
function reportParents(revisions: readonly Grown[], report: (index: number, message: string) => void): void {
  const parents = new Map(revisions.map(({ id, parent }) => [id, parent]));
  revisions.forEach(({ id, parent }, index) => {
    if (parent === undefined) return;
    if (!parents.has(parent)) return report(index, `points to "${parent}", which is not among the revisions`);
    const passed = new Set<string>();
    for (let above: string | undefined = parent; above !== undefined; above = parents.get(above)) {
      if (above === id) return report(index, `"${id}" would have grown from itself: take one parent out`);
      if (passed.has(above)) return;
      passed.add(above);
    }
  });
}

/** Revisions whose parents form a tree: what points nowhere or in a circle grew from nothing. */
export function asGrown<Revision extends Grown>(revisions: readonly Revision[]): Revision[] {
  const loose = new Set<number>();
  reportParents(revisions, (index) => loose.add(index));
  return revisions.map((revision, index) => (loose.has(index) ? { ...revision, parent: undefined } : revision));
}

/** Records as they lie in a file beside the design. */
export const recordsSchema = z
  .strictObject(LISTS)
  .superRefine((records, context) => {
    for (const kind of RECORD_NAMES) {
      const seen = new Set<string>();
      records[kind].forEach(({ id }, index) => {
        if (seen.has(id))
          context.addIssue({ code: 'custom', path: [kind, index, 'id'], message: `"${id}" is used twice` });
        seen.add(id);
      });
    }
    reportParents(records.revisions, (index, message) =>
      context.addIssue({ code: 'custom', path: ['revisions', index, 'parent'], message }),
    );
  })
  .meta({ description: 'What happened to the design: outside the drawing and its undo' });
