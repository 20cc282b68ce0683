import { Dexie, type Table } from 'dexie';
import type { z } from 'zod';
import { keptLast } from '@/core/1-base/keptLast';
import {
  asGrown,
  NO_RECORDS,
  RECORD_KINDS,
  RECORD_NAMES,
  type RecordKind,
  type RecordOf,
  type Records,
  type Revision,
} from '@/core/2-document/records/recordKinds';
import type { InclinarDatabase, RecordHead, StoredBody, StoredRecord } from './database';

/** Pictures of a design by the id of their photo. */
export type Pictures = ReadonlyMap<string, Uint8Array<ArrayBuffer>>;

/** One page of records, newest first. */
export interface Page<Kind extends RecordKind> {
  readonly records: readonly RecordHead<Kind>[];
  readonly total: number;
}

/** A row that is no record of its kind. */
export interface UnreadableRecord {
  readonly id: string;
  readonly raw: unknown;
}

/** Records as they lie in their table: without what is heavy. */
const HEADS = Object.fromEntries(
  RECORD_NAMES.map((kind) => {
    const { schema } = RECORD_KINDS[kind];
    return [
      kind,
      'design' in schema.shape ? (schema as typeof RECORD_KINDS.revisions.schema).omit({ design: true }) : schema,
    ];
  }),
) as unknown as Record<RecordKind, z.ZodType>;

type AnyRow = StoredRecord<RecordKind>;

/** So many records are kept as they were read; every change of one reads all of its kind again. */
const KEPT = 5000;

/** Records by what lies in their row. */
const KNOWN = Object.fromEntries(
  RECORD_NAMES.map((kind) => [
    kind,
    keptLast(KEPT, (text) => {
      const read = HEADS[kind].safeParse(JSON.parse(text));
      return { head: read.success ? read.data : null };
    }),
  ]),
) as Record<RecordKind, (text: string) => { readonly head: unknown }>;

