import { useEffect, useState } from 'react';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { LaidPart, LaidSheet } from '@/core/5-parts/layout';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { LAYER_LOOKS, type Layer, linesOf } from '@/files/plans/layers';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { cancelLaying, layOutParts } from '@/store/plans';
import { partChosen } from '@/store/plansSlice';
import { decimal } from '@/words/formatQuantity';
import { BuildOrder } from './BuildOrder';
import { Drawing } from '../drawing/Drawing';
import { useSize } from '../drawing/useSize';
import { Choices } from '../fields/Choices';
import { useRecords } from '../records/useRecords';
import { Paper } from '../sheet/Paper';
import { Button } from '../shell/buttons';
import { HiddenTable } from '../sheet/HiddenTable';

const NO_HANDLES: readonly never[] = [];
/** After the last change nothing is laid out for so long [ms]. */
const SETTLES = 350;

const VIEWS = [
  ['sheets', 'Sheets'],
  ['order', 'Build order'],
] as const;

/** All parts as they are cut, laid on their sheets; the order of building. */
export function PlansSheet({ design }: { readonly design: Design }) {
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Sheets', sheet: <Sheets design={design} /> }} />;
}

function Sheets({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { laid, progress, failure } = useAppSelector((state) => state.plans);
  const folds = useRecords('trialFolds');
  const [shown, setShown] = useState(0);
  const [view, setView] = useState<'sheets' | 'order'>('sheets');
  useEffect(() => {
    const later = setTimeout(() => void dispatch(layOutParts(design, folds)), SETTLES);
    return () => {
      clearTimeout(later);
      dispatch(cancelLaying());
    };
  }, [dispatch, design, folds]);
  if (!laid)
    return (
      <div className="p-6">
        {failure ? (
          <p role="alert">The parts could not be laid out: {failure}</p>
        ) : (
          <p className="text-faint">Laying out…</p>
        )}
      </div>
    );
  const { sheets } = laid.layout;
  const sheet = sheets[Math.min(shown, sheets.length - 1)];
  if (!sheet) return <p className="p-6">Nothing is to be cut yet: choose a board for wing and tail at their stages.</p>;
  const counts = new Map<string, number>();
  const options = sheets.map((one, index) => {
    const number = (counts.get(one.material) ?? 0) + 1;
    counts.set(one.material, number);
    return [String(index), `${one.name} ${number}`] as const;
  });
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className={`min-h-0 flex-1 ${view === 'sheets' ? 'pt-9' : ''}`}>
        {view === 'order' ? (
          <BuildOrder design={design} list={laid.list} />
        ) : (
          <SheetDrawing sheet={sheet} name={options[sheets.indexOf(sheet)]![1]} />
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-soft px-3 py-2">
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
        {progress && (
          <>
            <progress value={progress.done} max={progress.total} aria-label="Parts laid out" className="h-2 w-24" />
            <Button look="quiet" onClick={() => dispatch(cancelLaying())}>
              Cancel
            </Button>
          </>
        )}
      </div>
    </div>
  );
}

const MARGIN = 18;

function SheetDrawing({ sheet, name }: { readonly sheet: LaidSheet; readonly name: string }) {
  const dispatch = useAppDispatch();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const chosen = useAppSelector((state) => state.plans.chosen);
  const { laid } = useAppSelector((state) => state.plans);
  const scale = Math.max(0.01, Math.min((width - 2 * MARGIN) / sheet.length, (height - 2 * MARGIN) / sheet.width));
  const [left, top] = [(width - sheet.length * scale) / 2, (height - sheet.width * scale) / 2];
  const place = ([x, y]: readonly [number, number]) => [left + x * scale, top + (sheet.width - y) * scale] as const;
  const paper = { place, scale, isMirrored: true };
  const names = new Map(laid?.list.parts.map((part) => [part.id, part.name]));
  const nameOf = ({ id, outline }: LaidPart) => names.get(id) ?? outline.name;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`${name} with ${sheet.parts.length} parts`}
      over={
        <HiddenTable caption={`Parts on ${name}`} columns={['Part']} rows={sheet.parts.map((part) => [nameOf(part)])} />
      }
    >
      <rect
        x={left}
        y={top}
        width={sheet.length * scale}
        height={sheet.width * scale}
        fill="var(--color-paper)"
        stroke="var(--color-rule)"
      />
      {sheet.parts.map((part, index) => (
        <g
          key={`${part.id}/${part.copy}`}
          role="button"
          tabIndex={0}
          aria-label={nameOf(part)}
          aria-pressed={chosen === part.id}
          className="cursor-pointer outline-offset-2"
          onClick={() => dispatch(partChosen(chosen === part.id ? null : part.id))}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            dispatch(partChosen(chosen === part.id ? null : part.id));
          }}
          data-part={index}
        >
          {linesOf(part.outline).map(([layer, path], line) => (
            <path
              key={line}
              d={svgPath(path, paper)}
              fill={line === 0 ? (chosen === part.id ? 'var(--color-balance-soft, #d5e8e4)' : 'white') : 'none'}
              stroke={strokeOf(layer)}
              strokeWidth={layer === 'cut' ? 1.2 : 0.8}
              {...(LAYER_LOOKS[layer].dash === null ? {} : { strokeDasharray: LAYER_LOOKS[layer].dash! })}
            />
          ))}
          {part.outline.texts.map(({ words, at, height: tall, turn }, text) => {
            const [x, y] = place(at);
            // Too small to read, it is left to the table.
            return tall * scale < 5 ? null : (
              <text
                key={text}
                transform={`translate(${x} ${y}) rotate(${degreesFromRadians(-turn)})`}
                fontSize={tall * scale}
                fill="var(--color-graphite)"
                aria-hidden="true"
              >
                {words}
              </text>
            );
          })}
        </g>
      ))}
    </Paper>
  );
}

const strokeOf = (layer: Layer): string => (layer === 'cut' ? 'var(--color-graphite)' : LAYER_LOOKS[layer].colour);
