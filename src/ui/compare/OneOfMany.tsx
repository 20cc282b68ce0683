import { SelectField } from '../fields/SelectField';

/** More choices than one list holds, by what they are about; never none. */
export interface OptionGroup {
  readonly name: string;
  readonly values: readonly string[];
  readonly wordsOf: (value: string) => string;
}

interface OneOfManyProps {
  readonly label: string;
  readonly value: string;
  /** What is often chosen. */
  readonly usual: readonly (readonly [value: string, words: string])[];
  /** Everything else. */
  readonly groups: readonly OptionGroup[];
  readonly onChange: (value: string) => void;
}

const MORE = '…';

/** A choice of what is usual, and of everything else in two steps: what it is about, and which. */
export function OneOfMany({ label, value, usual, groups, onChange }: OneOfManyProps) {
  const isUsual = usual.some(([one]) => one === value);
  const holding = isUsual ? undefined : groups.find(({ values }) => values.includes(value));
  const firstOf = (group: OptionGroup | undefined) => group?.values[0] ?? value;
  return (
    <>
      <SelectField
        className="col-span-2"
        label={label}
        value={holding ? MORE : value}
        options={[...usual, ...(groups.length > 0 ? [[MORE, 'another number…'] as const] : [])]}
        onChange={(next) => onChange(next === MORE ? firstOf(holding ?? groups[0]) : next)}
      />
      {holding && (
        <>
          <SelectField
            className="col-span-2"
            label={`${label}: of what`}
            value={holding.name}
            options={groups.map(({ name }) => [name, name])}
            onChange={(next) => onChange(firstOf(groups.find(({ name }) => name === next)))}
          />
          <SelectField
            className="col-span-2"
            label={`${label}: which`}
            value={value}
            options={holding.values.map((one) => [one, holding.wordsOf(one)])}
            onChange={onChange}
          />
        </>
      )}
    </>
  );
}
