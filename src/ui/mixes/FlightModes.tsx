import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { addMode, removeMode, setModeNeutral } from '@/store/mixes';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { useSet } from '../fields/useSet';
import { Button, IconButton } from '../shell/buttons';

/** As many as a transmitter’s switch has places beside the drawn one. */
const MOST_MODES = 3;

/** Up to three settings of the transmitter: neutrals, flaps and mixes that differ from the drawing; one is flown. */
export function FlightModes({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const mode = design.modes.find(({ id }) => id === design.mode);
  return (
    <div className="mb-1.5">
      <div className="flex items-end gap-1.5">
        <div className="flex-1">
          <SelectField
            label="Flown and computed"
            value={design.mode ?? ''}
            options={[['', 'as drawn'], ...design.modes.map(({ id, name }) => [id, name || id] as const)]}
            onChange={(next) => set(field('mode'))(next === '' ? undefined : next)}
          />
        </div>
        <Button disabled={design.modes.length >= MOST_MODES} onClick={() => dispatch(addMode())}>
          <Plus size={14} aria-hidden="true" /> Mode
        </Button>
      </div>
      {mode && (
        <div className="mt-1 border-l-2 border-rule pl-2">
          <div className="flex items-end gap-1">
            <div className="flex-1">
              <TextField label="Name of the mode" value={mode.name} onCommit={set(field('modes', mode.id, 'name'))} />
            </div>
            <IconButton
              label={`Take ${mode.name || mode.id} out`}
              icon={<Trash2 size={15} />}
              onClick={() => dispatch(removeMode(mode.id))}
            />
          </div>
          <div className="mt-1 grid grid-cols-2 gap-x-2 gap-y-1">
            {design.surfaces.flatMap(({ controls }) =>
              controls.map((control) => (
                <QuantityField
                  key={control.id}
                  label={`${control.name || control.id} stands (down +)`}
                  kind="angle"
                  value={mode.neutrals.find((entry) => entry.control === control.id)?.angle}
                  placeholder={decimal(control.neutral, 1)}
                  onCommit={(angle) => dispatch(setModeNeutral(mode.id, control.id, angle))}
                  onClear={() => dispatch(setModeNeutral(mode.id, control.id, undefined))}
                />
              )),
            )}
          </div>
        </div>
      )}
    </div>
  );
}
