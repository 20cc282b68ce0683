import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { addDragItem, addDrive, removeDragItem, removeDrive } from '@/store/airframe';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { useSet } from '../fields/useSet';

/** Thrust lines: where each propeller sits and how it is tilted. */
export function Drives({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <Section
      title="Thrust line"
      aside={
        <span className="flex gap-1">
          <Button onClick={() => dispatch(addDrive('tractor'))}>
            <Plus size={14} aria-hidden="true" /> Tractor
          </Button>
          <Button onClick={() => dispatch(addDrive('pusher'))}>
            <Plus size={14} aria-hidden="true" /> Pusher
          </Button>
        </span>
      }
    >
      {design.propulsion.length === 0 && <p className="text-[13px] text-faint">No propeller: it glides.</p>}
      {design.propulsion.map((drive) => {
        return (
          <div key={drive.id} className="mb-2 grid grid-cols-4 items-end gap-x-1.5 gap-y-1 border-b border-soft pb-2">
            <div className="col-span-2">
              <SelectField
                label={drive.name || drive.id}
                value={drive.kind}
                options={[
                  ['tractor', 'pulls'],
                  ['pusher', 'pushes'],
                ]}
                onChange={set(field('propulsion', drive.id, 'kind'))}
              />
            </div>
            <QuantityField
              label="Propeller ∅"
              kind="length"
              value={drive.propellerDiameter}
              onCommit={set(field('propulsion', drive.id, 'propellerDiameter'))}
            />
            <div className="justify-self-end">
              <IconButton
                label={`Take ${drive.name || drive.id} out`}
                icon={<Trash2 size={15} />}
                onClick={() => dispatch(removeDrive(drive.id))}
              />
            </div>
            <QuantityField
              label="Down"
              kind="angle"
              value={drive.downThrust}
              onCommit={set(field('propulsion', drive.id, 'downThrust'))}
            />
            <QuantityField
              label="Right"
              kind="angle"
              value={drive.rightThrust}
              onCommit={set(field('propulsion', drive.id, 'rightThrust'))}
            />
            <QuantityField
              label="Aft"
              kind="length"
              value={drive.position.x}
              onCommit={set(field('propulsion', drive.id, 'position', 'x'))}
            />
            <QuantityField
              label="Above"
              kind="length"
              value={drive.position.z}
              onCommit={set(field('propulsion', drive.id, 'position', 'z'))}
            />
          </div>
        );
      })}
      {design.propulsion.length > 0 && (
        <p className="text-[13px] text-faint">
          Arm it last; keep hands, hair and watchers out of the disc’s plane, and throw a pusher with your hand clear of
          it.
        </p>
      )}
    </Section>
  );
}

/** Things in the wind with their height: a change of trim, hardly any stability. */
export function InTheWind({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <Section
      title="In the wind"
      aside={
        <Button onClick={() => dispatch(addDragItem())}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {design.dragItems.length === 0 && (
        <p className="text-[13px] text-faint">
          Legs, cameras, wires: add what stands out, with its height above the datum.
        </p>
      )}
      {design.dragItems.map((item) => {
        const name = item.name || item.id;
        return (
          <div key={item.id} className="grid grid-cols-[1.4fr_1fr_1fr_1fr_28px] items-end gap-1">
            <TextField label="What" value={name} onCommit={set(field('dragItems', item.id, 'name'))} />
            <QuantityField
              label="C_D A (cm²)"
              kind="number"
              step={1}
              value={item.dragArea / 100}
              onCommit={(value) => set(field('dragItems', item.id, 'dragArea'))(value * 100)}
            />
            <QuantityField
              label="Aft"
              kind="length"
              value={item.position.x}
              onCommit={set(field('dragItems', item.id, 'position', 'x'))}
            />
            <QuantityField
              label="Above"
              kind="length"
              value={item.position.z}
              onCommit={set(field('dragItems', item.id, 'position', 'z'))}
            />
            <IconButton
              label={`Take ${name} out`}
              className="!size-7"
              icon={<Trash2 size={14} />}
              onClick={() => dispatch(removeDragItem(item.id))}
            />
          </div>
        );
      })}
    </Section>
  );
}
