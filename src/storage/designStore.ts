import { v4 as uuid } from 'uuid';
import { NO_RECORDS, type Records } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import { isSharedParts } from '@/core/2-document/assembly/sharedParts';
import type { InclinarDatabase, StoredDesign, StoredParts } from './database';
import { designLists } from './designLists';
import { hasRecords, isUnreadable, type ListedDesign, storedReader } from './readStored';
import { type Pictures, recordStore } from './recordStore';
import { settingsTable } from './settingsTable';
import { takeRow } from './takeRow';
import { followSharedChanges, welcomeSharedParts } from './sharedPartsTable';

/** Outcome of a save: done, or someone else saved a newer state meanwhile. */
export type SaveOutcome =
  | {
      readonly kind: 'saved';
      readonly generation: number;
      /** It had been removed meanwhile, and lies among the designs again. */
      readonly broughtBack: boolean;
    }
  | { readonly kind: 'conflict'; readonly generation: number };

/** Also where the page came over plain http, which has no such number of its own. */
const newId = (): string => uuid();

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
  const read = storedReader();

  const add = async (incoming: Design, beside: Beside = {}, now = Date.now()): Promise<StoredDesign> => {
    const design = isSharing(incoming) ? await welcomeSharedParts(database, incoming) : incoming;
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
    read.remember(stored);
    if (beside.records && hasRecords(beside.records))
      await records.addAll(stored.id, beside.records, beside.pictures ?? new Map());
    return stored;
  };

  const create = (design: Design, beside?: Beside): Promise<StoredDesign> =>
    database.transaction('rw', [designs, sharedParts, ...records.everyTable()], () => add(design, beside));

  /** What a design of an older version carried with it becomes rows of its own. */
  const settle = (stored: StoredDesign, beside: Records): Promise<void> =>
    database.transaction('rw', [designs, ...records.everyTable()], async () => {
      await designs.put(stored);
      if (hasRecords(beside)) await records.addAll(stored.id, beside, new Map());
    });

  /** Changes a design that is not open; one that cannot be read stays as it is. */
  const change = (id: string, recipe: (design: Design) => Design): Promise<void> =>
    database.transaction('rw', designs, async () => {
      const row = await designs.get(id);
      const current = row && read(row).entry;
      if (!current || isUnreadable(current)) return;
      const design = recipe(current.design);
      await designs.put({
        ...current,
        name: design.name,
        design,
        generation: current.generation + 1,
        updatedAt: Date.now(),
      });
    });

  const moved = (ids: readonly string[], deletedAt: number): Promise<void> =>
    database.transaction('rw', designs, async () => {
      for (const id of ids) await designs.update(id, { deletedAt });
    });

  return {
    ...designLists(designs, read),
    load: async (id: string): Promise<ListedDesign | undefined> => {
      const row = await designs.get(id);
      if (!row) return undefined;
      const { entry, records: beside, migrated } = read(row, true);
      if (migrated && !isUnreadable(entry)) await settle(entry, beside);
      return entry;
    },
    /** Which state lies there: enough to learn that another tab saved a newer one. */
    generationOf: async (id: string): Promise<number | undefined> => (await designs.get(id))?.generation,
    create,
    duplicate: async (id: string): Promise<StoredDesign | undefined> => {
      const row = await designs.get(id);
      const original = row && read(row).entry;
      if (!original || isUnreadable(original)) return undefined;
      const beside = await records.allOf(id);
      return create({ ...original.design, name: `${original.name} copy`.slice(0, 200) }, beside);
    },
    /** Saves a state that grew from `generation`. What was removed meanwhile comes back: an edit is worth more than a removal. */
    save: (id: string, design: Design, generation: number): Promise<SaveOutcome> =>
      database.transaction('rw', designs, sharedParts, async (): Promise<SaveOutcome> => {
        const current = await designs.get(id);
        if (current && current.generation !== generation) return { kind: 'conflict', generation: current.generation };
        const now = Date.now();
        const next = generation + 1;
        await designs.put({
          id,
          design,
          name: design.name,
          generation: next,
          createdAt: current?.createdAt ?? now,
          updatedAt: now,
          deletedAt: 0,
        });
        if (isSharing(design)) await followSharedChanges(database, id, current?.design ?? design, design);
        return { kind: 'saved', generation: next, broughtBack: !current || current.deletedAt > 0 };
      }),
    rename: (id: string, name: string): Promise<void> => change(id, (design) => ({ ...design, name })),
    retag: (id: string, tags: readonly string[]): Promise<void> =>
      change(id, (design) => ({ ...design, tags: [...tags] })),
    /** Removes designs, all of them or none. */
    putInBin: (...ids: readonly string[]): Promise<void> => moved(ids, Date.now()),
    takeFromBin: (...ids: readonly string[]): Promise<void> => moved(ids, 0),
    /** Takes a row away for good, with what happened to it: for what cannot be read. The answer puts the row back. */
    erase: (id: string): Promise<() => Promise<void>> =>
      database.transaction('rw', designs, () => takeRow(designs, id)),
    /** Whether an empty browser was given its designs. */
    isSeeded: async (): Promise<boolean> => (await settings.get('seeded')) !== undefined,
    /** Puts the given designs in once, in an empty browser. */
    seedOnce: (fleet: readonly { readonly design: Design; readonly records?: Records }[]): Promise<void> =>
      database.transaction('rw', [designs, settings, sharedParts, ...records.everyTable()], async () => {
        if (await settings.get('seeded')) return;
        await settings.put({ key: 'seeded', value: true });
        const now = Date.now();
        // The first one is the newest, so that it stands on top.
        for (const [index, { design, records: seen }] of fleet.entries())
          await add(design, { records: seen ?? NO_RECORDS }, now - index);
      }),
    records,
    /** Shared parts as they are now; a row that holds none is left where it lies. */
    sharedParts: async (): Promise<StoredParts[]> =>
      (await sharedParts.orderBy('kind').toArray()).filter(({ parts }) => isSharedParts(parts)),
    removeSharedParts: (id: string): Promise<void> => sharedParts.delete(id),
    ...settingsTable(database),
  };
}

export type DesignStore = ReturnType<typeof designStore>;
