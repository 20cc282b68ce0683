import { useEffect, useMemo, useState } from 'react';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isFin } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import { type MapAcross, placeOfTail, tailMovedTo, type TailPlace } from '@/core/8-sizing/tail/tailMap';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import type { TailMap as Map } from '@/store/tailSlice';
import { compareTailSchools, fillTailMap } from '@/store/tails';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';
import { HandleMark } from '../drawing/HandleMark';
import { useHeld } from '../drawing/useHeld';
import { useSize } from '../drawing/useSize';
import { Button } from '../shell/buttons';
import { HiddenTable } from '../sheet/HiddenTable';
import { between, type Field, isolines } from '../sheet/isolines';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Places, type Scale } from '../sheet/scale';
import { spacedLabels } from '../sheet/spacedLabels';
import { areaAxis, lengthAxis, type UnitAxis } from '../sheet/unitAxes';
import { SCHOOL_NAMES } from './TailSchools';

/** Quiet after the last change before the map is filled, and before the schools are compared anew [ms]. */
const QUIET = 120;
const SCHOOLS_QUIET = 1500;

/** Fills the map of the chosen tail whenever the hand rests. */
function useTailMap(design: Design, surface: Surface, kind: MapAcross): Map | null {
  const dispatch = useAppDispatch();
  const dragging = useAppSelector((state) => state.session.dragging);
  const map = useAppSelector((state) => state.tail.map);
  const isShown = map?.surface === surface.id && map.kind === kind;
  const isCurrent = isShown && map.design === design;
  useEffect(() => {
    if (dragging || isCurrent) return undefined;
    const timer = setTimeout(() => void dispatch(fillTailMap(design, surface.id, kind)), QUIET);
    return () => clearTimeout(timer);
  }, [dispatch, dragging, isCurrent, surface.id, kind, design]);
  const isFilled = isCurrent && map.rows.every((row) => row !== null);
  useEffect(() => {
    if (dragging || !isFilled) return undefined;
    const timer = setTimeout(() => void dispatch(compareTailSchools(surface.id)), SCHOOLS_QUIET);
    return () => clearTimeout(timer);
  }, [dispatch, dragging, isFilled, surface.id]);
  return isShown ? map : null;
}

const acrossAxis = (kind: MapAcross, units: DisplayUnits): UnitAxis =>
  kind === 'arm'
    ? lengthAxis(units)
    : { unit: '°', to: (value) => value, from: (shown) => shown, format: (shown) => decimal(shown, 1) };

interface TailMapProps {
  readonly design: Design;
  readonly surface: Surface;
}

/** Tail area by arm, or by the angle of a V: lines of equal margin and yaw stiffness, and today’s tail to be dragged. */
export function TailMap({ design, surface }: TailMapProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const isVee = surface.role === 'vTail';
  const [wantsAngle, setWantsAngle] = useState(false);
  const kind: MapAcross = isVee && wantsAngle ? 'angle' : 'arm';
  const map = useTailMap(design, surface, kind);
  const today = useMemo(() => placeOfTail(design, surface, kind), [design, surface, kind]);
  return (
    <div
      className="relative h-full min-h-0 w-full"
      ref={ref}
      data-testid="tail-map"
      data-filled={map?.rows.every(Boolean) ?? false}
    >
      {today === null ? (
        <p className="p-6 text-faint">It has no area or no arm yet: move it away from the wing.</p>
      ) : (
        width > 0 && map && <MapDrawing {...{ design, surface, kind, map, today, width, height }} />
      )}
      {isVee && (
        <Button className="absolute top-2 left-2" onClick={() => setWantsAngle(!wantsAngle)}>
          {wantsAngle ? 'By arm' : 'By V angle'}
        </Button>
      )}
    </div>
  );
}

interface MapDrawingProps extends TailMapProps {
  readonly kind: MapAcross;
  readonly map: Map;
  readonly today: TailPlace;
  readonly width: number;
  readonly height: number;
}

const LEFT = 62;
const RIGHT = 118;
const TOP = 84;
const BOTTOM = 76;

