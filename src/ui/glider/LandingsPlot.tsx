import type { Landing, Spread } from '@/core/7-flight/toss/tossOften';
import { useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { type Axis, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { DEED_WORDS, onAxis } from './tossWords';

const FAINT = 0.45;

/** What one throw did; one that settles and is not down may climb as well as glide. */
const deedOf = ({ outcome, isDown }: Landing): string =>
  outcome === 'settles' && !isDown ? 'flies on' : DEED_WORDS[outcome];

/** Where many throws of a hand come down, seen from above: a ring for what goes well, a cross for what does not; faint what still flies there. */
export function LandingsPlot({ spread }: { readonly spread: Spread }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  if (!spread.ok) return <p className="p-6">{spread.because}</p>;
  const { landings, well } = spread;
  const unit = units.length === 'in' ? 'ft' : 'm';
  const aside = Math.max(1, ...landings.map(({ y }) => Math.abs(y))) * 1.1;
  const ahead = Math.max(1, ...landings.map(({ x }) => x)) * 1.05;
  const behind = Math.min(0, ...landings.map(({ x }) => x));
  const box = { left: 62, top: 92, width: Math.max(80, width - 90), height: Math.max(60, height - 150) };
  const x: Axis = {
    domain: [behind, ahead],
    name: `Ahead of the start, ${unit}`,
    format: onAxis(ahead - behind, units),
    ticks: width < 480 ? 4 : 8,
  };
  const y: Axis = {
    domain: [aside, -aside],
    name: `Left (up) and right, ${unit}`,
    format: (value) => onAxis(aside, units)(Math.abs(value)),
    ticks: 5,
  };
  const { u, v } = scalesOf(box, x, y);
  const counts = new Map<string, number>();
  for (const landing of landings) counts.set(deedOf(landing), (counts.get(deedOf(landing)) ?? 0) + 1);
  const rows = [...counts].toSorted((a, b) => b[1] - a[1]);
  const flying = landings.filter(({ isDown }) => !isDown).length;
  const words = rows.map(([did, count]) => `${did}: ${count}`).join(', ');
  return (
    <div className="h-full w-full overflow-hidden pt-8">
      <Paper place={ref} width={width} height={height} role="img" name={`Where ${landings.length} throws come down`}>
        <text x={box.left} y={20} fontSize={14} fontWeight={600} fill="var(--color-graphite)">
          {decimal(100 * well, 0)} % of {landings.length} throws go well
        </text>
        <text x={box.left} y={38} fontSize={12} fill="var(--color-faint)">
          {words}
        </text>
        {flying > 0 && (
          <text x={box.left} y={54} fontSize={12} fill="var(--color-faint)">
            {flying === landings.length ? 'All' : flying} still fly where they were seen last (faint)
          </text>
        )}
        <PlotFrame box={box} x={x} y={y}>
          {landings.map(({ x: at, y: side, isWell, isDown }, index) =>
            isWell ? (
              <circle
                key={index}
                cx={u(at)}
                cy={v(side)}
                r={4}
                fill="none"
                stroke="var(--color-balance)"
                strokeWidth={1.6}
                opacity={isDown ? 1 : FAINT}
              />
            ) : (
              <path
                key={index}
                d={`M${u(at) - 4} ${v(side) - 4} l8 8 m0 -8 l-8 8`}
                stroke="var(--color-stop)"
                strokeWidth={1.6}
                opacity={isDown ? 1 : FAINT}
              />
            ),
          )}
        </PlotFrame>
      </Paper>
      <HiddenTable
        caption="What the throws do"
        columns={['What', 'How many']}
        rows={() => rows.map(([did, count]) => [did, String(count)])}
      />
    </div>
  );
}
