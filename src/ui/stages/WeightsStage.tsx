import { Plus, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { Design } from '@/core/document/schema/design';
import type { MassItem } from '@/core/document/schema/airframe';
import { formatValue } from '@/core/units/formatQuantity';
import { editDesign, setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { ActionCreators } from 'redux-undo';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';

/** Everything that weighs something: board parts by themselves, equipment by hand. */
export function WeightsStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const mass = useAppSelector((state) => state.analysis.current?.mass);
  const units = useAppSelector((state) => state.settings.units);
  const addItem = () => {
    const taken = new Set(design.massItems.map(({ id }) => id));
    let number = design.massItems.length + 1;
    while (taken.has(`part${number}`)) number++;
    const part: MassItem = {
      id: `part${number}`,
      name: `Part ${number}`,
      category: 'other',
      mass: 10,
      position: { x: Math.round((mass?.cg?.[0] ?? 0.2) * 1000), y: 0, z: 0 },
      mirrored: false,
      attachment: { kind: 'fixed' },
    };
    dispatch(editDesign((current) => ({ ...current, massItems: [...current.massItems, part] })));
  };
  const removeItem = (item: MassItem) => {
    dispatch(
      editDesign((current) => ({
        ...current,
        massItems: current.massItems.filter(({ id }) => id !== item.id),
      })),
    );
    toast(`${item.name || item.id} was taken out.`, {
      action: { label: 'Undo', onClick: () => void dispatch(ActionCreators.undo()) },
    });
  };
  return (
    <>
      <Section title="Sum">
        {mass && mass.total !== null ? (
          <>
            <Fact label="Flying mass">{formatValue(mass.total, 'mass', units)}</Fact>
            {mass.wingLoading !== null && (
              <Fact label="Wing loading">{formatValue(mass.wingLoading, 'wingLoading', units)}</Fact>
            )}
          </>
        ) : (
          <p className="text-sm text-faint">{mass?.reasons['total'] ?? 'Computing…'}</p>
        )}
      </Section>
      <Section
        title="Equipment"
        aside={
          <Button onClick={addItem}>
            <Plus size={14} aria-hidden="true" /> Add
          </Button>
        }
      >
        {design.massItems.length === 0 && (
          <p className="text-sm text-faint">
            Nothing yet. Add the motor, the pack and the servos: they decide where it balances.
          </p>
        )}
        <ul className="space-y-1.5">
          {design.massItems.map((item) => {
            const set = (field: string) => (value: number) =>
              dispatch(setFields([{ field: `/massItems/${item.id}/${field}`, value }]));
            const name = item.name || item.id;
            return (
              <li key={item.id} className="grid grid-cols-[1fr_72px_84px_28px] items-start gap-1.5">
                <TextField
                  hideLabel
                  label={`Name of ${name}`}
                  value={name}
                  onCommit={(value) => dispatch(setFields([{ field: `/massItems/${item.id}/name`, value }]))}
                />
                <QuantityField
                  hideLabel
                  label={`Mass of ${name}`}
                  kind="mass"
                  value={item.mass}
                  onCommit={set('mass')}
                />
                <QuantityField
                  hideLabel
                  label={`${name} aft of datum`}
                  kind="length"
                  value={item.position.x}
                  onCommit={set('position/x')}
                />
                <IconButton label={`Take ${name} out`} icon={<Trash2 size={15} />} onClick={() => removeItem(item)} />
              </li>
            );
          })}
        </ul>
      </Section>
      <Section title="Board parts">
        <ul className="space-y-1.5">
          {design.surfaces.map((surface) => (
            <BoardPart
              key={surface.id}
              design={design}
              list="surfaces"
              id={surface.id}
              name={surface.name || surface.id}
              material={surface.construction?.material}
              measured={surface.measuredMass}
            />
          ))}
          {design.bodies.map((body) => (
            <BoardPart
              key={body.id}
              design={design}
              list="bodies"
              id={body.id}
              name={body.name || body.id}
              material={body.construction?.material}
              measured={body.measuredMass}
            />
          ))}
        </ul>
      </Section>
    </>
  );
}

interface BoardPartProps {
  readonly design: Design;
  readonly list: 'surfaces' | 'bodies';
  readonly id: string;
  readonly name: string;
  readonly material: string | undefined;
  readonly measured: number | undefined;
}

/** One board part: its sheet, what it should weigh, and what it does weigh. */
function BoardPart({ design, list, id, name, material, measured }: BoardPartProps) {
  const dispatch = useAppDispatch();
  const part = useAppSelector((state) =>
    state.analysis.current?.mass.parts.find((candidate) => candidate.id === id && candidate.kind !== 'item'),
  );
  const units = useAppSelector((state) => state.settings.units);
  const path = `/${list}/${id}`;
  const setMaterial = (next: string) =>
    dispatch(
      setFields([
        next === ''
          ? { field: `${path}/construction`, value: undefined }
          : material === undefined
            ? { field: `${path}/construction`, value: { material: next } }
            : { field: `${path}/construction/material`, value: next },
      ]),
    );
  return (
    <li className="grid grid-cols-[1fr_1.2fr_72px] items-end gap-1.5">
      <span className="truncate pb-1 text-sm" title={name}>
        {name} <span className="text-faint">{part ? formatValue(part.computed, 'mass', units) : ''}</span>
      </span>
      <SelectField
        hideLabel
        label={`Sheet of ${name}`}
        value={material ?? ''}
        options={[
          ['', 'weighs nothing'],
          ...design.materials.map((sheet) => [sheet.id, sheet.name || sheet.id] as const),
        ]}
        onChange={setMaterial}
      />
      <QuantityField
        hideLabel
        label={`Weighed mass of ${name}`}
        kind="mass"
        value={measured}
        placeholder="weighed"
        onCommit={(value) => dispatch(setFields([{ field: `${path}/measuredMass`, value }]))}
        onClear={() => dispatch(setFields([{ field: `${path}/measuredMass`, value: undefined }]))}
      />
    </li>
  );
}
