import { Plus } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import type { AddedKind } from '@/core/8-sizing/planform/addSurface';
import { addSurface } from '@/store/surfaces';
import { useAppDispatch } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';

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
  const trigger = (
    <Button>
      <Plus size={14} aria-hidden="true" /> Add a surface
    </Button>
  );
  return (
    <Menu trigger={trigger}>
      {kinds.map((kind) => (
        <MenuEntry key={kind} disabled={!hasWing && kind !== 'wing'} onSelect={() => dispatch(addSurface(kind))}>
          {NAMES[kind]}
        </MenuEntry>
      ))}
    </Menu>
  );
}
