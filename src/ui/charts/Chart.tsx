import Plotly from 'plotly.js';
import { useEffect, useMemo, useRef } from 'react';
import createPlotlyComponent from 'react-plotly.js/factory';
import { decimal } from '@/words/formatQuantity';
import { HiddenTable } from '../sheet/HiddenTable';
import { fittedRange } from './fittedRange';
import { BALANCE, GRID, INK, SIX_LOOKS, STOP } from './looks';

const Plot = createPlotlyComponent(Plotly);

const LOOKS = {
  strong: { color: BALANCE, width: 2.5, dash: 'solid' },
  strongOther: { color: BALANCE, width: 2.5, dash: 'dashdot' },
  dashed: { color: INK, width: 1.5, dash: 'dash' },
  dotted: { color: INK, width: 1.5, dash: 'dot' },
  limit: { color: STOP, width: 1.5, dash: 'dash' },
  ...SIX_LOOKS,
} as const;

/** A line of a chart, in the units of its axes. */
export interface ChartLine {
  readonly name: string;
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly look: keyof typeof LOOKS;
}

interface ChartProps {
  /** What is drawn, in words: the caption of the table behind it. */
  readonly caption: string;
  readonly lines: readonly ChartLine[];
  readonly x: string;
  readonly y?: string;
  /** As high as what is drawn reaches, instead of from nought on. */
  readonly isFitted?: boolean;
  /** Called with the place along x that was pressed. */
  readonly onPick?: (x: number) => void;
}

/** So many points of a line are told to those who hear it. */
const TOLD = 6;
/** Height of the plot with its axis, and of a line of names under it [px]. */
const PLOT = 196;
const NAMES = 19;

const CONFIG = { displayModeBar: false, responsive: true, showSendToCloud: false, plotlyServerURL: '' } as object;
const STYLE = { width: '100%' };

/** The one look of all charts: ink on paper, names under the data, nothing that leads outside; its numbers as a table behind it. */
export default function Chart({ caption, lines, x, y, isFitted = false, onPick }: ChartProps) {
  const names = Math.ceil(lines.length / 2) * NAMES;
  // Drawn anew only where what is drawn is another: that takes longer than all the rest of a screen.
  const drawn = JSON.stringify(lines);
  const data = useMemo(
    () =>
      (JSON.parse(drawn) as ChartLine[]).map(({ look, ...line }) => ({
        ...line,
        mode: 'lines' as const,
        line: LOOKS[look],
      })),
    [drawn],
  );
  const layout = useMemo(
    () => ({
      height: PLOT + names,
      margin: { l: y ? 42 : 34, r: 6, t: 4, b: 38 + names },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      font: { family: 'IBM Plex Sans Condensed, sans-serif', size: 12, color: INK },
      xaxis: { title: { text: x, standoff: 4 }, zeroline: false, gridcolor: GRID },
      yaxis: {
        ...(isFitted ? { range: fittedRange(JSON.parse(drawn) as ChartLine[]) } : { rangemode: 'tozero' as const }),
        automargin: isFitted,
        gridcolor: GRID,
        ...(y ? { title: { text: y, standoff: 4 } } : {}),
      },
      showlegend: true,
      legend: { orientation: 'h' as const, yref: 'container' as const, y: 0, yanchor: 'bottom' as const, x: 0 },
    }),
    [names, x, y, isFitted, drawn],
  );
  // The plot keeps the handler of when it was drawn: it asks for the newest.
  const picked = useRef(onPick);
  useEffect(() => {
    picked.current = onPick;
  });
  return (
    <>
      <Plot
        data={data}
        layout={layout}
        config={CONFIG}
        style={STYLE}
        useResizeHandler
        {...(onPick
          ? {
              onClick: ({ points }: { points: readonly { x: unknown }[] }) =>
                typeof points[0]?.x === 'number' && picked.current?.(points[0].x),
            }
          : {})}
      />
      <HiddenTable
        caption={caption}
        columns={['Line', x, y ?? 'value']}
        rows={() =>
          lines.flatMap(({ name, x: along, y: up }) =>
            along
              .map((value, index) => [name, decimal(value, 3), decimal(up[index] ?? 0, 3)])
              .filter((_, index) => index % Math.max(1, Math.ceil(along.length / TOLD)) === 0),
          )
        }
      />
    </>
  );
}
