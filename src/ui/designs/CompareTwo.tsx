import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { Analysis } from '@/core/analyse';
import type { StoredDesign } from '@/storage/database';
import { isUnreadable } from '@/storage/readStored';
import { Comparison } from '../revisions/Comparison';
import { Button } from '../shell/buttons';
import { useSurroundings } from '../surroundings';
import { fittedScale, PlanThumbnail } from './PlanThumbnail';

interface CompareTwoProps {
  /** Null while none are compared. */
  readonly ids: readonly string[] | null;
  readonly onClose: () => void;
}

const [WIDTH, HEIGHT] = [240, 150];

/** Two designs beside one another: plans to one scale, numbers, and what differs. */
export function CompareTwo({ ids, onClose }: CompareTwoProps) {
  const { designs } = useSurroundings();
  const found = useLiveQuery(() => designs.some(ids ?? []), [designs, ids]);
  const [first, second] = (found ?? []).filter((entry): entry is StoredDesign => !isUnreadable(entry));
  return (
    <Dialog.Root open={ids !== null} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 right-0 z-30 w-[580px] max-w-full overflow-y-auto border-l border-graphite bg-sheet p-4"
        >
          <div className="flex items-center justify-between">
            <Dialog.Title className="text-lg font-semibold">Two designs compared</Dialog.Title>
            <Dialog.Close asChild>
              <Button look="quiet">Close</Button>
            </Dialog.Close>
          </div>
          {first && second && <Both key={`${first.id} ${second.id}`} first={first} second={second} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Both({ first, second }: { readonly first: StoredDesign; readonly second: StoredDesign }) {
  const before = useAnalysis(first);
  const after = useAnalysis(second);
  const scale = Math.min(...[first, second].map(({ design }) => fittedScale(design, WIDTH, HEIGHT)));
  return (
    <>
      <div className="mt-3 flex justify-around">
        {[first, second].map(({ id, name, design }) => (
          <figure key={id} className="text-center text-read">
            {design.surfaces.length + design.bodies.length > 0 && (
              <PlanThumbnail design={design} width={WIDTH} height={HEIGHT} scale={scale} />
            )}
            <figcaption>{name}</figcaption>
          </figure>
        ))}
      </div>
      <Comparison
        before={{ name: first.name, design: first.design, analysis: before }}
        after={{ name: second.name, design: second.design, analysis: after }}
      />
    </>
  );
}

/** The analysis of a design of the list; null while it is computed. */
function useAnalysis({ design }: StoredDesign): Analysis | null {
  const { session } = useSurroundings();
  const [analysis, setAnalysis] = useState<Analysis | null>(null);
  useEffect(() => {
    let isWanted = true;
    void session.analyseAside(design).then((found) => isWanted && setAnalysis(found));
    return () => {
      isWanted = false;
    };
  }, [design, session]);
  return analysis;
}
