import { field } from '@/core/2-document/edit/field';
import { Plus } from 'lucide-react';
import { memo, useCallback, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { BOARDS } from '@/core/2-document/catalogue/boards';
import { formatValue } from '@/words/formatQuantity';
import { addBody } from '@/store/airframe';
import { editDesign, setFields } from '@/store/edit';
import { bodyToggled } from '@/store/sessionSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { BodyFields } from './BodyFields';
import { shownTimes, useSet } from '../fields/useSet';
import { CheckField } from '../fields/CheckField';
import { FasteningFields } from './FasteningFields';

/** What each board part is cut from, glued with and covered by. */
export function BoardParts({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<string | null>(null);
  // An open body shows its frames in the drawing, to be dragged.
  const chosenBody = useAppSelector((state) => state.session.chosenBody);
  const toggle = useCallback(
    (list: 'surfaces' | 'bodies', id: string) => {
      if (list === 'bodies') dispatch(bodyToggled(id));
      else setOpen((before) => (before === id ? null : id));
    },
    [dispatch],
  );
  const parts = [
    ...design.surfaces.map((part) => ({ part, list: 'surfaces' as const })),
    ...design.bodies.map((part) => ({ part, list: 'bodies' as const })),
  ];
  return (
    <Section
      title="Board parts"
      aside={
        <Button onClick={() => dispatch(addBody())}>
          <Plus size={14} aria-hidden="true" /> Body
        </Button>
      }
    >
      {parts.length === 0 && <p className="text-read text-faint">Nothing is drawn yet.</p>}
      <ul className="space-y-1">
        {parts.map(({ part, list }) => (
          <li key={part.id}>
            <BoardPart
              materials={design.materials}
              list={list}
              part={part}
              open={(list === 'bodies' ? chosenBody : open) === part.id}
              onToggle={toggle}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface BoardPartProps {
  readonly materials: Design['materials'];
  readonly list: 'surfaces' | 'bodies';
  readonly part: Design['surfaces'][number] | Design['bodies'][number];
  readonly open: boolean;
  readonly onToggle: (list: 'surfaces' | 'bodies', id: string) => void;
}

const BoardPart = memo(function BoardPart({ materials: sheets, list, part, open, onToggle }: BoardPartProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const computed = useAppSelector(
    (state) => state.analysis.current?.mass.parts.find(({ id, kind }) => id === part.id && kind !== 'item')?.computed,
  );
  const name = part.name || part.id;
  const material = part.construction?.material;
  const setMaterial = (next: string) => {
    if (next === '') return dispatch(setFields([field(list, part.id, 'construction').to(undefined)]));
    const shelf = BOARDS.find(({ id }) => next === `shelf:${id}`);
    return dispatch(
      editDesign((current) => {
        const id = shelf ? shelf.id : next;
        const materials =
          shelf && !current.materials.some((sheet) => sheet.id === id)
            ? [...current.materials, shelf]
            : current.materials;
        const cut = <Part extends Design['surfaces'][number] | Design['bodies'][number]>(other: Part): Part =>
          other.id === part.id ? { ...other, construction: { ...other.construction, material: id } } : other;
        return { ...current, materials, [list]: current[list].map(cut) } as Design;
      }),
    );
  };
  return (
    <>
      <div className="grid grid-cols-[1fr_1.25fr] items-center gap-1.5">
        <button
          type="button"
          aria-expanded={open}
          disabled={'stations' in part && !part.construction}
          onClick={() => onToggle(list, part.id)}
          className="cursor-pointer leading-tight text-left text-read enabled:hover:underline"
        >
          {name}{' '}
          <span className="text-faint">{computed === undefined ? '' : formatValue(computed, 'mass', units)}</span>
        </button>
        <SelectField
          hideLabel
          label={`Sheet of ${name}`}
          value={material ?? ''}
          options={[
            ['', 'weighs nothing'],
            ...sheets.map((sheet) => [sheet.id, sheet.name || sheet.id] as const),
            ...BOARDS.filter(({ id }) => !sheets.some((sheet) => sheet.id === id)).map(
              (sheet) => [`shelf:${sheet.id}`, `+ ${sheet.name}`] as const,
            ),
          ]}
          onChange={setMaterial}
        />
      </div>
      {open && 'frames' in part && <BodyFields body={part} />}
      {open && 'stations' in part && part.construction && <Details part={part} />}
    </>
  );
});

function Details({ part }: { readonly part: Surface }) {
  const set = useSet();
  const construction = part.construction!;
  return (
    <div className="my-1 grid grid-cols-2 gap-x-2 gap-y-1 border-l-2 border-rule pl-2">
      <FasteningFields list="surfaces" part={part.id} construction={construction} />
      <QuantityField
        label="Cut away in holes"
        kind="percent"
        value={100 * construction.lighteningFraction}
        onCommit={shownTimes(100, set(field('surfaces', part.id, 'construction', 'lighteningFraction')))}
      />
      <p className="self-end text-label text-faint">Holes want film over them: add it as cover.</p>
      {part.stations.some(({ section }) => section.kind === 'foldedOverSpar') && (
        <CheckField
          className="col-span-2"
          checked={construction.countedBy === 'parts'}
          onChange={(checked) =>
            set(field('surfaces', part.id, 'construction', 'countedBy'))(checked ? 'parts' : 'skin')
          }
        >
          with spar strips, closing ribs and braces, as its plans are cut
        </CheckField>
      )}
    </div>
  );
}
