import { useLiveQuery } from 'dexie-react-hooks';
import type { RecordKind } from '@/core/2-document/records/recordKinds';
import type { RecordHead } from '@/storage/database';
import { useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';

/** The same at every look and once they are read, so that nothing is worked out again for it. */
const NONE: readonly never[] = [];

/** Records of one kind of the open design, oldest first; none until they are read. */
export function useRecords<Kind extends RecordKind>(kind: Kind): readonly RecordHead<Kind>[] {
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const heads = useLiveQuery(() => (id === null ? [] : designs.records.heads(kind, id)), [kind, id]);
  return heads && heads.length > 0 ? heads : NONE;
}

/** How many there are. */
export function useRecordCount(kind: RecordKind): number {
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  return useLiveQuery(() => (id === null ? 0 : designs.records.count(kind, id)), [kind, id]) ?? 0;
}
