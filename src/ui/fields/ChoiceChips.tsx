import { CheckField } from './CheckField';

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
      <legend className="text-label text-faint">{legend}</legend>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        {options.map(([value, words]) => (
          <CheckField
            key={value}
            checked={chosen.includes(value)}
            onChange={(checked) =>
              onChange(
                options.flatMap(([other]) => ((other === value ? checked : chosen.includes(other)) ? [other] : [])),
              )
            }
          >
            {words}
          </CheckField>
        ))}
      </div>
    </fieldset>
  );
}
