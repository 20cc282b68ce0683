import type { Analysis } from '@/core/analyse';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { Why } from '../numbers/Derived';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { pathThrough } from '../sheet/scale';
import { Tall } from '../sheet/Tall';

/** Lower than that the ticks need a decimal [m]. */
const LOW = 6;
const LINE = { fill: 'none', stroke: 'var(--color-graphite)', strokeWidth: 2.4 } as const;
const THRUST = { fill: 'none', stroke: 'var(--color-balance)', strokeWidth: 2.4 } as const;

/** Lower two plots cannot be read [px]. */
const LEAST = 350;

/** How rubber runs down: height and thrust over time. */
export function RubberSheet({ rubber }: { readonly rubber: Analysis['rubber'] }) {
  return rubber.run.length < 2 ? (
    <div className="p-6">
      <Why text={rubber.reasons['height'] ?? rubber.reasons['energy']} />
    </div>
  ) : (
    <Tall name="Height and thrust" least={LEAST}>
      <Run rubber={rubber} />
    </Tall>
  );
}

function Run({ rubber }: { readonly rubber: Analysis['rubber'] }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const { run } = rubber;
  const each = Math.max(40, (height - 190) / 2);
  const box = (row: number): Box => ({
    left: 56,
    top: 44 + row * (each + 70),
    width: Math.max(60, width - 84),
    height: each,
  });
  const last = rubber.runTime ?? run.at(-1)!.time;
  const x: Axis = { domain: [0, last], name: 'Time, s', format: (value) => decimal(value, 0), ticks: 6 };
  const heights = run.map(({ height: up }) => up);
  const up: Axis = {
    domain: [Math.min(0, ...heights), Math.max(1, ...heights)],
    name: 'Height, m',
    format: (value) => decimal(value, Math.max(...heights) < LOW ? 1 : 0),
    ticks: 4,
  };
  const most: Axis = {
    domain: [0, Math.max(0.1, ...run.map(({ thrust }) => thrust))],
    name: 'Thrust, N',
    format: (value) => decimal(value, 2),
    ticks: 4,
  };
  const [upper, lower] = [scalesOf(box(0), x, up), scalesOf(box(1), x, most)];
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name="Height and thrust as the rubber runs down"
      over={
        <HiddenTable
          caption="How the rubber runs down"
          columns={['Time', 'Height', 'Thrust', 'Turns left']}
          rows={() =>
            run
              .filter((_, index) => index % 4 === 0)
              .map((moment) => [
                formatValue(moment.time, 'time', units),
                formatValue(moment.height, 'distance', units),
                formatValue(moment.thrust, 'force', units),
                decimal(moment.turnsLeft, 0),
              ])
          }
        />
      }
    >
      <PlotFrame box={box(0)} x={{ ...x, name: '' }} y={up}>
        <path d={pathThrough(run.map((one) => [upper.u(one.time), upper.v(one.height)] as const))} {...LINE} />
      </PlotFrame>
      <PlotFrame box={box(1)} x={x} y={most}>
        <path
          d={pathThrough(run.map((one) => [lower.u(one.time), lower.v(Math.max(0, one.thrust))] as const))}
          {...THRUST}
        />
      </PlotFrame>
    </Paper>
  );
}
