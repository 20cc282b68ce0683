import type { Transaction } from 'dexie';
import { recordsBesideTheDesign } from '@/core/2-document/migrations/recordsBesideTheDesign';

interface Row {
  readonly id: string;
  readonly design: Record<string, unknown>;
}

/**
 * Database version 2 to 3: every stored design becomes version 2 of the
 * document, and its revisions, trial folds, tosses and flights become rows.
 */
export async function moveRecordsOut(transaction: Transaction): Promise<void> {
  const rows = (await transaction.table('designs').toArray()) as Row[];
  for (const row of rows) {
    if (row.design['version'] !== 1) continue;
    const { records, ...design } = recordsBesideTheDesign(row.design);
    await transaction.table('designs').put({ ...row, design });
    for (const [kind, list] of Object.entries(records as Record<string, Record<string, unknown>[]>)) {
      for (const record of list) {
        const { design: body, ...head } = record;
        await transaction.table(kind).put({ ...head, designId: row.id });
        if (body !== undefined) await transaction.table('bodies').put({ designId: row.id, kind, id: head['id'], body });
      }
    }
  }
}
