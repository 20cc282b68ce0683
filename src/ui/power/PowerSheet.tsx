import { useState } from 'react';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { Drawing } from '../drawing/Drawing';
import { useSize } from '../drawing/useSize';
import { Choices } from '../fields/Choices';
import { Slider } from '../fields/Slider';
import { Why } from '../numbers/Derived';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Places, spanOf } from '../sheet/scale';
import { Tall } from '../sheet/Tall';
import { speedAxis } from '../sheet/unitAxes';
import { BladeSheet } from './BladeSheet';
import { Combinations } from './Combinations';
import { formatDuration } from './formatDuration';
import { RubberSheet } from './RubberSheet';
import { thrustAt } from './thrustAt';

const NO_HANDLES: readonly never[] = [];

/** Thrust and drag over speed and how long it lasts; combinations of a drive; a blade with its templates. */
export function PowerSheet({ design }: { readonly design: Design }) {
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Power', sheet: <Power design={design} /> }} />;
}

const VIEWS = [
  ['curves', 'Curves'],
  ['combinations', 'Combinations'],
  ['blade', 'Blade'],
] as const;
type View = (typeof VIEWS)[number][0];

function Power({ design }: { readonly design: Design }) {
  const { result, run } = useAppSelector((state) => state.choice);
  const rubber = useAppSelector((state) => state.analysis.current?.rubber);
  // What was asked for comes to the front by itself, once.
  const [{ view, seen }, setView] = useState<{ view: View; seen: number }>({ view: 'curves', seen: run });
  if (result && seen !== run) setView({ view: 'combinations', seen: run });
  const [drive] = design.propulsion;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1">
        {view === 'combinations' ? (
          <Combinations />
        ) : view === 'blade' && drive ? (
          <BladeSheet drive={drive} />
        ) : drive?.rubber && rubber ? (
          <RubberSheet rubber={rubber} />
        ) : (
          <Curves design={design} />
        )}
      </div>
      {drive && (
        <div className="flex border-t border-soft px-3 py-2">
          <Choices
            joined
            label="What the sheet shows"
            options={VIEWS}
            value={view}
            onChange={(next) => next && setView({ view: next, seen: run })}
          />
        </div>
      )}
    </div>
  );
}

function Curves({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const [throttle, setThrottle] = useState(1);
  if (!analysis) return <p className="p-6 text-faint">Computing…</p>;
  const { power } = analysis;
  const curve = power.curve ?? [];
  if (curve.length < 2)
    return (
      <div className="p-6">
        <Why text={power.reasons['maximumSpeed'] ?? power.reasons['staticThrust']} />
      </div>
    );
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-8 small:pt-9">
        <Tall name="Thrust, drag and duration" least={LEAST}>
          <Plots design={design} analysis={analysis} throttle={throttle} />
        </Tall>
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-soft px-3 py-2">
        <Slider
          label="Throttle"
          words={`${decimal(throttle * 100, 0)} %`}
          range={[0, 1]}
          value={throttle}
          onChange={setThrottle}
        />
      </div>
    </div>
  );
}

/** Lower than that two plots cannot be read; room of a name along the axis [px]. */
const LEAST = 370;
const NAME = 62;
/** Where the names of the curves begin beside that of the axis; on narrow paper they stand above it [px]. */
const LEGEND = 170;
const NARROW = 640;
const LINE = 18;

const DRAG = { stroke: 'var(--color-graphite)', strokeWidth: 2.4 } as const;
const FULL = { stroke: 'var(--color-faint)', strokeWidth: 1.4, strokeDasharray: '6 4' } as const;
const CHOSEN = { stroke: 'var(--color-balance)', strokeWidth: 2.4 } as const;

interface PlotsProps {
  readonly design: Design;
  readonly analysis: Analysis;
  readonly throttle: number;
}

