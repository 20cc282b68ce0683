import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useLiveQuery } from 'dexie-react-hooks';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';
import { stageAt } from '../stages/stages';
import { Button } from './buttons';
import { OpenDesign } from './OpenDesign';
import { redone, undone } from '@/store/documentSlice';

/** One open design: stages, drawing, numbers, beam. */
export function Workbench() {
  const { id = '', stage = 'wing' } = useParams();
  const { session, designs } = useSurroundings();
  const isOpen = useAppSelector((state) => state.document.present !== null);
  const openId = useAppSelector((state) => state.session.id);
  const [missing, setMissing] = useState(false);
  const dispatch = useAppDispatch();

  useEffect(() => {
    let current = true;
    void session.open(id).then((found) => current && setMissing(!found));
    return () => {
      current = false;
    };
  }, [id, session]);

  const generation = useLiveQuery(async () => (await designs.load(id))?.generation, [id]);
  useEffect(() => {
    if (generation !== undefined) void session.followOtherTabs(id, generation);
  }, [generation, id, session]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key === 'z' && !event.shiftKey) dispatch(undone());
      else if (key === 'y' || (key === 'z' && event.shiftKey)) dispatch(redone());
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch]);

  if (missing) return <Missing />;
  if (!isOpen || openId !== id) return <p className="p-6 text-faint">Opening…</p>;
  return <OpenDesign id={id} stage={stageAt(stage)} notice={NOTICE} />;
}

function ConflictBar() {
  const { session } = useSurroundings();
  const save = useAppSelector((state) => state.session.save);
  const navigate = useNavigate();
  if (save !== 'conflict' && save !== 'gone') return null;
  const resolve = async (choice: 'theirs' | 'copy') => {
    const next = await session.resolveConflict(choice);
    if (choice === 'copy' && next) navigate(`/design/${next}/wing`);
  };
  return (
    <div role="alert" className="flex items-center gap-3 border-b border-stop bg-stop-soft px-3 py-2 text-sm">
      <p className="flex-1">
        {save === 'conflict'
          ? 'This design was changed in another tab while you worked here. Nothing was overwritten: choose which state counts.'
          : 'This design was removed in another tab. What you have here can be kept as a copy.'}
      </p>
      {save === 'conflict' && <Button onClick={() => void resolve('theirs')}>Take the other tab’s state</Button>}
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

const NOTICE = <ConflictBar />;
