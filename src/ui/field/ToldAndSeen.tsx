import type { Compared } from '@/core/8-field/diagnose';
import type { Flight } from '@/core/8-field/sights';
import { useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { linear } from '../sheet/scale';
import { seenValue, sightWords } from './fieldWords';

/** Beyond that a mark stands at the edge. */
const MOST = 5;
/** Height of a row; on a phone its words stand over its marks. */
const ROW = { wide: 44, narrow: 64 } as const;
const MARK = 15;

interface Row {
  readonly key: string;
  readonly words: string;
  readonly predicted: string;
  readonly marks: readonly Compared[];
}

/** One row for everything that was told, with all flights that showed it. */
function rowsOf(compared: readonly Compared[], units: DisplayUnits): Row[] {
  const rows = new Map<string, { words: string; predicted: string; marks: Compared[] }>();
  for (const one of compared) {
    const words = sightWords(one.what, one.speed, units);
    const row = rows.get(words) ?? { words, predicted: seenValue(one.what, one.predicted, units), marks: [] };
    row.marks.push(one);
    rows.set(words, row);
  }
  return [...rows].map(([key, row]) => ({ key, ...row }));
}

/** What was told beforehand in the middle of every row, and what flights showed beside it, by how far both are known. */
export function ToldAndSeen({
  compared,
  flights,
}: {
  readonly compared: readonly Compared[];
  readonly flights: readonly Flight[];
}) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const rows = rowsOf(compared, units);
  const number = (id: string) => flights.findIndex((flight) => flight.id === id) + 1;
  const isNarrow = width < 480;
  const high = ROW[isNarrow ? 'narrow' : 'wide'];
  const left = isNarrow ? 18 : 210;
  const u = linear([-MOST - 0.5, MOST + 0.5], [left, Math.max(left + 60, width - 18)]);
  const top = 92;
  const drawn = Math.max(height, top + rows.length * high + 30);
  const bottom = top + rows.length * high;
  return (
    <div className="h-full w-full overflow-y-auto pt-8" role="region" aria-label="Flights" tabIndex={0}>
      <Paper place={ref} width={width} height={drawn} role="img" name="What was told and what was seen">
        <text x={18} y={22} fontSize={14} fontWeight={600} fill="var(--color-graphite)">
          Told beforehand, and seen
        </text>
        <text x={18} y={40} fontSize={12} fill="var(--color-faint)">
          How far apart, in standard deviations of both; a number for every flight
        </text>
        <rect
          x={u(-2)}
          y={top - 8}
          width={u(2) - u(-2)}
          height={bottom - top + 8}
          fill="var(--color-soft)"
          opacity={0.6}
        />
        <rect x={u(-1)} y={top - 8} width={u(1) - u(-1)} height={bottom - top + 8} fill="var(--color-balance-soft)" />
        {[-4, -2, 0, 2, 4].map((tick) => (
          <g key={tick} fontSize={11} fill="var(--color-faint)" aria-hidden="true">
            <path
              d={`M${u(tick)} ${top - 8} V${bottom}`}
              stroke={tick === 0 ? 'var(--color-graphite)' : 'var(--color-rule)'}
            />
            <text x={u(tick)} y={top - 14} textAnchor="middle">
              {tick === 0 ? 'as told' : `${decimal(tick, 0)} σ`}
            </text>
          </g>
        ))}
        {rows.map(({ key, words, predicted, marks }, index) => {
          const y = top + index * high + (isNarrow ? 32 : 20);
          return (
            <g key={key}>
              <path d={`M18 ${top + (index + 1) * high - 2} H${width - 18}`} stroke="var(--color-soft)" />
              <text x={18} y={isNarrow ? y - 14 : y - 3} fontSize={12} fill="var(--color-graphite)">
                {words}
                {isNarrow && <tspan fill="var(--color-faint)">{`, told ${predicted}`}</tspan>}
              </text>
              {!isNarrow && (
                <text x={18} y={y + 12} fontSize={11} fill="var(--color-faint)">
                  told {predicted}, seen {meanSeen(marks, units)}
                </text>
              )}
              {apart(marks, u, isNarrow ? [0, MARK, MARK] : [0, -MARK, MARK]).map(({ mark, x, down }, at) => {
                const isBeyond = Math.abs(mark.sigmas) > 2;
                return (
                  <g key={`${mark.flight} ${at}`}>
                    {isBeyond ? (
                      <rect x={x - 7} y={y + down - 7} width={14} height={14} fill="var(--color-caution)" />
                    ) : (
                      <circle cx={x} cy={y + down} r={8} fill="var(--color-balance)" />
                    )}
                    <text
                      x={x}
                      y={y + down + 4}
                      fontSize={10}
                      fontWeight={600}
                      textAnchor="middle"
                      fill="var(--color-sheet)"
                    >
                      {number(mark.flight)}
                    </text>
                  </g>
                );
              })}
            </g>
          );
        })}
      </Paper>
      <HiddenTable
        caption="What was told and what was seen"
        columns={['What', 'Flight', 'Told', 'Seen', 'Standard deviations apart']}
        rows={() =>
          compared.map((one) => [
            sightWords(one.what, one.speed, units),
            String(number(one.flight)),
            seenValue(one.what, one.predicted, units),
            one.isWord ? 'said in words' : seenValue(one.what, one.value, units),
            decimal(one.sigmas, 1),
          ])
        }
      />
    </div>
  );
}

/** Marks that would lie on one another stand above and below. */
function apart(marks: readonly Compared[], u: (sigmas: number) => number, downs: readonly number[]) {
  const placed: { readonly mark: Compared; readonly x: number; readonly down: number }[] = [];
  for (const mark of marks.toSorted((a, b) => a.sigmas - b.sigmas)) {
    const x = u(Math.max(-MOST, Math.min(MOST, mark.sigmas)));
    const beside = placed.filter((other) => x - other.x < MARK).length;
    placed.push({ mark, x, down: downs[beside % downs.length]! });
  }
  return placed;
}

/** Mean of what was read; words are no reading. */
function meanSeen(marks: readonly Compared[], units: DisplayUnits): string {
  const read = marks.filter(({ isWord }) => !isWord);
  const [first] = read;
  if (!first) return 'said in words';
  return seenValue(first.what, read.reduce((sum, { value }) => sum + value, 0) / read.length, units);
}
