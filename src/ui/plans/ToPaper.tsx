import { useState } from 'react';
import { toast } from 'sonner';
import type { PlanFormat } from '@/files/plans/planFiles';
import type { Paper } from '@/files/plans/planPdf';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { planScaleSet } from '@/store/plansSlice';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import type { LaidProps } from './laidProps';

const PAPER_OPTIONS = [
  ['a4', 'A4'],
  ['a3', 'A3'],
  ['letter', 'Letter'],
  ['sheet', 'one page a sheet'],
] as const satisfies readonly (readonly [Paper, string])[];

/** Full size, and what small gliders of card and thin board are cut at. */
const SCALE_OPTIONS = [
  ['1', '1 : 1'],
  ['0.75', '3 : 4'],
  ['0.5', '1 : 2'],
  ['0.3333333333333333', '1 : 3'],
  ['0.25', '1 : 4'],
  ['0.2', '1 : 5'],
] as const;

/** What the ruler should measure on paper [mm]. */
const RULER = 100;
const NO_FAULT = null;

/** The way to paper, cutter and laser. */
export function ToPaper({ design, laid }: LaidProps) {
  const dispatch = useAppDispatch();
  const scale = useAppSelector((state) => state.plans.scale);
  const revisions = useRecords('revisions');
  const revision = revisions.find(({ id }) => id === design.basedOn)?.name ?? '';
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
        heading: { design: design.name, revision, date, scale: laid.scale },
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
      <div className="grid grid-cols-2 items-end gap-x-2 gap-y-1.5">
        <SelectField label="Paper" options={PAPER_OPTIONS} value={paper} onChange={setPaper} />
        <SelectField
          label="Scale"
          options={SCALE_OPTIONS}
          value={String(scale)}
          onChange={(next) => dispatch(planScaleSet(Number(next)))}
        />
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
        <Button disabled={isBusy} onClick={() => void take(['order'])}>
          Build order
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
        <Button disabled={isBusy} onClick={() => void take(['pdf', 'page', 'order', 'svg', 'dxf', 'csv'], true)}>
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
