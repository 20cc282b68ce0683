import type { EditOutcome } from '@/store/edit';
import { QuantityField, type QuantityFieldProps } from '../fields/QuantityField';

/** A number of a record that may be left out. */
export interface RecordNumber<Key extends string> {
  readonly key: Key;
  readonly label: string;
  readonly kind: QuantityFieldProps['kind'];
  readonly least: number;
  readonly most: number;
  readonly step?: number;
}

interface RecordNumbersProps<Key extends string> {
  readonly numbers: readonly RecordNumber<Key>[];
  readonly record: { readonly [Each in Key]?: number | undefined };
  readonly onChange: (part: { [Each in Key]?: number | undefined }) => EditOutcome;
}

/** Numbers of a record, each within its bounds; an empty one is not known. */
export function RecordNumbers<Key extends string>({ numbers, record, onChange }: RecordNumbersProps<Key>) {
  const part = (key: Key, value: number | undefined) => ({ [key]: value }) as { [Each in Key]?: number | undefined };
  return numbers.map(({ key, label, kind, least, most, step }) => (
    <QuantityField
      key={key}
      label={label}
      kind={kind}
      step={step ?? 0.1}
      digits={2}
      value={record[key]}
      placeholder="–"
      onCommit={(value) =>
        value >= least && value <= most
          ? onChange(part(key, value))
          : { path: '', message: `must lie between ${least} and ${most}` }
      }
      onClear={() => onChange(part(key, undefined))}
    />
  ));
}
