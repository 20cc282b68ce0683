import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { isSameState } from '@/core/2-document/compareDesigns';
import type { Design } from '@/core/2-document/schema/design';
import { setBeside, setDrawnBeside } from '@/store/compare';
import { DRAWN, MOST_VARIANTS, variantDropped } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { stateOfRevision } from '@/store/revisions';
import { isUnreadable } from '@/storage/readStored';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';
import { letterOf } from './variantWords';

const NONE = '';

/** Which designs and revisions stand side by side. */
export function VariantFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { designs } = useSurroundings();
  const { variants } = useAppSelector((state) => state.compare);
  const open = useAppSelector((state) => state.session.id);
  const revisions = useRecords('revisions');
  const heads = useLiveQuery(() => designs.heads(), [designs]) ?? [];
  const drawn = variants.find(({ key }) => key === DRAWN);
  const isOld = !drawn || !isSameState(drawn.design, design);
  useEffect(() => {
    if (isOld) void dispatch(setDrawnBeside(design));
  }, [dispatch, design, isOld]);
  const choices = [
    ...revisions.map(({ id, name }) => [`revision ${id}`, `Revision: ${name}`] as const),
    ...heads.filter(({ id }) => id !== open).map(({ id, name }) => [`design ${id}`, name] as const),
  ].filter(([key]) => !variants.some((one) => one.key === key));
  const add = (key: string) =>
    told('It was not set beside', async () => {
      const [kind, id = ''] = key.split(' ');
      if (kind === 'revision') {
        const state = await dispatch(stateOfRevision(id));
        if ('because' in state) throw new Error(state.because);
        await dispatch(setBeside(key, state.name, state.design));
      } else {
        const [entry] = await designs.some([id]);
        if (!entry || isUnreadable(entry)) throw new Error('It cannot be read');
        await dispatch(setBeside(key, entry.name, entry.design));
      }
    });
  return (
    <Section title="Side by side">
      <ul className="space-y-0.5">
        {variants.map(({ key, name, told: known, failure }, index) => (
          <li key={key} className="flex items-center justify-between gap-2 border-b border-soft py-0.5">
            <span>
              <b className="font-semibold">{letterOf(index)}</b> {name}
              {known === null && failure === null && <span className="text-label text-faint"> computing…</span>}
              {failure !== null && <span className="block text-label text-stop">{failure}</span>}
            </span>
            {key !== DRAWN && (
              <Button look="quiet" onClick={() => dispatch(variantDropped(key))} aria-label={`Take ${name} away`}>
                Take away
              </Button>
            )}
          </li>
        ))}
      </ul>
      {variants.length < MOST_VARIANTS ? (
        <SelectField
          label="Set beside"
          value={NONE}
          options={[[NONE, choices.length > 0 ? 'choose a design or a revision' : 'there is no other yet'], ...choices]}
          onChange={(key) => key !== NONE && void add(key)}
        />
      ) : (
        <p className="mt-1 text-label text-faint">Six stand side by side: take one away to set another.</p>
      )}
      <p className="mt-1 text-label text-faint">
        Best and worst go by the brief of what is drawn. Revisions are kept by name at the top of the page.
      </p>
    </Section>
  );
}
