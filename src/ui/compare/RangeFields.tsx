import type { Design } from '@/core/2-document/schema/design';
import type { InputRange } from '@/workers/contract';
import type { QuantityKind } from '@/words/parseQuantity';
import { QuantityField } from '../fields/QuantityField';
import { drawnInput, unitOfInput } from './compareWords';

const KINDS: Readonly<Record<string, QuantityKind>> = { mm: 'length', g: 'mass', 'm/s': 'speed', '°': 'angle' };

/** How a number of that unit is typed. */
export const kindOfInput = (name: string): QuantityKind => KINDS[unitOfInput(name)] ?? 'number';

/** Ends when nobody says otherwise: a fifth either way, or two of its unit where it is small; tips are only cut. */
export function usualRange(design: Design, name: string): InputRange {
  const now = drawnInput(design, name) ?? 0;
  if (name.startsWith('tips/')) return { name, from: 70, to: 100 };
  // A share of something has less room than lengths and angles.
  const isShare = unitOfInput(name) === '' && Math.abs(now) < 2;
  const room = isShare ? Math.abs(now) / 5 || 0.1 : Math.max(2, Math.abs(now) / 5);
  const rounded = (value: number) => Number(value.toFixed(isShare ? 3 : 0));
  return { name, from: rounded(now - room), to: rounded(now + room) };
}

interface RangeFieldsProps {
  readonly range: InputRange;
  /** Goes before the labels, where several stand below one another. */
  readonly of?: string;
  readonly onChange: (range: InputRange) => void;
}

/** From where to where an input goes. */
export function RangeFields({ range, of = '', onChange }: RangeFieldsProps) {
  const kind = kindOfInput(range.name);
  const unit = unitOfInput(range.name);
  const label = (end: string) => `${of}${end}${kind === 'number' && unit !== '' ? ` (${unit})` : ''}`;
  const take = (part: Partial<InputRange>) => {
    onChange({ ...range, ...part });
    return null;
  };
  return (
    <>
      <QuantityField label={label('From')} kind={kind} value={range.from} onCommit={(from) => take({ from })} />
      <QuantityField label={label('To')} kind={kind} value={range.to} onCommit={(to) => take({ to })} />
    </>
  );
}
