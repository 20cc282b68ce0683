import { useId, useState } from 'react';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

/** A short text that is taken on Enter or when left; never empty. */
export function TextField({ label, value, onCommit, hideLabel = false, className = '' }: TextFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft.trim() !== '' && draft !== value) onCommit(draft.trim().slice(0, 200));
    setDraft(null);
  };
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-[13px] text-faint'}>
        {label}
      </label>
      <input
        id={id}
        value={draft ?? value}
        autoComplete="off"
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setDraft(null);
        }}
        className="w-full rounded-sm border border-rule bg-white px-1.5 py-1"
      />
    </div>
  );
}
