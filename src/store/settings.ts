import type { UnknownAction } from '@reduxjs/toolkit';
import type { DesignStore } from '@/storage/designStore';
import type { AppStore } from './reduxStore';
import {
  keptInDrawer,
  type Settings,
  settingsLoaded,
  settingsSchema,
  settingsSlice,
  takenFromDrawer,
  unitsChanged,
} from './settingsSlice';

/** What is remembered beyond this visit. */
export const keepsSettings = [unitsChanged, keptInDrawer, takenFromDrawer] as const;

const readSettings = (value: unknown): Settings | null => settingsSchema.safeParse(value).data ?? null;

/**
 * Brings the store to the settings that lie in the browser. A change is made
 * to what lies there, not written over it: two tabs that each put something in
 * the drawer both find both. @throws when the storage takes nothing
 */
export async function followSettings(store: AppStore, designs: DesignStore, change?: UnknownAction): Promise<void> {
  const here = store.getState().settings;
  const there = change
    ? await designs.changeSetting('settings', (value) => {
        const before = readSettings(value);
        return before ? settingsSlice.reducer(before, change) : here;
      })
    : await designs.readSetting('settings');
  const settings = readSettings(there);
  if (settings && JSON.stringify(settings) !== JSON.stringify(store.getState().settings))
    store.dispatch(settingsLoaded(settings));
}
