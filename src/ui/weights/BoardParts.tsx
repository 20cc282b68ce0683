import { field } from '@/core/2-document/edit/field';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { BOARDS, COVERINGS, JOINTS } from '@/core/2-document/catalogue/boards';
import { formatValue } from '@/words/formatQuantity';
import { addBody } from '@/store/airframe';
import { editDesign, setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { BodyFields } from './BodyFields';
import { useSet } from '../fields/useSet';

/** What each board part is cut from, glued with and covered by. */
export function BoardParts({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<string | null>(null);
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
      {parts.length === 0 && <p className="text-sm text-faint">Nothing is drawn yet.</p>}
      <ul className="space-y-1">
        {parts.map(({ part, list }) => (
          <li key={part.id}>
            <BoardPart
              design={design}
              list={list}
              part={part}
              open={open === part.id}
              onToggle={() => setOpen(open === part.id ? null : part.id)}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface BoardPartProps {
  readonly design: Design;
  readonly list: 'surfaces' | 'bodies';
  readonly part: Design['surfaces'][number] | Design['bodies'][number];
  readonly open: boolean;
  readonly onToggle: () => void;
}

function BoardPart({ design, list, part, open, onToggle }: BoardPartProps) {
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
          onClick={onToggle}
          className="cursor-pointer truncate text-left text-sm enabled:hover:underline"
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
            ...design.materials.map((sheet) => [sheet.id, sheet.name || sheet.id] as const),
            ...BOARDS.filter(({ id }) => !design.materials.some((sheet) => sheet.id === id)).map(
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
}

type ConstructionKey = 'glueLength' | 'glueDensity' | 'tapeArea' | 'tapeDensity' | 'lighteningFraction';

function Details({ part }: { readonly part: Surface }) {
  const setField = useSet();
  const set =
    (key: ConstructionKey, factor = 1) =>
    (value: number) =>
      setField(field('surfaces', part.id, 'construction', key))(value * factor);
  const construction = part.construction!;
  const pick = (
    key: ConstructionKey,
    options: readonly (readonly [string, number])[],
    value: number,
    label: string,
  ) => (
    <SelectField
      label={label}
      value={String(value)}
      options={[
        ...(options.some(([, density]) => density === value) ? [] : [[String(value), `${value}, own`] as const]),
        ...options.map(([words, density]) => [String(density), `${words} (${density})`] as const),
      ]}
      onChange={(next) => set(key)(Number(next))}
    />
  );
  return (
    <div className="my-1 grid grid-cols-2 gap-x-2 gap-y-1 border-l-2 border-rule pl-2">
      <QuantityField
        label="Glued joints, each side"
        kind="length"
        value={construction.glueLength}
        onCommit={set('glueLength')}
      />
      {pick('glueDensity', JOINTS, construction.glueDensity, 'Glue (g/m)')}
      <QuantityField
        label="Tape or cover (dm²)"
        kind="number"
        step={1}
        value={construction.tapeArea / 1e4}
        onCommit={set('tapeArea', 1e4)}
      />
      {pick('tapeDensity', COVERINGS, construction.tapeDensity, 'Cover (g/m²)')}
      <QuantityField
        label="Cut away in holes"
        kind="percent"
        value={100 * construction.lighteningFraction}
        onCommit={set('lighteningFraction', 0.01)}
      />
      <p className="self-end text-[13px] text-faint">Holes want film over them: add it as cover.</p>
    </div>
  );
}
