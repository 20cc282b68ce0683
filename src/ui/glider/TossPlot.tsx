import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { degreesFromRadians, type Metres, secondsFromMilliseconds } from '@/core/1-base/units/convert';
import type { Flown } from '@/core/7-flight/fly';
import type { Samples } from '@/core/7-flight/flightRecord';
import type { Tossed } from '@/core/7-flight/toss/virtualToss';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { Slider } from '../fields/Slider';
import { IconButton } from '../shell/buttons';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { type Axis, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Scale } from '../sheet/scale';
import { DEED_WORDS, far } from './tossWords';

type Seen = Extract<Tossed, { ok: true }>;

const LEFT = 62;
const RIGHT = 24;
const TOP = 72;
const BETWEEN = 92;
/** Room for the names of the axes below [px]. */
const BELOW = 44;
const LEAST = 46;
/** No more of the paper than that is given to what is seen from above [px]. */
const WIDE = 220;
/** Lower than that a sheet holds one view [px]. */
const LOW = 320;
/** Seconds from one faint picture of the model to the next. */
const APART = 0.5;

const OWN = 'var(--color-balance)';
const OTHER = 'var(--color-graphite)';

/** The place in even steps of time that a time falls on. */
function placeAt({ t }: Samples, time: number): number {
  const after = t.findIndex((own) => own >= time);
  return after < 0 ? t.length - 1 : after;
}

/** One toss from the side and from above, to scale; the model in its attitude at a time that can be moved and played. */
export function TossPlot({ tossed }: { readonly tossed: Seen }) {
  const { own, changed, span } = tossed;
  const [time, setTime] = useState(0);
  const [isPlaying, setPlaying] = useState(false);
  const longest = Math.max(own.samples.t.at(-1)!, changed?.samples.t.at(-1) ?? 0);
  useEffect(() => {
    if (!isPlaying) return undefined;
    let frame = 0;
    let before: number | null = null;
    const next = (now: number) => {
      const passed = before === null ? 0 : secondsFromMilliseconds(now - before);
      before = now;
      setTime((current) => {
        if (current + passed >= longest) {
          setPlaying(false);
          return longest;
        }
        return current + passed;
      });
      frame = requestAnimationFrame(next);
    };
    frame = requestAnimationFrame(next);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, longest]);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-8">
        <Paths own={own} changed={changed} span={span} time={time} />
      </div>
      <Readings samples={own.samples} time={time} />
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-soft px-3 py-2">
        <IconButton
          label={isPlaying ? 'Stop' : 'Play'}
          icon={isPlaying ? <Pause size={16} /> : <Play size={16} />}
          onClick={() => {
            if (!isPlaying && time >= longest) setTime(0);
            setPlaying(!isPlaying);
          }}
        />
        <Slider
          label="Time"
          words={`${decimal(time, 1)} s`}
          range={[0, longest]}
          value={time}
          onChange={(next) => {
            setPlaying(false);
            setTime(next);
          }}
        />
      </div>
    </div>
  );
}

/** Times at which the model is drawn along its path. */
const picturesOf = ({ t }: Samples): number[] =>
  Array.from({ length: Math.min(24, Math.floor(t.at(-1)! / APART)) }, (_, index) => (index + 1) * APART);

interface PathsProps {
  readonly own: Flown;
  readonly changed: Flown | null;
  readonly span: Metres;
  readonly time: number;
}

