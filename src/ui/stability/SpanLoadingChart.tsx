import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { StallStrip } from '@/core/5-aero/stall';
import Chart, { BALANCE, INK } from '../charts/Chart';

/** Lift along the half span when the first strip stalls, against what each section can carry. */
export default function SpanLoadingChart({ strips }: { readonly strips: readonly StallStrip[] }) {
  const surfaces = [...new Set(strips.map(({ surface }) => surface))];
  const data = surfaces.flatMap((surface, index) => {
    const own = strips.filter((strip) => strip.surface === surface);
    const x = own.map(({ y }) => millimetresFromMetres(y));
    const name = surfaces.length > 1 ? `${surface} ` : '';
    return [
      {
        x,
        y: own.map(({ lift }) => lift),
        name: `${name}lift at stall`,
        mode: 'lines' as const,
        line: { color: BALANCE, width: 2.5, dash: index === 0 ? ('solid' as const) : ('dashdot' as const) },
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
  return <Chart data={data} x="mm from the centre" />;
}
