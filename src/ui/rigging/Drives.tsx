import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { DragItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { addDragItem, addDrive, removeDragItem, removeDrive } from '@/store/airframe';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { ChoiceChips } from '../fields/ChoiceChips';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { useSet } from '../fields/useSet';

type DragForm = NonNullable<DragItem['form']>;

const AT_REST = [
  ['stops', 'stands still'],
  ['windmills', 'turns in the wind'],
  ['folds', 'folds back'],
] as const;

/** Thrust lines: where each propeller sits and how it is tilted. */
export function Drives({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <Section
      title="Thrust line"
      isRare
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
      {design.propulsion.length === 0 && <p className="text-label text-faint">No propeller: it glides.</p>}
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
              label="Aft of datum"
              kind="length"
              value={drive.position.x}
              onCommit={set(field('propulsion', drive.id, 'position', 'x'))}
            />
            <QuantityField
              label="Above it"
              kind="length"
              value={drive.position.z}
              onCommit={set(field('propulsion', drive.id, 'position', 'z'))}
            />
            <div className="col-span-2">
              <SelectField
                label="Without power it"
                value={drive.atRest}
                options={AT_REST}
                onChange={set(field('propulsion', drive.id, 'atRest'))}
              />
            </div>
            <QuantityField
              label="Blades"
              kind="number"
              step={1}
              value={drive.blades}
              onCommit={set(field('propulsion', drive.id, 'blades'))}
            />
            <QuantityField
              label="Tilts by"
              kind="angle"
              value={drive.tiltTravel}
              onCommit={set(field('propulsion', drive.id, 'tiltTravel'))}
            />
          </div>
        );
      })}
      {design.propulsion.length > 0 && (
        <p className="text-label text-faint">
          Arm it last; keep hands, hair and watchers out of the disc’s plane, and throw a pusher with your hand clear of
          it.
        </p>
      )}
    </Section>
  );
}

const FORMS = [
  ['', 'area typed'],
  ['bar', 'round bar, peg'],
  ['box', 'box'],
  ['disc', 'flat face'],
  ['faired', 'faired'],
] as const;
/** A side to begin with [mm]. */
const USUAL_FORM = 10 as DragForm['width'];

/** Things in the wind with their height: a change of trim, hardly any stability. */
export function InTheWind({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <Section
      title="In the wind"
      isRare
      aside={
        <Button onClick={() => dispatch(addDragItem())}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {design.dragItems.length === 0 && (
        <p className="text-label text-faint">
          Cameras, pegs, wires: add what stands out, with its height above the datum. Wheels, horns and bodies count by
          themselves.
        </p>
      )}
      {design.massItems.length > 0 && (
        <details className="mb-1 text-read">
          <summary className="cursor-pointer text-label">
            Equipment outside:{' '}
            {design.massItems
              .filter(({ inWind }) => inWind)
              .map(({ name, id }) => name || id)
              .join(', ') || 'none'}
          </summary>
          <ChoiceChips
            legend="Its box meets the wind"
            options={design.massItems.map(({ id, name }) => [id, name || id] as const)}
            chosen={design.massItems.filter(({ inWind }) => inWind).map(({ id }) => id)}
            onChange={(chosen) =>
              dispatch(
                setFields(
                  design.massItems
                    .filter(({ id, inWind }) => inWind !== chosen.includes(id))
                    .map(({ id }) => field('massItems', id, 'inWind').to(chosen.includes(id))),
                ),
              )
            }
          />
        </details>
      )}
      {design.dragItems.map((item) => {
        const name = item.name || item.id;
        return (
          <div key={item.id} className="grid grid-cols-[1fr_1fr_1fr_28px] items-end gap-1">
            <TextField
              className="col-span-4"
              label="What"
              value={name}
              onCommit={set(field('dragItems', item.id, 'name'))}
            />
            {item.form ? (
              <span className="pb-1 text-label text-faint">by its form</span>
            ) : (
              <QuantityField
                label="C_D A (cm²)"
                kind="number"
                step={1}
                value={item.dragArea / 100}
                onCommit={(value) => set(field('dragItems', item.id, 'dragArea'))(value * 100)}
              />
            )}
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
            <div className="col-span-2">
              <SelectField
                hideLabel
                label={`Form of ${name}`}
                value={item.form?.shape ?? ''}
                options={FORMS}
                onChange={(shape) =>
                  set(field('dragItems', item.id, 'form'))(
                    shape === '' ? undefined : { width: USUAL_FORM, height: USUAL_FORM, ...item.form, shape },
                  )
                }
              />
            </div>
            {item.form && (
              <>
                <QuantityField
                  label="Wide"
                  kind="length"
                  value={item.form.width}
                  onCommit={set(field('dragItems', item.id, 'form', 'width'))}
                />
                <QuantityField
                  label="High"
                  kind="length"
                  value={item.form.height}
                  onCommit={set(field('dragItems', item.id, 'form', 'height'))}
                />
              </>
            )}
          </div>
        );
      })}
    </Section>
  );
}
