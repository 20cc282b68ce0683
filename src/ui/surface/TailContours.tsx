import { memo } from 'react';
import type { TailMap } from '@/store/tailSlice';
import { decimal } from '@/words/formatQuantity';
import { between, type Field, isolines } from '../sheet/isolines';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Places, type Scale } from '../sheet/scale';
import type { UnitAxis } from '../sheet/unitAxes';

interface TailContoursProps {
  readonly map: TailMap;
  readonly across: UnitAxis;
  readonly areas: UnitAxis;
  readonly box: Box;
  readonly x: Axis;
  readonly y: Axis;
  readonly fin: boolean;
  /** Static margin that is wanted, from and to. */
  readonly least: number;
  readonly most: number;
}

/** What of the map stays while the tail is dragged over it: axes, lines of equal margin and yaw stiffness, and what is wanted between them. */
export const TailContours = memo(function TailContours(props: TailContoursProps) {
  const { map, across, areas, box, x, y, fin, least, most } = props;
  const { u, v } = scalesOf(box, x, y);
  const fields = fieldsOf(map, across, areas);
  const lines = [
    ...(fin ? [] : linesOf(fields.margin, 'margin', { u, v, box })),
    ...linesOf(fields.yaw, 'yaw', { u, v, box }),
  ];
  return (
    <PlotFrame box={box} x={x} y={y}>
      <g aria-hidden="true">
        {!fin && (
          <path
            d={between(fields.margin, least, most)
              .map((ring) => `${pathThrough(ring.map(([a, b]) => [u(a), v(b)]))}Z`)
              .join('')}
            fill="var(--color-balance-soft)"
            fillOpacity={0.5}
            fillRule="evenodd"
          />
        )}
        <Lines lines={lines} />
        <Computed map={map} place={(a, b) => [u(across.to(a)), v(areas.to(b))]} />
      </g>
    </PlotFrame>
  );
});

/** What was computed, in the units of the axes. */
function fieldsOf(map: TailMap, across: UnitAxis, areas: UnitAxis): { margin: Field; yaw: Field } {
  const of = (key: 'staticMargin' | 'yawStiffness'): Field => ({
    across: map.axes.across.map(across.to),
    up: map.axes.areas.map(areas.to),
    values: map.axes.across.map((_, index) =>
      map.axes.areas.map((_area, place) => map.rows[index]?.[place]?.[key] ?? Number.NaN),
    ),
  });
  return { margin: of('staticMargin'), yaw: of('yawStiffness') };
}

const STEPS = { margin: [0.05, 0.1, 0.2], yaw: [0.01, 0.02, 0.05, 0.1] } as const;
export const LINE_LOOKS = {
  margin: { stroke: 'var(--color-balance)', strokeWidth: 1.6 },
  yaw: { stroke: 'var(--color-graphite)', strokeWidth: 1.2, strokeDasharray: '5 4' },
} as const;
/** Not more lines than this of one kind. */
const MOST_LINES = 8;

type Look = keyof typeof LINE_LOOKS;

interface NamedLine {
  readonly look: Look;
  readonly name: string;
  readonly line: Places;
  /** Where its name stands. */
  readonly end: readonly [number, number];
}

/** Lines of equal value on round numbers. */
function linesOf(field: Field, look: Look, { u, v, box }: { u: Scale; v: Scale; box: Box }): NamedLine[] {
  const known = field.values.flat().filter(Number.isFinite);
  const [low, high] = [Math.min(...known), Math.max(...known)];
  const step = STEPS[look].find((candidate) => (high - low) / candidate <= MOST_LINES) ?? STEPS[look].at(-1)!;
  const levels = Array.from({ length: MOST_LINES + 2 }, (_, index) => (Math.ceil(low / step) + index) * step).filter(
    (level) => level <= high,
  );
  return levels.flatMap((level) =>
    isolines(field, level).map((points) => {
      const line = points.map(([a, b]) => [u(a), v(b)] as const);
      const name = look === 'margin' ? `${decimal(level * 100, 0)} %` : decimal(level, 3);
      return { look, name, line, end: endOf(line, box, look) };
    }),
  );
}

/** Room that the name of a line takes [px]. */
const NAME = { width: 32, height: 13 } as const;

/** Lines, each named at its end outside the map where there is room beside the names that are there. */
function Lines({ lines }: { readonly lines: readonly NamedLine[] }) {
  const named = lines.reduce<readonly NamedLine[]>((kept, one) => {
    const meets = ({ end: [x, y] }: NamedLine) =>
      Math.abs(x - one.end[0]) < NAME.width && Math.abs(y - one.end[1]) < NAME.height;
    return kept.some(meets) ? kept : [...kept, one];
  }, []);
  return (
    <g>
      {lines.map(({ line, look }, index) => (
        <path key={index} d={pathThrough(line)} fill="none" {...LINE_LOOKS[look]} />
      ))}
      {named.map(({ look, name, end: [x, y] }, index) => (
        <text
          key={index}
          x={x}
          y={y}
          fontSize={11}
          textAnchor={look === 'margin' ? 'start' : 'middle'}
          fill={LINE_LOOKS[look].stroke}
        >
          {name}
        </text>
      ))}
    </g>
  );
}

/** Where a line is named: margins beside the map at its right, yaw above it; whichever edge the line comes to. */
function endOf(line: Places, box: Box, look: keyof typeof LINE_LOOKS): readonly [number, number] {
  const right = box.left + box.width;
  const ranked = [...line].sort((p, q) => (look === 'margin' ? q[0] - p[0] : p[1] - q[1]));
  const [x, y] = ranked[0]!;
  // Under the line, but never down among the ticks of the axis below.
  if (look === 'yaw' && x < box.left + 12) return [box.left + 14, Math.min(y + 12, box.top + box.height - 4)];
  if (x > right - 3) return [right + (look === 'margin' ? 5 : 20), y + 4];
  if (y < box.top + 3) return [x + (look === 'margin' ? -8 : 0), box.top - 4];
  return look === 'margin' ? [x + 4, y + 4] : [x, y - 4];
}

interface ComputedProps {
  readonly map: TailMap;
  readonly place: (across: number, area: number) => readonly [number, number];
}

/** A dot at each place that was computed. */
function Computed({ map, place }: ComputedProps) {
  return map.rows.flatMap((row, index) =>
    (row ?? []).map((_, at) => {
      const [cx, cy] = place(map.axes.across[index]!, map.axes.areas[at]!);
      return <circle key={`${index}-${at}`} cx={cx} cy={cy} r={1.1} fill="var(--color-faint)" fillOpacity={0.6} />;
    }),
  );
}
