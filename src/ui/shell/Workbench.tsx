import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';
import { stageAt } from '../stages/stages';
import type { Opening } from '@/store/store';
import { Button } from './buttons';
import { isTextEntry } from './isTextEntry';
import { late } from './Late';
import { LeaveGuard } from './LeaveGuard';
import { Shortcuts } from './Shortcuts';
import { told } from './told';
import { Waiting } from './Waiting';
import { OpenDesign } from './OpenDesign';
import { redone, undone } from '@/store/documentSlice';

/** Codes and what packs a design are fetched when it is sent. */
const Sharing = late(() => import('../share/ShareDialog'), { place: 'sending a design', meanwhile: null });

/** One open design: stages, drawing, numbers, beam. */
export function Workbench() {
  const { id = '', stage = 'wing' } = useParams();
  const { session, designs } = useSurroundings();
  const isOpen = useAppSelector((state) => state.document.present !== null);
  const openId = useAppSelector((state) => state.session.id);
  const isSharing = useAppSelector((state) => state.session.isSharing);
  const [opened, setOpened] = useState<{ readonly id: string; readonly outcome: Opening | null } | null>(null);
  const opening = opened?.id === id ? opened.outcome : null;
  const dispatch = useAppDispatch();

  useEffect(() => {
    let current = true;
    void told('The design could not be opened', () => session.open(id)).then(
      (outcome) => current && setOpened({ id, outcome }),
    );
    return () => {
      current = false;
    };
  }, [id, session]);

  const generation = useLiveQuery(() => designs.generationOf(id), [id]);
  useEffect(() => {
    if (generation !== undefined) void session.followOtherTabs(id, generation);
  }, [generation, id, session]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || isTextEntry(event.target)) return;
      const key = event.key.toLowerCase();
      if (key === 'z' && !event.shiftKey) dispatch(undone());
      else if (key === 'y' || (key === 'z' && event.shiftKey)) dispatch(redone());
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch]);

  if (opening?.kind === 'missing') return <Missing />;
  if (opening?.kind === 'unreadable') return <Unreadable {...opening} />;
  if (!isOpen || openId !== id)
    return (
      <main>
        <Waiting what="Opening…" />
      </main>
    );
  return (
    <>
      <OpenDesign id={id} stage={stageAt(stage)} notice={NOTICE} />
      <Shortcuts id={id} />
      <LeaveGuard id={id} />
      {isSharing && <Sharing />}
    </>
  );
}

function ConflictBar() {
  const { session } = useSurroundings();
  const { save, saveDetail } = useAppSelector((state) => state.session);
  const navigate = useNavigate();
  if (save !== 'conflict') return null;
  const resolve = async (choice: 'theirs' | 'copy') => {
    const next = await told('Nothing was changed', () => session.resolveConflict(choice));
    if (choice === 'copy' && next) navigate(`/design/${next}/wing`);
  };
  return (
    <div role="alert" className="flex items-center gap-3 border-b border-stop bg-stop-soft px-3 py-2 text-read">
      <p className="flex-1">
        This design was changed in another tab while you worked here. Nothing was overwritten
        {saveDetail !== null && `, and what you have here is kept among the revisions as “${saveDetail}”`}: choose which
        state counts.
      </p>
      <Button onClick={() => void resolve('theirs')}>Take the other tab’s state</Button>
      <Button look="strong" onClick={() => void resolve('copy')}>
        Keep this one as a copy
      </Button>
    </div>
  );
}

function Missing() {
  const navigate = useNavigate();
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">This design is not in this browser</h1>
      <p className="my-3">
        It may have been removed, or it was made in another browser. Import its file to open it here.
      </p>
      <Button look="strong" onClick={() => navigate('/')}>
        To the designs
      </Button>
    </main>
  );
}

/** It lies there and is no design that this program can read; the list offers to save it as it is. */
function Unreadable({ name, issues }: Extract<Opening, { kind: 'unreadable' }>) {
  const navigate = useNavigate();
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">{name} cannot be read</h1>
      <p className="my-3">
        {issues[0] && `${issues[0].path} ${issues[0].message} `}
        It is kept as it is. In the list of designs it can be saved as a file or removed.
      </p>
      <Button look="strong" onClick={() => navigate('/')}>
        To the designs
      </Button>
    </main>
  );
}

const NOTICE = <ConflictBar />;
