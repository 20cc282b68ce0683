import { useState } from 'react';
import type { AssemblyKind } from '@/core/2-document/assembly/sharedParts';
import type { Design } from '@/core/2-document/schema/design';
import { bindAssembly, type Members } from '@/store/assemblies';
import type { EditOutcome } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { ChoiceChips } from '../fields/ChoiceChips';
import { SelectField } from '../fields/SelectField';
import { Button } from '../shell/buttons';

const KINDS: readonly (readonly [AssemblyKind, string])[] = [
  ['wing', 'Wing'],
  ['tail', 'Tail'],
  ['pod', 'Pod or fuselage'],
  ['equipment', 'Equipment'],
];

const LISTS = [
  ['surfaces', 'Surfaces'],
  ['bodies', 'Bodies'],
  ['massItems', 'Equipment'],
  ['propulsion', 'Drives'],
] as const;

const NOTHING: Members = { surfaces: [], bodies: [], massItems: [], propulsion: [] };

/** Which parts belong together, under which name. */
export function BindParts({
  design,
  onDone,
}: {
  readonly design: Design;
  readonly onDone: (outcome: EditOutcome) => void;
}) {
  const dispatch = useAppDispatch();
  const [kind, setKind] = useState<AssemblyKind>('wing');
  const [name, setName] = useState('');
  const [members, setMembers] = useState<Members>(NOTHING);
  const count = LISTS.reduce((sum, [list]) => sum + members[list].length, 0);
  const bind = () => {
    const outcome = dispatch(bindAssembly(name.trim() || KINDS.find(([id]) => id === kind)![1], kind, members));
    onDone(outcome);
    if (outcome) return;
    setMembers(NOTHING);
    setName('');
  };
  return (
    <section className="mt-4 border-t border-rule pt-3" aria-label="Bind parts together">
      <h3 className="text-label font-semibold tracking-wide uppercase">Bind parts together</h3>
      <div className="mt-1 grid grid-cols-2 gap-2">
        <SelectField label="Kind" value={kind} options={KINDS} onChange={setKind} />
        <label className="text-label text-faint">
          Name of the assembly
          <input
            value={name}
            maxLength={200}
            onChange={(event) => setName(event.target.value)}
            className="block w-full rounded-sm border border-rule bg-white px-1.5 py-1 text-lead text-graphite"
          />
        </label>
      </div>
      <div className="mt-2 space-y-1">
        {LISTS.filter(([list]) => design[list].length > 0).map(([list, legend]) => (
          <ChoiceChips
            key={list}
            legend={legend}
            options={design[list].map((part) => [part.id, part.name || part.id] as const)}
            chosen={members[list]}
            onChange={(chosen) => setMembers({ ...members, [list]: chosen })}
          />
        ))}
      </div>
      <Button className="mt-2" disabled={count === 0} onClick={bind}>
        Bind {count > 0 ? `${count} ${count === 1 ? 'part' : 'parts'}` : 'parts'} together
      </Button>
    </section>
  );
}
