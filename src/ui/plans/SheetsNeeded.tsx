import { gramsFromKilograms, squareMetresFromSquareMillimetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { allowancesOf } from '@/core/4-parts/allowances';
import { type Cost, costOf } from '@/core/4-parts/cost';
import { cutLengthOf, massOfPart } from '@/core/4-parts/layout';
import { areaOfPart } from '@/core/3-shape/outline/partOutline';
import { CARD, type CutPart } from '@/core/4-parts/part';
import { skinEstimate } from '@/core/4-weight/skinEstimate';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatLength, formatMass, formatValue } from '@/words/formatQuantity';
import { MaybeField } from '../fields/MaybeField';
import { Fact } from '../numbers/Derived';
import { Say } from '../numbers/Say';
import { Section } from '../numbers/Section';
import type { LaidProps } from './laidProps';

/** How each board is cut: what blade, wire or beam takes, play in slots, room between parts. */
export function Cutting({ design }: Pick<LaidProps, 'design'>) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <Section title="Kerf, play, gaps" remembered="Cutting">
      {design.materials.map((sheet) => {
        const usual = allowancesOf({ ...sheet, kerf: undefined, slotPlay: undefined, partGap: undefined });
        const name = sheet.name || sheet.id;
        const fieldOf = (label: string, key: 'kerf' | 'slotPlay' | 'partGap', stands: number) => (
          <MaybeField
            kind="length"
            label={label}
            step={0.1}
            digits={2}
            value={sheet[key]}
            of={field('materials', sheet.id, key)}
            placeholder={formatLength(stands, units, 1)}
          />
        );
        return (
          <fieldset key={sheet.id} className="mt-1">
            <legend className="text-read">{name}</legend>
            <div className="grid grid-cols-3 gap-x-2">
              {fieldOf('Kerf', 'kerf', usual.kerf)}
              {fieldOf('Play in slots', 'slotPlay', usual.slot)}
              {fieldOf('Between parts', 'partGap', usual.gap)}
            </div>
          </fieldset>
        );
      })}
      <p className="mt-1 text-label text-faint">
        A blade takes nothing away; of a laser or a wire type the kerf, and every edge is moved out by half of it. Cut
        two strips and a slot of the board first: they should fit by hand, without force.
      </p>
    </Section>
  );
}

/** Board up to the furthest part of every sheet that is no part [m²]. */
const wasteOf = ({ sheets }: LaidProps['laid']['layout']): number =>
  sheets
    .filter(({ material }) => material !== CARD)
    .reduce((sum, { parts, utilisation }) => {
      const area = parts.reduce((all, { outline }) => all + areaOfPart({ ...outline, holes: [] }), 0);
      return utilisation > 0 ? sum + squareMetresFromSquareMillimetres(area * (1 / utilisation - 1)) : sum;
    }, 0);

const sheetsOf = (count: number): string => (count === 1 ? 'one sheet' : `${count} sheets`);

const COSTS: readonly (readonly [keyof Cost, string])[] = [
  ['boards', 'Boards cost'],
  ['rods', 'Rods cost'],
  ['glue', 'Glue costs'],
  ['covering', 'Tape and covering cost'],
];

/** Sheets, rods, blocks, what they weigh and cost. */
export function SheetsNeeded({ design, laid: { layout, list } }: LaidProps) {
  const units = useAppSelector((state) => state.settings.units);
  const cost = costOf(design, list, layout);
  const used = design.materials.filter(({ id }) => layout.sheets.some(({ material }) => material === id));
  const known = COSTS.map(([key]) => cost[key]).filter((value) => value !== null);
  const cutLength = list.parts.reduce((sum, part) => sum + part.count * cutLengthOf(part), 0);
  return (
    <Section title="Sheets, rods, cost">
      {used.map(({ id, name, price }) => (
        <div key={id} className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <Fact label={name || id}>{sheetsOf(layout.sheets.filter(({ material }) => material === id).length)}</Fact>
          </div>
          <div className="w-24">
            <MaybeField label="A sheet costs" step={0.5} value={price} of={field('materials', id, 'price')} />
          </div>
        </div>
      ))}
      <WeightOfParts design={design} parts={list.parts} />
      <Fact label="Used, up to the furthest part">{decimal(layout.utilisation * 100, 0)} %</Fact>
      <Fact label="Waste of that">{formatValue(wasteOf(layout), 'area', units)}</Fact>
      <Fact label="Cut, all in all">{formatLength(cutLength, units, 0)}</Fact>
      <div className="mt-1 grid grid-cols-3 items-end gap-x-2">
        <MaybeField label="Rod, a metre" step={0.5} value={design.prices.rod} of={field('prices', 'rod')} />
        <MaybeField label="Glue, 100 g" step={0.5} value={design.prices.glue} of={field('prices', 'glue')} />
        <MaybeField label="Covering, m²" step={0.5} value={design.prices.covering} of={field('prices', 'covering')} />
      </div>
      {COSTS.map(([key, label]) => (
        <Fact key={key} label={label}>
          {cost[key] === null ? 'not known: type its price' : decimal(cost[key], 2)}
        </Fact>
      ))}
      <Fact label={known.length < COSTS.length ? 'What is known costs' : 'All in all'}>
        {decimal(
          known.reduce((sum, value) => sum + value, 0),
          2,
        )}
      </Fact>
      {list.rods.map(({ id, name, count, size, length }) => (
        <Fact key={id} label={`${name}, ${size}`}>
          {count} × {formatLength(length, units)}
        </Fact>
      ))}
      {list.blocks.map(({ name, count, length, width, height }) => (
        <Fact key={name} label={name}>
          {count} × {formatLength(length, units)} × {formatLength(width, units)} × {formatLength(height, units)}
        </Fact>
      ))}
      {layout.faults.length > 0 && (
        <ul className="mt-2 space-y-1 border-l-4 border-caution pl-2 text-label" aria-label="What cannot be cut">
          {layout.faults.map(({ message }, index) => (
            <li key={index}>
              <Say words={message} />
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

/** What the board parts weigh as they are cut, beside what the weights stage counts for airframe with rods, glue and covering. */
function WeightOfParts({ design, parts }: { readonly design: Design; readonly parts: readonly CutPart[] }) {
  const units = useAppSelector((state) => state.settings.units);
  const counted = useAppSelector((state) =>
    state.analysis.current?.mass.parts
      .filter(({ kind }) => kind !== 'item')
      .reduce((sum, { computed }) => sum + computed, 0),
  );
  const own = parts.reduce((sum, part) => sum + part.count * massOfPart(design, part), 0);
  return (
    <>
      <Fact label="Board parts weigh">{formatMass(gramsFromKilograms(own), units)}</Fact>
      {counted !== undefined && (
        <Fact label="Weights count, with rods, glue, covering">{formatMass(gramsFromKilograms(counted), units)}</Fact>
      )}
      <Fact label="By skin and shares alone">{formatMass(gramsFromKilograms(skinEstimate(design)), units)}</Fact>
    </>
  );
}
