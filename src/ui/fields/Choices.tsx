import { clsx } from 'clsx';
import { ToggleGroup } from 'radix-ui';

interface ChoicesProps<Value extends string> {
  readonly label: string;
  readonly options: readonly (readonly [Value, string])[];
  readonly value: Value | null;
  /** Pressing the chosen one again asks for none. */
  readonly onChange: (next: Value | null) => void;
  /** Joined into one bar, as the views of a drawing. */
  readonly joined?: boolean;
  /** As wide as its place and as high as a thumb. */
  readonly isLarge?: boolean;
  readonly className?: string;
}

/** One of a few, all in sight. */
export function Choices<Value extends string>({
  label,
  options,
  value,
  onChange,
  joined = false,
  isLarge = false,
  className,
}: ChoicesProps<Value>) {
  return (
    <ToggleGroup.Root
      type="single"
      value={value ?? ''}
      onValueChange={(next) => onChange(next === '' ? null : (next as Value))}
      aria-label={label}
      className={clsx('flex', joined ? 'rounded-sm border border-rule bg-sheet' : 'flex-wrap gap-1', className)}
    >
      {options.map(([id, name]) => (
        <ToggleGroup.Item
          key={id}
          value={id}
          className={clsx(
            'cursor-pointer px-2 py-0.5 text-read data-[state=on]:bg-graphite data-[state=on]:text-sheet',
            !joined && 'rounded-sm border border-rule data-[state=on]:border-graphite',
            isLarge && 'min-h-11 flex-1',
          )}
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
