import { Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { Design } from '@/core/2-document/schema/design';
import type { AddedKind } from '@/core/8-sizing/planform/addSurface';
import { addSurface } from '@/store/surfaces';
import { useAppDispatch } from '@/store/hooks';
import { Button } from '../shell/buttons';

const NAMES: Record<AddedKind, string> = {
  wing: 'Wing',
  secondWing: 'Second wing',
  tailplane: 'Tailplane',
  fin: 'Fin',
  vTail: 'V-tail',
  canard: 'Foreplane (canard)',
  tipFins: 'Tip fins',
  fixedStabiliser: 'Small fixed stabiliser',
};

interface AddSurfaceProps {
  readonly design: Design;
  readonly kinds: readonly AddedKind[];
}

/** Puts a surface of a usual size in a usual place, to be drawn into shape. */
export function AddSurface({ design, kinds }: AddSurfaceProps) {
  const dispatch = useAppDispatch();
  const hasWing = design.surfaces.some(({ role }) => role === 'wing');
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>
          <Plus size={14} aria-hidden="true" /> Add a surface
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="z-30 border border-graphite bg-sheet py-1 text-sm shadow-lg"
          sideOffset={4}
          align="start"
        >
          {kinds.map((kind) => (
            <DropdownMenu.Item
              key={kind}
              disabled={!hasWing && kind !== 'wing'}
              className="cursor-pointer px-3 py-1 data-[disabled]:text-faint data-[highlighted]:bg-soft"
              onSelect={() => dispatch(addSurface(kind))}
            >
              {NAMES[kind]}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
