interface ChoiceChipsProps<Value extends string> {
  readonly legend: string;
  readonly options: readonly (readonly [Value, string])[];
  readonly chosen: readonly Value[];
  readonly onChange: (chosen: Value[]) => void;
}

/** Several of a few: small boxes to tick. */
export function ChoiceChips<Value extends string>({ legend, options, chosen, onChange }: ChoiceChipsProps<Value>) {
  return (
    <fieldset>
      <legend className="text-[13px] text-faint">{legend}</legend>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        {options.map(([value, words]) => (
          <label key={value} className="flex items-center gap-1.5 py-0.5 text-sm">
            <input
              type="checkbox"
              className="accent-balance"
              checked={chosen.includes(value)}
              onChange={(event) =>
                onChange(
                  options.flatMap(([other]) =>
                    (other === value ? event.target.checked : chosen.includes(other)) ? [other] : [],
                  ),
                )
              }
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
