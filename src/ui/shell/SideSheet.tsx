import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './buttons';
import { FaultBoundary } from './FaultBoundary';

interface SideSheetProps {
  readonly title: string;
  readonly icon: ReactNode;
  readonly count: number;
  readonly children: ReactNode;
}

/** A button in the head that opens a sheet over the right side; the drawing stays in sight beside it. */
export function SideSheet({ title, icon, count, children }: SideSheetProps) {
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <Button>
          {icon} <span className="small:sr-only max-[1100px]:sr-only">{title}</span>
          {count > 0 && <span className="text-faint">{count}</span>}
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 right-0 z-30 w-[540px] max-w-full overflow-y-auto border-l border-graphite bg-sheet p-4"
        >
          <div className="flex items-center justify-between">
            <Dialog.Title className="text-lg font-semibold">{title}</Dialog.Title>
            <Dialog.Close asChild>
              <Button look="quiet">Close</Button>
            </Dialog.Close>
          </div>
          <FaultBoundary place={title}>{children}</FaultBoundary>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
