import { Popover } from 'radix-ui';
import type { ReactElement } from 'react';
import { layer } from '../shell/layer';

interface FieldFaultProps {
  readonly id: string;
  /** Why what was typed was not taken. */
  readonly fault: string | null;
  readonly children: ReactElement;
}

/** What was not understood, said at its field: it lies over what follows and moves nothing. */
export function FieldFault({ id, fault, children }: FieldFaultProps) {
  return (
    <Popover.Root open={fault !== null}>
      <Popover.Anchor asChild>{children}</Popover.Anchor>
      {fault !== null && (
        <Popover.Portal container={layer()}>
          <Popover.Content
            id={id}
            role="alert"
            side="bottom"
            align="start"
            sideOffset={5}
            collisionPadding={8}
            onOpenAutoFocus={(event) => event.preventDefault()}
            onCloseAutoFocus={(event) => event.preventDefault()}
            className="z-30 w-max max-w-[min(280px,92vw)] border border-stop bg-stop-soft px-2 py-1 text-label text-stop shadow-md"
          >
            {fault}
          </Popover.Content>
        </Popover.Portal>
      )}
    </Popover.Root>
  );
}
