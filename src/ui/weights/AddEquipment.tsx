import { Plus } from 'lucide-react';
import { EQUIPMENT, type Equipment } from '@/core/2-document/catalogue/library';
import { formatMass } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { addItem } from '@/store/weights';
import type { DrawerEntry } from '@/store/settingsSlice';
import { Button } from '../shell/buttons';
import { Menu, MenuEntry, MenuGroup } from '../shell/Menu';

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

/** A generic size, something from the own drawer, or an empty line. */
export function AddEquipment() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const drawer = useAppSelector((state) => state.settings.drawer);
  const entry = (part: Equipment | DrawerEntry) => (
    <MenuEntry key={part.name} onSelect={() => dispatch(addItem(part))} aside={formatMass(part.mass, units)}>
      {part.name}
    </MenuEntry>
  );
  const trigger = (
    <Button>
      <Plus size={14} aria-hidden="true" /> Add equipment
    </Button>
  );
  return (
    <Menu trigger={trigger} align="end">
      <MenuEntry onSelect={() => dispatch(addItem(null))}>Empty line</MenuEntry>
      {drawer.length > 0 && <MenuGroup title="My drawer">{drawer.map(entry)}</MenuGroup>}
      {CATEGORIES.map(([category, words]) => (
        <MenuGroup key={category} title={words}>
          {EQUIPMENT.filter((part) => part.category === category).map(entry)}
        </MenuGroup>
      ))}
    </Menu>
  );
}