function Paths({ own, changed, span, time }: PathsProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  // A low paper holds one of both: the side.
  const hasAbove = height > LOW;
  const units = useAppSelector((state) => state.settings.units);
  const flights = changed ? [own, changed] : [own];
  const all = (key: 'x' | 'y' | 'z') => flights.flatMap(({ samples }) => samples[key]);
  const [farthest, nearest] = [Math.max(...all('x'), 1), Math.min(...all('x'), 0)];
  const highest = 1.1 * Math.max(...all('z'), 0.5);
  const widest = 1.1 * Math.max(...all('y').map(Math.abs), span / 2, 0.3);
  const room = { width: Math.max(80, width - LEFT - RIGHT), height: height - TOP - BELOW - (hasAbove ? BETWEEN : 0) };
  // One scale for both, so that paths are as steep as they look.
  const perMetre = Math.max(
    1,
    Math.min(room.width / (farthest - nearest), Math.max(LEAST, room.height) / (highest + (hasAbove ? 2 * widest : 0))),
  );
  // What is left of the paper goes to both sides: a straight flight lies in the middle of it.
  const aside = Math.max(widest, Math.min(room.height - highest * perMetre, WIDE) / 2 / perMetre);
  const side = { left: LEFT, top: TOP, width: (farthest - nearest) * perMetre, height: highest * perMetre };
  const above = { ...side, top: side.top + side.height + BETWEEN, height: 2 * aside * perMetre };
  const format = (value: number) => far(value, units, 0).replace(/ \D+$/, '');
  const unit = units.length === 'in' ? 'ft' : 'm';
  const x: Axis = {
    domain: [nearest, farthest],
    name: `Ahead of the hand, ${unit}`,
    format,
    ticks: width < 480 ? 4 : 8,
  };
  const z: Axis = { domain: [0, highest], name: `Height, ${unit}`, format, ticks: side.height < 90 ? 2 : 4 };
  // Seen from above the right side lies below.
  const y: Axis = {
    domain: [aside, -aside],
    name: `Left (up) and right, ${unit}`,
    format: (value) => format(Math.abs(value)),
    ticks: 3,
  };
  const [fromSide, fromAbove] = [scalesOf(side, x, z), scalesOf(above, x, y)];
  const words = `${DEED_WORDS[own.outcome]}, ${far(own.distance, units)}`;
  return (
    <>
      <Paper
        place={ref}
        width={width}
        height={height}
        role="img"
        name={`The toss from the side${hasAbove ? ' and from above' : ''}: it ${words}`}
      >
        <text x={LEFT} y={20} fontSize={14} fill={OWN} fontWeight={600}>
          As drawn it {words}
        </text>
        {changed && (
          <text x={Math.max(LEFT + 260, width / 2)} y={20} fontSize={14} fill={OTHER}>
            Changed it {DEED_WORDS[changed.outcome]}, {far(changed.distance, units)}
          </text>
        )}
        <PlotFrame box={side} x={x} y={z}>
          {flights.toReversed().map((flight, index) => (
            <Path
              key={index}
              isOwn={flight === own}
              samples={flight.samples}
              places={flight.samples.x.map((ahead, at) => [fromSide.u(ahead), fromSide.v(flight.samples.z[at]!)])}
            />
          ))}
          <g opacity={0.22}>
            {picturesOf(own.samples).map((at) => (
              <FromSide key={at} samples={own.samples} time={at} {...{ span, perMetre }} scales={fromSide} isOwn />
            ))}
          </g>
          {flights.map(({ samples }, index) => (
            <FromSide key={index} {...{ samples, time, span, perMetre }} scales={fromSide} isOwn={index === 0} />
          ))}
        </PlotFrame>
        {hasAbove && (
          <PlotFrame box={above} x={x} y={y}>
            {flights.toReversed().map((flight, index) => (
              <Path
                key={index}
                isOwn={flight === own}
                samples={flight.samples}
                places={flight.samples.x.map((ahead, at) => [fromAbove.u(ahead), fromAbove.v(flight.samples.y[at]!)])}
              />
            ))}
            <g opacity={0.22}>
              {picturesOf(own.samples).map((at) => (
                <FromAbove key={at} samples={own.samples} time={at} {...{ span, perMetre }} scales={fromAbove} isOwn />
              ))}
            </g>
            {flights.map(({ samples }, index) => (
              <FromAbove key={index} {...{ samples, time, span, perMetre }} scales={fromAbove} isOwn={index === 0} />
            ))}
          </PlotFrame>
        )}
      </Paper>
      <HiddenTable
        caption="The toss in steps of half a second"
        columns={['Time, s', `Ahead, ${unit}`, `Height, ${unit}`, `Right, ${unit}`, 'Path, °']}
        rows={own.samples.t
          .map((at, index) => [
            decimal(at, 1),
            far(own.samples.x[index]!, units),
            far(own.samples.z[index]!, units),
            far(own.samples.y[index]!, units),
            decimal(degreesFromRadians(own.samples.path[index]!), 0),
          ])
          .filter((_, index) => index % 25 === 0)}
      />
    </>
  );
}

