import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { useMemo } from 'react';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { pathThrough, type Places } from '../sheet/scale';
import type { BentProps } from './BentWing';
import { boomAt } from './flexOf';

type BoomNumbers = Analysis['strength']['booms'][number];

const SIDE = 56;
const TOP = 30;
const LINE = 18;
/** Points along a bent boom. */
const POINTS = 24;

interface BentBoomProps extends Omit<BentProps, 'strength'> {
  readonly boom: BoomNumbers;
}

/** A boom from the side in the pull-up, from above and from behind at full yaw command. */
export function BentBoom({ design, boom, pull, speeds, enlarged }: BentBoomProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const turned = boomAt(boom, pull, speeds);
  if (!turned) return <p className="p-6 text-faint">How {boom.body} bends is not known.</p>;
  const carried = placed.filter(({ id }) => boom.carries.includes(id));
  const band = (height - TOP) / 3;
  const behind = (
    <FromBehind {...{ carried, width, top: TOP + 2 * band, height: band, turn: enlarged * turned.roll }} />
  );
  // A boom that is stiff all along but for its length is bent as a cantilever by what pulls at its end.
  const end = (turn: number) => (2 / 3) * turn * boom.length;
  const degrees = (turn: number) => `${decimal(Math.abs(degreesFromRadians(turn)), 1)}°`;
  const far = boom.isAft ? 1 : -1;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`${boom.body} of ${design.name} as it bends`}
      caption={`${boom.body}, ${enlarged === 1 ? 'to scale' : `bent ${enlarged} times as far`}`}
      underTools
      over={<BoomTable boom={boom} turned={turned} degrees={degrees} />}
    >
      <g aria-hidden="true" fontSize={12} fill="var(--color-graphite)">
        <FromAside
          title="from the side, in the pull-up"
          said={`tail turned ${degrees(turned.pitch)} nose ${turned.pitch >= 0 ? 'up' : 'down'}, ${formatLength(
            millimetresFromMetres(Math.abs(end(turned.pitch))),
            units,
            1,
          )} ${end(turned.pitch) * far >= 0 ? 'down' : 'up'}`}
          {...{ boom, width }}
          top={TOP}
          height={band}
          // Nose up, what lies aft goes down.
          turn={-enlarged * turned.pitch * far}
        />
        <FromAside
          title="from above, full yaw command to the right"
          said={`tail turned ${degrees(turned.yaw)} nose ${turned.yaw >= 0 ? 'right' : 'left'}, ${formatLength(
            millimetresFromMetres(Math.abs(end(turned.yaw))),
            units,
            1,
          )} to the ${end(turned.yaw) * far >= 0 ? 'left' : 'right'}`}
          {...{ boom, width }}
          top={TOP + band}
          height={band}
          turn={enlarged * turned.yaw * far}
        />
        {behind}
        <text x={width - 14} y={TOP + 2 * band + 14} textAnchor="end">
          turned {degrees(turned.roll)} {turned.roll >= 0 ? 'right' : 'left'} side up
        </text>
        <text x={14} y={TOP + 2 * band + 14} fill="var(--color-faint)">
          from behind, by that command
        </text>
      </g>
    </Paper>
  );
}

interface FromAsideProps {
  readonly title: string;
  readonly said: string;
  readonly boom: BoomNumbers;
  readonly width: number;
  readonly top: number;
  readonly height: number;
  /** Slope of the far end, up positive as it is drawn, the nose to the left. */
  readonly turn: number;
}

/** A cantilever that is pulled at its end: w = θ L (3 ξ² − ξ³)/3. */
function FromAside({ title, said, boom, width, top, height, turn }: FromAsideProps) {
  const long = Math.max(40, width - 2 * SIDE);
  const middle = top + height / 2;
  const x = (share: number) => (boom.isAft ? SIDE + share * long : width - SIDE - share * long);
  const line: Places = Array.from({ length: POINTS + 1 }, (_, index) => {
    const share = index / POINTS;
    const up = (turn * long * (3 * share ** 2 - share ** 3)) / 3;
    return [x(share), Math.min(top + height - LINE, Math.max(top + 1.5 * LINE, middle - up))] as const;
  });
  return (
    <>
      <path d={`M${x(0)} ${middle} H${x(1)}`} stroke="var(--color-faint)" strokeDasharray="5 4" />
      <path d={pathThrough(line)} fill="none" stroke="var(--color-graphite)" strokeWidth={4} strokeLinecap="round" />
      <path d={`M${x(0)} ${middle - 14} v28`} stroke="var(--color-graphite)" strokeWidth={2} />
      <text x={14} y={top + 14} fill="var(--color-faint)">
        {title}
      </text>
      <text x={width - 14} y={top + 14} textAnchor="end">
        {said}
      </text>
    </>
  );
}

interface FromBehindProps {
  readonly carried: readonly PlacedSurface[];
  readonly width: number;
  readonly top: number;
  readonly height: number;
  /** Right side up positive [rad]. */
  readonly turn: number;
}

/** What the boom carries, seen from behind, as it was and as it is turned. */
function FromBehind({ carried, width, top, height, turn }: FromBehindProps) {
  const halves = carried.flatMap(({ stations, mirrored }) =>
    (mirrored ? [1, -1] : [1]).map((side) => stations.map(({ y, z }) => [side * y, z] as const)),
  );
  const all = halves.flat();
  const [low, high] = [Math.min(...all.map(([, z]) => z)), Math.max(...all.map(([, z]) => z))];
  const wide = Math.max(...all.map(([y]) => Math.abs(y)), 1e-3);
  const scale = Math.min((width - 2 * SIDE) / (2 * wide), (height - 2 * LINE) / Math.max(high - low, wide));
  const root = carried[0]?.stations[0];
  const [y0, z0] = [0, root?.z ?? 0];
  const place = ([y, z]: readonly [number, number]) =>
    [width / 2 + y * scale, top + LINE / 2 + height / 2 - (z - (low + high) / 2) * scale] as const;
  const [sine, cosine] = [Math.sin(turn), Math.cos(turn)];
  const rolled = ([y, z]: readonly [number, number]) =>
    [y0 + (y - y0) * cosine - (z - z0) * sine, z0 + (y - y0) * sine + (z - z0) * cosine] as const;
  return (
    <>
      {halves.map((half, index) => (
        <g key={index} fill="none">
          <path d={pathThrough(half.map(place))} stroke="var(--color-faint)" strokeDasharray="5 4" />
          <path
            d={pathThrough(half.map(rolled).map(place))}
            stroke="var(--color-graphite)"
            strokeWidth={3}
            strokeLinecap="round"
          />
        </g>
      ))}
    </>
  );
}

interface BoomTableProps {
  readonly boom: BoomNumbers;
  readonly turned: NonNullable<ReturnType<typeof boomAt>>;
  readonly degrees: (turn: number) => string;
}

function BoomTable({ boom, turned, degrees }: BoomTableProps) {
  return (
    <HiddenTable
      caption={`${boom.body}, how its far end is turned`}
      columns={['About', 'Turned']}
      rows={() => [
        ['pitch, nose up', `${turned.pitch < 0 ? '−' : ''}${degrees(turned.pitch)}`],
        ['yaw, nose right, at full command', `${turned.yaw < 0 ? '−' : ''}${degrees(turned.yaw)}`],
        ['roll, right side up, at full command', `${turned.roll < 0 ? '−' : ''}${degrees(turned.roll)}`],
      ]}
    />
  );
}
