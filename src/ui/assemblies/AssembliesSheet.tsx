import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { StoredParts } from '@/storage/database';
import { loosenAssembly, shareAssembly, swapAssembly } from '@/store/assemblies';
import type { EditOutcome } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { SelectField } from '../fields/SelectField';
import { Button } from '../shell/buttons';
import { useSurroundings } from '../surroundings';
import { BindParts } from './BindParts';
import { Combinations } from './Combinations';
import { Say } from '../numbers/Say';
import type { Words } from '@/core/1-base/words/phrase';

/** Parts bound together: shared with other designs, swapped for others, tried in every combination. */
export function AssembliesSheet({ design }: { readonly design: Design }) {
  const { designs } = useSurroundings();
  const dispatch = useAppDispatch();
  const [fault, setFault] = useState<Words | null>(null);
  const shared = useLiveQuery(() => designs.sharedParts()) ?? [];
  const attempt = (outcome: EditOutcome) => setFault(outcome?.message ?? null);
  return (
    <>
      <p className="mt-2 text-read text-faint">
        Bind a wing, a tail, a pod or a set of equipment together. Shared, it is one thing in several designs: change it
        in one and the others follow. Swap it, or try all combinations at once.
      </p>
      {fault && (
        <p role="alert" className="mt-2 border-l-4 border-stop bg-stop-soft p-2 text-read">
          It was not done: <Say words={fault} />
        </p>
      )}
      <ul className="mt-3">
        {design.assemblies.map((assembly) => (
          <li key={assembly.id} className="border-t border-soft py-2" data-assembly={assembly.name}>
            <div className="flex items-center gap-2">
              <span className="min-w-0 flex-1">
                <span className="font-medium">{assembly.name}</span>{' '}
                <span className="text-label text-faint">
                  {assembly.kind}
                  {assembly.sharedId !== undefined && ' · shared'} ·{' '}
                  {memberNames(design, assembly).join(', ') || 'empty'}
                </span>
              </span>
              {assembly.sharedId === undefined ? (
                <Button onClick={() => attempt(dispatch(shareAssembly(assembly.id)))}>Share</Button>
              ) : (
                <Button onClick={() => attempt(dispatch(loosenAssembly(assembly.id, 'unshare')))}>Stop sharing</Button>
              )}
              <Button look="quiet" onClick={() => attempt(dispatch(loosenAssembly(assembly.id, 'apart')))}>
                Take apart
              </Button>
            </div>
            <Swap
              assembly={assembly}
              shared={shared.filter(({ kind, id }) => kind === assembly.kind && id !== assembly.sharedId)}
              onSwap={(stored) =>
                attempt(
                  dispatch(swapAssembly(assembly.id, { sharedId: stored.id, name: stored.name, parts: stored.parts })),
                )
              }
            />
          </li>
        ))}
      </ul>
      <Combinations design={design} shared={shared} />
      <BindParts design={design} onDone={attempt} />
    </>
  );
}

type Assembly = Design['assemblies'][number];

function memberNames(design: Design, assembly: Assembly): string[] {
  const named = (list: readonly { id: string; name: string }[], ids: readonly string[]) =>
    ids.flatMap((id) => list.find((part) => part.id === id) ?? []).map(({ id, name }) => name || id);
  return [
    ...named(design.surfaces, assembly.surfaces),
    ...named(design.bodies, assembly.bodies),
    ...named(design.massItems, assembly.massItems),
    ...named(design.propulsion, assembly.propulsion),
  ];
}

interface SwapProps {
  readonly assembly: Assembly;
  readonly shared: readonly StoredParts[];
  readonly onSwap: (parts: StoredParts) => void;
}

function Swap({ assembly, shared, onSwap }: SwapProps) {
  const [chosen, setChosen] = useState('');
  if (shared.length === 0) return null;
  const stored = shared.find(({ id }) => id === chosen) ?? shared[0]!;
  return (
    <div className="mt-1 flex items-end gap-2">
      <div className="w-64">
        <SelectField
          label={`Instead of ${assembly.name}`}
          value={stored.id}
          options={shared.map(({ id, name }) => [id, name] as const)}
          onChange={setChosen}
        />
      </div>
      <Button onClick={() => onSwap(stored)}>Swap</Button>
    </div>
  );
}
