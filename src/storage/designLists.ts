import { Dexie } from 'dexie';
import type { InclinarDatabase, StoredDesign } from './database';
import type { ListedDesign, storedReader } from './readStored';

/** The designs as they are listed: those in use, and those in the bin. */
export function designLists(designs: InclinarDatabase['designs'], read: ReturnType<typeof storedReader>) {
  /** Designs in use, the newest first. */
  const inUse = () => designs.where('[deletedAt+updatedAt]').between([0, Dexie.minKey], [0, Dexie.maxKey]);
  const removed = () => designs.where('deletedAt').above(0);

  /** Rows that no index knows, since what they are indexed by is broken: they would be nowhere. */
  const strays = async (): Promise<StoredDesign[]> => {
    const [all, used, gone] = await Promise.all([designs.count(), inUse().count(), removed().count()]);
    if (all === used + gone) return [];
    const known = new Set([...(await inUse().primaryKeys()), ...(await removed().primaryKeys())]);
    return designs.filter(({ id }) => !known.has(id)).toArray();
  };

  return {
    /** A page of the designs in use; one that cannot be read says why, and the others stand. */
    list: async (size = Infinity): Promise<ListedDesign[]> =>
      [...(await strays()), ...(await inUse().reverse().limit(size).toArray())].map((row) => read(row).entry),
    count: (): Promise<number> => inUse().count(),
    bin: async (): Promise<ListedDesign[]> =>
      (await removed().toArray()).map((row) => read(row).entry).sort((a, b) => b.deletedAt - a.deletedAt),
  };
}
