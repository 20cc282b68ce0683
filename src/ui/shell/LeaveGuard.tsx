import { AlertDialog } from 'radix-ui';
import { useBlocker } from 'react-router';
import { useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';
import { Button } from './buttons';
import { exportDesign } from './exportDesign';
import { told } from './told';

/** Asks before a design is left that could not be saved. Its stages may be walked freely. */
export function LeaveGuard({ id }: { readonly id: string }) {
  const { session, designs } = useSurroundings();
  const detail = useAppSelector((state) => state.session.saveDetail);
  const design = useAppSelector((state) => state.document.present);
  const blocker = useBlocker(
    ({ nextLocation }) => session.wouldLose() && !nextLocation.pathname.startsWith(`/design/${id}/`),
  );
  if (blocker.state !== 'blocked' || !design) return null;
  const retry = async () => {
    await session.flush();
    if (!session.wouldLose()) blocker.proceed();
  };
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && blocker.reset()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-30 w-[480px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-graphite bg-sheet p-4">
          <AlertDialog.Title className="text-lg font-semibold">{design.name} is not saved</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-read">
            The last changes could not be saved{detail ? ` (${detail})` : ''}. Inclinar goes on trying as long as this
            page is open; closing it loses them. An exported file keeps them.
          </AlertDialog.Description>
          <div className="mt-3 flex flex-wrap justify-end gap-2">
            <Button onClick={() => blocker.proceed()}>Leave it</Button>
            <Button onClick={() => void retry()}>Try again</Button>
            <Button onClick={() => void told('It was not exported', () => exportDesign(designs, id, design))}>
              Export now
            </Button>
            <AlertDialog.Cancel asChild>
              <Button look="strong">Stay</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
