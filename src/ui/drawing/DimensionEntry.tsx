import { useState } from 'react';
import { formatLength } from '@/words/formatQuantity';
import type { EditOutcome } from '@/store/edit';
import { useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';

export interface DimensionEntryProps {
  readonly label: string;
  /** Place of its middle in the view, and how wide that is drawn [px]. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly upright?: boolean;
  /** [mm] */
  readonly value: number;
  readonly onCommit: (value: number) => EditOutcome;
}

/** What is painted in it always reaches over all of it, and it is laid out by itself: the page is not layered or laid out anew while the number moves. */
const OVERLAY =
  'pointer-events-none absolute inset-0 contain-layout contain-size bg-[linear-gradient(transparent,transparent)] bg-[length:1px_1px] bg-no-repeat';
/** Read from below; by a transform where writing cannot. */
const UPRIGHT = 'py-1 [writing-mode:sideways-lr] not-supports-[writing-mode:sideways-lr]:-rotate-90';

/** The number on a dimension line: press it and type another. */
export function DimensionEntry({ label, x, y, width, upright = false, value, onCommit }: DimensionEntryProps) {
  const units = useAppSelector((state) => state.settings.units);
  const [editing, setEditing] = useState(false);
  // Of the width that the view has, which margins are parts of both ways: so that it stays on its line where paper is narrower than the screen.
  const shared = (pixels: number) => `${(100 * pixels) / width}%`;
  const words = `${label} ${formatLength(value, units)}`;
  return (
    <div className={OVERLAY}>
      <div
        className="pointer-events-auto flex size-0 items-center justify-center"
        style={{ marginLeft: shared(x), marginTop: shared(y) }}
      >
        {editing ? (
          <div className="z-10 w-32 shrink-0 border border-graphite bg-sheet p-1.5 shadow">
            <QuantityField
              label={`${label}, typed`}
              kind="length"
              value={value}
              onCommit={onCommit}
              onLeave={() => setEditing(false)}
            />
          </div>
        ) : (
          <button
            type="button"
            className={`shrink-0 cursor-text bg-paper/90 text-note whitespace-nowrap hover:bg-balance-soft ${upright ? UPRIGHT : 'px-1'}`}
            onClick={() => setEditing(true)}
            aria-label={`${words}: type another`}
          >
            {words}
          </button>
        )}
      </div>
    </div>
  );
}
