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

/** The number on a dimension line: press it and type another. */
export function DimensionEntry({ label, x, y, width, upright = false, value, onCommit }: DimensionEntryProps) {
  const units = useAppSelector((state) => state.settings.units);
  const [editing, setEditing] = useState(false);
  // Of the width that the view has, so that it stays on its line where paper is narrower than the screen.
  const shared = (pixels: number) => `${(100 * pixels) / width}cqw`;
  const words = `${label} ${formatLength(value, units)}`;
  return (
    // Moved and typed over in a drag without laying out anything but itself.
    <div
      className="absolute top-0 left-0 contain-layout contain-size"
      style={{ transform: `translate(${shared(x)}, ${shared(y)})` }}
    >
      {editing ? (
        <div className="absolute z-10 w-32 -translate-x-1/2 -translate-y-1/2 border border-graphite bg-sheet p-1.5 shadow">
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
          className={`absolute -translate-x-1/2 -translate-y-1/2 cursor-text bg-paper/90 px-1 text-note whitespace-nowrap hover:bg-balance-soft ${upright ? '-rotate-90' : ''}`}
          onClick={() => setEditing(true)}
          aria-label={`${words}: type another`}
        >
          {words}
        </button>
      )}
    </div>
  );
}
