import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { SECTION_BUILDS } from '@/core/3-shape/section/kinds';
import type { Surface } from '@/core/2-document/schema/surface';
import { useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits, formatSpeed } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Places, spanOf, valueAt } from '../sheet/scale';
import { speedAxis } from '../sheet/unitAxes';
import { Ground } from '../sheet/Ground';
import { Picture } from '../sheet/Picture';
import { type SpeedPolar, speedPolar, type Win, wins } from './speedPolar';

interface SpeedPolarsProps {
  readonly design: Design;
  readonly surface: Surface;
  readonly station: number;
}

/** On narrower paper drag stands under sink [px]. */
export const STACKED_BELOW = 480;

/** What the aircraft drags and sinks with this section and with the one beside it, over speed. */
export function SpeedPolars({ design, surface, station }: SpeedPolarsProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const analysis = useAppSelector((state) => state.analysis.current);
  const other = useAppSelector((state) => state.beside.other);
  const now = useMemo(() => analysis && speedPolar(design, analysis), [design, analysis]);
  const beside = useMemo(() => other && speedPolar(design, other.analysis), [design, other]);
  const name = SECTION_BUILDS[surface.stations[station]!.section.kind].name.toLowerCase();
  const isKnown = now !== null && now.sink.length > 1;
  return (
    <div className="h-full min-h-0 w-full" ref={ref} data-testid="speed-polars">
      {analysis && !isKnown && (
        <p className="p-4 text-read text-faint">
          Without weights there is no speed to draw over: give the parts a weight first.
        </p>
      )}
      {isKnown && width > 0 && (
        <Polars now={now} beside={beside} names={[name, other?.name ?? 'the other']} width={width} height={height} />
      )}
    </div>
  );
}

interface PolarsProps {
  readonly now: SpeedPolar;
  readonly beside: SpeedPolar | null;
  readonly names: readonly [string, string];
  readonly width: number;
  readonly height: number;
}

/** Room of their names under both [px]. */
const NAMES = 20;
const NOW = { stroke: 'var(--color-balance)', strokeWidth: 2.4 } as const;
const BESIDE = { stroke: 'var(--color-graphite)', strokeWidth: 1.5, strokeDasharray: '6 4' } as const;

function Polars({ now, beside, names, width, height }: PolarsProps) {
  const units = useAppSelector((state) => state.settings.units);
  const isStacked = width < STACKED_BELOW;
  const [wide, tall] = isStacked ? [width, (height - NAMES) / 2] : [width / 2, height - NAMES];
  const box = (left: number, top: number): Box => ({
    left: left + 48,
    top: top + 40,
    width: Math.max(60, wide - 74),
    height: Math.max(40, tall - 108),
  });
  const speeds = speedAxis(units);
  const common = { now, beside, names, units, speeds };
  return (
    <>
      <Picture
        width={width}
        height={height}
        name={`Sink and drag over speed, ${names[0]}${beside ? ` beside ${names[1]}` : ''}`}
      >
        <Panel
          {...common}
          of="sink"
          name={`Sinking speed without power, ${units.speed}`}
          box={box(0, 0)}
          shown={speeds.to}
        />
        <Panel
          {...common}
          of="drag"
          name="Drag, N"
          box={isStacked ? box(0, tall) : box(wide, 0)}
          shown={(value) => value}
        />
        <Names names={names} hasOther={beside !== null} y={height - 24} isStacked={isStacked} />
      </Picture>
      <HiddenTable
        caption="Sink and drag over speed"
        columns={['Speed', `Sink, ${names[0]}`, `Sink, ${names[1]}`, `Drag, ${names[0]}`, `Drag, ${names[1]}`]}
        rows={() =>
          now.sink
            .filter((_, index) => index % 4 === 0)
            .map(([speed, sink]) => {
              const of = (places: Places | undefined) => (places ? decimal(valueAt(places, speed) ?? 0, 2) : '–');
              return [formatSpeed(speed, units), decimal(sink, 2), of(beside?.sink), of(now.drag), of(beside?.drag)];
            })
        }
      />
    </>
  );
}

