import { Dexie } from 'dexie';
import type { DesignSummary } from '@/core/7-verdict/designSummary';
import type { InclinarDatabase, StoredDesign, StoredSummary } from './database';
import type { ListedDesign, storedReader } from './readStored';

/** Of a design, what a list is searched and sorted by. */
export interface DesignHead {
  readonly id: string;
  readonly name: string;
  readonly updatedAt: number;
  readonly generation: number;
  readonly tags: readonly string[];
  readonly summary: DesignSummary | null;
}

const listOfText = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((entry) => typeof entry === 'string') : [];

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
    /** What can be searched and sorted of all designs in use, without reading any of them whole; the newest first. */
    heads: async (): Promise<DesignHead[]> =>
      (await inUse().reverse().toArray()).map(({ id, name, updatedAt, generation, design, summary }) => ({
        id,
        name,
        updatedAt,
        generation,
        // As they lie there: what is no text is no tag.
        tags: listOfText((design as unknown as Record<string, unknown> | undefined)?.['tags']),
        summary: summary?.generation === generation ? summary.summary : null,
      })),
    /** Those designs in that order; what is gone meanwhile is left out. */
    some: async (ids: readonly string[]): Promise<ListedDesign[]> =>
      (await designs.bulkGet([...ids])).flatMap((row) => (row && row.deletedAt === 0 ? [read(row).entry] : [])),
    /** Names of equipment, each with the designs in use that carry it. */
    whereFlown: async (): Promise<ReadonlyMap<string, readonly string[]>> => {
      const flown = new Map<string, Set<string>>();
      for (const { name, design } of await inUse().toArray()) {
        const items = (design as unknown as Record<string, unknown> | undefined)?.['massItems'];
        for (const item of Array.isArray(items) ? (items as unknown[]) : []) {
          const own = (item as Record<string, unknown> | null)?.['name'];
          if (typeof own !== 'string' || own === '') continue;
          const designsOf = flown.get(own) ?? new Set();
          flown.set(own, designsOf.add(name));
        }
      }
      return new Map([...flown].map(([own, names]) => [own, [...names]]));
    },
    /** Rows that no index knows, with what is wrong with them. */
    strays: async (): Promise<ListedDesign[]> => (await strays()).map((row) => read(row).entry),
    /** Keeps what the list tells of designs, each for the state it was computed from. */
    keepSummaries: (found: ReadonlyMap<string, StoredSummary>): Promise<void> =>
      designs.db.transaction('rw', designs, async () => {
        for (const [id, summary] of found) {
          const row = await designs.get(id);
          if (row?.generation === summary.generation) await designs.update(id, { summary });
        }
      }),
    count: (): Promise<number> => inUse().count(),
    bin: async (): Promise<ListedDesign[]> =>
      (await removed().toArray()).map((row) => read(row).entry).sort((a, b) => b.deletedAt - a.deletedAt),
  };
}
