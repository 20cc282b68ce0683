import { useEffect, useId, useRef } from 'react';
import { useDraft } from './useDraft';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => void;
  /** Takes the focus at once; called when the text was taken or left alone. */
  readonly onLeave?: () => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

/** A short text that is taken on Enter or when left, and dropped by Escape alone; never empty. */
export function TextField({ label, value, onCommit, onLeave, hideLabel = false, className = '' }: TextFieldProps) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const take = (text: string) => {
    if (text.trim() !== '' && text !== value) onCommit(text.trim().slice(0, 200));
  };
  const draft = useDraft(take);
  const commit = () => {
    const text = draft.now();
    draft.type(null);
    if (text !== null) take(text);
    onLeave?.();
  };
  const takesFocus = onLeave !== undefined;
  useEffect(() => {
    if (!takesFocus) return;
    input.current?.focus();
    input.current?.select();
  }, [takesFocus]);
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-label text-faint'}>
        {label}
      </label>
      <input
        ref={input}
        id={id}
        value={draft.text ?? value}
        autoComplete="off"
        onChange={(event) => draft.type(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== 'Escape') return;
          // The focus may go to a button: this key is not meant for it.
          if (onLeave) event.preventDefault();
          if (event.key === 'Enter') return commit();
          draft.type(null);
          onLeave?.();
        }}
        className="w-full rounded-sm border border-rule bg-white px-1.5 py-1"
      />
    </div>
  );
}
