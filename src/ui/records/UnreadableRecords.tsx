import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { RecordKind } from '@/core/2-document/records/recordKinds';
import { useAppSelector } from '@/store/hooks';
import { UnreadableRow } from '../shell/UnreadableRow';
import { useSurroundings } from '../surroundings';

/** All rows are read once more for it: after what can be read stands there [ms]. */
const LATER = 300;

/** Rows among the records of the open design that are none: saved as they lie there, or taken out. */
export function UnreadableRecords({ kind }: { readonly kind: RecordKind }) {
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const [isQuiet, setIsQuiet] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsQuiet(true), LATER);
    return () => clearTimeout(timer);
  }, []);
  const rows = useLiveQuery(
    () => (id === null || !isQuiet ? [] : designs.records.unreadable(kind, id)),
    [kind, id, isQuiet],
  );
  if (id === null || !rows || rows.length === 0) return null;
  return (
    <ul className="mt-2 space-y-1.5">
      {rows.map((row) => (
        <UnreadableRow
          key={row.id}
          id={row.id}
          name={row.id}
          raw={row.raw}
          remove={() => designs.records.remove(kind, id, row.id)}
        />
      ))}
    </ul>
  );
}