function Plots({ design, analysis, throttle }: PlotsProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const { power } = analysis;
  const { curve, throttles } = power;
  const speeds = speedAxis(units);
  const x: Axis = {
    domain: spanOf(curve.map(({ speed }) => speeds.to(speed))),
    name: `Speed, ${speeds.unit}`,
    format: speeds.format,
    ticks: width < 480 ? 4 : 8,
  };
  const gap = 84;
  const head = 40 + (width < NARROW ? LINE : 0);
  const each = Math.max(40, (height - head - 2 * gap + 60) / 2);
  const box = (row: number): Box => ({
    left: 56,
    top: head + row * (each + gap),
    width: Math.max(60, width - 84),
    height: row === 0 ? each : Math.max(30, each - 24),
  });
  const most = Math.max(...curve.flatMap(({ drag, thrust }) => [drag, thrust.at(-1) ?? 0]));
  const force: Axis = { domain: [0, most], name: 'Thrust and drag, N', format: (value) => decimal(value, 1), ticks: 4 };
  const minutes = curve.map(({ duration }) => (duration === null ? NaN : duration / 60));
  const longest = Math.max(1, ...minutes.filter(Number.isFinite));
  const time: Axis = {
    domain: [0, longest],
    name: 'Level flight lasts, minutes',
    format: (value) => decimal(value, 0),
    ticks: 3,
  };
  const upper = scalesOf(box(0), x, force);
  const lower = scalesOf(box(1), x, time);
  const along = (pick: (point: (typeof curve)[number], index: number) => number): Places =>
    curve.map((point, index) => [upper.u(speeds.to(point.speed)), pick(point, index)] as const);
  const chosen = along((point) => upper.v(Math.max(0, thrustAt(point.thrust, throttles, throttle))));
  const cruise = design.conditions.cruiseSpeed;
  const isApart = (speed: number) => Math.abs(upper.u(speeds.to(speed)) - upper.u(speeds.to(cruise))) > NAME;
  // Two lines of names; what would lie on another goes without.
  const marks = [
    { at: cruise, name: 'cruise', row: 0 },
    ...(power.maximumSpeed === null
      ? []
      : [{ at: power.maximumSpeed, name: isApart(power.maximumSpeed) ? 'fastest' : '', row: 0 }]),
    ...(power.climbRateSpeed === null ? [] : [{ at: power.climbRateSpeed, name: 'best climb', row: 1 }]),
  ];
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`Thrust, drag and duration of ${design.name} over speed`}
      over={<PowerTable curve={curve} />}
    >
      <PlotFrame box={box(0)} x={{ ...x, name: '' }} y={force}>
        <path d={pathThrough(along((point) => upper.v(Math.max(0, point.thrust.at(-1) ?? 0))))} fill="none" {...FULL} />
        <path d={pathThrough(along(({ drag }) => upper.v(drag)))} fill="none" {...DRAG} />
        <path d={pathThrough(chosen)} fill="none" {...CHOSEN} />
        {marks.map(({ at, name, row }, index) => (
          <g key={index}>
            <path
              d={`M${upper.u(speeds.to(at))} ${box(0).top} V${box(1).top + box(1).height}`}
              stroke="var(--color-rule)"
              strokeDasharray="2 3"
            />
            <text
              x={upper.u(speeds.to(at))}
              y={box(0).top + box(0).height + 30 + row * 13}
              textAnchor="middle"
              fill="var(--color-graphite)"
            >
              {name}
            </text>
          </g>
        ))}
      </PlotFrame>
      <PlotFrame box={box(1)} x={x} y={time}>
        <path
          d={pathThrough(along((_, index) => (Number.isFinite(minutes[index]) ? lower.v(minutes[index]!) : NaN)))}
          fill="none"
          {...DRAG}
        />
      </PlotFrame>
      <Legend width={width} />
    </Paper>
  );
}

function Legend({ width }: { readonly width: number }) {
  const left = width < NARROW ? 14 : LEGEND;
  const names = [
    { name: 'drag', look: DRAG, at: left },
    { name: 'thrust at that throttle', look: CHOSEN, at: left + 68 },
    { name: 'at full throttle', look: FULL, at: left + 230 },
  ] as const;
  return (
    <g fontSize={12} fill="var(--color-graphite)" aria-hidden="true">
      {names.map(({ name, look, at }) => (
        <g key={name}>
          <path d={`M${at} 14 h22`} fill="none" {...look} />
          <text x={at + 28} y={18}>
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}

function PowerTable({ curve }: { readonly curve: Analysis['power']['curve'] }) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <HiddenTable
      caption="Thrust, drag and duration over speed"
      columns={['Speed', 'Drag', 'Full thrust', 'Throttle', 'Current', 'Lasts']}
      rows={() =>
        curve
          .filter((_, index) => index % 2 === 0)
          .map(({ speed, drag, thrust, throttle, current, duration }) => [
            formatValue(speed, 'speed', units),
            formatValue(drag, 'force', units),
            formatValue(thrust.at(-1) ?? 0, 'force', units),
            throttle === null ? '–' : formatValue(throttle, 'percent', units),
            current === null ? '–' : formatValue(current, 'current', units),
            duration === null ? '–' : formatDuration(duration),
          ])
      }
    />
  );
}
