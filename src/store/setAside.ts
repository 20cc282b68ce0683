import type { Design } from '@/core/2-document/schema/design';
import type { DesignStore } from '@/storage/designStore';
import { freshRevisionId } from './revisions';

/** A state that lost against another tab, kept among the revisions of its design. */
export interface SetAside {
  /** Name of the revision. */
  readonly name: string;
  /** Writes the state, or a newer one in its place. @throws when the storage takes nothing */
  readonly keep: (mine: Design) => Promise<void>;
  readonly drop: () => Promise<void>;
}

/** Opens a revision for the state of this tab; it is written with the first `keep`. */
export async function setAside({ records }: DesignStore, designId: string, now = new Date()): Promise<SetAside> {
  const id = freshRevisionId(await records.ids('revisions', designId));
  const name = `From a second tab, ${now.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`;
  return {
    name,
    keep: (mine) =>
      records.put('revisions', designId, {
        id,
        name,
        at: now.toISOString(),
        ...(mine.basedOn ? { parent: mine.basedOn } : {}),
        notes: 'Kept because another tab saved the design meanwhile.',
        design: { ...mine },
      }),
    drop: async () => void (await records.remove('revisions', designId, id)),
  };
}
