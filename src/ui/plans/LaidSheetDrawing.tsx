import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { clashesOn, inPose, snapped, turned, turnedOver } from '@/core/4-parts/handLaid';
import { type LaidPart, type LaidSheet, USUAL_LAYOUT } from '@/core/4-parts/layout';
import type { LaidPose } from '@/core/4-parts/nesting/nest';
import { LAYER_LOOKS, type Layer, linesOf } from '@/files/plans/layers';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { layByHand } from '@/store/layByHand';
import { partChosen } from '@/store/plansSlice';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { KEY_STEPS } from '../drawing/keySteps';

/** Round the sheet, and how near edges catch [px]; a press that moves less is none. */
const MARGIN = 18;
const CATCHES = 8;
const STILL = 3;

interface LaidSheetDrawingProps {
  readonly design: Design;
  readonly sheet: LaidSheet;
  readonly name: string;
  /** At another scale nothing is laid by hand. */
  readonly isMovable: boolean;
}

/** As the document says by hand, before the worker has answered. */
function withHandLaid(sheet: LaidSheet, laid: Design['laid']): LaidSheet {
  if (laid.length === 0) return sheet;
  return {
    ...sheet,
    parts: sheet.parts.map((part) => {
      const own = laid.find(
        ({ part: id, copy, sheet: number }) => id === part.id && copy === part.copy && number === sheet.number,
      );
      return own
        ? inPose(part, { x: own.x, y: own.y, turn: radiansFromDegrees(own.turn), isMirrored: own.isTurnedOver })
        : part;
    }),
  };
}

/** One sheet with its parts: pressed they are chosen, dragged or by the arrows they move, R turns them, F turns them over. */
export function LaidSheetDrawing({ design, sheet: answered, name, isMovable }: LaidSheetDrawingProps) {
  const dispatch = useAppDispatch();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { chosen, laid } = useAppSelector((state) => state.plans);
  const [dragged, setDragged] = useState<{ readonly index: number; readonly pose: LaidPose } | null>(null);
  const gesture = useRef(0);
  /** The press that ends a drag chooses nothing. */
  const wasDragged = useRef(false);
  const resting = useMemo(
    () => (isMovable ? withHandLaid(answered, design.laid) : answered),
    [answered, design.laid, isMovable],
  );
  const sheet = useMemo(
    () =>
      dragged
        ? {
            ...resting,
            parts: resting.parts.map((part, index) => (index === dragged.index ? inPose(part, dragged.pose) : part)),
          }
        : resting,
    [resting, dragged],
  );
  const clashes = useMemo(() => clashesOn(sheet), [sheet]);
  const scale = Math.max(0.01, Math.min((width - 2 * MARGIN) / sheet.length, (height - 2 * MARGIN) / sheet.width));
  const [left, top] = [(width - sheet.length * scale) / 2, (height - sheet.width * scale) / 2];
  const place = ([x, y]: readonly [number, number]) => [left + x * scale, top + (sheet.width - y) * scale] as const;
  const paper = { place, scale, isMirrored: true };
  const names = new Map(laid?.list.parts.map((part) => [part.id, part.name]));
  const nameOf = ({ id, outline }: LaidPart) => names.get(id) ?? outline.name;

  const commit = (index: number, pose: LaidPose, keys?: string) => {
    if (!laid) return;
    const fault = dispatch(layByHand({ layout: laid.layout, sheet: resting, index, pose, gesture: keys }));
    if (fault) toast.error(`That part cannot lie there: ${String(fault.message)}.`);
  };

  const begin = (event: React.PointerEvent<SVGGElement>, index: number) => {
    if (!isMovable || event.button !== 0) return;
    const target = event.currentTarget;
    target.setPointerCapture(event.pointerId);
    wasDragged.current = false;
    const start = { x: event.clientX, y: event.clientY };
    const from = resting.parts[index]!.pose;
    let latest: LaidPose | null = null;
    const move = (next: PointerEvent) => {
      const [dx, dy] = [next.clientX - start.x, next.clientY - start.y];
      if (!latest && Math.hypot(dx, dy) < STILL) return;
      const free = { ...from, x: from.x + dx / scale, y: from.y - dy / scale };
      latest = next.altKey
        ? free
        : snapped(resting, index, free, { reach: CATCHES / scale, margin: USUAL_LAYOUT.margin });
      setDragged({ index, pose: latest });
    };
    const stop = () => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', stop);
      target.removeEventListener('pointercancel', stop);
      if (!latest) return;
      wasDragged.current = true;
      commit(index, latest);
      setDragged(null);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', stop);
    target.addEventListener('pointercancel', stop);
  };

  const choose = (id: string) => dispatch(partChosen(chosen === id ? null : id));

  const press = (event: React.KeyboardEvent, index: number) => {
    const part = resting.parts[index]!;
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      choose(part.id);
      return;
    }
    if (!isMovable || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = KEY_STEPS[event.key];
    if (step) {
      event.preventDefault();
      const size = event.shiftKey ? 10 : 1;
      const { pose } = part;
      if (!event.repeat) gesture.current++;
      commit(
        index,
        { ...pose, x: pose.x + step[0] * size, y: pose.y + step[1] * size },
        `lay-${part.id}-${part.copy}-${gesture.current}`,
      );
    } else if (event.key.toLowerCase() === 'r') commit(index, turned(part));
    else if (event.key.toLowerCase() === 'f') {
      const pose = turnedOver(part);
      if (pose) commit(index, pose);
      else toast(`${nameOf(part)} keeps its face: left and right of it are cut as they lie.`);
    }
  };

  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`${name} with ${sheet.parts.length} parts`}
      over={
        <HiddenTable
          caption={`Parts on ${name}`}
          columns={['Part', 'Lies']}
          rows={sheet.parts.map((part, index) => [
            nameOf(part),
            clashes.has(index) ? 'on another, or over the edge' : 'clear',
          ])}
        />
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
          aria-label={clashes.has(index) ? `${nameOf(part)}, lies on another or over the edge` : nameOf(part)}
          aria-pressed={chosen === part.id}
          className={`outline-offset-2 ${isMovable ? 'cursor-move touch-none' : 'cursor-pointer'}`}
          onClick={() => !wasDragged.current && choose(part.id)}
          onPointerDown={(event) => begin(event, index)}
          onKeyDown={(event) => press(event, index)}
          data-part={index}
        >
          {linesOf(part.outline).map(([layer, path], line) => (
            <path
              key={line}
              d={svgPath(path, paper)}
              fill={line === 0 ? fillOf(chosen === part.id, clashes.has(index)) : 'none'}
              stroke={line === 0 && clashes.has(index) ? 'var(--color-stop)' : strokeOf(layer)}
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

const fillOf = (isChosen: boolean, isClashing: boolean): string =>
  isClashing ? 'var(--color-stop-soft)' : isChosen ? 'var(--color-balance-soft)' : 'white';

const strokeOf = (layer: Layer): string => (layer === 'cut' ? 'var(--color-graphite)' : LAYER_LOOKS[layer].colour);
