import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { twistTemplates } from '@/core/4-parts/kinds/twistTemplate';
import { propellerMissing, propellerOf } from '@/core/6-groups/power/drives';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';

const MARGIN = 44;

/** A blade from above, and the templates that hold it at its angles. */
export function BladeSheet({ drive }: { readonly drive: Propulsion }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const missing = propellerMissing(drive);
  if (missing) return <p className="p-6">{missing}</p>;
  const { places, diameter } = propellerOf(drive);
  const shown = places.filter((_, index) => places.length <= 9 || index % 2 === 0 || index === places.length - 1);
  const templates = twistTemplates(shown);
  const radius = diameter / 2;
  const scale = Math.max(1, width - 2 * MARGIN) / radius;
  const middle = 0.26 * height;
  const u = (share: number) => MARGIN + share * radius * scale;
  const outline = [
    ...places.map(({ share, chord }) => [u(share), middle - 0.4 * chord * scale] as const),
    ...places.toReversed().map(({ share, chord }) => [u(share), middle + 0.6 * chord * scale] as const),
  ];
  const widest = Math.max(...templates.flatMap(({ outline: line }) => line.map(([along]) => Math.abs(along))));
  const highest = Math.max(...templates.flatMap(({ outline: line }) => line.map(([, up]) => up)));
  const room = (width - 2 * MARGIN) / templates.length;
  const own = Math.min((0.84 * room) / (2 * widest), (0.26 * height) / highest);
  const foot = 0.86 * height;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`Blade of ${drive.name || drive.id} and its templates`}
      over={
        <HiddenTable
          caption="Chord and angle along the blade"
          columns={['Of the radius', 'Chord', 'Angle']}
          rows={() =>
            shown.map(({ share, chord, angle }) => [
              `${decimal(share * 100, 0)} %`,
              formatLength(millimetresFromMetres(chord), units),
              `${decimal(degreesFromRadians(angle), 1)}°`,
            ])
          }
        />
      }
    >
      <path
        d={`M${outline.map(([x, y]) => `${x} ${y}`).join(' L')} Z`}
        fill="var(--color-paper)"
        stroke="var(--color-graphite)"
        strokeWidth={1.6}
      />
      <path d={`M${u(0)} ${middle} H${u(1)}`} stroke="var(--color-rule)" strokeDasharray="6 3 1 3" fill="none" />
      {shown.map(({ share, chord, angle }, index) => (
        <g key={share} fontSize={11} fill="var(--color-graphite)" textAnchor="middle">
          <path
            d={`M${u(share)} ${middle - 0.4 * chord * scale} V${middle + 0.6 * chord * scale}`}
            stroke="var(--color-faint)"
          />
          <text x={u(share)} y={middle + 0.6 * widestOf(places) * scale + 20}>
            {decimal(share * 100, 0)} %
          </text>
          <text x={MARGIN + (index + 0.5) * room} y={foot + 18}>
            {decimal(degreesFromRadians(angle), 1)}°
          </text>
          <text x={MARGIN + (index + 0.5) * room} y={foot + 32} fill="var(--color-faint)">
            {decimal(share * 100, 0)} %
          </text>
          <path
            d={`M${templates[index]!.outline.map(
              ([along, up]) => `${MARGIN + (index + 0.5) * room + along * own} ${foot - up * own}`,
            ).join(' L')} Z`}
            fill="none"
            stroke="var(--color-graphite)"
            strokeWidth={1.4}
          />
        </g>
      ))}
      <text x={MARGIN} y={24} fontSize={12} fill="var(--color-faint)">
        blade from above, hub at the left
      </text>
      <text x={MARGIN} y={foot - highest * own - 14} fontSize={12} fill="var(--color-faint)">
        templates that hold it at its angles, drawn {decimal(own / scale, 1)} times as large
      </text>
      <path d={`M${MARGIN} ${foot} H${width - MARGIN}`} stroke="var(--color-rule)" />
    </Paper>
  );
}

const widestOf = (places: readonly { readonly chord: number }[]) => Math.max(...places.map(({ chord }) => chord));
