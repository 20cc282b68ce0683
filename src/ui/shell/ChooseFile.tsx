import { useRef } from 'react';
import { Button } from './buttons';

interface ChooseFileProps {
  /** What stands on the button. */
  readonly words: string;
  /** What the file is, for those who do not see the page. */
  readonly label: string;
  readonly accept: string;
  readonly look?: 'plain' | 'quiet';
  readonly onFile: (file: File) => void;
}

/** A button that lets a file be chosen; the same one may be chosen again. */
export function ChooseFile({ words, label, accept, look = 'plain', onFile }: ChooseFileProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button look={look} onClick={() => input.current?.click()}>
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