/** What happened to designs: rows of their own, outside the document and its undo. */
export function recordStore(database: InclinarDatabase) {
  const tableOf = (kind: RecordKind): Table<AnyRow, [string, string]> =>
    database[kind] as unknown as Table<AnyRow, [string, string]>;
  const ofDesign = (kind: RecordKind, designId: string) =>
    tableOf(kind).where('[designId+at]').between([designId, Dexie.minKey], [designId, Dexie.maxKey]);
  /** A row as a record; null when it is none. */
  const headOf = <Kind extends RecordKind>(kind: Kind, row: StoredRecord<Kind>): RecordHead<Kind> | null => {
    const { designId: _owner, ...head } = row;
    return KNOWN[kind](JSON.stringify(head)).head as RecordHead<Kind> | null;
  };
  const headsOf = <Kind extends RecordKind>(kind: Kind, rows: readonly AnyRow[]): RecordHead<Kind>[] =>
    rows.flatMap((row) => headOf(kind, row as unknown as StoredRecord<Kind>) ?? []);
  const everyTable = () => [...RECORD_NAMES.map(tableOf), database.bodies];

  const put = async (kind: RecordKind, designId: string, record: RecordOf<RecordKind>): Promise<void> => {
    const { design: body, ...head } = record as RecordOf<RecordKind> & { design?: unknown };
    await tableOf(kind).put({ ...head, designId } as AnyRow);
    if (body !== undefined) await database.bodies.put({ designId, kind, id: record.id, body });
  };

  return {
    count: (kind: RecordKind, designId: string): Promise<number> => ofDesign(kind, designId).count(),

    page: async <Kind extends RecordKind>(
      kind: Kind,
      designId: string,
      { from, size }: { readonly from: number; readonly size: number },
    ): Promise<Page<Kind>> => {
      const [rows, total] = await Promise.all([
        ofDesign(kind, designId).reverse().offset(from).limit(size).toArray(),
        ofDesign(kind, designId).count(),
      ]);
      return { records: headsOf(kind, rows), total };
    },

    /** All of a kind without bodies, oldest first; what is no record of this kind is left out. */
    heads: async <Kind extends RecordKind>(kind: Kind, designId: string): Promise<RecordHead<Kind>[]> =>
      headsOf(kind, await ofDesign(kind, designId).toArray()),

    /** Names that are taken, readable or not. */
    ids: async (kind: RecordKind, designId: string): Promise<ReadonlySet<string>> =>
      new Set((await tableOf(kind).where('designId').equals(designId).primaryKeys()).map(([, id]) => id)),

    /** Rows that are no record of their kind, to be saved as they lie there or taken out. */
    unreadable: async (kind: RecordKind, designId: string): Promise<readonly UnreadableRecord[]> =>
      (await tableOf(kind).where('designId').equals(designId).toArray()).flatMap((row) =>
        headOf(kind, row) ? [] : [{ id: row.id, raw: row }],
      ),

    head: async <Kind extends RecordKind>(
      kind: Kind,
      designId: string,
      id: string,
    ): Promise<RecordHead<Kind> | undefined> => {
      const row = await tableOf(kind).get([designId, id]);
      return (row && headOf(kind, row as unknown as StoredRecord<Kind>)) ?? undefined;
    },

    /** The heavy part of a record: the state of a revision, the bytes of a picture. */
    body: async (kind: RecordKind, designId: string, id: string): Promise<unknown> =>
      (await database.bodies.get([designId, kind, id]))?.body,

    /** Adds or replaces a record. @throws ZodError when it is no record of this kind */
    put: <Kind extends RecordKind>(
      kind: Kind,
      designId: string,
      record: RecordOf<Kind>,
      picture?: Uint8Array<ArrayBuffer>,
    ): Promise<void> =>
      database.transaction('rw', [tableOf(kind), database.bodies], async () => {
        await put(kind, designId, RECORD_KINDS[kind].schema.parse(record) as RecordOf<RecordKind>);
        if (picture) await database.bodies.put({ designId, kind, id: record.id, body: picture });
      }),

    /** Adds or replaces several, all of them or none. @throws ZodError when one is no record of this kind */
    putAll: <Kind extends RecordKind>(
      kind: Kind,
      designId: string,
      records: readonly RecordOf<Kind>[],
    ): Promise<void> =>
      database.transaction('rw', [tableOf(kind), database.bodies], async () => {
        for (const record of records)
          await put(kind, designId, RECORD_KINDS[kind].schema.parse(record) as RecordOf<RecordKind>);
      }),

    /** Takes a record out; the answer puts it back as it was. */
    remove: (kind: RecordKind, designId: string, id: string): Promise<() => Promise<void>> =>
      database.transaction('rw', [tableOf(kind), database.bodies], async () => {
        const row = await tableOf(kind).get([designId, id]);
        const body = await database.bodies.get([designId, kind, id]);
        await tableOf(kind).delete([designId, id]);
        await database.bodies.delete([designId, kind, id]);
        return () =>
          database.transaction('rw', [tableOf(kind), database.bodies], async () => {
            if (row) await tableOf(kind).put(row);
            if (body) await database.bodies.put(body);
          });
      }),

    /** Changes part of a record; nothing happens when it is not there. */
    change: async <Kind extends RecordKind>(
      kind: Kind,
      designId: string,
      id: string,
      part: Partial<RecordHead<Kind>>,
    ): Promise<void> => void (await tableOf(kind).update([designId, id], part as object)),

    /** Everything that happened to a design, whole, as it goes into a file. */
    allOf: async (designId: string): Promise<{ readonly records: Records; readonly pictures: Pictures }> =>
      database.transaction('r', everyTable(), async () => {
        const bodies = await database.bodies.where('designId').equals(designId).toArray();
        const of = new Map(bodies.map((row: StoredBody) => [`${row.kind}/${row.id}`, row.body]));
        const lists = await Promise.all(
          RECORD_NAMES.map(async (kind) => {
            const rows = await ofDesign(kind, designId).toArray();
            return headsOf(kind, rows).map((head) =>
              kind === 'revisions' ? { ...head, design: of.get(`${kind}/${head.id}`) ?? {} } : head,
            );
          }),
        );
        return {
          records: {
            ...NO_RECORDS,
            ...Object.fromEntries(RECORD_NAMES.map((kind, index) => [kind, lists[index]])),
            // A parent that cannot be read is none: what is written must be taken again.
            revisions: asGrown(lists[RECORD_NAMES.indexOf('revisions')] as unknown as Revision[]),
          } as Records,
          pictures: new Map(
            bodies.filter(({ kind }) => kind === 'photos').map(({ id, body }) => [id, body as Uint8Array<ArrayBuffer>]),
          ),
        };
      }),

    /** Puts a whole record beside a design. Runs inside the transaction that adds the design. */
    addAll: async (designId: string, records: Records, pictures: Pictures): Promise<void> => {
      for (const kind of RECORD_NAMES)
        for (const record of records[kind]) await put(kind, designId, record as RecordOf<RecordKind>);
      for (const [id, body] of pictures) await database.bodies.put({ designId, kind: 'photos', id, body });
    },

    everyTable,
  };
}

export type RecordStore = ReturnType<typeof recordStore>;
