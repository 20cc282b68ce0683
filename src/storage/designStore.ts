import { Dexie } from 'dexie';
import { NO_RECORDS, type Records } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { InclinarDatabase, StoredDesign, StoredParts } from './database';
import { type Pictures, recordStore } from './recordStore';
import { followSharedChanges, welcomeSharedParts } from './sharedPartsTable';

/** Outcome of a save: done, or someone else saved a newer state meanwhile. */
export type SaveOutcome =
  | { readonly kind: 'saved'; readonly generation: number }
  | { readonly kind: 'conflict'; readonly theirs: StoredDesign }
  | { readonly kind: 'gone' };

const newId = (): string => crypto.randomUUID();

/** What happened to a design that comes in. */
export interface Beside {
  readonly records?: Records;
  readonly pictures?: Pictures;
}

/** A transaction must not wait for anything but the storage, so nothing is awaited for designs that share nothing. */
const isSharing = ({ assemblies }: Design): boolean => assemblies.some(({ sharedId }) => sharedId !== undefined);

/** The designs kept in this browser. Every change is one transaction: whole or not at all. */
export function designStore(database: InclinarDatabase) {
  const { designs, settings, sharedParts } = database;

  const records = recordStore(database);

  const add = async (incoming: Design, beside: Beside = {}): Promise<StoredDesign> => {
    const design = isSharing(incoming) ? await welcomeSharedParts(database, incoming) : incoming;
    const now = Date.now();
    const stored: StoredDesign = {
      id: newId(),
      name: design.name,
      design,
      generation: 1,
      createdAt: now,
      updatedAt: now,
      deletedAt: 0,
    };
    await designs.add(stored);
    if (beside.records) await records.addAll(stored.id, beside.records, beside.pictures ?? new Map());
    return stored;
  };

  const create = (design: Design, beside?: Beside): Promise<StoredDesign> =>
    database.transaction('rw', [designs, sharedParts, ...records.everyTable()], () => add(design, beside));

  /** Designs in use, the newest first. */
  const inUse = () => designs.where('[deletedAt+updatedAt]').between([0, Dexie.minKey], [0, Dexie.maxKey]);

  return {
    /** A page of the designs in use. */
    list: (size = Infinity): Promise<StoredDesign[]> => inUse().reverse().limit(size).toArray(),
    count: (): Promise<number> => inUse().count(),
    bin: async (): Promise<StoredDesign[]> =>
      (await designs.where('deletedAt').above(0).toArray()).sort((a, b) => b.deletedAt - a.deletedAt),
    load: (id: string): Promise<StoredDesign | undefined> => designs.get(id),
    create,
    duplicate: async (id: string): Promise<StoredDesign | undefined> => {
      const original = await designs.get(id);
      const beside = await records.allOf(id);
      return original && create({ ...original.design, name: `${original.name} copy`.slice(0, 200) }, beside);
    },
    /** Saves a state that grew from `generation`. */
    save: (id: string, design: Design, generation: number): Promise<SaveOutcome> =>
      database.transaction('rw', designs, sharedParts, async (): Promise<SaveOutcome> => {
        const current = await designs.get(id);
        if (!current) return { kind: 'gone' };
        if (current.generation !== generation) return { kind: 'conflict', theirs: current };
        const next = generation + 1;
        await designs.put({
          ...current,
          design,
          name: design.name,
          generation: next,
          updatedAt: Date.now(),
        });
        if (isSharing(design)) await followSharedChanges(database, id, current.design, design);
        return { kind: 'saved', generation: next };
      }),
    rename: (id: string, name: string): Promise<void> =>
      database.transaction('rw', designs, async () => {
        const current = await designs.get(id);
        if (!current) return;
        await designs.put({
          ...current,
          name,
          design: { ...current.design, name },
          generation: current.generation + 1,
          updatedAt: Date.now(),
        });
      }),
    putInBin: async (id: string): Promise<void> => void (await designs.update(id, { deletedAt: Date.now() })),
    takeFromBin: async (id: string): Promise<void> => void (await designs.update(id, { deletedAt: 0 })),
    /** Puts the given designs in once, in an empty browser. */
    seedOnce: (fleet: readonly { readonly design: Design; readonly records?: Records }[]): Promise<void> =>
      database.transaction('rw', [designs, settings, sharedParts, ...records.everyTable()], async () => {
        if (await settings.get('seeded')) return;
        await settings.put({ key: 'seeded', value: true });
        for (const { design, records: seen } of [...fleet].reverse())
          await add(design, { records: seen ?? NO_RECORDS });
      }),
    records,
    sharedParts: (): Promise<StoredParts[]> => sharedParts.orderBy('kind').toArray(),
    removeSharedParts: (id: string): Promise<void> => sharedParts.delete(id),
    readSetting: async (key: string): Promise<unknown> => (await settings.get(key))?.value,
    writeSetting: async (key: string, value: unknown): Promise<void> => void (await settings.put({ key, value })),
  };
}

export type DesignStore = ReturnType<typeof designStore>;