function MapDrawing({ design, surface, kind, map, today, width, height }: MapDrawingProps) {
  const units = useAppSelector((state) => state.settings.units);
  const areas = useMemo(() => areaAxis(units), [units]);
  const across = useMemo(() => acrossAxis(kind, units), [kind, units]);
  const box: Box = {
    left: LEFT,
    top: TOP,
    width: Math.max(60, width - LEFT - RIGHT),
    height: Math.max(60, height - TOP - BOTTOM),
  };
  const ends = (values: readonly number[], axis: UnitAxis) => [axis.to(values[0]!), axis.to(values.at(-1)!)] as const;
  const x: Axis = {
    domain: ends(map.axes.across, across),
    name: kind === 'arm' ? `Tail arm from the wing’s quarter chord, ${across.unit}` : 'V angle of each half, °',
    format: across.format,
    ticks: Math.max(3, Math.round(box.width / 80)),
  };
  const y: Axis = {
    domain: ends(map.axes.areas, areas),
    name: `Area, ${areas.unit}`,
    format: areas.format,
  };
  const { u, v } = scalesOf(box, x, y);
  const fin = isFin(surface);
  const fields = useMemo(() => fieldsOf(map, across, areas), [map, across, areas]);
  const { minimumStaticMargin, maximumStaticMargin } = design.balance;
  const lines = [
    ...(fin ? [] : linesOf(fields.margin, 'margin', { u, v, box })),
    ...linesOf(fields.yaw, 'yaw', { u, v, box }),
  ];
  return (
    <>
      <svg
        width={width}
        height={height}
        role="group"
        aria-label={`Map of ${surface.name || surface.id}`}
        data-testid="drawing"
      >
        <PlotFrame box={box} x={x} y={y}>
          <g aria-hidden="true">
            {!fin && (
              <path
                d={between(fields.margin, minimumStaticMargin, maximumStaticMargin)
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
          {kind === 'arm' && (
            <Schools surface={surface} today={today} x={u(across.to(today.across))} {...{ v, areas, box }} />
          )}
          <Today {...{ design, surface, kind, today, u, v, across, areas, box, map }} />
        </PlotFrame>
        <Legend fin={fin} top={height - 26} isNarrow={width < 450} design={design} />
      </svg>
      {map.failure && (
        <p role="alert" className="absolute top-9 left-3 text-read text-stop">
          The map could not be filled: {map.failure}
        </p>
      )}
      <MapTable map={map} across={across} areas={areas} />
    </>
  );
}

/** What was computed, in the units of the axes. */
function fieldsOf(map: Map, across: UnitAxis, areas: UnitAxis): { margin: Field; yaw: Field } {
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
const LOOKS = {
  margin: { stroke: 'var(--color-balance)', strokeWidth: 1.6 },
  yaw: { stroke: 'var(--color-graphite)', strokeWidth: 1.2, strokeDasharray: '5 4' },
} as const;
/** Not more lines than this of one kind. */
const MOST_LINES = 8;

type Look = keyof typeof LOOKS;

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
        <path key={index} d={pathThrough(line)} fill="none" {...LOOKS[look]} />
      ))}
      {named.map(({ look, name, end: [x, y] }, index) => (
        <text
          key={index}
          x={x}
          y={y}
          fontSize={11}
          textAnchor={look === 'margin' ? 'start' : 'middle'}
          fill={LOOKS[look].stroke}
        >
          {name}
        </text>
      ))}
    </g>
  );
}

