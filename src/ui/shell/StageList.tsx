import { clsx } from 'clsx';
import { Check, Circle, LayoutGrid, OctagonAlert, TriangleAlert } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { useAppSelector } from '@/store/hooks';
import { shownFindings } from '@/store/setAsideFindings';
import type { StageEntry } from '../stages/stage';
import { STAGE_GROUPS, STAGE_LIST, STAGES, stageAt, stageState } from '../stages/stages';
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
  const { stage: path = '' } = useParams();
  const column = useRef<HTMLElement>(null);
  // On a low screen the open stage may lie below the fold.
  // By its scroll alone: browsers begin the next Tab at what is scrolled into view.
  useEffect(() => {
    const list = column.current;
    const link = list?.querySelector(`[href$="/${path}"]`);
    if (!list || !link) return;
    const [seen, own] = [list.getBoundingClientRect(), link.getBoundingClientRect()];
    if (own.bottom > seen.bottom) list.scrollTop += own.bottom - seen.bottom;
    else if (own.top < seen.top) list.scrollTop -= seen.top - own.top;
  }, [path]);
  return (
    <nav
      ref={column}
      aria-label="Stages"
      className="isolate w-[132px] shrink-0 overflow-y-auto border-r border-rule low:w-[104px]"
    >
      {STAGE_GROUPS.map(({ title, stages }) => (
        <div key={title} className="border-b border-rule pb-1">
          <p className="px-3 pt-1.5 pb-0.5 text-note tracking-wide text-faint uppercase low:px-1.5" aria-hidden="true">
            {title}
          </p>
          <ol aria-label={title}>
            {stages.map((stage) => (
              <li key={stage}>
                <StageLink
                  id={id}
                  stage={STAGES[stage]}
                  className="flex items-center justify-between gap-1 border-l-4 px-2 py-1 hover:bg-soft low:min-h-11 low:px-1 pointer-coarse:min-h-11"
                  isLine
                />
              </li>
            ))}
          </ol>
        </div>
      ))}
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
  /** In one line: the state by its mark and its count, in words for those who do not see it. */
  readonly isLine?: boolean;
}

function StageLink({ id, stage: { path, title }, className, onChosen, isLine = false }: StageLinkProps) {
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
            {isLine && count > 0 && <span aria-hidden="true">{count}</span>}
            {ICON[state]} <span className={isLine ? 'sr-only' : 'small:sr-only'}>{state}</span>
            <span className={isLine ? 'sr-only' : 'small:sr-only'}>{count > 0 && ` · ${count}`}</span>
          </>
        ) : (
          <span className={isLine ? 'sr-only' : 'phone:sr-only'}>computing…</span>
        )}
      </span>
    </NavLink>
  );
}
