import { Plus, Trash2 } from 'lucide-react';
import { formatMass } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { takenFromDrawer } from '@/store/settingsSlice';
import { addItem } from '@/store/weights';
import { Section } from '../numbers/Section';
import { IconButton } from '../shell/buttons';

/** What the user has, kept in this browser for every design. */
export function MyDrawer() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const drawer = useAppSelector((state) => state.settings.drawer);
  return (
    <Section title="My drawer" isRare>
      {drawer.length === 0 && (
        <p className="text-label text-faint">
          Empty. Keep equipment from the table here, as you weighed it: it is at hand in every design of this browser.
        </p>
      )}
      <ul>
        {drawer.map((entry) => (
          <li key={entry.name} className="flex items-center gap-1.5 border-b border-soft text-read">
            <span className="min-w-0 flex-1 truncate">{entry.name}</span>
            <span className="text-faint">{formatMass(entry.mass, units, 1)}</span>
            <IconButton
              label={`Put ${entry.name} in`}
              className="!size-7"
              icon={<Plus size={14} />}
              onClick={() => dispatch(addItem(entry))}
            />
            <IconButton
              label={`Take ${entry.name} out of my drawer`}
              className="!size-7"
              icon={<Trash2 size={14} />}
              onClick={() => dispatch(takenFromDrawer(entry.name))}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}
