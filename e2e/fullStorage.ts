import type { Page } from '@playwright/test';

/** Lets the storage of the page refuse what is put into designs, until it is told otherwise. */
export async function withFullStorage(page: Page): Promise<(isFull: boolean) => Promise<void>> {
  await page.addInitScript(() => {
    const flags = window as unknown as { isFull?: boolean };
    const { put, add } = IDBObjectStore.prototype;
    const guarded = (work: typeof put) =>
      function (this: IDBObjectStore, ...input: Parameters<typeof put>) {
        if (flags.isFull) throw new DOMException('no room', 'QuotaExceededError');
        return work.apply(this, input);
      };
    IDBObjectStore.prototype.put = guarded(put);
    IDBObjectStore.prototype.add = guarded(add);
  });
  return (isFull) => page.evaluate((full) => void ((window as unknown as { isFull: boolean }).isFull = full), isFull);
}
