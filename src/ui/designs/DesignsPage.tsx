import { useLiveQuery } from 'dexie-react-hooks';
import { FilePlus2 } from 'lucide-react';
import { type DragEvent, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { blankDesign } from '@/core/2-document/starts';
import type { StoredDesign } from '@/storage/database';
import { isUnreadable } from '@/storage/readStored';
import { useSurroundings } from '../surroundings';
import { Button } from '../shell/buttons';
import { FaultBoundary } from '../shell/FaultBoundary';
import { SkipLink } from '../shell/SkipLink';
import { told } from '../shell/told';
import { UnitsSwitch } from '../shell/UnitsSwitch';
import { Waiting } from '../shell/Waiting';
import { DesignRow } from './DesignRow';
import { ImportButton, Refused, useImport } from './importing';
import { RemovedDesigns } from './RemovedDesigns';
import { UnreadableDesignRow } from './UnreadableDesignRow';
import { UnreadableSettings } from './UnreadableSettings';
import { UnsavedDesigns } from './UnsavedDesigns';

/** Designs shown at first, and how many more each time. */
const PAGE = 40;

/** All designs of this browser: open, start, copy, rename, remove, import, export. */
export function DesignsPage() {
  const { session, designs } = useSurroundings();
  const navigate = useNavigate();
  const [shown, setShown] = useState(PAGE);
  const list = useLiveQuery(() => designs.list(shown), [shown]);
  const total = useLiveQuery(() => designs.count()) ?? 0;
  const { refusals, importFiles } = useImport();
  const [over, setOver] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);

  useEffect(() => {
    document.title = 'Designs · Inclinar';
    void session.open(null);
  }, [session]);

  const start = async () => {
    const stored = await told('No design was started', () => designs.create(blankDesign('New design')));
    if (stored) navigate(`/design/${stored.id}/brief`);
  };
  const remove = async (entry: StoredDesign) => {
    const done = await told(`${entry.name} was not removed`, async () => {
      await designs.putInBin(entry.id);
      return true;
    });
    if (!done) return;
    // What had the focus is gone.
    heading.current?.focus();
    toast(`${entry.name} was removed.`, {
      action: {
        label: 'Undo',
        onClick: () => void told(`${entry.name} was not put back`, () => designs.takeFromBin(entry.id)),
      },
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
      <SkipLink to="designs">Skip to the designs</SkipLink>
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
          <h1 ref={heading} tabIndex={-1} className="flex-1 text-2xl font-semibold">
            Designs
          </h1>
          <ImportButton onFiles={importFiles} />
          <Button look="strong" onClick={() => void start()}>
            <FilePlus2 size={15} aria-hidden="true" /> New design
          </Button>
        </div>
        <UnsavedDesigns />
        <UnreadableSettings />
        {refusals.map((refusal) => (
          <Refused key={refusal.file} {...refusal} />
        ))}
        {list === undefined && <Waiting what="Reading the designs of this browser…" />}
        {list?.length === 0 && (
          <p className="mt-6 text-faint">No designs yet. Start a new one, or drop an exported design file here.</p>
        )}
        <ul id="designs" tabIndex={-1} className="mt-4 divide-y divide-rule border-y border-rule">
          {list?.map((entry) => (
            <FaultBoundary key={entry.id} place="A design of the list">
              {isUnreadable(entry) ? (
                <UnreadableDesignRow entry={entry} onGone={() => heading.current?.focus()} />
              ) : (
                <DesignRow entry={entry} onRemove={() => void remove(entry)} />
              )}
            </FaultBoundary>
          ))}
        </ul>
        {list && total > list.length && (
          <Button className="mt-2" onClick={() => setShown(shown + PAGE)}>
            Show {Math.min(PAGE, total - list.length)} more of {total}
          </Button>
        )}
        <RemovedDesigns onEmpty={() => heading.current?.focus()} />
        <p className="mt-6 text-[13px] text-faint">
          Designs are kept in this browser. Export those that matter. Inclinar computes; it does not certify: your
          club’s and your country’s rules come first.
        </p>
      </main>
    </div>
  );
}