/** Where a line is named: margins beside the map at its right, yaw above it; whichever edge the line comes to. */
function endOf(line: Places, box: Box, look: keyof typeof LOOKS): readonly [number, number] {
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
  readonly map: Map;
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

interface SchoolsProps {
  readonly surface: Surface;
  readonly today: TailPlace;
  readonly x: number;
  readonly v: Scale;
  readonly areas: UnitAxis;
  readonly box: Box;
}

/** What each school would build at this arm, and how far that is from today’s. */
function Schools({ surface, today, x, v, areas, box }: SchoolsProps) {
  const result = useAppSelector((state) =>
    state.tail.schools?.surface === surface.id ? state.tail.schools.result : null,
  );
  const shown = result?.kind === 'sized' ? result.proposals.filter(({ area }) => area !== null) : [];
  const bounds = [box.top + 8, box.top + box.height - 4] as const;
  const wanted = shown.map(({ area }) => Math.min(bounds[1], Math.max(bounds[0], v(areas.to(area!)))));
  const heights = spacedLabels(wanted, 15, bounds);
  const isLeft = x > box.left + box.width * 0.55;
  // Their names stand among the inputs too; on a narrow map there is no room for them.
  const isNarrow = box.width < 300;
  return (
    <g fontSize={12} data-testid="schools-on-map">
      {shown.map(({ school, area }, index) => {
        const apart = Math.round((area! / today.area - 1) * 100);
        const y = v(areas.to(area!));
        const isOn = y >= box.top && y <= box.top + box.height;
        const side = isLeft ? -1 : 1;
        return (
          <g key={school}>
            {isOn && (
              <>
                <path d={`M${x - 4} ${y - 4} h8 v8 h-8 Z`} fill="var(--color-sheet)" stroke="var(--color-graphite)" />
                <path d={`M${x + side * 5} ${y} L${x + side * 20} ${heights[index]!}`} stroke="var(--color-faint)" />
              </>
            )}
            <text
              x={x + side * 23}
              y={heights[index]! + 4}
              textAnchor={isLeft ? 'end' : 'start'}
              fill="var(--color-graphite)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {!isNarrow && `${SCHOOL_NAMES[school]}: `}
              {apart === 0 ? 'as drawn' : `${Math.abs(apart)} % ${apart > 0 ? 'more' : 'less'}`}
              {!isOn && (y < box.top ? ', above the map' : ', below the map')}
            </text>
          </g>
        );
      })}
    </g>
  );
}

interface TodayProps extends Pick<MapDrawingProps, 'design' | 'surface' | 'kind' | 'today' | 'map'> {
  readonly u: Scale;
  readonly v: Scale;
  readonly across: UnitAxis;
  readonly areas: UnitAxis;
  readonly box: Box;
}

/** Today’s tail: dragged, it changes area and arm, and everything follows. */
function Today({ design, surface, kind, today, u, v, across, areas, box, map }: TodayProps) {
  const units = useAppSelector((state) => state.settings.units);
  const margin = useAppSelector((state) => state.analysis.current?.pitch.staticMargin);
  const yaw = useAppSelector((state) => state.analysis.current?.lateral.yawStiffness);
  // The step of a drag is counted from where it began.
  const scales = useHeld(useMemo(() => ({ u, v }), [u, v]));
  const [x, y] = [u(across.to(today.across)), v(areas.to(today.area))];
  const within = (values: readonly number[], value: number) => Math.min(values.at(-1)!, Math.max(values[0]!, value));
  const at =
    kind === 'arm'
      ? formatValue(today.across, 'length', units)
      : formatValue(radiansFromDegrees(Number(today.across)), 'angle', units);
  const area = formatValue(today.area, 'area', units);
  return (
    <g>
      <path d={`M${x} ${y - 16} v32 M${x - 16} ${y} h32`} stroke="var(--color-balance)" aria-hidden="true" />
      <text
        x={box.left + box.width + RIGHT - 12}
        y={box.top - 22}
        textAnchor="end"
        fontSize={12}
        fill="var(--color-balance)"
        data-testid="tail-today"
      >
        {[
          margin == null || isFin(surface) ? '' : `margin ${decimal(margin * 100, 1)} %`,
          yaw == null ? '' : `yaw ${decimal(yaw, 3)}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </text>
      <HandleMark
        handle={{
          id: `${surface.id}-on-map`,
          label: `${surface.name || surface.id} on its map`,
          view: 'plan',
          at: [0, 0],
          axes: 'both',
          value: areas.to(today.area),
          valueText: `${area} at ${at}`,
          edits: (right, up) => [
            ...tailMovedTo(design, surface, kind, {
              across: within(map.axes.across, across.from(scales.u.invert(x + right))),
              area: within(map.axes.areas, areas.from(scales.v.invert(y - up))),
            }),
          ],
        }}
        x={x}
        y={y}
        perPixel={1}
      />
    </g>
  );
}

interface LegendProps {
  readonly fin: boolean;
  readonly top: number;
  readonly isNarrow: boolean;
  readonly design: Design;
}

function Legend({ fin, top, isNarrow, design }: LegendProps) {
  const { minimumStaticMargin, maximumStaticMargin } = design.balance;
  const yaw = fin ? 14 : 262;
  return (
    <g fontSize={12} fill="var(--color-faint)" aria-hidden="true">
      {!fin && (
        <>
          <path d={`M14 ${top} h20`} {...LOOKS.margin} />
          <text x={39} y={top + 4}>
            static margin
          </text>
          <rect x={128} y={top - 6} width={18} height={12} fill="var(--color-balance-soft)" />
          <text x={151} y={top + 4}>
            wanted: {decimal(minimumStaticMargin * 100, 0)} to {decimal(maximumStaticMargin * 100, 0)} %
          </text>
        </>
      )}
      <path d={`M${yaw} ${top} h20`} {...LOOKS.yaw} />
      <text x={yaw + 25} y={top + 4}>
        {isNarrow ? 'yaw stiffness' : 'yaw stiffness per radian'}
      </text>
      <text x={14} y={top + 20}>
        The shape is kept, and what slides holds the balance.
      </text>
    </g>
  );
}

/** The map as numbers. */
function MapTable({ map, across, areas }: { readonly map: Map; readonly across: UnitAxis; readonly areas: UnitAxis }) {
  return (
    <HiddenTable
      caption="Static margin and yaw stiffness by area and place of the tail"
      columns={['Place', ...map.axes.areas.map((area) => `${areas.format(areas.to(area))} ${areas.unit}`)]}
      rows={map.axes.across.map((place, index) => [
        `${across.format(across.to(place))} ${across.unit}`,
        ...map.axes.areas.map((_, at) => {
          const point = map.rows[index]?.[at];
          return point?.staticMargin == null
            ? '–'
            : `${decimal(point.staticMargin * 100, 1)} %, ${decimal(point.yawStiffness ?? 0, 3)}`;
        }),
      ])}
    />
  );
}
