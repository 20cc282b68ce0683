import { z } from 'zod';
import { bounded, identifier, point, shortText } from './limits';

const measured = (least: number, most: number, description: string) =>
  z.number().min(least).max(most).meta({ description });

export const motorSchema = z.strictObject({
  speedConstant: measured(50, 20000, 'Unloaded speed per volt [rev/min/V]'),
  mass: bounded('mass', 'Mass of one motor; what is not typed of it is estimated from that').optional(),
  resistance: measured(0, 10, 'Winding resistance, cold [Ω]').optional(),
  noLoadCurrent: measured(0, 20, 'No-load current [A]').optional(),
  noLoadVoltage: measured(
    0.5,
    60,
    'Voltage at which that was measured; it then grows with the revolutions [V]',
  ).optional(),
  maximumCurrent: measured(0.1, 500, 'What it bears for as long as it flies [A]').optional(),
});

export const controllerSchema = z.strictObject({
  maximumCurrent: measured(0.1, 500, 'What it bears for as long as it flies [A]').optional(),
  resistance: measured(0, 1, 'Of its transistors [Ω]').optional(),
});

export const packSchema = z.strictObject({
  chemistry: z
    .enum(['lithiumPolymer', 'lithiumIon'])
    .default('lithiumPolymer')
    .meta({ description: 'Flat cells with much current, or round ones with much energy' }),
  cells: z.int().min(1).max(14).meta({ description: 'Cells in series' }),
  parallel: z.int().min(1).max(12).default(1).meta({ description: 'Rows of them side by side' }),
  capacity: measured(10, 50000, 'Capacity of one row [mAh]'),
  resistance: measured(0, 5, 'Resistance of the whole pack, warm and new; without it by its capacity [Ω]').optional(),
  maximumCurrent: measured(0.1, 1000, 'What the whole pack bears for as long as it flies [A]').optional(),
  temperature: bounded('temperature', 'How warm it is at the start').default(20),
  cycles: z.int().min(0).max(2000).default(0).meta({ description: 'How often it has been charged' }),
});

/** What a bench said of a drive at rest, full throttle. */
export const benchTestSchema = z.strictObject({
  thrust: measured(1, 50000, 'Thrust of one propeller [g]').optional(),
  turns: measured(100, 60000, 'Revolutions [rev/min]').optional(),
  volts: measured(0.5, 70, 'At the leads of the pack [V]').optional(),
  current: measured(0.1, 500, 'What one motor then took from the pack [A]').optional(),
});

/** Strands of rubber that turn a propeller. */
export const rubberSchema = z.strictObject({
  strands: z.int().min(1).max(200).meta({ description: 'Strands side by side' }),
  length: bounded('size', 'Length of the motor from hook to hook, not wound'),
  width: bounded('size', 'Width of one strip'),
  thickness: bounded('size', 'Thickness of one strip'),
  mass: bounded('mass', 'Weighed mass of all strands; without it by their size').optional(),
  energy: measured(1, 15, 'What it holds when wound to breaking [kJ/kg]').default(9),
  returned: measured(0.1, 1, 'Share of that which comes back').default(0.67),
  turnsConstant: measured(20, 1000, 'K of the most turns K √(L³/m), metres and kilograms').default(200),
  woundTo: measured(0.1, 0.95, 'Share of the turns at which it breaks that it is wound to').default(0.8),
});

export const bladeStationSchema = z.strictObject({
  share: measured(0.02, 1, 'Place along the radius: 0 the middle of the hub, 1 the tip'),
  chord: bounded('size', 'Chord there'),
  angle: measured(-20, 90, 'Of its chord against the plane of the disc [°]'),
});

export const propulsionSchema = z.strictObject({
  id: identifier('Name of the drive'),
  name: shortText('Name in words').default(''),
  kind: z
    .enum(['tractor', 'pusher'])
    .default('tractor')
    .meta({ description: 'Propeller ahead of or behind its mount' }),
  mirrored: z.boolean().default(false).meta({ description: 'True for two of them, left and right' }),
  position: point('Centre of the propeller disc').default({ x: 0, y: 0, z: 0 }),
  downThrust: bounded('thrustAngle', 'Thrust line tilted nose down').default(0),
  rightThrust: bounded('thrustAngle', 'Thrust line tilted nose right').default(0),
  propellerDiameter: bounded('size', 'Propeller diameter').default(200),
  propellerPitch: bounded('size', 'Propeller pitch').default(110),
  blades: z.int().min(1).max(6).default(2).meta({ description: 'Number of blades' }),
  turns: z
    .enum(['clockwise', 'anticlockwise'])
    .default('clockwise')
    .meta({ description: 'Way it turns, seen from behind' }),
  blade: z
    .array(bladeStationSchema)
    .max(24, { error: 'must hold at most 24 entries' })
    .default([])
    .superRefine((stations, context) =>
      stations.forEach(({ share }, index) => {
        if (index > 0 && share <= stations[index - 1]!.share)
          context.addIssue({
            code: 'custom',
            path: [index, 'share'],
            message: 'must lie farther out than the one before',
          });
      }),
    )
    .meta({ description: 'Chord and angle measured along a blade, from the hub out; takes the place of the pitch' }),
  atRest: z
    .enum(['folds', 'stops', 'windmills'])
    .default('stops')
    .meta({ description: 'What the propeller does without power: folds back, is held, or turns in the wind' }),
  tiltTravel: bounded('deflection', 'How far it tilts each way when a mix moves it; 0 for a fixed mount').default(0),
  motor: motorSchema.optional(),
  controller: controllerSchema.optional(),
  pack: packSchema.optional(),
  benchTest: benchTestSchema.optional().meta({ description: 'What a bench said of it at rest, full throttle' }),
  rubber: rubberSchema.optional().meta({ description: 'Rubber in place of motor and pack' }),
});

export type Propulsion = z.output<typeof propulsionSchema>;
export type MotorData = z.output<typeof motorSchema>;
export type PackData = z.output<typeof packSchema>;
export type BenchTest = z.output<typeof benchTestSchema>;
export type RubberData = z.output<typeof rubberSchema>;
export type BladeStation = z.output<typeof bladeStationSchema>;
