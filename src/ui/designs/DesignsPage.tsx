import { useLiveQuery } from 'dexie-react-hooks';
import { Copy, Download, FilePlus2, Pencil, Trash2, Upload } from 'lucide-react';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { DocumentIssue } from '@/core/2-document/readDesign';
import { blankDesign } from '@/core/2-document/starts';
import { readDesignFile } from '@/files/designFile';
import type { StoredDesign } from '@/storage/database';
import { useSurroundings } from '../surroundings';
import { TextField } from '../fields/TextField';
import { Button, IconButton } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { UnitsSwitch } from '../shell/UnitsSwitch';
import { PlanThumbnail } from './PlanThumbnail';

/** Designs shown at first, and how many more each time. */
const PAGE = 40;

interface Refusal {
  readonly file: string;
  readonly issues: readonly DocumentIssue[];
}

/** All designs of this browser: open, start, copy, rename, remove, import, export. */
export function DesignsPage() {
  const { session, designs } = useSurroundings();
  const navigate = useNavigate();
  const [shown, setShown] = useState(PAGE);
  const list = useLiveQuery(() => designs.list(shown), [shown]);
  const total = useLiveQuery(() => designs.count()) ?? 0;
  const bin = useLiveQuery(() => designs.bin());
  const [refusals, setRefusals] = useState<readonly Refusal[]>([]);
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);

  useEffect(() => {
    document.title = 'Designs · Inclinar';
    void session.open(null);
  }, [session]);

  const importFiles = async (files: readonly File[]) => {
    const refused: Refusal[] = [];
    for (const file of files) {
      const read = await readDesignFile(file);
      if (!read.ok) {
        refused.push({ file: file.name, issues: read.issues });
        continue;
      }
      const stored = await designs.create(read.design, { records: read.records, pictures: read.pictures });
      toast(`${stored.name} was imported.`, {
        action: { label: 'Open', onClick: () => navigate(`/design/${stored.id}/wing`) },
      });
    }
    setRefusals(refused);
  };
  const start = async () => {
    const stored = await designs.create(blankDesign('New design'));
    navigate(`/design/${stored.id}/brief`);
  };
  const remove = async (entry: StoredDesign) => {
    await designs.putInBin(entry.id);
    toast(`${entry.name} was removed.`, {
      action: { label: 'Undo', onClick: () => void designs.takeFromBin(entry.id) },
    });
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void importFiles([...event.dataTransfer.files]);
  };

  return (
    <div
      className={`flex h-full flex-col ${over ? 'bg-balance-soft' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setOver(false)}
      onDrop={drop}
    >
      <header className="flex h-12 shrink-0 items-center gap-3 border-b border-graphite bg-sheet px-3">
        <img src="/icon.svg" alt="" className="size-6" />
        <p className="font-semibold">Inclinar</p>
        <p className="text-sm text-faint">the art of small angles</p>
        <div className="ml-auto">
          <UnitsSwitch />
        </div>
      </header>
      <main className="mx-auto w-full max-w-5xl flex-1 overflow-y-auto px-6 py-5">
        <div className="flex items-center gap-2">
          <h1 className="flex-1 text-2xl font-semibold">Designs</h1>
          <Button onClick={() => input.current?.click()}>
            <Upload size={15} aria-hidden="true" /> Import
          </Button>
          <input
            ref={input}
            type="file"
            accept=".json,.zip,application/json,application/zip"
            multiple
            className="sr-only"
            aria-label="Design files to import"
            tabIndex={-1}
            onChange={(event) => {
              void importFiles([...(event.target.files ?? [])]);
              event.target.value = '';
            }}
          />
          <Button look="strong" onClick={() => void start()}>
            <FilePlus2 size={15} aria-hidden="true" /> New design
          </Button>
        </div>
        {refusals.map(({ file, issues }) => (
          <div key={file} role="alert" className="mt-3 border-l-4 border-stop bg-stop-soft p-3 text-sm">
            <p className="font-semibold">{file} was not taken; nothing else changed.</p>
            <ul className="mt-1 list-disc pl-5">
              {issues.slice(0, 6).map((issue) => (
                <li key={issue.path + issue.message}>
                  <code>{issue.path}</code> {issue.message}
                </li>
              ))}
              {issues.length > 6 && <li>and {issues.length - 6} more</li>}
            </ul>
          </div>
        ))}
        {list?.length === 0 && (
          <p className="mt-6 text-faint">No designs yet. Start a new one, or drop an exported design file here.</p>
        )}
        <ul className="mt-4 divide-y divide-rule border-y border-rule">
          {list?.map((entry) => (
            <DesignRow key={entry.id} entry={entry} onRemove={() => void remove(entry)} />
          ))}
        </ul>
        {list && total > list.length && (
          <Button className="mt-2" onClick={() => setShown(shown + PAGE)}>
            Show {Math.min(PAGE, total - list.length)} more of {total}
          </Button>
        )}
        {bin && bin.length > 0 && (
          <details className="mt-4 text-sm">
            <summary className="cursor-pointer text-faint">Removed designs ({bin.length})</summary>
            <ul className="mt-2 space-y-1">
              {bin.map((entry) => (
                <li key={entry.id} className="flex items-center gap-2">
                  {entry.name}
                  <Button onClick={() => void designs.takeFromBin(entry.id)}>Put back</Button>
                </li>
              ))}
            </ul>
          </details>
        )}
        <p className="mt-6 text-[13px] text-faint">
          Designs are kept in this browser. Export those that matter. Inclinar computes; it does not certify: your
          club’s and your country’s rules come first.
        </p>
      </main>
    </div>
  );
}

function DesignRow({ entry, onRemove }: { readonly entry: StoredDesign; readonly onRemove: () => void }) {
  const { designs } = useSurroundings();
  const [renaming, setRenaming] = useState(false);
  const rename = async (name: string) => {
    await designs.rename(entry.id, name);
    setRenaming(false);
  };
  return (
    <li className="flex items-center gap-4 py-2" data-design={entry.name}>
      <PlanThumbnail design={entry.design} />
      <div className="min-w-0 flex-1">
        {renaming ? (
          <TextField label={`New name of ${entry.name}`} value={entry.name} onCommit={(name) => void rename(name)} />
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
      <IconButton label={`Rename ${entry.name}`} icon={<Pencil size={16} />} onClick={() => setRenaming(!renaming)} />
      <IconButton
        label={`Copy ${entry.name}`}
        icon={<Copy size={16} />}
        onClick={() => void designs.duplicate(entry.id)}
      />
      <IconButton
        label={`Export ${entry.name}`}
        icon={<Download size={16} />}
        onClick={() => void exportDesign(designs, entry.id, entry.design)}
      />
      <IconButton label={`Remove ${entry.name}`} icon={<Trash2 size={16} />} onClick={onRemove} />
    </li>
  );
}
