import { z } from 'zod';
import { MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import { bounded, price, shortText } from '../schema/limits';
import { motorSchema, packSchema } from '../schema/propulsion';

const head = { name: shortText('Name in words'), mass: bounded('mass', 'Mass of one'), price: price('one of them') };

export const propellerLabelSchema = z.strictObject({
  propellerDiameter: bounded('size', 'Propeller diameter'),
  propellerPitch: bounded('size', 'Propeller pitch'),
  blades: z.int().min(1).max(6).default(2).meta({ description: 'Number of blades' }),
  /** What a bench test found, over what its shape says. */
  thrustFactor: z.number().min(0.1).max(10).optional(),
  torqueFactor: z.number().min(0.1).max(10).optional(),
});

/** What a drive is put together from. */
export const motorPartSchema = z.strictObject({ ...head, motor: motorSchema });
export const propellerPartSchema = z.strictObject({ ...head, propeller: propellerLabelSchema });
export const packPartSchema = z.strictObject({ ...head, pack: packSchema });

export type MotorPart = z.output<typeof motorPartSchema>;
export type PropellerPart = z.output<typeof propellerPartSchema>;
export type PackPart = z.output<typeof packPartSchema>;
export type PropellerLabel = z.output<typeof propellerLabelSchema>;

/** Motors, propellers and packs that may be put together. */
export interface DriveParts {
  readonly motors: readonly MotorPart[];
  readonly propellers: readonly PropellerPart[];
  readonly packs: readonly PackPart[];
}

const motor = (mass: number, speedConstant: number): MotorPart => ({
  name: `Motor, ${mass} g, ${speedConstant} rev/min/V`,
  mass,
  motor: { speedConstant, mass },
});

/** Thin moulded propellers [g]: about the power 2.2 of the diameter. */
const propeller = (inches: number, pitch: number): PropellerPart => ({
  name: `Propeller, ${inches} × ${pitch} in`,
  mass: Math.round(9 * (inches / 8) ** 2.2 * 10) / 10,
  propeller: {
    propellerDiameter: inches * MILLIMETRES_PER_INCH,
    propellerPitch: pitch * MILLIMETRES_PER_INCH,
    blades: 2,
  },
});

const pack = (cells: number, capacity: number, mass: number): PackPart => ({
  name: `Pack, ${cells} cells ${capacity} mAh`,
  mass,
  pack: packSchema.parse({ cells, capacity }),
});

/** Generic sizes, not products: what is usual in each class of mass. Winding and no-load current follow from the mass (±50 %). */
export const USUAL_DRIVE_PARTS: DriveParts = {
  motors: [
    motor(12, 2000),
    motor(12, 3000),
    motor(20, 1500),
    motor(20, 2300),
    motor(28, 1300),
    motor(28, 1800),
    motor(50, 900),
    motor(50, 1200),
    motor(70, 800),
    motor(70, 1100),
    motor(110, 700),
    motor(110, 950),
    motor(160, 600),
    motor(160, 800),
  ],
  propellers: [
    propeller(5, 3),
    propeller(6, 4),
    propeller(7, 4),
    propeller(7, 6),
    propeller(8, 4),
    propeller(8, 6),
    propeller(9, 5),
    propeller(9, 6),
    propeller(10, 5),
    propeller(10, 7),
    propeller(11, 6),
    propeller(12, 6),
  ],
  packs: [
    pack(2, 300, 18),
    pack(2, 450, 28),
    pack(2, 850, 48),
    pack(3, 450, 41),
    pack(3, 850, 72),
    pack(3, 1300, 110),
    pack(3, 2200, 180),
    pack(4, 1300, 145),
    pack(4, 2200, 240),
    pack(4, 3300, 350),
  ],
};
