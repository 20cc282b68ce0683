import { createHash } from 'node:crypto';
import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { designJsonSchema } from '@/core/2-document/readDesign';
import { DESIGN_VERSION } from '@/core/2-document/schema/design';
import { openDatabase } from '@/storage/database';
import shapes from './shapes.json';

/** What a shape comes down to: keys, kinds and bounds, without the words beside them. */
function bare(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(bare);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).filter(([key, inner]) => !(key === 'description' && typeof inner === 'string'));
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, inner]) => [key, bare(inner)]));
}
const printOf = (value: unknown) => createHash('sha256').update(JSON.stringify(bare(value))).digest('hex').slice(0, 16);

/*
 * A shape that changes needs a new version, a migration, a frozen sample of
 * the old one, and its own line in shapes.json: lines that are there stay.
 */
test('the document has the shape of its version', () => {
  expect(shapes.document).toHaveProperty(String(DESIGN_VERSION), printOf(designJsonSchema()));
});

test('the database has the shape of its version', async () => {
  const database = openDatabase('shapes');
  await database.open();
  const tables = database.tables.map(({ name, schema }) => [
    name,
    schema.primKey.src,
    schema.indexes.map(({ src }) => src).sort(),
  ]);
  expect(shapes.database).toHaveProperty(String(database.verno), printOf(tables.sort()));
  database.close();
});
