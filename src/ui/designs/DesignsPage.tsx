import { useLiveQuery } from 'dexie-react-hooks';
import { FilePlus2 } from 'lucide-react';
import { type DragEvent, useEffect, useMemo, useRef, useState } from 'react';
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
import { arranged, type Wanted } from './arrange';
import { ChosenDesigns } from './ChosenDesigns';
import { CompareTwo } from './CompareTwo';
import { DesignRow } from './DesignRow';
import { FindDesigns, MoreDesigns } from './FindDesigns';
import { FirstStep } from './FirstStep';
import { ImportButton, Refused, useImport } from './importing';
import { RemovedDesigns } from './RemovedDesigns';
import { UnreadableDesignRow } from './UnreadableDesignRow';
import { UnreadableSettings } from './UnreadableSettings';
import { UnsavedDesigns } from './UnsavedDesigns';
import { useSummaries } from './useSummaries';

/** Designs shown at first, and how many more each time the end comes into sight. */
const PAGE = 40;

/** All designs of this browser: find, open, start, copy, rename, tag, compare, remove, import, export. */
export function DesignsPage() {
  const { session, designs } = useSurroundings();
  const navigate = useNavigate();
  const [shown, setShown] = useState(PAGE);
  const [wanted, setWanted] = useState<Wanted>({ words: '', tag: null, order: 'changed' });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [comparing, setComparing] = useState<readonly string[] | null>(null);
  const heads = useSummaries(useLiveQuery(() => designs.heads(), [designs]));
  const strays = useLiveQuery(() => designs.strays(), [designs]) ?? [];
  const found = useMemo(() => heads && arranged(heads, wanted), [heads, wanted]);
  const ids = useMemo(() => found?.slice(0, shown).map(({ id }) => id), [found, shown]);
  // The newest ones stand there before all are known.
  const entries = useLiveQuery(
    () => (ids ? designs.some(ids) : designs.list(PAGE)),
    [designs, ids?.join(' '), heads?.map(({ generation }) => generation).join(' ')],
  );
  const list = entries && [...strays, ...entries.filter(({ id }) => !strays.some((stray) => stray.id === id))];
  const summaries = new Map(heads?.map(({ id, summary }) => [id, summary]));
  const change = (part: Partial<Wanted>) => {
    setWanted({ ...wanted, ...part });
    setShown(PAGE);
  };
  const choose = (id: string, isChosen: boolean) => {
    const next = new Set(chosen);
    if (isChosen) next.add(id);
    else next.delete(id);
    setChosen(next);
  };
  const inUse = new Set(heads?.map(({ id }) => id));
  const chosenIds = [...chosen].filter((id) => inUse.has(id));
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
        <p className="text-read text-faint small:hidden">the art of small angles</p>
        <div className="ml-auto">
          <UnitsSwitch />
        </div>
      </header>
      <main className="mx-auto w-full max-w-6xl flex-1 overflow-y-auto px-6 py-5">
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
        {heads?.length === 0 && <FirstStep onStart={() => void start()} />}
        {heads && heads.length > 0 && <FindDesigns heads={heads} wanted={wanted} onChange={change} />}
        {chosenIds.length > 0 && (
          <ChosenDesigns
            ids={chosenIds}
            onClear={() => setChosen(new Set())}
            onCompare={() => setComparing(chosenIds)}
          />
        )}
        {found?.length === 0 && heads!.length > 0 && (
          <p className="mt-6 text-faint" role="status">
            None of {heads!.length} is called so.{' '}
            <Button onClick={() => change({ words: '', tag: null })}>Show all</Button>
          </p>
        )}
        <ul id="designs" tabIndex={-1} className="mt-4 divide-y divide-rule border-y border-rule">
          {list?.map((entry) => (
            <FaultBoundary key={entry.id} place="A design of the list">
              {isUnreadable(entry) ? (
                <UnreadableDesignRow entry={entry} onGone={() => heading.current?.focus()} />
              ) : (
                <DesignRow
                  entry={entry}
                  summary={summaries.get(entry.id) ?? null}
                  isChosen={chosen.has(entry.id)}
                  onChoose={(isChosen) => choose(entry.id, isChosen)}
                  onRemove={() => void remove(entry)}
                />
              )}
            </FaultBoundary>
          ))}
        </ul>
        {found && found.length > shown && (
          <MoreDesigns left={found.length - shown} onMore={() => setShown(shown + PAGE)} />
        )}
        <CompareTwo ids={comparing} onClose={() => setComparing(null)} />
        <RemovedDesigns onEmpty={() => heading.current?.focus()} />
        <p className="mt-6 text-label text-faint">
          Designs are kept in this browser. Export those that matter. Inclinar computes; it does not certify: your
          club’s and your country’s rules come first.
        </p>
      </main>
    </div>
  );
}
