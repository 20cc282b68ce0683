import { clsx } from 'clsx';
import { Check, Circle, LayoutGrid, OctagonAlert, TriangleAlert } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { useAppSelector } from '@/store/hooks';
import { shownFindings } from '@/store/setAsideFindings';
import type { StageEntry } from '../stages/stage';
import { STAGE_LIST, stageAt, stageState } from '../stages/stages';
import { Button } from './buttons';
import { layer } from './layer';
import { useScreen } from './useScreen';

const ICON = {
  stop: <OctagonAlert size={15} className="text-stop" aria-hidden="true" />,
  'look again': <TriangleAlert size={15} className="text-caution" aria-hidden="true" />,
  'in order': <Check size={15} className="text-balance" aria-hidden="true" />,
  'not started': <Circle size={13} aria-hidden="true" />,
} as const;

/** Stages down the side, each with its state and the number of findings; on a phone a bar at the foot and a sheet of all. */
export function StageList({ id }: { readonly id: string }) {
  return useScreen() === 'phone' ? <StageBar id={id} /> : <StageColumn id={id} />;
}

function StageColumn({ id }: { readonly id: string }) {
  return (
    <nav aria-label="Stages" className="w-[132px] shrink-0 overflow-y-auto border-r border-rule low:w-[104px]">
      <ol>
        {STAGE_LIST.map((stage) => (
          <li key={stage.path}>
            <StageLink
              id={id}
              stage={stage}
              className="block border-b border-l-4 border-b-soft px-3 py-1 hover:bg-soft low:flex low:min-h-11 low:items-center low:gap-1 low:px-1.5 low:py-1"
            />
          </li>
        ))}
      </ol>
    </nav>
  );
}

/** The stage that is open between the one before and the one after, and the way to all of them. */
function StageBar({ id }: { readonly id: string }) {
  const { stage: path = '' } = useParams();
  const [isOpen, setOpen] = useState(false);
  const at = STAGE_LIST.indexOf(stageAt(path));
  const from = Math.min(Math.max(0, at - 1), STAGE_LIST.length - 3);
  const inRow = 'flex min-h-11 min-w-0 items-center gap-1 border-t-4 px-1.5';
  return (
    <nav aria-label="Stages" className="order-last grid w-full shrink-0 grid-cols-4 border-t border-rule">
      {STAGE_LIST.slice(from, from + 3).map((stage) => (
        <StageLink key={stage.path} id={id} stage={stage} className={inRow} />
      ))}
      <Dialog.Root open={isOpen} onOpenChange={setOpen}>
        <Dialog.Trigger asChild>
          <Button look="quiet" className="min-h-11">
            <LayoutGrid size={15} aria-hidden="true" /> All
          </Button>
        </Dialog.Trigger>
        <Dialog.Portal container={layer()}>
          <Dialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed inset-x-0 bottom-0 z-30 max-h-[80vh] overflow-y-auto border-t border-graphite bg-sheet p-3"
          >
            <div className="mb-2 flex items-center justify-between">
              <Dialog.Title className="font-semibold">Stages</Dialog.Title>
              <Dialog.Close asChild>
                <Button look="quiet">Close</Button>
              </Dialog.Close>
            </div>
            <ol className="grid grid-cols-2 gap-1.5">
              {STAGE_LIST.map((stage) => (
                <li key={stage.path}>
                  <StageLink
                    id={id}
                    stage={stage}
                    className={`${inRow} border-t-0 border-l-4 bg-paper`}
                    onChosen={() => setOpen(false)}
                  />
                </li>
              ))}
            </ol>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </nav>
  );
}

interface StageLinkProps {
  readonly id: string;
  readonly stage: StageEntry;
  readonly className: string;
  readonly onChosen?: () => void;
}

function StageLink({ id, stage: { path, title }, className, onChosen }: StageLinkProps) {
  const design = useAppSelector((state) => state.document.present);
  const findings = useAppSelector((state) => state.analysis.current?.findings);
  const { state, count } = design
    ? stageState(design, shownFindings(findings ?? [], design.setAside).open, path)
    : { state: 'not started' as const, count: 0 };
  return (
    <NavLink
      to={`/design/${id}/${path}`}
      onClick={onChosen}
      className={({ isActive }) =>
        clsx(className, isActive ? 'border-graphite bg-sheet' : 'border-x-transparent border-t-transparent')
      }
    >
      <span className="block font-medium low:order-last low:text-read phone:order-last phone:text-read">{title}</span>
      <span className="flex items-center gap-1 text-note text-faint">
        {findings ? (
          <>
            {ICON[state]} <span className="small:sr-only">{state}</span>
            <span className="small:sr-only">{count > 0 && ` · ${count}`}</span>
          </>
        ) : (
          <span className="phone:sr-only">computing…</span>
        )}
      </span>
    </NavLink>
  );
}
