import type { RodStock } from '@/core/2-document/catalogue/rods';
import type { FieldOf } from '@/core/2-document/edit/field';
import { rodMember } from '@/core/5-strength/materials/rods';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { formatValue } from '@/words/formatQuantity';
import { Button } from '../shell/buttons';
import { QuantityField } from './QuantityField';
import { SelectField } from './SelectField';
import { TextField } from './TextField';
import { useSet } from './useSet';

const SHAPES = [
  ['rectangle', 'bar'],
  ['round', 'round rod'],
  ['tube', 'tube'],
] as const;

type Stock = Omit<RodStock, 'name'>;

/** Where each value of a rod lies in the document. */
export type StockPaths = { readonly [Key in keyof Stock]-?: FieldOf<Stock[Key]> };

interface RodStockFieldsProps {
  readonly stock: Stock;
  readonly at: StockPaths;
}

/** A bending test to begin with: half a metre free, 100 g at its end. */
const TEST = { length: 500, weight: 100, sag: 20 } as const;

/** What a rod is made of and how thick it is, wherever it is laid; what it showed when it was bent. */
export function RodStockFields({ stock, at }: RodStockFieldsProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const set = useSet();
  const length = (label: string, key: 'width' | 'height' | 'innerDiameter') => (
    <QuantityField label={label} kind="length" value={stock[key]} onCommit={set(at[key])} />
  );
  const { sagTest } = stock;
  const member = rodMember({ name: '', ...stock });
  return (
    <>
      <div className="col-span-2">
        <TextField label="Made of" value={stock.material || '?'} onCommit={set(at.material)} />
      </div>
      <SelectField label="Shape" value={stock.shape} options={SHAPES} onChange={set(at.shape)} />
      {length(stock.shape === 'rectangle' ? 'Wide' : 'Diameter', 'width')}
      {stock.shape === 'rectangle' && length('High', 'height')}
      {stock.shape === 'tube' && length('Inside', 'innerDiameter')}
      <QuantityField label="g/m" kind="number" step={1} value={stock.linearDensity} onCommit={set(at.linearDensity)} />
      {sagTest ? (
        <>
          {(['length', 'sag'] as const).map((key) => (
            <QuantityField
              key={key}
              label={{ length: 'Bent, free', sag: 'It sank by' }[key]}
              kind="length"
              value={sagTest[key]}
              onCommit={(value) => set(at.sagTest)({ ...sagTest, [key]: value })}
            />
          ))}
          <QuantityField
            label="Under"
            kind="mass"
            value={sagTest.weight}
            onCommit={(value) => set(at.sagTest)({ ...sagTest, weight: value })}
          />
          <Button
            look="quiet"
            className="col-span-2 self-end"
            onClick={() => dispatch(setFields([at.sagTest.to(undefined)]))}
          >
            Forget that
          </Button>
        </>
      ) : (
        <Button className="col-span-2 self-end" onClick={() => dispatch(setFields([at.sagTest.to(TEST)]))}>
          I bent one
        </Button>
      )}
      <p className="col-span-full text-label text-faint">
        Bends with E I {formatValue(member.solid.young * member.section.secondMoment, 'stiffness', units)}.
      </p>
    </>
  );
}
