import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import { propellerLabelSchema } from '@/core/2-document/catalogue/driveParts';
import { motorSchema, packSchema } from '@/core/2-document/schema/propulsion';
import { type Evidence, evidenceSchema } from '@/core/8-field/evidence';
import { METRIC } from '@/words/formatQuantity';

/** A thing of the drawer: equipment that the user has, as it was weighed. */
export const drawerEntrySchema = massItemSchema
  .pick({ name: true, category: true, mass: true, size: true, price: true })
  .extend({
    /** What is known of it where it drives. */
    motor: motorSchema.optional(),
    propeller: propellerLabelSchema.optional(),
    pack: packSchema.optional(),
  });

export const MOST_IN_DRAWER = 200;

export const MOST_OWN_CHECKS = 30;
export const MOST_EVIDENCE = 300;

export const settingsSchema = z.object({
  units: z.object({
    length: z.enum(['mm', 'in']),
    mass: z.enum(['g', 'oz']),
    speed: z.enum(['m/s', 'km/h', 'mph']),
  }),
  drawer: z.array(drawerEntrySchema).max(MOST_IN_DRAWER).default([]),
  /** Groups of inputs: whether those are open that nobody folded or opened, and those that somebody did. */
  groups: z
    .object({ allOpen: z.boolean(), open: z.record(z.string(), z.boolean()) })
    .default({ allOpen: false, open: {} }),
  /** Parts of the bench that can be put away: the inputs beside the sheet, the beam but for its line of words. */
  panes: z.object({ inputs: z.boolean(), beam: z.boolean() }).default({ inputs: true, beam: true }),
  /** What the own tilt meter shows when it is level [°]. */
  meterZero: z.number().min(-20).max(20).default(0),
  /** What reads angles beside the keyboard: the own device where it is a phone, made-up instruments, a serial line. */
  meter: z.enum(['own', 'phone', 'standIn', 'serial']).default('own'),
  /** How far one click of the trim on the transmitter turns a control [°]. */
  clickDegrees: z.number().min(0.01).max(5).default(0.3),
  /** What this builder’s own measurements said, each to be taken back. */
  evidence: z.array(evidenceSchema).max(MOST_EVIDENCE).default([]),
  /** For bright sun: black on white, larger type. */
  isSunny: z.boolean().default(false),
  /** What the user ticks before a flight beside what is always asked. */
  ownChecks: z.array(z.string().min(1).max(120)).max(MOST_OWN_CHECKS).default([]),
});

export type DrawerEntry = Settings['drawer'][number];

export type Settings = z.output<typeof settingsSchema>;

const initialState: Settings = {
  units: METRIC,
  drawer: [],
  groups: { allOpen: false, open: {} },
  panes: { inputs: true, beam: true },
  meterZero: 0,
  meter: 'own',
  clickDegrees: 0.3,
  isSunny: false,
  evidence: [],
  ownChecks: [],
};

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
    drawerPriced: (state, { payload: { name, price } }: PayloadAction<{ name: string; price: number | undefined }>) => {
      const entry = state.drawer.find((one) => one.name === name);
      if (!entry) return;
      if (price === undefined) delete entry.price;
      else entry.price = price;
    },
    groupFolded: (state, { payload: { name, isOpen } }: PayloadAction<{ name: string; isOpen: boolean }>) => {
      state.groups.open[name] = isOpen;
    },
    groupsOpened: (state, { payload: allOpen }: PayloadAction<boolean>) => {
      state.groups = { allOpen, open: {} };
    },
    paneShown: (
      state,
      { payload: { pane, isShown } }: PayloadAction<{ pane: keyof Settings['panes']; isShown: boolean }>,
    ) => {
      state.panes[pane] = isShown;
    },
    meterZeroed: (state, { payload }: PayloadAction<number>) => {
      state.meterZero = payload;
    },
    meterChosen: (state, { payload }: PayloadAction<Settings['meter']>) => {
      state.meter = payload;
    },
    clickCalibrated: (state, { payload }: PayloadAction<number>) => {
      state.clickDegrees = payload;
    },
    sunlit: (state, { payload }: PayloadAction<boolean>) => {
      state.isSunny = payload;
    },
    lessonTaken: (state, { payload }: PayloadAction<Evidence>) => {
      state.evidence = [...state.evidence.filter(({ id }) => id !== payload.id), payload].slice(-MOST_EVIDENCE);
    },
    lessonForgotten: (state, { payload }: PayloadAction<string>) => {
      state.evidence = state.evidence.filter(({ id }) => id !== payload);
    },
    ownCheckAdded: (state, { payload }: PayloadAction<string>) => {
      if (state.ownChecks.length < MOST_OWN_CHECKS && !state.ownChecks.includes(payload)) state.ownChecks.push(payload);
    },
    ownCheckDropped: (state, { payload }: PayloadAction<string>) => {
      state.ownChecks = state.ownChecks.filter((check) => check !== payload);
    },
    takenFromDrawer: (state, { payload }: PayloadAction<string>) => {
      state.drawer = state.drawer.filter(({ name }) => name !== payload);
    },
  },
});

export const {
  settingsLoaded,
  unitsChanged,
  keptInDrawer,
  takenFromDrawer,
  drawerPriced,
  groupFolded,
  groupsOpened,
  paneShown,
  meterChosen,
  meterZeroed,
  clickCalibrated,
  sunlit,
  lessonTaken,
  lessonForgotten,
  ownCheckAdded,
  ownCheckDropped,
} = settingsSlice.actions;
