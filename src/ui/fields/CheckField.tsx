import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

interface CheckFieldProps {
  readonly children: ReactNode;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
}

/** Yes or no, with its words behind it. */
export function CheckField({ children, checked, onChange, className = '' }: CheckFieldProps) {
  const id = useId();
  return (
    <div className={`flex items-center gap-1.5 text-read leading-tight ${className}`}>
      <Checkbox.Root
        id={id}
        checked={checked}
        onCheckedChange={(next) => onChange(next === true)}
        className="relative flex size-4 shrink-0 cursor-pointer items-center justify-center rounded-sm border border-faint bg-white after:absolute after:-inset-1.5 after:content-[''] data-[state=checked]:border-balance data-[state=checked]:bg-balance pointer-coarse:min-h-0 pointer-coarse:after:-inset-3.5"
      >
        <Checkbox.Indicator>
          <Check size={12} strokeWidth={3} className="text-sheet" aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="cursor-pointer py-0.5">
        {children}
      </label>
    </div>
  );
}
