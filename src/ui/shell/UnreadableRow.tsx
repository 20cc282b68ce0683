import { Download, OctagonAlert, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Button } from './buttons';
import { downloadFile } from './download';
import { told } from './told';

interface UnreadableRowProps {
  readonly id: string;
  readonly name: string;
  /** What lies there. */
  readonly raw: unknown;
  /** What is wrong with it. */
  readonly children?: ReactNode;
  /** Takes it away; the answer puts it back. */
  readonly remove: () => Promise<() => Promise<void>>;
  readonly onGone?: () => void;
}

/** What lies in the storage and cannot be read: saved as it is, or taken away. */
export function UnreadableRow({ id, name, raw, children, remove, onGone }: UnreadableRowProps) {
  const takeAway = async () => {
    const putBack = await told(`${name} was not removed`, remove);
    if (!putBack) return;
    onGone?.();
    toast(`${name} was removed.`, {
      action: { label: 'Undo', onClick: () => void told(`${name} was not put back`, putBack) },
    });
  };
  return (
    <li
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-stop bg-stop-soft px-2 py-2"
      data-unreadable={id}
    >
      <div className="min-w-60 flex-1">
        <p className="font-medium">
          <OctagonAlert size={16} aria-hidden="true" className="mr-1.5 inline align-text-bottom text-stop" />
          {name} cannot be read
        </p>
        <p className="text-read">{children} It is kept as it is: save it before you remove it.</p>
      </div>
      <Button
        onClick={() =>
          downloadFile({
            name: `unreadable-${id.replaceAll(/[^\w-]/g, '')}.json`,
            parts: [JSON.stringify(raw, null, 2) ?? 'undefined'],
            type: 'application/json',
          })
        }
      >
        <Download size={15} aria-hidden="true" /> Save it as it is
      </Button>
      <Button onClick={() => void takeAway()}>
        <Trash2 size={15} aria-hidden="true" /> Remove
      </Button>
    </li>
  );
}
