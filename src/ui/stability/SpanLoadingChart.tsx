import Plotly from 'plotly.js';
import createPlotlyComponent from 'react-plotly.js/factory';
import type { StallStrip } from '@/core/aero/stall';

const Plot = createPlotlyComponent(Plotly);

const INK = '#2a2c30';
const BALANCE = '#0b6568';

/** Lift along the half span when the first strip stalls, against what each section can carry. */
export default function SpanLoadingChart({ strips }: { readonly strips: readonly StallStrip[] }) {
  const surfaces = [...new Set(strips.map(({ surface }) => surface))];
  const data = surfaces.flatMap((surface, index) => {
    const own = strips.filter((strip) => strip.surface === surface);
    const x = own.map(({ y }) => y * 1000);
    const name = surfaces.length > 1 ? `${surface} ` : '';
    return [
      {
        x,
        y: own.map(({ lift }) => lift),
        name: `${name}lift at stall`,
        mode: 'lines' as const,
        line: {
          color: BALANCE,
          width: 2.5,
          dash: index === 0 ? ('solid' as const) : ('dashdot' as const),
        },
      },
      {
        x,
        y: own.map(({ limit }) => limit),
        name: `${name}section limit`,
        mode: 'lines' as const,
        line: { color: INK, width: 1.5, dash: 'dot' as const },
      },
    ];
  });
  return (
    <Plot
      data={data}
      layout={{
        height: 200,
        margin: { l: 34, r: 6, t: 4, b: 34 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        font: { family: 'IBM Plex Sans Condensed, sans-serif', size: 12, color: INK },
        xaxis: {
          title: { text: 'mm from the centre', standoff: 4 },
          zeroline: false,
          gridcolor: '#e7e1d3',
        },
        yaxis: { rangemode: 'tozero', gridcolor: '#e7e1d3' },
        legend: { orientation: 'h', y: 0.08, yanchor: 'bottom', x: 0.02, bgcolor: 'rgba(253,251,246,0.8)' },
      }}
      config={
        {
          displayModeBar: false,
          responsive: true,
          showSendToCloud: false,
          plotlyServerURL: '',
        } as object
      }
      style={{ width: '100%' }}
      useResizeHandler
    />
  );
}
