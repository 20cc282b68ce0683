import { z } from 'zod';
import { identifier, shortText } from './limits';

const metresOf = (most: number, description: string) =>
  z
    .number()
    .min(0)
    .max(most)
    .default(0)
    .meta({ description: `${description} [m]` });

/** A piece of a flight that is planned. */
export const missionPhaseSchema = z.strictObject({
  id: identifier('Name of the phase'),
  name: shortText('Name in words').default(''),
  kind: z
    .enum(['climb', 'loiter', 'cruise', 'return', 'glide'])
    .meta({ description: 'Climb, circle, fly a way, come back against the wind, glide without power' }),
  height: metresOf(3000, 'Height gained by a climb, lost by a glide'),
  minutes: z.number().min(0).max(600).default(0).meta({ description: 'How long it circles [min]' }),
  distance: metresOf(100000, 'Way over ground'),
  speed: z
    .number()
    .min(1)
    .max(100)
    .optional()
    .meta({ description: 'Airspeed; without it the best for the phase [m/s]' }),
  wind: z.number().min(-30).max(30).default(0).meta({ description: 'Wind against it; from behind negative [m/s]' }),
});

export type MissionPhase = z.output<typeof missionPhaseSchema>;
