import { v4 as uuid } from 'uuid';
import type { InclinarDatabase, StoredSetting } from './database';
import { takeRow } from './takeRow';

/** Where a setting lies that could not be read, as it was found. */
const ASIDE = 'unreadable ';

/** What is remembered beyond a visit and belongs to no design. */
export function settingsTable(database: InclinarDatabase) {
  const { settings } = database;
  const read = async (key: string): Promise<unknown> => (await settings.get(key))?.value;
  return {
    readSetting: read,
    /**
     * Changes a setting as it lies there now, which another tab may have
     * changed; the answer is what lies there then. What is not sound is laid
     * aside as it is before it is written over.
     */
    changeSetting: (
      key: string,
      recipe: (value: unknown) => unknown,
      isSound: (value: unknown) => boolean = () => true,
    ): Promise<unknown> =>
      database.transaction('rw', settings, async () => {
        const before = await settings.get(key);
        if (before && !isSound(before.value))
          await settings.put({ key: `${ASIDE}${key} ${uuid()}`, value: before.value });
        const value = recipe(before?.value);
        await settings.put({ key, value });
        return value;
      }),
    /** Settings that could not be read, as they were found. */
    settingsAside: (): Promise<StoredSetting[]> => settings.where('key').startsWith(ASIDE).toArray(),
    /** Takes what was laid aside away; the answer puts it back. */
    removeAside: (key: string): Promise<() => Promise<void>> =>
      database.transaction('rw', settings, () => takeRow(settings, key)),
  };
}
