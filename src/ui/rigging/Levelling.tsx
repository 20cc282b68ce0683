import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useSet } from '../fields/useSet';

/** How the datum is brought level, in a sentence. */
export function levelWords({ levelling: { face, angle } }: Design): string {
  if (face === '' && angle === 0) return 'Level the datum.';
  const where = face === '' ? 'on the face that carries the level' : `on “${face}”`;
  return `Lay the meter ${where} and shim until it shows ${decimal(angle, 1)}°: then the datum is level.`;
}

/** The face of the airframe that carries the level, and its angle to the datum line. */
export function Levelling({ design }: { readonly design: Design }) {
  const set = useSet();
  const { face, angle } = design.levelling;
  return (
    <div className="mt-1.5 grid grid-cols-[2fr_1fr] gap-x-2" data-testid="levelling">
      <TextField
        label="Face that carries the level"
        value={face || 'the datum line'}
        onCommit={(next) => set(field('levelling', 'face'))(next === 'the datum line' ? '' : next)}
      />
      <QuantityField label="Nose up by" kind="angle" value={angle} onCommit={set(field('levelling', 'angle'))} />
      <p className="col-span-2 text-label text-faint">{levelWords(design)}</p>
    </div>
  );
}
