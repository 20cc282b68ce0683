import type { StoredDesign } from '@/storage/database';
import type { DesignStore } from '@/storage/designStore';
import { isUnreadable } from '@/storage/readStored';

/** A stored design that is there and can be read. @throws otherwise */
export async function storedDesign(designs: DesignStore, id: string): Promise<StoredDesign> {
  const entry = await designs.load(id);
  if (!entry || isUnreadable(entry)) throw new Error(`There is no design ${id} that can be read.`);
  return entry;
}
