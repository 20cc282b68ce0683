import type { DocumentIssue } from '@/core/2-document/readDesign';
import type { StoredDesign } from '@/storage/database';
import type { Surroundings } from '../surroundings';

export type Imported =
  | { readonly ok: true; readonly stored: StoredDesign }
  | { readonly ok: false; readonly issues: readonly DocumentIssue[] };

/** Takes a file whole, with what happened to the design, or not at all. @throws when the storage takes nothing */
export async function importFile({ session, designs }: Surroundings, file: File): Promise<Imported> {
  const read = await session.readFile(file);
  if (!read.ok) return read;
  return { ok: true, stored: await designs.create(read.design, { records: read.records, pictures: read.pictures }) };
}
