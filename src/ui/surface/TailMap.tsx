import { useEffect, useMemo, useState } from 'react';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isFin } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import type { WeighedBodies } from '@/core/8-sizing/tail/balanced';
import { type MapAcross, placeOfTail, tailMovedTo, type TailPlace } from '@/core/8-sizing/tail/tailMap';
import { useAppDispatch, useAppSelector, useAppStore } from '@/store/hooks';
import type { TailMap as Map } from '@/store/tailSlice';
import { compareTailSchools, fillTailMap } from '@/store/tails';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';
import { HandleMark } from '../drawing/HandleMark';
import { useHeld } from '../drawing/useHeld';
import { useSize } from '../drawing/useSize';
import { Button } from '../shell/buttons';
import { DrawnBeside } from '../shell/PacedProvider';
import { type Axis, type Box, scalesOf } from '../sheet/PlotFrame';
import type { Scale } from '../sheet/scale';
import { spacedLabels } from '../sheet/spacedLabels';
import { areaAxis, lengthAxis, type UnitAxis } from '../sheet/unitAxes';
import { Picture } from '../sheet/Picture';
import { LINE_LOOKS, TailContours } from './TailContours';
import { TailMapTable } from './TailMapTable';
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
  const { box, x, y, u, v } = useMemo(
    () => frameOf(map.axes, { kind, across, areas, width, height }),
    [map.axes, kind, across, areas, width, height],
  );
  const fin = isFin(surface);
  const { minimumStaticMargin, maximumStaticMargin } = design.balance;
  return (
    <>
      <Picture
        width={width}
        height={height}
        role="group"
        name={`Map of ${surface.name || surface.id}`}
        testId="drawing"
      >
        <TailContours
          {...{ map, across, areas, box, x, y, fin }}
          least={minimumStaticMargin}
          most={maximumStaticMargin}
        />
        {kind === 'arm' && (
          <DrawnBeside place="schools">
            {(beside) => <Schools design={beside} id={surface.id} {...{ u, v, across, areas, box }} />}
          </DrawnBeside>
        )}
        <Today {...{ design, surface, kind, today, u, v, across, areas, box, map }} />
        <Legend fin={fin} top={height - 26} isNarrow={width < 450} design={design} />
      </Picture>
      {map.failure && (
        <p role="alert" className="absolute top-9 left-3 text-read text-stop">
          The map could not be filled: {map.failure}
        </p>
      )}
      <TailMapTable map={map} across={across} areas={areas} />
    </>
  );
}

interface Framed {
  readonly kind: MapAcross;
  readonly across: UnitAxis;
  readonly areas: UnitAxis;
  readonly width: number;
  readonly height: number;
}

/** Where the map lies on its paper, and its axes: as long as it is dragged on they stay. */
function frameOf(axes: Map['axes'], { kind, across, areas, width, height }: Framed) {
  const box: Box = {
    left: LEFT,
    top: TOP,
    width: Math.max(60, width - LEFT - RIGHT),
    height: Math.max(60, height - TOP - BOTTOM),
  };
  const ends = (values: readonly number[], axis: UnitAxis) => [axis.to(values[0]!), axis.to(values.at(-1)!)] as const;
  const x: Axis = {
    domain: ends(axes.across, across),
    name: kind === 'arm' ? `Tail arm from the wing’s quarter chord, ${across.unit}` : 'V angle of each half, °',
    format: across.format,
    ticks: Math.max(3, Math.round(box.width / 80)),
  };
  const y: Axis = {
    domain: ends(axes.areas, areas),
    name: `Area, ${areas.unit}`,
    format: areas.format,
  };
  return { box, x, y, ...scalesOf(box, x, y) };
}

interface SchoolsProps {
  readonly design: Design;
  /** Of the tail. */
  readonly id: string;
  readonly u: Scale;
  readonly v: Scale;
  readonly across: UnitAxis;
  readonly areas: UnitAxis;
  readonly box: Box;
}

/** What each school would build at this arm, and how far that is from today’s. */
function Schools({ design, id, u, v, across, areas, box }: SchoolsProps) {
  const result = useAppSelector((state) => (state.tail.schools?.surface === id ? state.tail.schools.result : null));
  const today = useMemo(() => {
    const surface = design.surfaces.find((one) => one.id === id);
    return surface ? placeOfTail(design, surface, 'arm') : null;
  }, [design, id]);
  if (!today) return null;
  const x = u(across.to(today.across));
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
  const store = useAppStore();
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
  const movedTo = (right: number, up: number, bodies?: WeighedBodies) => {
    const place = {
      across: within(map.axes.across, across.from(scales.u.invert(x + right))),
      area: within(map.axes.areas, areas.from(scales.v.invert(y - up))),
    };
    return [...tailMovedTo(design, surface, kind, place, bodies)];
  };
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
          edits: (right, up) => movedTo(right, up),
          // What it passes through is cut out anew by who computes beside: bodies weigh what they weighed a moment ago.
          editsInMotion: (right, up) => movedTo(right, up, store.getState().analysis.current?.mass.parts),
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
          <path d={`M14 ${top} h20`} {...LINE_LOOKS.margin} />
          <text x={39} y={top + 4}>
            static margin
          </text>
          <rect x={128} y={top - 6} width={18} height={12} fill="var(--color-balance-soft)" />
          <text x={151} y={top + 4}>
            wanted: {decimal(minimumStaticMargin * 100, 0)} to {decimal(maximumStaticMargin * 100, 0)} %
          </text>
        </>
      )}
      <path d={`M${yaw} ${top} h20`} {...LINE_LOOKS.yaw} />
      <text x={yaw + 25} y={top + 4}>
        {isNarrow ? 'yaw stiffness' : 'yaw stiffness per radian'}
      </text>
      <text x={14} y={top + 20}>
        The shape is kept, and what slides holds the balance.
      </text>
    </g>
  );
}
