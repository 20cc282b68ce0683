import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import { METRIC } from '@/words/formatQuantity';

/** A thing of the drawer: equipment that the user has, as it was weighed. */
export const drawerEntrySchema = massItemSchema.pick({ name: true, category: true, mass: true, size: true });

export const MOST_IN_DRAWER = 200;

export const settingsSchema = z.object({
  units: z.object({
    length: z.enum(['mm', 'in']),
    mass: z.enum(['g', 'oz']),
    speed: z.enum(['m/s', 'km/h', 'mph']),
  }),
  drawer: z.array(drawerEntrySchema).max(MOST_IN_DRAWER).default([]),
});

export type DrawerEntry = Settings['drawer'][number];

export type Settings = z.output<typeof settingsSchema>;

const initialState: Settings = { units: METRIC, drawer: [] };

export const settingsSlice = createSlice({
  name: 'settings',
  initialState,
  reducers: {
    settingsLoaded: (_, { payload }: PayloadAction<Settings>) => payload,
    unitsChanged: (state, { payload }: PayloadAction<Partial<Settings['units']>>) => {
      Object.assign(state.units, payload);
    },
    keptInDrawer: (state, { payload }: PayloadAction<DrawerEntry>) => {
      const known = state.drawer.findIndex(({ name }) => name === payload.name);
      if (known >= 0) state.drawer[known] = payload;
      else if (state.drawer.length < MOST_IN_DRAWER) state.drawer.push(payload);
    },
    takenFromDrawer: (state, { payload }: PayloadAction<string>) => {
      state.drawer = state.drawer.filter(({ name }) => name !== payload);
    },
  },
});

export const { settingsLoaded, unitsChanged, keptInDrawer, takenFromDrawer } = settingsSlice.actions;
