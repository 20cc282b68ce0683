import { field, type FieldOf } from '@/core/2-document/edit/field';
import { COVERINGS, JOINTS } from '@/core/2-document/catalogue/boards';
import type { Body } from '@/core/2-document/schema/airframe';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';

type Fastenings = Pick<
  NonNullable<Body['construction']>,
  'glueLength' | 'glueDensity' | 'tapeArea' | 'tapeDensity' | 'covering'
>;

/** What a cover is; it stiffens and strengthens the faces it lies on. */
const KINDS = [
  ['tape', 'tape'],
  ['film', 'film'],
  ['tissue', 'tissue and lacquer'],
  ['glass', 'glass and resin'],
  ['paint', 'paint, no strength'],
] as const;

interface FasteningFieldsProps {
  readonly list: 'surfaces' | 'bodies';
  readonly part: string;
  readonly construction: Fastenings;
}

/** Document mm² in a square decimetre. */
const SQUARE_DECIMETRE = 1e4;

/** Glue by its joints and cover by its area; what each weighs is typed, or one of the usual ones. */
export function FasteningFields({ list, part, construction }: FasteningFieldsProps) {
  const set = useSet();
  const at = (key: Exclude<keyof Fastenings, 'covering'>): FieldOf<number> =>
    list === 'surfaces' ? field('surfaces', part, 'construction', key) : field('bodies', part, 'construction', key);
  const weight = (key: 'glueDensity' | 'tapeDensity', usual: readonly (readonly [string, number])[], unit: string) => {
    const value = construction[key];
    const known = usual.some(([, density]) => density === value);
    return (
      <div className="grid grid-cols-[1.4fr_1fr] items-end gap-1">
        <SelectField
          label={key === 'glueDensity' ? 'Glue' : 'Cover'}
          value={known ? String(value) : 'own'}
          options={[
            ...usual.map(([words, density]) => [String(density), words] as const),
            ...(known ? [] : [['own', 'my own'] as const]),
          ]}
          onChange={(next) => next !== 'own' && set(at(key))(Number(next))}
        />
        <QuantityField label={unit} kind="number" step={1} value={value} onCommit={set(at(key))} />
      </div>
    );
  };
  return (
    <>
      <QuantityField
        label="Glued joints, each side"
        kind="length"
        value={construction.glueLength}
        onCommit={set(at('glueLength'))}
      />
      {weight('glueDensity', JOINTS, 'g/m')}
      <QuantityField
        label="Tape or cover (dm²)"
        kind="number"
        step={1}
        value={construction.tapeArea / SQUARE_DECIMETRE}
        onCommit={(value) => set(at('tapeArea'))(value * SQUARE_DECIMETRE)}
      />
      {weight('tapeDensity', COVERINGS, 'g/m²')}
      <SelectField
        label="That cover is"
        value={construction.covering}
        options={KINDS}
        onChange={set(
          list === 'surfaces'
            ? field('surfaces', part, 'construction', 'covering')
            : field('bodies', part, 'construction', 'covering'),
        )}
      />
    </>
  );
}
