import type { StallStrip } from '@/core/5-aero/stall';
import { useAppSelector } from '@/store/hooks';
import Chart, { type ChartLine } from '../charts/Chart';
import { lengthAxis } from '../sheet/unitAxes';

/** Lift along the half span when the first strip stalls, against what each section can carry. */
export default function SpanLoadingChart({ strips }: { readonly strips: readonly StallStrip[] }) {
  const units = useAppSelector((state) => state.settings.units);
  const axis = lengthAxis(units);
  const surfaces = [...new Set(strips.map(({ surface }) => surface))];
  const lines = surfaces.flatMap((surface, index): ChartLine[] => {
    const own = strips.filter((strip) => strip.surface === surface);
    const x = own.map(({ y }) => axis.to(y));
    const name = surfaces.length > 1 ? `${surface}, ` : '';
    return [
      {
        name: `${name}lift at the stall`,
        x,
        y: own.map(({ lift }) => lift),
        look: index === 0 ? 'strong' : 'strongOther',
      },
      { name: `${name}what it can carry`, x, y: own.map(({ limit }) => limit), look: 'dotted' },
    ];
  });
  return (
    <Chart
      caption="Lift along the half span when the first strip stalls"
      lines={lines}
      x={`${axis.unit} from the centre`}
    />
  );
}
