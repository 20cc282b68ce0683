import { degreesFromRadians, type Metres } from '@/core/1-base/units/convert';
import type { Flown } from '@/core/7-flight/fly';
import { type Samples, STALLED } from '@/core/7-flight/flightRecord';
import { forcesAt } from '@/core/7-flight/forcesAt';
import { terrainOf } from '@/core/7-flight/launches';
import { useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { type Axis, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough, type Scale } from '../sheet/scale';
import { Tall } from '../sheet/Tall';
import { placeAt } from './placeAt';
import { didWords, far, onAxis } from './tossWords';

const LEFT = 62;
const RIGHT = 24;
const TOP = 72;
const BETWEEN = 92;
/** Room for the names of the axes below [px]. */
const BELOW = 44;
const LEAST = 46;
/** Least room for a number below the paper [px]. */
const TICK = 64;
/** No more of the paper than that is given to what is seen from above [px]. */
const WIDE = 220;
/** Lower than that both views cannot be read [px]. */
const LEAST_HIGH = 340;
/** Seconds from one faint picture of the model to the next. */
const APART = 0.5;

const OWN = 'var(--color-balance)';
const OTHER = 'var(--color-graphite)';

/** No more pictures than that along a path; a long one has them farther apart. */
const MOST_PICTURES = 24;

/** Times at which the model is drawn along its path. */
function picturesOf({ t }: Samples): number[] {
  const last = t.at(-1)!;
  const apart = APART * Math.max(1, Math.ceil(last / APART / MOST_PICTURES));
  return Array.from({ length: Math.floor(last / apart) }, (_, index) => (index + 1) * apart);
}

interface PathsProps {
  readonly own: Flown;
  readonly changed: Flown | null;
  readonly span: Metres;
  readonly time: number;
  readonly withForces: boolean;
}

/** Paths to scale from the side and from above, the model in its attitude at a time. */
export function TossPaths(props: PathsProps) {
  return (
    <Tall name="The toss from the side and from above" least={LEAST_HIGH}>
      <Paths {...props} />
    </Tall>
  );
}

function Paths({ own, changed, span, time, withForces }: PathsProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const terrain = useAppSelector((state) => terrainOf(state.glider.asked.launch));
  const flights = changed ? [own, changed] : [own];
  const all = (key: 'x' | 'y' | 'z') => flights.flatMap(({ samples }) => samples[key]);
  const [farthest, nearest] = [Math.max(...all('x'), 1), Math.min(...all('x'), 0)];
  const highest = 1.1 * Math.max(...all('z'), 0.5);
  const lowest = Math.min(0, ...all('z'));
  const widest = 1.1 * Math.max(...all('y').map(Math.abs), span / 2, 0.3);
  const room = { width: Math.max(80, width - LEFT - RIGHT), height: height - TOP - BELOW - BETWEEN };
  // One scale for both, so that paths are as steep as they look.
  const perMetre = Math.max(
    1,
    Math.min(room.width / (farthest - nearest), Math.max(LEAST, room.height) / (highest - lowest + 2 * widest)),
  );
  // What is left of the paper goes to both sides: a straight flight lies in the middle of it.
  const aside = Math.max(widest, Math.min(room.height - (highest - lowest) * perMetre, WIDE) / 2 / perMetre);
  const side = { left: LEFT, top: TOP, width: (farthest - nearest) * perMetre, height: (highest - lowest) * perMetre };
  const above = { ...side, top: side.top + side.height + BETWEEN, height: 2 * aside * perMetre };
  const unit = units.length === 'in' ? 'ft' : 'm';
  const x: Axis = {
    domain: [nearest, farthest],
    name: `Ahead of the start, ${unit}`,
    format: onAxis(farthest - nearest, units),
    // No closer than their numbers are wide.
    ticks: Math.max(2, Math.min(8, Math.floor(side.width / TICK))),
  };
  const z: Axis = {
    domain: [lowest, highest],
    name: `Height, ${unit}`,
    format: onAxis(highest - lowest, units),
    ticks: side.height < 90 ? 2 : 4,
  };
  // Seen from above the right side lies below.
  const y: Axis = {
    domain: [aside, -aside],
    name: `Left (up) and right, ${unit}`,
    format: (value) => onAxis(aside, units)(Math.abs(value)),
    ticks: 3,
  };
  const [fromSide, fromAbove] = [scalesOf(side, x, z), scalesOf(above, x, y)];
  const words = `${didWords(own)}, ${far(own.distance, units)}`;
  return (
    <>
      <Paper
        place={ref}
        width={width}
        height={height}
        role="img"
        name={`The toss from the side and from above: it ${words}`}
      >
        <text x={LEFT} y={20} fontSize={14} fill={OWN} fontWeight={600}>
          As drawn it {words}
        </text>
        {changed && (
          <text x={Math.max(LEFT + 260, width / 2)} y={20} fontSize={14} fill={OTHER}>
            Changed it {didWords(changed)}, {far(changed.distance, units)}
          </text>
        )}
        <PlotFrame box={side} x={x} y={z}>
          {terrain && (
            <path
              d={pathThrough(own.samples.x.map((ahead) => [fromSide.u(ahead), fromSide.v(terrain(ahead))]))}
              stroke="var(--color-faint)"
              strokeWidth={1.5}
              fill="none"
            />
          )}
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
          {withForces && <Forces samples={own.samples} time={time} scales={fromSide} />}
        </PlotFrame>
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
      </Paper>
      <HiddenTable
        caption="The toss in steps of half a second"
        columns={['Time, s', `Ahead, ${unit}`, `Height, ${unit}`, `Right, ${unit}`, 'Path, °']}
        rows={() =>
          own.samples.t
            .map((at, index) => [
              decimal(at, 1),
              far(own.samples.x[index]!, units),
              far(own.samples.z[index]!, units),
              far(own.samples.y[index]!, units),
              decimal(degreesFromRadians(own.samples.path[index]!), 0),
            ])
            .filter((_, index) => index % 25 === 0)
        }
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

/** A weight is drawn so long [px]. */
const WEIGHT = 56;
/** Longer no force is drawn. */
const LONGEST = 4 * WEIGHT;

/** What acts on the model, from the side: its weight, and lift and drag together and apart. */
function Forces({ samples, time, scales: { u, v } }: Pick<AtTime, 'samples' | 'time' | 'scales'>) {
  const at = placeAt(samples, time);
  const forces = forcesAt(samples, at);
  if (!forces) return null;
  const [ahead, , up] = forces.whole;
  const path = samples.path[at]!;
  const along = ahead * Math.cos(path) + up * Math.sin(path);
  const arrows = [
    { name: 'weight', x: 0, z: -1, color: 'var(--color-faint)' },
    { name: 'lift', x: ahead - along * Math.cos(path), z: up - along * Math.sin(path), color: OWN },
    {
      name: along > 0 ? 'push' : 'drag',
      x: along * Math.cos(path),
      z: along * Math.sin(path),
      color: 'var(--color-caution)',
    },
  ];
  return (
    <g transform={`translate(${u(samples.x[at]!)} ${v(samples.z[at]!)})`}>
      {arrows.map(({ name, x, z, color }) => {
        const long = Math.hypot(x, z);
        const drawn = Math.min(LONGEST, WEIGHT * long);
        if (drawn < 3) return null;
        const turn = degreesFromRadians(Math.atan2(-z, x));
        return (
          <g key={name} stroke={color} fill="none" strokeWidth={2}>
            <path d={`M0 0 H${drawn} m-6 -4 l6 4 l-6 4`} transform={`rotate(${turn})`} />
            <text
              x={((drawn + 14) * x) / long}
              y={(-(drawn + 14) * z) / long + 4}
              fontSize={12}
              fill={color}
              stroke="none"
              textAnchor="middle"
            >
              {name}
            </text>
          </g>
        );
      })}
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
