import Plotly from 'plotly.js';
import createPlotlyComponent from 'react-plotly.js/factory';
import { decimal } from '@/words/formatQuantity';
import { HiddenTable } from '../sheet/HiddenTable';
import { BALANCE, GRID, INK, PAPER, STOP } from './looks';

const Plot = createPlotlyComponent(Plotly);

export interface MapLimit {
  readonly name: string;
  readonly value: number;
  readonly values?: readonly (readonly (number | null)[])[];
}

/** Lines of limits one beside the other; that of what is mapped first, and wider. */
const DASHES = ['dash', 'dot', 'dashdot', 'longdash', 'longdashdot'] as const;

interface MapChartProps {
  readonly caption: string;
  readonly x: { readonly title: string; readonly values: readonly number[] };
  readonly y: { readonly title: string; readonly values: readonly number[] };
  /** Row by row, the first row at the first y; null where there is none. */
  readonly values: readonly (readonly (number | null)[])[];
  readonly value: string;
  /** Lines that what is mapped should not cross, or another number of the same places, in a unit of its own. */
  readonly limits: readonly MapLimit[];
  /** Places that are marked: as drawn, and the one that is tried. */
  readonly marks: readonly { readonly name: string; readonly x: number; readonly y: number }[];
  readonly onPick: (column: number, row: number) => void;
}

const HEIGHT = 380;

/** One number over two others: its levels as lines, limits in red, places marked. */
export default function MapChart({ caption, x, y, values, value, limits, marks, onPick }: MapChartProps) {
  const z = values.map((row) => [...row]);
  const grid = { x: [...x.values], y: [...y.values], z, type: 'contour' as const };
  return (
    <>
      <Plot
        data={
          [
            {
              ...grid,
              name: value,
              colorscale: [
                [0, PAPER],
                [1, '#9ccac6'],
              ],
              contours: { showlabels: true, labelfont: { color: INK, size: 12 } },
              line: { color: BALANCE, width: 1 },
              showscale: false,
              hovertemplate: `%{x:.4~g}, %{y:.4~g}: %{z:.4~g}<extra></extra>`,
            },
            ...limits.map((limit, index) => ({
              ...grid,
              z: limit.values?.map((row) => [...row]) ?? z,
              name: limit.name,
              contours: { type: 'constraint', operation: '=', value: limit.value, coloring: 'none' },
              line: { color: STOP, width: limit.values ? 1.5 : 2.5, dash: DASHES[index % DASHES.length] },
              showscale: false,
              showlegend: true,
              hoverinfo: 'skip' as const,
            })),
            ...marks.map((mark, index) => ({
              x: [mark.x],
              y: [mark.y],
              name: mark.name,
              mode: 'markers' as const,
              marker: { size: 12, color: index === 0 ? INK : STOP, symbol: index === 0 ? 'circle' : 'x' },
              hoverinfo: 'name' as const,
            })),
          ] as object[]
        }
        layout={{
          height: HEIGHT,
          margin: { l: 56, r: 6, t: 4, b: 64 },
          paper_bgcolor: 'transparent',
          plot_bgcolor: 'transparent',
          font: { family: 'IBM Plex Sans Condensed, sans-serif', size: 12, color: INK },
          xaxis: { title: { text: x.title, standoff: 10 }, zeroline: false, gridcolor: GRID },
          yaxis: { title: { text: y.title, standoff: 4 }, zeroline: false, gridcolor: GRID },
          showlegend: true,
          legend: { orientation: 'h', yref: 'container', y: 0, yanchor: 'bottom', x: 0 },
        }}
        config={{ displayModeBar: false, responsive: true, showSendToCloud: false, plotlyServerURL: '' } as object}
        style={{ width: '100%' }}
        useResizeHandler
        onClick={({ points }: { points: readonly { x?: unknown; y?: unknown }[] }) => {
          const place = points[0];
          if (typeof place?.x === 'number' && typeof place.y === 'number')
            onPick(nearest(x.values, place.x), nearest(y.values, place.y));
        }}
      />
      <HiddenTable
        caption={caption}
        columns={[y.title, ...x.values.map((at) => `${x.title} ${decimal(at, 2)}`)]}
        rows={() =>
          values.map((row, index) => [
            decimal(y.values[index]!, 2),
            ...row.map((cell) => (cell === null ? 'none' : decimal(cell, 3))),
          ])
        }
      />
    </>
  );
}

const nearest = (values: readonly number[], at: number): number =>
  values.reduce((best, value, index) => (Math.abs(value - at) < Math.abs(values[best]! - at) ? index : best), 0);
