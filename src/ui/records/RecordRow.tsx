import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from '../shell/buttons';
import { takenOut } from '../shell/told';

interface RecordRowProps {
  /** What happened, in a line that opens and closes the rest. */
  readonly words: ReactNode;
  /** The record as it is called: “The toss”. */
  readonly what: string;
  readonly removeLabel: string;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  /** Takes it out; the answer puts it back. */
  readonly drop: () => Promise<() => Promise<unknown>>;
  /** All of it, shown while it is open. */
  readonly children: ReactNode;
}

/** One record of a log: pressed it opens, and it can be taken out and put back. */
export function RecordRow({ words, what, removeLabel, isOpen, onToggle, drop, children }: RecordRowProps) {
  return (
    <li className="py-1">
      <div className="flex items-center gap-2 text-read">
        <button
          type="button"
          className="min-h-8 flex-1 cursor-pointer text-left hover:underline pointer-coarse:min-h-11"
          aria-expanded={isOpen}
          onClick={onToggle}
        >
          {words}
        </button>
        <IconButton label={removeLabel} icon={<Trash2 size={15} />} onClick={() => void takenOut(what, drop)} />
      </div>
      {isOpen && children}
    </li>
  );
}
