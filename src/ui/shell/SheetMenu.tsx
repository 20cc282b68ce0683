import { Printer } from 'lucide-react';
import { IconButton } from './buttons';
import { Menu, MenuEntry } from './Menu';
import { useSheetActions } from './useSheetActions';

/** Picture and print of the open stage. On small screens both are among what can be found by name. */
export function SheetMenu() {
  const actions = useSheetActions();
  return (
    <Menu
      align="end"
      trigger={<IconButton label="Picture or print" icon={<Printer size={17} />} className="small:hidden" />}
    >
      {actions.map(({ name, isOff, run }) => (
        <MenuEntry key={name} disabled={isOff} onSelect={run}>
          {name}
        </MenuEntry>
      ))}
    </Menu>
  );
}
