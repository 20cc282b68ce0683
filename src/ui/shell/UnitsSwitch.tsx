import type { DisplayUnits } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
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
        <select
          key={key}
          aria-label={NAMES[key]}
          value={units[key]}
          onChange={(event) => dispatch(unitsChanged({ [key]: event.target.value }))}
          className="rounded-sm border border-rule bg-white px-1 py-0.5 text-sm"
        >
          {CHOICES[key].map((choice) => (
            <option key={choice} value={choice}>
              {choice}
            </option>
          ))}
        </select>
      ))}
    </div>
  );
}
