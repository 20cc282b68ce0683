import { Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { EQUIPMENT, type Equipment } from '@/core/2-document/catalogue/library';
import { formatMass } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { addItem } from '@/store/weights';
import type { DrawerEntry } from '@/store/settingsSlice';
import { Button } from '../shell/buttons';

const CATEGORIES: readonly (readonly [Equipment['category'], string])[] = [
  ['motor', 'Motors'],
  ['battery', 'Packs'],
  ['speedController', 'Speed controllers'],
  ['servo', 'Servos'],
  ['receiver', 'Receivers'],
  ['propeller', 'Propellers'],
  ['payload', 'Cameras and payload'],
  ['undercarriage', 'Undercarriage'],
  ['ballast', 'Ballast'],
];

const MENU = 'z-40 max-h-96 overflow-y-auto border border-graphite bg-sheet py-1 text-sm shadow-lg';
const LABEL = 'px-3 pt-1.5 text-xs text-faint uppercase tracking-wide';
const ENTRY = 'flex cursor-pointer justify-between gap-4 px-3 py-1 data-[highlighted]:bg-soft';

/** A generic size, something from the own drawer, or an empty line. */
export function AddEquipment() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const drawer = useAppSelector((state) => state.settings.drawer);
  const entry = (part: Equipment | DrawerEntry) => (
    <DropdownMenu.Item key={part.name} className={ENTRY} onSelect={() => dispatch(addItem(part))}>
      {part.name} <span className="text-faint">{formatMass(part.mass, units)}</span>
    </DropdownMenu.Item>
  );
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>
          <Plus size={14} aria-hidden="true" /> Add equipment
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={MENU} sideOffset={4} align="end">
          <DropdownMenu.Item className={ENTRY} onSelect={() => dispatch(addItem(null))}>
            Empty line
          </DropdownMenu.Item>
          {drawer.length > 0 && <DropdownMenu.Label className={LABEL}>My drawer</DropdownMenu.Label>}
          {drawer.map(entry)}
          {CATEGORIES.map(([category, words]) => (
            <DropdownMenu.Group key={category}>
              <DropdownMenu.Label className={LABEL}>{words}</DropdownMenu.Label>
              {EQUIPMENT.filter((part) => part.category === category).map(entry)}
            </DropdownMenu.Group>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
