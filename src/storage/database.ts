import { Dexie, type EntityTable } from 'dexie';
import type { AssemblyKind, SharedParts } from '@/core/2-document/assembly/sharedParts';
import type { Design } from '@/core/2-document/schema/design';

/** One design as it lies in the browser. */
export interface StoredDesign {
  readonly id: string;
  readonly name: string;
  readonly design: Design;
  /** Counts every save; a writer that does not know the newest one must not overwrite it. */
  readonly generation: number;
  readonly createdAt: number;
  readonly updatedAt: number;
  /** Set when it was put in the bin; 0 otherwise (so that it can be indexed). */
  readonly deletedAt: number;
}

/** Parts that several designs share, as they are now. */
export interface StoredParts {
  readonly id: string;
  readonly name: string;
  readonly kind: AssemblyKind;
  readonly parts: SharedParts;
  readonly updatedAt: number;
}

export interface StoredSetting {
  readonly key: string;
  readonly value: unknown;
}

export type InclinarDatabase = Dexie & {
  designs: EntityTable<StoredDesign, 'id'>;
  settings: EntityTable<StoredSetting, 'key'>;
  sharedParts: EntityTable<StoredParts, 'id'>;
};

export function openDatabase(name = 'inclinar'): InclinarDatabase {
  const database = new Dexie(name) as InclinarDatabase;
  database.version(1).stores({ designs: 'id, updatedAt, deletedAt', settings: 'key' });
  database.version(2).stores({ sharedParts: 'id, kind' });
  return database;
}