interface PanelProps extends Pick<PolarsProps, 'now' | 'beside' | 'names'> {
  readonly of: 'sink' | 'drag';
  readonly name: string;
  readonly box: Box;
  readonly units: DisplayUnits;
  readonly speeds: ReturnType<typeof speedAxis>;
  /** The value in the unit of its axis. */
  readonly shown: (value: number) => number;
}

function Panel({ now, beside, names, of, name, box, units, speeds, shown }: PanelProps) {
  const curves = [now[of], ...(beside ? [beside[of]] : [])];
  const all = curves.flat();
  const x: Axis = {
    domain: spanOf(all.map(([speed]) => speeds.to(speed))),
    name: `Speed, ${speeds.unit}`,
    format: speeds.format,
    ticks: 5,
  };
  // What rises without end at the fast end is cut, so that the useful part can be read.
  const least = Math.min(...all.map(([, value]) => value));
  const most = Math.min(Math.max(...all.map(([, value]) => value)), 5 * least);
  const y: Axis = { domain: [0, shown(most)], name, format: (value) => decimal(value, 2), ticks: 4 };
  const { u, v } = scalesOf(box, x, y);
  const draw = (places: Places) => pathThrough(places.map(([speed, value]) => [u(speeds.to(speed)), v(shown(value))]));
  const won = beside ? wins(now[of], beside[of]) : [];
  return (
    <PlotFrame box={box} x={x} y={y}>
      <clipPath id={`polar-${of}`}>
        <rect x={box.left} y={box.top} width={box.width} height={box.height} />
      </clipPath>
      <g clipPath={`url(#polar-${of})`}>
        <Ground />
        {beside && <path d={draw(beside[of])} fill="none" {...BESIDE} />}
        <path d={draw(now[of])} fill="none" {...NOW} />
      </g>
      <Ground />
      {[now, beside].map(
        (polar, index) =>
          polar?.stall != null && (
            <path
              key={index}
              d={`M${u(speeds.to(polar.stall))} ${box.top + box.height} v-9`}
              {...(index === 0 ? NOW : BESIDE)}
              strokeDasharray={undefined}
            />
          ),
      )}
      <text
        x={box.left + box.width / 2}
        y={box.top + box.height + 44}
        textAnchor="middle"
        fontSize={12}
        fill="var(--color-graphite)"
      >
        {winsWords(won, names, units, beside !== null).map((line, index) => (
          <tspan key={line} x={box.left + box.width / 2} dy={index === 0 ? 0 : 15}>
            {line}
          </tspan>
        ))}
      </text>
    </PlotFrame>
  );
}

function winsWords(
  won: readonly Win[],
  names: readonly [string, string],
  units: DisplayUnits,
  hasOther: boolean,
): readonly string[] {
  if (!hasOther) return [];
  if (won.length === 0) return ['alike at every speed'];
  if (won.length === 1) return [`less with ${won[0]!.who === 'first' ? names[0] : names[1]} at every speed`];
  return won.slice(0, 2).map(({ who, from, to }, index) => {
    const name = who === 'first' ? names[0] : names[1];
    return index === 0
      ? `less with ${name} up to ${formatSpeed(to, units)}`
      : `with ${name} from ${formatSpeed(from, units)}`;
  });
}

function Names({
  names,
  hasOther,
  isStacked,
  y,
}: {
  readonly names: readonly [string, string];
  readonly hasOther: boolean;
  readonly isStacked: boolean;
  readonly y: number;
}) {
  const other = isStacked ? 184 : 244;
  return (
    <g fontSize={12} fill="var(--color-graphite)">
      <path d={`M14 ${y + 12} h22`} {...NOW} />
      <text x={42} y={y + 16}>
        {names[0]}, as drawn
      </text>
      {hasOther && (
        <>
          <path d={`M${other} ${y + 12} h22`} {...BESIDE} />
          <text x={other + 28} y={y + 16}>
            {isStacked ? names[1] : `${names[1]}; ticks at the foot: least speed`}
          </text>
        </>
      )}
    </g>
  );
}
