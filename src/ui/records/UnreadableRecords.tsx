import { useLiveQuery } from 'dexie-react-hooks';
import { Download, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { RecordKind } from '@/core/2-document/records/recordKinds';
import type { UnreadableRecord } from '@/storage/recordStore';
import { useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';

/** Rows among the records of the open design that are none: saved as they lie there, or taken out. */
export function UnreadableRecords({ kind }: { readonly kind: RecordKind }) {
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const rows = useLiveQuery(() => (id === null ? [] : designs.records.unreadable(kind, id)), [kind, id]);
  if (id === null || !rows || rows.length === 0) return null;
  const takeOut = async (row: UnreadableRecord) => {
    const putBack = await told('It was not taken out', () => designs.records.remove(kind, id, row.id));
    if (!putBack) return;
    toast(`${row.id} was taken out.`, {
      action: { label: 'Undo', onClick: () => void told('It was not put back', putBack) },
    });
  };
  return (
    <ul className="mt-2 space-y-1.5">
      {rows.map((row) => (
        <li
          key={row.id}
          className="flex flex-wrap items-center gap-1.5 border-l-4 border-stop bg-stop-soft px-2 py-1 text-sm"
        >
          <span className="min-w-0 flex-1">{row.id} cannot be read; it is kept as it is.</span>
          <Button
            onClick={() =>
              downloadFile({
                name: `unreadable-${row.id.replaceAll(/[^\w-]/g, '')}.json`,
                parts: [JSON.stringify(row.raw, null, 2)],
                type: 'application/json',
              })
            }
          >
            <Download size={14} aria-hidden="true" /> Save it as it is
          </Button>
          <Button onClick={() => void takeOut(row)}>
            <Trash2 size={14} aria-hidden="true" /> Take out
          </Button>
        </li>
      ))}
    </ul>
  );
}
