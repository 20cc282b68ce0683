import type { DisplayUnits } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { SelectField } from '../fields/SelectField';
import { unitsChanged } from '@/store/settingsSlice';

const CHOICES: { readonly [Key in keyof DisplayUnits]: readonly DisplayUnits[Key][] } = {
  length: ['mm', 'in'],
  mass: ['g', 'oz'],
  speed: ['m/s', 'km/h', 'mph'],
};

const NAMES: Record<keyof DisplayUnits, string> = {
  length: 'Lengths in',
  mass: 'Weights in',
  speed: 'Speeds in',
};

/** Units of lengths, weights and speeds, each chosen by itself. */
export function UnitsSwitch() {
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  return (
    <div className="flex gap-1" role="group" aria-label="Units">
      {(Object.keys(CHOICES) as (keyof DisplayUnits)[]).map((key) => (
        <SelectField
          key={key}
          hideLabel
          label={NAMES[key]}
          value={units[key]}
          options={CHOICES[key].map((choice) => [choice, choice] as const)}
          onChange={(choice) => dispatch(unitsChanged({ [key]: choice }))}
          className="text-read"
        />
      ))}
    </div>
  );
}
