import { Download, GitCompare, Trash2, X } from 'lucide-react';
import { isUnreadable } from '@/storage/readStored';
import { Button } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';
import { useRemoval } from './useRemoval';

interface ChosenDesignsProps {
  readonly ids: readonly string[];
  readonly onClear: () => void;
  readonly onCompare: () => void;
}

/** What can be done with the designs that are chosen. */
export function ChosenDesigns({ ids, onClear, onCompare }: ChosenDesignsProps) {
  const { designs } = useSurroundings();
  const remove = useRemoval();
  const count = ids.length === 1 ? '1 design' : `${ids.length} designs`;
  const exportAll = () =>
    told('Not all were exported', async () => {
      for (const entry of await designs.some(ids))
        if (!isUnreadable(entry)) await exportDesign(designs, entry.id, entry.design);
    });
  return (
    <div
      role="group"
      aria-label="Chosen designs"
      className="sticky top-0 z-10 mt-3 flex flex-wrap items-center gap-2 border border-graphite bg-sheet px-3 py-1.5"
    >
      <p role="status" className="mr-auto text-read font-medium">
        {count} chosen
      </p>
      <Button disabled={ids.length !== 2} onClick={onCompare}>
        <GitCompare size={15} aria-hidden="true" /> {ids.length === 2 ? 'Compare' : 'Choose two to compare'}
      </Button>
      <Button onClick={() => void exportAll()}>
        <Download size={15} aria-hidden="true" /> Export
      </Button>
      <Button onClick={() => void remove(ids, count).then((done) => done && onClear())}>
        <Trash2 size={15} aria-hidden="true" /> Remove
      </Button>
      <Button look="quiet" onClick={onClear}>
        <X size={15} aria-hidden="true" /> Choose none
      </Button>
    </div>
  );
}
