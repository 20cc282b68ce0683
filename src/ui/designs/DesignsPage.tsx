import { FilePlus2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { blankDesign } from '@/core/2-document/starts';
import { figuresOf } from '@/core/8-field/evidence';
import { useAppSelector } from '@/store/hooks';
import { isUnreadable } from '@/storage/readStored';
import { useSurroundings } from '../surroundings';
import { Button } from '../shell/buttons';
import { FaultBoundary } from '../shell/FaultBoundary';
import { SkipLink } from '../shell/SkipLink';
import { told } from '../shell/told';
import { Waiting } from '../shell/Waiting';
import { ChosenDesigns } from './ChosenDesigns';
import { CompareTwo } from './CompareTwo';
import { DesignRow } from './DesignRow';
import { DesignsHeader } from './DesignsHeader';
import { DropFiles } from './DropFiles';
import { FindDesigns, MoreDesigns } from './FindDesigns';
import { FirstStep } from './FirstStep';
import { ImportButton, Refused, useImport } from './importing';
import { RemovedDesigns } from './RemovedDesigns';
import { UnreadableDesignRow } from './UnreadableDesignRow';
import { UnreadableSettings } from './UnreadableSettings';
import { UnsavedDesigns } from './UnsavedDesigns';
import { useDesignList } from './useDesignList';
import { useRemoval } from './useRemoval';

/** All designs of this browser: find, open, start, copy, rename, tag, compare, remove, import, export. */
export function DesignsPage() {
  const { session, designs } = useSurroundings();
  const navigate = useNavigate();
  const { wanted, heads, found, list, left, change, more } = useDesignList();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [comparing, setComparing] = useState<readonly string[] | null>(null);
  const { refusals, importFiles } = useImport();
  const remove = useRemoval();
  const heading = useRef<HTMLHeadingElement>(null);
  const toHeading = () => heading.current?.focus();
  const inUse = new Set(heads?.map(({ id }) => id));
  const chosenIds = [...chosen].filter((id) => inUse.has(id));
  const choose = (id: string, isChosen: boolean) =>
    setChosen(new Set(isChosen ? [...chosen, id] : [...chosen].filter((other) => other !== id)));

  useEffect(() => {
    document.title = 'Designs · Inclinar';
    void session.open(null);
  }, [session]);

  const evidence = useAppSelector((state) => state.settings.evidence);
  const start = async () => {
    // It begins with what this builder has learned.
    const figures = figuresOf(evidence);
    const blank = { ...blankDesign('New design'), ...(figures ? { figures } : {}) };
    const stored = await told('No design was started', () => designs.create(blank));
    if (stored) navigate(`/design/${stored.id}/brief`);
  };

  return (
    <DropFiles onFiles={(files) => void importFiles(files)}>
      <SkipLink to="designs">Skip to the designs</SkipLink>
      <DesignsHeader />
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
                <UnreadableDesignRow entry={entry} onGone={toHeading} />
              ) : (
                <DesignRow
                  entry={entry}
                  summary={heads?.find(({ id }) => id === entry.id)?.summary ?? null}
                  isChosen={chosen.has(entry.id)}
                  onChoose={(isChosen) => choose(entry.id, isChosen)}
                  onRemove={() =>
                    // What had the focus is gone.
                    void remove([entry.id], entry.name).then((done) => done && toHeading())
                  }
                />
              )}
            </FaultBoundary>
          ))}
        </ul>
        {left > 0 && <MoreDesigns left={left} onMore={more} />}
        <CompareTwo ids={comparing} onClose={() => setComparing(null)} />
        <RemovedDesigns onEmpty={toHeading} />
        <p className="mt-6 text-label text-faint">
          Designs are kept in this browser. Export those that matter. Inclinar computes; it does not certify: your
          club’s and your country’s rules come first.
        </p>
      </main>
    </DropFiles>
  );
}
