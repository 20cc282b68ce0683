import { useState } from 'react';
import { toast } from 'sonner';
import { gramsFromKilograms } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { costOf, massOfPart } from '@/core/5-parts/layout';
import type { CutPart } from '@/core/5-parts/part';
import type { PlanFormat } from '@/files/plans/planFiles';
import type { Paper } from '@/files/plans/planPdf';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { partChosen, type PlansState } from '@/store/plansSlice';
import { decimal, formatLength, formatMass } from '@/words/formatQuantity';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Say } from '../numbers/Say';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';

/** What is cut, how many sheets it takes, and the way to paper, cutter or laser. */
export function PlansStage({ design }: { readonly design: Design }) {
  const { laid } = useAppSelector((state) => state.plans);
  if (!laid) return <p className="p-3 text-read text-faint">Laying out…</p>;
  return (
    <>
      <ChosenPart design={design} laid={laid} />
      <ToPaper design={design} laid={laid} />
      <SheetsNeeded design={design} laid={laid} />
      <PartList laid={laid} />
    </>
  );
}

interface LaidProps {
  readonly design: Design;
  readonly laid: NonNullable<PlansState['laid']>;
}

function ChosenPart({ design, laid }: LaidProps) {
  const chosen = useAppSelector((state) => state.plans.chosen);
  const units = useAppSelector((state) => state.settings.units);
  const part = laid.list.parts.find(
    ({ id }) => id === chosen || chosen?.startsWith(`${id}-piece`) || chosen?.startsWith(`${id}-brace`),
  );
  if (!part)
    return (
      <Section title="A part">
        <p className="text-label text-faint">Press a part on the sheet, or in the list, to see what it is.</p>
      </Section>
    );
  const { left, right, bottom, top } = boundsOfPart(part.outline);
  return (
    <Section title={part.name} remembered="A part">
      <Fact label="Long">{formatLength(right - left, units)}</Fact>
      <Fact label="Wide">{formatLength(top - bottom, units)}</Fact>
      <Fact label="Needed">
        {part.count}
        {part.mirrored > 0 && `, ${part.mirrored} turned over`}
      </Fact>
      <Fact label="Weighs, each">{formatMass(gramsFromKilograms(massOfPart(design, part)), units, 1)}</Fact>
      <ul className="mt-1 list-disc pl-4 text-label text-faint">
        {part.notes.map((note, index) => (
          <li key={index}>
            <Say words={note} />
          </li>
        ))}
        {part.isAlongGrain && <li>grain of the board along it</li>}
        {part.hasFace && <li>drawn with its outer face down: do not turn it over</li>}
      </ul>
    </Section>
  );
}

const PAPER_OPTIONS = [
  ['a4', 'A4'],
  ['a3', 'A3'],
  ['letter', 'Letter'],
  ['sheet', 'one page a sheet'],
] as const satisfies readonly (readonly [Paper, string])[];

/** What the ruler should measure on paper [mm]. */
const RULER = 100;
const NO_FAULT = null;

