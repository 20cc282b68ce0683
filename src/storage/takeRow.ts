/** What a table must do for a row to be taken out of it. */
interface Rows<Row> {
  get(id: string): PromiseLike<Row | undefined>;
  delete(id: string): PromiseLike<void>;
  put(row: Row): PromiseLike<unknown>;
}

/** Takes a row out of a table, in the transaction at hand; the answer puts it back. */
export async function takeRow<Row>(table: Rows<Row>, id: string): Promise<() => Promise<void>> {
  const row = await table.get(id);
  await table.delete(id);
  return async () => {
    if (row) await table.put(row);
  };
}
