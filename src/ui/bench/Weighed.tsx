import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { weightRows, type WeightRow } from '@/core/4-weight/weightRows';
import { expectedMass } from '@/core/8-bench/expectedMass';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatMass } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { SteadyReading } from './SteadyReading';

const LISTS = { surface: 'surfaces', body: 'bodies', item: 'massItems' } as const;
/** Two standard deviations: what is rarely passed. */
const RARELY = 2;

/** Parts as they are weighed, and what it will then fly at. */
export function Weighed({ design }: { readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const parts = useAppSelector((state) => state.analysis.current?.mass.parts);
  if (!parts) return null;
  const rows = weightRows(design, parts);
  const { expected, sigma, creep } = expectedMass(rows);
  const isTold = rows.some(({ kind, measured }) => kind !== 'item' && measured !== null);
  return (
    <Section title="Weighed as it is made">
      <Fact label="Will fly at">
        {formatMass(expected, units)} ± {formatMass(RARELY * sigma, units)}
      </Fact>
      {isTold && (
        <Fact label="Boards come out">
          {decimal(Math.abs(100 * creep), 1)} % {creep >= 0 ? 'heavier' : 'lighter'}
        </Fact>
      )}
      <ul className="mt-1 grid grid-cols-2 gap-x-2 gap-y-1">
        {rows.map((row) => (
          <Part key={`${row.kind} ${row.id}`} row={row} design={design} />
        ))}
      </ul>
    </Section>
  );
}

/** One part: what it should weigh, and what it does. */
function Part({ row, design }: { readonly row: WeightRow; readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const weighed = useSet()(field(LISTS[row.kind], row.id, 'measuredMass'));
  const item = row.kind === 'item' ? design.massItems.find(({ id }) => id === row.id) : undefined;
  const sides = item?.mirrored ? 2 : 1;
  return (
    <li>
      <QuantityField
        label={`${row.name}${sides === 2 ? ', each' : ''}`}
        kind="mass"
        value={row.measured === null ? undefined : row.measured / sides}
        placeholder={formatMass(row.computed / sides, units, 1).replace(/ \D+$/, '')}
        onCommit={weighed}
        onClear={() => weighed(undefined)}
      />
      {row.measured === null && (
        <SteadyReading
          kind="scale"
          label={`Weigh ${row.name}`}
          on={{ grams: row.computed / sides }}
          onRead={([grams]) => weighed(Math.max(0, Math.round(grams!)))}
        />
      )}
    </li>
  );
}
