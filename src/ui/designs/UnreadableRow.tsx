import { Download, OctagonAlert, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { UnreadableDesign } from '@/storage/readStored';
import { useSurroundings } from '../surroundings';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import { told } from '../shell/told';

/** What lies there and is no design that can be read: saved as it is, or taken away. */
export function UnreadableRow({ entry, onGone }: { readonly entry: UnreadableDesign; readonly onGone: () => void }) {
  const { designs } = useSurroundings();
  const [first] = entry.issues;
  const remove = async () => {
    const putBack = await told(`${entry.name} was not removed`, () => designs.erase(entry.id));
    if (!putBack) return;
    onGone();
    toast(`${entry.name} was removed.`, {
      action: { label: 'Undo', onClick: () => void told('It was not put back', putBack) },
    });
  };
  return (
    <li className="flex items-center gap-4 border-l-4 border-stop bg-stop-soft px-2 py-2" data-unreadable={entry.id}>
      <div className="min-w-0 flex-1">
        <p className="font-medium">
          <OctagonAlert size={16} aria-hidden="true" className="mr-1.5 inline align-text-bottom text-stop" />
          {entry.name} cannot be read
        </p>
        <p className="text-sm">
          {first && (
            <>
              <code>{first.path}</code> {first.message}
            </>
          )}{' '}
          It is kept as it is: save it before you remove it.
        </p>
      </div>
      <Button onClick={() => downloadFile(rawFile(entry))}>
        <Download size={15} aria-hidden="true" /> Save it as it is
      </Button>
      <Button onClick={() => void remove()}>
        <Trash2 size={15} aria-hidden="true" /> Remove
      </Button>
    </li>
  );
}

const rawFile = ({ id, raw }: UnreadableDesign) => ({
  name: `unreadable-${id.replaceAll(/[^\w-]/g, '')}.json`,
  parts: [JSON.stringify(raw, null, 2) ?? 'undefined'],
  type: 'application/json',
});
