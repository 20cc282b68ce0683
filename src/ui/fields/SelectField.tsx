import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { useId } from 'react';
import { layer } from '../shell/layer';

interface SelectFieldProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

/** One of several. What is chosen is never cut: it takes a second line instead. */
export function SelectField<Value extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
  className = '',
}: SelectFieldProps<Value>) {
  const id = useId();
  const at = options.findIndex(([key]) => key === value);
  return (
    <div className={`flex min-w-0 flex-col justify-end ${className}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-label leading-tight text-faint'}>
        {label}
      </label>
      {/* By place: a choice of nothing is a choice too. */}
      <Select.Root value={at < 0 ? '' : String(at)} onValueChange={(next) => onChange(options[Number(next)]![0])}>
        <Select.Trigger
          id={id}
          className="flex w-full cursor-pointer items-center justify-between gap-1 rounded-sm border border-rule bg-white px-1.5 py-1 text-left leading-tight hover:border-faint"
        >
          <span className="min-w-0">
            <Select.Value>{options[at]?.[1] ?? ''}</Select.Value>
          </span>
          <Select.Icon asChild>
            <ChevronDown size={14} className="shrink-0 text-faint" aria-hidden="true" />
          </Select.Icon>
        </Select.Trigger>
        <Select.Portal container={layer()}>
          <Select.Content
            position="popper"
            sideOffset={2}
            collisionPadding={8}
            className="z-50 max-h-(--radix-select-content-available-height) max-w-[92vw] min-w-(--radix-select-trigger-width) overflow-hidden border border-graphite bg-sheet shadow-lg"
          >
            <Select.Viewport className="py-1">
              {options.map(([key, words], place) => (
                <Select.Item
                  key={key}
                  value={String(place)}
                  className="flex cursor-pointer items-center justify-between gap-4 px-2.5 py-1 text-read outline-none data-[highlighted]:bg-soft pointer-coarse:min-h-11"
                >
                  <Select.ItemText>{words}</Select.ItemText>
                  <Select.ItemIndicator>
                    <Check size={14} aria-hidden="true" />
                  </Select.ItemIndicator>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}
