import { useLiveQuery } from 'dexie-react-hooks';
import { UnreadableRow } from '../shell/UnreadableRow';
import { useSurroundings } from '../surroundings';

/** Settings that could not be read to their end: what could be is in use, and all of it is kept. */
export function UnreadableSettings() {
  const { designs } = useSurroundings();
  const rows = useLiveQuery(() => designs.settingsAside());
  if (!rows || rows.length === 0) return null;
  return (
    <ul className="mt-3 space-y-1.5">
      {rows.map(({ key, value }) => (
        <UnreadableRow
          key={key}
          id={key}
          name="A part of the units and the drawer"
          raw={value}
          remove={() => designs.removeAside(key)}
        >
          What could be read of them is in use.
        </UnreadableRow>
      ))}
    </ul>
  );
}
