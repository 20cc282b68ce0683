import type { UnknownAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { evidenceSchema } from '@/core/8-field/evidence';
import type { DesignStore } from '@/storage/designStore';
import type { AppStore } from './reduxStore';
import {
  clickCalibrated,
  drawerEntrySchema,
  drawerPriced,
  groupFolded,
  groupsOpened,
  keptInDrawer,
  lessonForgotten,
  lessonTaken,
  meterChosen,
  meterZeroed,
  MOST_EVIDENCE,
  MOST_IN_DRAWER,
  ownCheckAdded,
  ownCheckDropped,
  paneShown,
  type Settings,
  settingsLoaded,
  settingsSchema,
  settingsSlice,
  sunlit,
  takenFromDrawer,
  unitsChanged,
} from './settingsSlice';

/** What is remembered beyond this visit. */
export const keepsSettings = [
  unitsChanged,
  keptInDrawer,
  takenFromDrawer,
  drawerPriced,
  groupFolded,
  groupsOpened,
  paneShown,
  meterZeroed,
  meterChosen,
  clickCalibrated,
  sunlit,
  lessonTaken,
  lessonForgotten,
  ownCheckAdded,
  ownCheckDropped,
] as const;

const anyParts = z.object({
  evidence: z
    .array(z.unknown())
    .catch([])
    .transform((pieces) =>
      pieces.flatMap((piece) => evidenceSchema.safeParse(piece).data ?? []).slice(0, MOST_EVIDENCE),
    ),
  units: z.record(z.string(), z.unknown()).catch({}),
  drawer: z.array(z.unknown()).catch([]),
  groups: settingsSchema.shape.groups.catch(settingsSlice.getInitialState().groups),
  panes: settingsSchema.shape.panes.catch(settingsSlice.getInitialState().panes),
  meterZero: settingsSchema.shape.meterZero.catch(0),
  meter: settingsSchema.shape.meter.catch('own'),
  clickDegrees: settingsSchema.shape.clickDegrees.catch(settingsSlice.getInitialState().clickDegrees),
  isSunny: settingsSchema.shape.isSunny.catch(false),
  ownChecks: settingsSchema.shape.ownChecks.catch([]),
});

/** The settings that lie there, or as much of them as can be read: one bad entry costs no other. */
function readSettings(value: unknown): Settings {
  const whole = settingsSchema.safeParse(value);
  if (whole.success) return whole.data;
  const initial = settingsSlice.getInitialState();
  const { units, drawer, ...rest } = anyParts.catch({ ...initial, units: {}, drawer: [] }).parse(value);
  const unit = settingsSchema.shape.units.shape;
  return {
    units: {
      length: unit.length.catch(initial.units.length).parse(units['length']),
      mass: unit.mass.catch(initial.units.mass).parse(units['mass']),
      speed: unit.speed.catch(initial.units.speed).parse(units['speed']),
    },
    drawer: drawer.flatMap((entry) => drawerEntrySchema.safeParse(entry).data ?? []).slice(0, MOST_IN_DRAWER),
    ...rest,
  };
}

const isSound = (value: unknown): boolean => settingsSchema.safeParse(value).success;

/** How many times a store is being brought there now: what an earlier one finds is older than what a later one has changed. */
const under = new WeakMap<AppStore, number>();

/**
 * Brings the store to the settings that lie in the browser. A change is made
 * to what lies there, not written over it: two tabs that each put something in
 * the drawer both find both. What cannot be read is laid aside, not lost.
 * @throws when the storage takes nothing
 */
export async function followSettings(store: AppStore, designs: DesignStore, change?: UnknownAction): Promise<void> {
  const count = (by: number) => {
    const now = (under.get(store) ?? 0) + by;
    under.set(store, now);
    return now;
  };
  count(1);
  let settings: Settings | null = null;
  try {
    settings = await settingsThere(store, designs, change);
  } finally {
    const isLast = count(-1) === 0;
    if (settings && isLast && JSON.stringify(settings) !== JSON.stringify(store.getState().settings))
      store.dispatch(settingsLoaded(settings));
  }
}

/** What lies there after a change; null where nothing does. */
async function settingsThere(
  store: AppStore,
  designs: DesignStore,
  change: UnknownAction | undefined,
): Promise<Settings | null> {
  const here = store.getState().settings;
  let there = await designs.readSetting('settings');
  if (there === undefined && !change) return null;
  if (change || !isSound(there))
    there = await designs.changeSetting(
      'settings',
      (value) => {
        if (value === undefined) return here;
        const before = readSettings(value);
        return change ? settingsSlice.reducer(before, change) : before;
      },
      isSound,
    );
  return readSettings(there);
}
