import { field, type FieldOf } from '@/core/2-document/edit/field';
import { COVERINGS, JOINTS } from '@/core/2-document/catalogue/boards';
import type { Body } from '@/core/2-document/schema/airframe';
import { weighedGlue } from '@/core/4-parts/glue';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';
import { Button } from '../shell/buttons';

type Fastenings = Pick<
  NonNullable<Body['construction']>,
  'glueLength' | 'glueDensity' | 'glueTest' | 'tapeArea' | 'tapeDensity' | 'covering'
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
  const at = (key: Exclude<keyof Fastenings, 'covering' | 'glueTest'>): FieldOf<number> =>
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
      <GlueTest {...{ list, part, construction }} />
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

/** A joint to begin with [mm, g]. */
const JOINT = { length: 300, weight: 2.4 } as const;

/** What a joint gained by its glue: it replaces what is typed, and may be learned for later aircraft. */
function GlueTest({ list, part, construction: { glueTest } }: FasteningFieldsProps) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const whole =
    list === 'surfaces'
      ? field('surfaces', part, 'construction', 'glueTest')
      : field('bodies', part, 'construction', 'glueTest');
  const at = (key: 'length' | 'weight'): FieldOf<number> =>
    list === 'surfaces'
      ? field('surfaces', part, 'construction', 'glueTest', key)
      : field('bodies', part, 'construction', 'glueTest', key);
  if (!glueTest)
    return (
      <Button className="self-end" onClick={() => dispatch(setFields([whole.to(JOINT)]))}>
        I weighed a joint
      </Button>
    );
  const seen = weighedGlue({ glueTest });
  return (
    <div className="col-span-full grid grid-cols-2 gap-x-1.5" role="group" aria-label="Joint that was weighed">
      <QuantityField label="Joint, long" kind="length" value={glueTest.length} onCommit={set(at('length'))} />
      <QuantityField label="It gained" kind="mass" value={glueTest.weight} onCommit={set(at('weight'))} />
      <p className="col-span-2 mt-1 flex flex-wrap items-center justify-between gap-1.5 text-label text-faint">
        {seen === null
          ? 'It does not count: take a longer joint, or look at the weight again.'
          : `Counts with ${decimal(seen, 1)} g/m.`}
        <Button look="quiet" onClick={() => dispatch(setFields([whole.to(undefined)]))}>
          Forget that joint
        </Button>
      </p>
    </div>
  );
}