/** A path; where the wing has stalled it is drawn heavy. */
function Path({
  samples,
  places,
  isOwn,
}: {
  readonly samples: Samples;
  readonly places: readonly (readonly [number, number])[];
  readonly isOwn: boolean;
}) {
  const stalled = places.map((place, index): readonly [number, number] =>
    samples.attached[index]! < STALLED ? place : [NaN, NaN],
  );
  return (
    <g fill="none" stroke={isOwn ? OWN : OTHER}>
      <path d={pathThrough(places)} strokeWidth={isOwn ? 2 : 1.5} {...(isOwn ? {} : { strokeDasharray: '6 4' })} />
      <path d={pathThrough(stalled)} strokeWidth={5} stroke="var(--color-caution)" opacity={0.7} />
    </g>
  );
}

/** Attached over less of the wings than that is a stall. */
const STALLED = 0.75;
/** No smaller is the model drawn [px]. */
const SMALLEST = 26;
/** Of its span: how long it is, how long its chords are. */
const LENGTH = 0.7;
const CHORD = 0.2;

interface AtTime {
  readonly samples: Samples;
  readonly time: number;
  readonly span: Metres;
  readonly perMetre: number;
  readonly scales: { readonly u: Scale; readonly v: Scale };
  readonly isOwn: boolean;
}

/** The model in its attitude, from the side: body, wing, tail. */
function FromSide({ samples, time, span, perMetre, scales: { u, v }, isOwn }: AtTime) {
  const at = placeAt(samples, time);
  const long = Math.max(SMALLEST, span * perMetre * LENGTH);
  const turn = -degreesFromRadians(samples.pitch[at]!);
  const high = (long / LENGTH / 2) * Math.abs(Math.sin(samples.roll[at]!));
  return (
    <g
      transform={`translate(${u(samples.x[at]!)} ${v(samples.z[at]!)}) rotate(${turn})`}
      stroke={isOwn ? OWN : OTHER}
      strokeWidth={2}
      strokeLinecap="round"
      fill="none"
    >
      <path d={`M${-long * 0.65} 0 H${long * 0.35}`} />
      <path
        d={`M${-long * 0.12} ${-high} L${-long * 0.12} ${high} M${-long * 0.22} 0 H${long * 0.06}`}
        strokeWidth={4}
      />
      <path d={`M${-long * 0.65} 0 v${-long * 0.14}`} />
    </g>
  );
}

/** The same from above: which way it points, and its span as it is banked. */
function FromAbove({ samples, time, span, perMetre, scales: { u, v }, isOwn }: AtTime) {
  const at = placeAt(samples, time);
  const wide = Math.max(SMALLEST, span * perMetre);
  const long = wide * LENGTH * Math.max(0.2, Math.abs(Math.cos(samples.pitch[at]!)));
  const half = (wide / 2) * Math.max(0.15, Math.abs(Math.cos(samples.roll[at]!)));
  return (
    <g
      transform={`translate(${u(samples.x[at]!)} ${v(samples.y[at]!)}) rotate(${degreesFromRadians(samples.yaw[at]!)})`}
      stroke={isOwn ? OWN : OTHER}
      strokeWidth={2}
      strokeLinecap="round"
      fill="none"
    >
      <path d={`M${-long * 0.65} 0 H${long * 0.35}`} />
      <path d={`M0 ${-half} V${half}`} strokeWidth={Math.max(3, wide * CHORD * 0.4)} opacity={0.6} />
      <path d={`M${-long * 0.65} ${-half * 0.35} V${half * 0.35}`} />
    </g>
  );
}

/** How it flies at the time that is looked at. */
function Readings({ samples, time }: { readonly samples: Samples; readonly time: number }) {
  const units = useAppSelector((state) => state.settings.units);
  const at = placeAt(samples, time);
  const degrees = (value: number) => `${decimal(degreesFromRadians(value), 0)}°`;
  const read: readonly (readonly [string, string])[] = [
    ['Speed', formatValue(samples.speed[at]!, 'speed', units)],
    ['Height', far(samples.z[at]!, units)],
    ['Path', degrees(samples.path[at]!)],
    ['Angle of attack', degrees(samples.alpha[at]!)],
    ['Bank', degrees(samples.roll[at]!)],
    ['Wing flies', `${decimal(100 * samples.attached[at]!, 0)} %`],
  ];
  return (
    <dl className="flex flex-wrap gap-x-4 gap-y-0.5 border-t border-soft px-3 py-1.5 text-label">
      {read.map(([name, value]) => (
        <div key={name} className="flex gap-1.5">
          <dt className="text-faint">{name}</dt>
          <dd className="font-medium">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
