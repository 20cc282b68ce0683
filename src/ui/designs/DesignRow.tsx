import { Copy, Download, Pencil, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { StoredDesign } from '@/storage/database';
import { useSurroundings } from '../surroundings';
import { TextField } from '../fields/TextField';
import { IconButton } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { told } from '../shell/told';
import { PlanThumbnail } from './PlanThumbnail';

interface DesignRowProps {
  readonly entry: StoredDesign;
  readonly onRemove: () => void;
}

/** One design of the list: open, rename, copy, export, remove. */
export function DesignRow({ entry, onRemove }: DesignRowProps) {
  const { designs } = useSurroundings();
  const [renaming, setRenaming] = useState(false);
  const pencil = useRef<HTMLButtonElement>(null);
  const rename = (name: string) => void told(`${entry.name} keeps its name`, () => designs.rename(entry.id, name));
  const endRenaming = () => {
    setRenaming(false);
    pencil.current?.focus();
  };
  return (
    <li className="flex items-center gap-4 py-2" data-design={entry.name}>
      <PlanThumbnail design={entry.design} />
      <div className="min-w-0 flex-1">
        {renaming ? (
          <TextField label={`New name of ${entry.name}`} value={entry.name} onCommit={rename} onLeave={endRenaming} />
        ) : (
          <Link
            to={`/design/${entry.id}/wing`}
            className="text-lg font-medium underline decoration-rule underline-offset-4 hover:decoration-graphite"
          >
            {entry.name}
          </Link>
        )}
        <p className="truncate text-sm text-faint">
          {entry.design.notes || 'No notes'} · changed{' '}
          {new Date(entry.updatedAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}
        </p>
      </div>
      <IconButton
        ref={pencil}
        label={`Rename ${entry.name}`}
        icon={<Pencil size={16} />}
        // Leaving the field by this press ends the renaming: it must not begin again.
        onPointerDown={(event) => renaming && event.preventDefault()}
        onClick={() => setRenaming(!renaming)}
      />
      <IconButton
        label={`Copy ${entry.name}`}
        icon={<Copy size={16} />}
        onClick={() => void told(`${entry.name} was not copied`, () => designs.duplicate(entry.id))}
      />
      <IconButton
        label={`Export ${entry.name}`}
        icon={<Download size={16} />}
        onClick={() => void told(`${entry.name} was not exported`, () => exportDesign(designs, entry.id, entry.design))}
      />
      <IconButton label={`Remove ${entry.name}`} icon={<Trash2 size={16} />} onClick={onRemove} />
    </li>
  );
}
