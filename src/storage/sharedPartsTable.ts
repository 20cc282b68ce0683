import { isSame, partsOf, sharedChanges, withSharedParts } from '@/core/2-document/assembly/sharedParts';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import type { InclinarDatabase, StoredParts } from './database';

/** Writes what a saved design changed in shared parts, and brings every other design along. Runs inside a transaction. */
export async function followSharedChanges(
  { designs, sharedParts }: InclinarDatabase,
  id: string,
  before: Design,
  after: Design,
): Promise<void> {
  for (const { sharedId, assembly, parts } of sharedChanges(before, after)) {
    await sharedParts.put({ id: sharedId, name: assembly.name, kind: assembly.kind, parts, updatedAt: Date.now() });
    const others = await designs.filter((stored) => stored.id !== id && shares(stored.design, sharedId)).toArray();
    for (const other of others) {
      const followed = designSchema.safeParse(withSharedParts(other.design, sharedId, parts, assembly.name));
      // A place where the new parts do not fit keeps its own, apart from the others.
      const design = followed.success ? followed.data : unlinked(other.design, sharedId);
      await designs.put({ ...other, design, generation: other.generation + 1, updatedAt: Date.now() });
    }
  }
}

/** Whether a design shares these parts; a row that cannot be read shares nothing. */
const shares = (design: Design | undefined, sharedId: string): boolean =>
  Array.isArray(design?.assemblies) && design.assemblies.some((assembly) => assembly?.sharedId === sharedId);

const unlinked = (design: Design, sharedId: string): Design => ({
  ...design,
  assemblies: design.assemblies.map((assembly) =>
    assembly.sharedId === sharedId ? { ...assembly, sharedId: undefined } : assembly,
  ),
});

/**
 * A design that comes in from outside: shared parts that are new here are
 * added, those that differ from what is here stay with the design alone.
 */
export async function welcomeSharedParts({ sharedParts }: InclinarDatabase, design: Design): Promise<Design> {
  let welcome = design;
  for (const assembly of design.assemblies) {
    const { sharedId } = assembly;
    if (sharedId === undefined) continue;
    const parts = partsOf(design, assembly);
    const known = await sharedParts.get(sharedId);
    if (!known) {
      const stored: StoredParts = {
        id: sharedId,
        name: assembly.name,
        kind: assembly.kind,
        parts,
        updatedAt: Date.now(),
      };
      await sharedParts.add(stored);
    } else if (!isSame(known.parts, parts)) welcome = unlinked(welcome, sharedId);
  }
  return welcome;
}
