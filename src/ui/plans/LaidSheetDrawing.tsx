import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { clashesOn } from '@/core/4-parts/handLaid';
import type { LaidPart, LaidSheet } from '@/core/4-parts/layout';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { partChosen } from '@/store/plansSlice';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { LaidPartFigure } from './LaidPartFigure';
import { useHandLaying } from './useHandLaying';

/** Round the sheet [px]. */
const MARGIN = 18;

interface LaidSheetDrawingProps {
  readonly design: Design;
  readonly sheet: LaidSheet;
  readonly name: string;
  /** At another scale nothing is laid by hand. */
  readonly isMovable: boolean;
}

/** One sheet with its parts: pressed they are chosen, dragged or by the arrows they move, R turns them, F turns them over. */
export function LaidSheetDrawing({ design, sheet: answered, name, isMovable }: LaidSheetDrawingProps) {
  const dispatch = useAppDispatch();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { chosen, laid } = useAppSelector((state) => state.plans);
  const names = useMemo(() => new Map(laid?.list.parts.map((part) => [part.id, part.name])), [laid]);
  const nameOf = ({ id, outline }: LaidPart) => names.get(id) ?? outline.name;
  const { sheet, begin, press, wasDragged } = useHandLaying({ design, sheet: answered, isMovable, nameOf });
  const clashes = useMemo(() => clashesOn(sheet), [sheet]);
  const scale = Math.max(0.01, Math.min((width - 2 * MARGIN) / sheet.length, (height - 2 * MARGIN) / sheet.width));
  const [left, top] = [(width - sheet.length * scale) / 2, (height - sheet.width * scale) / 2];
  const place = ([x, y]: readonly [number, number]) => [left + x * scale, top + (sheet.width - y) * scale] as const;
  const paper = { place, scale, isMirrored: true };
  const choose = (id: string) => dispatch(partChosen(chosen === id ? null : id));

  const clashing = 'lies on another or over the edge';
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
          rows={() => sheet.parts.map((part, index) => [nameOf(part), clashes.has(index) ? clashing : 'clear'])}
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
          aria-label={clashes.has(index) ? `${nameOf(part)}, ${clashing}` : nameOf(part)}
          aria-pressed={chosen === part.id}
          className={`outline-offset-2 ${isMovable ? 'cursor-move touch-none' : 'cursor-pointer'}`}
          onClick={() => !wasDragged() && choose(part.id)}
          onPointerDown={(event) => begin(event, index, scale)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return press(event, index);
            event.preventDefault();
            choose(part.id);
          }}
          data-part={index}
        >
          <LaidPartFigure
            outline={part.outline}
            paper={paper}
            isChosen={chosen === part.id}
            isClashing={clashes.has(index)}
          />
        </g>
      ))}
    </Paper>
  );
}
