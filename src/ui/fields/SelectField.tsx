import { useId } from 'react';

interface SelectFieldProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
  readonly hideLabel?: boolean;
}

export function SelectField<Value extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
}: SelectFieldProps<Value>) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block truncate text-[13px] text-faint'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value as Value)}
        className="w-full rounded-sm border border-rule bg-white px-1.5 py-1"
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}
