import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { METRIC } from '@/core/units/formatQuantity';

export const settingsSchema = z.object({
  units: z.object({
    length: z.enum(['mm', 'in']),
    mass: z.enum(['g', 'oz']),
    speed: z.enum(['m/s', 'km/h', 'mph']),
  }),
});

export type Settings = z.output<typeof settingsSchema>;

const initialState: Settings = { units: METRIC };

export const settingsSlice = createSlice({
  name: 'settings',
  initialState,
  reducers: {
    settingsLoaded: (_, { payload }: PayloadAction<Settings>) => payload,
    unitsChanged: (state, { payload }: PayloadAction<Partial<Settings['units']>>) => {
      Object.assign(state.units, payload);
    },
  },
});

export const { settingsLoaded, unitsChanged } = settingsSlice.actions;
