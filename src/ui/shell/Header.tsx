import { field } from '@/core/2-document/edit/field';
import { Download, Redo2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { RevisionsButton } from '../revisions/RevisionsButton';
import { CommandPalette } from '../palette/CommandPalette';
import { AssembliesButton } from '../assemblies/AssembliesButton';
import { TextField } from '../fields/TextField';
import { Button, IconButton } from './buttons';
import { useSurroundings } from '../surroundings';
import { exportDesign } from './exportDesign';
import { SheetMenu } from './SheetMenu';
import { SkipLink } from './SkipLink';
import { UnitsSwitch } from './UnitsSwitch';
import { told } from './told';
import { HISTORY_LIMIT, redone, undone } from '@/store/documentSlice';

const SAVE_WORDS = {
  saved: 'Saved in this browser',
  saving: 'Saving…',
  failed: 'Not saved',
  conflict: 'Changed in another tab',
} as const;

export function Header() {
  const dispatch = useAppDispatch();
  const design = useAppSelector((state) => state.document.present!);
  const { session, designs } = useSurroundings();
  const { id, save, saveDetail } = useAppSelector((state) => state.session);
  const canUndo = useAppSelector((state) => state.document.past.length > 0);
  const canRedo = useAppSelector((state) => state.document.future.length > 0);
  const takeOut = async () => {
    if (id !== null) await told('It was not exported', () => exportDesign(designs, id, design));
  };
  const isFull = useAppSelector((state) => state.document.past.length >= HISTORY_LIMIT);
  return (
    // By itself in the painting order, as the list of stages is: both are left out while the drawing is painted anew.
    <header className="isolate flex h-12 shrink-0 items-center gap-3 low:h-11 border-b border-graphite bg-sheet px-3 phone:h-auto phone:flex-wrap phone:gap-2 phone:px-2 phone:py-1">
      <h1 className="sr-only" tabIndex={-1}>
        {design.name}
      </h1>
      <SkipLink to="numbers">Skip to the numbers</SkipLink>
      <Link to="/" className="flex shrink-0 items-center gap-2 font-semibold">
        <img src="/icon.svg" alt="" className="size-6" />
        <span className="small:sr-only">Inclinar</span>
      </Link>
      <span aria-hidden="true" className="text-rule phone:hidden">
        /
      </span>
      <TextField
        label="Name of the design"
        hideLabel
        value={design.name}
        onCommit={(name) => dispatch(setFields([field('name').to(name)]))}
        className="w-56 font-medium phone:w-auto phone:flex-1"
      />
      <IconButton
        label={isFull ? `Undo (the last ${HISTORY_LIMIT} steps are kept)` : 'Undo'}
        icon={<Undo2 size={17} />}
        disabled={!canUndo}
        onClick={() => dispatch(undone())}
      />
      <IconButton label="Redo" icon={<Redo2 size={17} />} disabled={!canRedo} onClick={() => dispatch(redone())} />
      <p
        role="status"
        title={saveDetail ?? undefined}
        className={`line-clamp-2 min-w-0 text-note ${save === 'saved' || save === 'saving' ? 'text-faint small:sr-only' : 'font-semibold text-stop'}`}
        data-testid="save-state"
      >
        {SAVE_WORDS[save]}
        {save === 'failed' && saveDetail && `: ${saveDetail}`}
      </p>
      {save === 'failed' && (
        <>
          <Button className="shrink-0 whitespace-nowrap" onClick={() => void session.flush()}>
            Try again
          </Button>
          <Button className="shrink-0 whitespace-nowrap" onClick={() => void takeOut()}>
            Export now
          </Button>
        </>
      )}
      <div className="ml-auto flex items-center gap-3 phone:ml-0 phone:w-full phone:justify-between phone:gap-1">
        <CommandPalette />
        <AssembliesButton design={design} />
        <RevisionsButton design={design} />
        <UnitsSwitch />
        <Button onClick={() => void takeOut()}>
          <Download size={15} aria-hidden="true" /> <span className="small:sr-only max-[1100px]:sr-only">Export</span>
        </Button>
        <SheetMenu />
      </div>
    </header>
  );
}
