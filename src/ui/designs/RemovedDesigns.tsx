import { useLiveQuery } from 'dexie-react-hooks';
import { useRef } from 'react';
import { useSurroundings } from '../surroundings';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';

/** The bin: what was removed, to be put back. @param onEmpty when the last one was put back, and the focus with it */
export function RemovedDesigns({ onEmpty }: { readonly onEmpty: () => void }) {
  const { designs } = useSurroundings();
  const bin = useLiveQuery(() => designs.bin());
  const summary = useRef<HTMLElement>(null);
  if (!bin || bin.length === 0) return null;
  const putBack = async (id: string, name: string) => {
    await told(`${name} was not put back`, () => designs.takeFromBin(id));
    if (bin.length > 1) summary.current?.focus();
    else onEmpty();
  };
  return (
    <details className="mt-4 text-read">
      <summary ref={summary} className="cursor-pointer text-faint">
        Removed designs ({bin.length})
      </summary>
      <ul className="mt-2 space-y-1">
        {bin.map((entry) => (
          <li key={entry.id} className="flex items-center gap-2">
            {entry.name}
            <Button onClick={() => void putBack(entry.id, entry.name)}>Put back</Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
