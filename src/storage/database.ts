import { Dexie, type EntityTable, type Table } from 'dexie';
import type { AssemblyKind, SharedParts } from '@/core/2-document/assembly/sharedParts';
import { RECORD_NAMES, type RecordKind, type RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { DesignSummary } from '@/core/7-verdict/designSummary';
import { moveRecordsOut } from './upgrades/moveRecordsOut';

/** One design as it lies in the browser; what happened to it lies in the tables of records. */
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
  /** What the list tells of it, as it was computed for one of its states; a save drops it. */
  readonly summary?: StoredSummary;
}

export interface StoredSummary {
  readonly generation: number;
  readonly summary: DesignSummary;
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

/** A record without its body: light enough to be listed. */
export type RecordHead<Kind extends RecordKind> = Omit<RecordOf<Kind>, 'design'>;
export type StoredRecord<Kind extends RecordKind> = RecordHead<Kind> & { readonly designId: string };

/** What is heavy of a record: the state that a revision kept, the bytes of a picture. */
export interface StoredBody {
  readonly designId: string;
  readonly kind: RecordKind;
  readonly id: string;
  readonly body: unknown;
}

type RecordTables = { [Kind in RecordKind]: Table<StoredRecord<Kind>, [string, string]> };

export type InclinarDatabase = Dexie &
  RecordTables & {
    designs: EntityTable<StoredDesign, 'id'>;
    settings: EntityTable<StoredSetting, 'key'>;
    sharedParts: EntityTable<StoredParts, 'id'>;
    bodies: Table<StoredBody, [string, RecordKind, string]>;
  };

const RECORD_INDEX = '[designId+id], designId, [designId+at], [designId+revision]';

export function openDatabase(name = 'inclinar'): InclinarDatabase {
  const database = new Dexie(name) as InclinarDatabase;
  database.version(1).stores({ designs: 'id, updatedAt, deletedAt', settings: 'key' });
  database.version(2).stores({ sharedParts: 'id, kind' });
  database
    .version(3)
    .stores({
      designs: 'id, updatedAt, deletedAt, [deletedAt+updatedAt]',
      bodies: '[designId+kind+id], designId',
      ...Object.fromEntries(RECORD_NAMES.map((kind) => [kind, RECORD_INDEX])),
    })
    .upgrade(moveRecordsOut);
  return database;
}
