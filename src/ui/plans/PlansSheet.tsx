import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { layOutParts, stopLaying } from '@/store/plans';
import { layAnew } from '@/store/layByHand';
import { decimal } from '@/words/formatQuantity';
import { partChosenOf } from '@/store/plansSlice';
import { PartDrawing } from './PartDrawing';
import { LaidSheetDrawing } from './LaidSheetDrawing';
import { useLaidParts } from './useLaidParts';
import { Drawing } from '../drawing/Drawing';
import { Choices } from '../fields/Choices';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';

const NO_HANDLES: readonly never[] = [];
type View = 'sheets' | 'part';

const VIEWS: readonly (readonly [View, string])[] = [
  ['sheets', 'Sheets'],
  ['part', 'Part alone'],
];

/** How far the laying out has come, and its end; once stopped, its beginning. */
function Laying({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { progress, isStopped, laid, scale } = useAppSelector((state) => state.plans);
  const folds = useRecords('trialFolds');
  if (progress)
    return (
      <div className="flex items-center gap-3">
        {!laid && <span className="text-faint">Laying out…</span>}
        <progress value={progress.done} max={progress.total} aria-label="Parts laid out" className="h-2 w-24" />
        <Button look="quiet" onClick={() => dispatch(stopLaying())}>
          Cancel
        </Button>
      </div>
    );
  if (!isStopped) return laid ? null : <p className="text-faint">Laying out…</p>;
  return (
    <div className="flex items-center gap-3">
      <span className="text-faint">
        {laid ? 'Stopped: the sheets are of before.' : 'Stopped: nothing is laid out.'}
      </span>
      <Button onClick={() => void dispatch(layOutParts(design, folds, scale))}>Lay out</Button>
    </div>
  );
}

/** All parts as they are cut, laid on their sheets. */
export function PlansSheet({ design }: { readonly design: Design }) {
  useLaidParts(design);
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Sheets', sheet: <Sheets design={design} /> }} />;
}

function Sheets({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { laid, failure, scale, chosen } = useAppSelector((state) => state.plans);
  const [shown, setShown] = useState(0);
  const [view, setView] = useState<View>('sheets');
  if (!laid)
    return (
      <div className="p-6 pt-12">
        {failure ? <p role="alert">The parts could not be laid out: {failure}</p> : <Laying design={design} />}
      </div>
    );
  const { sheets } = laid.layout;
  const part = partChosenOf(laid.list, chosen);
  const sheet = sheets[Math.min(shown, sheets.length - 1)];
  if (!sheet) return <p className="p-6">Nothing is to be cut yet: choose a board for wing and tail at their stages.</p>;
  const isByHand =
    scale === 1 &&
    design.laid.some(({ part }) =>
      sheets.some(({ material, parts }) => material === sheet.material && parts.some(({ id }) => id === part)),
    );
  const counts = new Map<string, number>();
  const options = sheets.map((one, index) => {
    const number = (counts.get(one.material) ?? 0) + 1;
    counts.set(one.material, number);
    return [String(index), `${one.name} ${number}`] as const;
  });
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-9">
        {view === 'part' ? (
          part ? (
            <PartDrawing part={part} />
          ) : (
            <p className="p-6">Press a part on its sheet or in the list: it is drawn here by itself.</p>
          )
        ) : (
          <LaidSheetDrawing
            design={design}
            sheet={sheet}
            name={options[sheets.indexOf(sheet)]![1]}
            isMovable={scale === 1}
          />
        )}
      </div>
      <div className="flex min-h-13 flex-wrap items-center gap-x-3 gap-y-1 border-t border-soft px-3 py-1">
        <Choices joined label="What is shown" options={VIEWS} value={view} onChange={(next) => next && setView(next)} />
        <Choices
          joined
          label="Sheet that is shown"
          options={options}
          value={String(sheets.indexOf(sheet))}
          onChange={(next) => {
            if (next === null) return;
            setView('sheets');
            setShown(Number(next));
          }}
          className="max-w-full overflow-x-auto"
        />
        <span className="text-label text-faint">{decimal(sheet.utilisation * 100, 0)} % of it used</span>
        {isByHand && (
          <Button look="quiet" onClick={() => dispatch(layAnew(laid.layout, sheet.material))}>
            Lay out anew
          </Button>
        )}
        <Laying design={design} />
      </div>
    </div>
  );
}