function ToPaper({ design, laid }: LaidProps) {
  const [paper, setPaper] = useState<Paper>('a4');
  const [measured, setMeasured] = useState<readonly [number, number]>([RULER, RULER]);
  const [isBusy, setIsBusy] = useState(false);
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const take = async (formats: readonly PlanFormat[], asZip = false) => {
    setIsBusy(true);
    try {
      // What makes pages is large: it comes when it is wanted.
      const { planFiles, zipped } = await import('@/files/plans/planFiles');
      const date = new Date().toISOString().slice(0, 10);
      const files = planFiles(design, laid.list, laid.layout, {
        formats,
        paper,
        heading: { design: design.name, revision: '', date, scale: 1 },
        printed: [measured[0] / RULER, measured[1] / RULER],
        ...(analysis ? { told: { analysis, units } } : {}),
      });
      if (files.size === 0) toast.error('There is nothing to write: no part lies on a sheet.');
      else if (asZip || files.size > 1)
        downloadFile({ name: `${design.name} plans.zip`, parts: [zipped(files) as BlobPart], type: 'application/zip' });
      else
        for (const [name, bytes] of files)
          downloadFile({ name, parts: [bytes as BlobPart], type: 'application/octet-stream' });
    } catch (error) {
      toast.error(`The plans could not be written: ${error instanceof Error ? error.message : String(error)}`);
    } finally {
      setIsBusy(false);
    }
  };
  const measure = (axis: 0 | 1) => (value: number) => {
    const kept = Math.min(110, Math.max(90, value));
    setMeasured(axis === 0 ? [kept, measured[1]] : [measured[0], kept]);
    return NO_FAULT;
  };
  return (
    <Section title="To paper, cutter, laser">
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <SelectField label="Paper" options={PAPER_OPTIONS} value={paper} onChange={setPaper} />
        <QuantityField label="Ruler, along" kind="length" value={measured[0]} onCommit={measure(0)} />
        <QuantityField label="across" kind="length" value={measured[1]} onCommit={measure(1)} />
      </div>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <Button look="strong" disabled={isBusy} onClick={() => void take(['pdf'])}>
          Pages (PDF)
        </Button>
        <Button disabled={isBusy || !analysis} onClick={() => void take(['page'])}>
          One page
        </Button>
        <Button disabled={isBusy} onClick={() => void take(['svg'])}>
          SVG
        </Button>
        <Button disabled={isBusy} onClick={() => void take(['dxf'])}>
          DXF
        </Button>
        <Button disabled={isBusy} onClick={() => void take(['csv'])}>
          Cut list
        </Button>
        <Button disabled={isBusy} onClick={() => void take(['pdf', 'page', 'svg', 'dxf', 'csv'], true)}>
          All (ZIP)
        </Button>
      </div>
      <p className="mt-1 text-label text-faint">
        Print at 100 %, without fitting to the page. Measure the 100 mm ruler of the first page both ways and type it
        here: the next print is corrected. Cut away from the hand, fresh blade, laser only with a watch and fumes led
        off.
      </p>
    </Section>
  );
}

function SheetsNeeded({ design, laid: { layout, list } }: LaidProps) {
  const units = useAppSelector((state) => state.settings.units);
  const cost = costOf(design, layout);
  const used = design.materials.filter(({ id }) => layout.sheets.some(({ material }) => material === id));
  return (
    <Section title="Sheets, rods, cost">
      {used.map(({ id, name, price }) => (
        <div key={id} className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <Fact label={name || id}>{layout.sheets.filter(({ material }) => material === id).length} sheets</Fact>
          </div>
          <div className="w-24">
            <MaybeField label="A sheet costs" step={0.5} value={price} of={field('materials', id, 'price')} />
          </div>
        </div>
      ))}
      <WeightOfParts design={design} parts={list.parts} />
      <Fact label="Used, up to the furthest part">{decimal(layout.utilisation * 100, 0)} %</Fact>
      <Fact label="Boards cost">{cost === null ? 'not known: type what a sheet costs' : decimal(cost, 2)}</Fact>
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
        <Fact label="Weights count for the airframe">{formatMass(gramsFromKilograms(counted), units)}</Fact>
      )}
    </>
  );
}

function PartList({ laid: { list } }: Pick<LaidProps, 'laid'>) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.plans.chosen);
  const row = (part: CutPart) => (
    <li key={part.id}>
      <button
        type="button"
        aria-pressed={chosen === part.id}
        aria-label={`${part.name}, ${part.count}`}
        className="flex w-full cursor-pointer justify-between gap-2 border-b border-soft py-1 text-left text-read hover:bg-soft aria-pressed:font-semibold"
        onClick={() => dispatch(partChosen(chosen === part.id ? null : part.id))}
      >
        <span className="min-w-0 truncate">{part.name}</span>
        <span className="text-faint">{part.count}</span>
      </button>
    </li>
  );
  return (
    <Section title={`Parts (${list.parts.reduce((sum, { count }) => sum + count, 0)})`} remembered="Parts">
      <ul>{list.parts.map(row)}</ul>
    </Section>
  );
}
