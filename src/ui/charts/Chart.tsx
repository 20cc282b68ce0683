import Plotly from 'plotly.js';
import type { ComponentProps } from 'react';
import createPlotlyComponent from 'react-plotly.js/factory';

const Plot = createPlotlyComponent(Plotly);

export const INK = '#2a2c30';
export const BALANCE = '#0b6568';
const GRID = '#e7e1d3';

interface ChartProps {
  readonly data: ComponentProps<typeof Plot>['data'];
  readonly x: string;
  readonly y?: string;
}

/** The one look of all charts: ink on paper, nothing that leads outside. */
export default function Chart({ data, x, y }: ChartProps) {
  return (
    <Plot
      data={data}
      layout={{
        height: 200,
        margin: { l: y ? 42 : 34, r: 6, t: 4, b: 34 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        font: { family: 'IBM Plex Sans Condensed, sans-serif', size: 12, color: INK },
        xaxis: { title: { text: x, standoff: 4 }, zeroline: false, gridcolor: GRID },
        yaxis: { rangemode: 'tozero', gridcolor: GRID, ...(y ? { title: { text: y, standoff: 4 } } : {}) },
        legend: { orientation: 'h', y: 0.08, yanchor: 'bottom', x: 0.02, bgcolor: 'rgba(253,251,246,0.8)' },
      }}
      config={{ displayModeBar: false, responsive: true, showSendToCloud: false, plotlyServerURL: '' } as object}
      style={{ width: '100%' }}
      useResizeHandler
    />
  );
}
