import { type DocumentIssue, readDesign } from '@/core/2-document/readDesign';
import { NO_RECORDS, RECORD_NAMES, type Records } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { StoredDesign, StoredSummary } from './database';

/** A row that holds no design that this program can read. It stays as it is until somebody saves or removes it. */
export interface UnreadableDesign {
  readonly id: string;
  readonly name: string;
  readonly issues: readonly DocumentIssue[];
  /** The whole row, to be saved as it lies there. */
  readonly raw: unknown;
  readonly deletedAt: number;
}

export type ListedDesign = StoredDesign | UnreadableDesign;

export const isUnreadable = (entry: ListedDesign): entry is UnreadableDesign => 'raw' in entry;

interface Row {
  readonly id: string;
  readonly name?: unknown;
  readonly design?: unknown;
  readonly generation?: unknown;
  readonly createdAt?: unknown;
  readonly updatedAt?: unknown;
  readonly deletedAt?: unknown;
  readonly summary?: StoredSummary;
}

const numberOr = (value: unknown, instead: number): number =>
  typeof value === 'number' && Number.isFinite(value) ? value : instead;

/** What reading a row found: the design, or why there is none, and records that a design of an older version carried. */
export interface StoredReading {
  readonly entry: ListedDesign;
  readonly records: Records;
  readonly migrated: boolean;
}

/**
 * Reads rows of the table of designs: whatever lies there is checked and
 * brought to the newest version, and a bad row harms no other. A row that did
 * not change since is not checked again unless it is asked for.
 */
export function storedReader() {
  const known = new Map<string, { readonly key: string; readonly design: Design }>();
  const read = (row: Row, anew = false): StoredReading => {
    const generation = numberOr(row.generation, 1);
    const updatedAt = numberOr(row.updatedAt, 0);
    const deletedAt = numberOr(row.deletedAt, 0);
    const key = `${generation} ${updatedAt}`;
    const of = (design: Design): StoredDesign => ({
      id: row.id,
      name: design.name,
      design,
      generation,
      createdAt: numberOr(row.createdAt, updatedAt),
      updatedAt,
      deletedAt,
      ...(row.summary?.generation === generation ? { summary: row.summary } : {}),
    });
    const before = known.get(row.id);
    if (before?.key === key && !anew) return { entry: of(before.design), records: NO_RECORDS, migrated: false };
    const found = readDesign(row.design);
    if (!found.ok) {
      const name = typeof row.name === 'string' && row.name !== '' ? row.name : 'A design without a name';
      return {
        entry: { id: row.id, name, issues: found.issues, raw: row, deletedAt },
        records: NO_RECORDS,
        migrated: false,
      };
    }
    const migrated = found.migratedFrom !== null;
    if (!migrated) known.set(row.id, { key, design: found.design });
    return { entry: of(found.design), records: found.records, migrated };
  };
  return Object.assign(read, {
    /** A row that was just written from a design that had been checked need not be checked again. */
    remember: ({ id, generation, updatedAt, design }: StoredDesign): void =>
      void known.set(id, { key: `${generation} ${updatedAt}`, design }),
  });
}

export const hasRecords = (records: Records): boolean => RECORD_NAMES.some((kind) => records[kind].length > 0);
