import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { useMemo } from 'react';
import { effectiveDihedral, tipRise } from '@/core/3-shape/geometry/dihedral';
import { decimal, formatLength } from '@/words/formatQuantity';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { BalanceMark } from '../marks/marks';
import { FrontGeometry } from './FrontGeometry';
import { Paper } from '../sheet/Paper';
import { HandleMark } from './HandleMark';
import type { Handle } from './handles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { useHeld } from './useHeld';
import { useSize } from './useSize';
import type { Zoom } from './useZoom';

const PADDING = 56;

interface FrontViewProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  readonly zoom: Zoom;
}

/** From ahead: dihedral of every panel, gap of two wings, fins, wheels and propeller discs. */
export function FrontView({ design, handles, zoom }: FrontViewProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const cg = useAppSelector((state) => state.analysis.current?.mass.cg);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { yMax, zMin, zMax } = useHeld(useMemo(() => extentsOf(design, placed), [design, placed]));
  const scale =
    Math.max(0.02, Math.min((width - 2 * PADDING) / (2 * yMax), (height - 2 * PADDING) / Math.max(zMax - zMin, 200))) *
    zoom.factor;
  const u = (y: number) => width / 2 + y * scale + zoom.x;
  const v = (z: number) => height / 2 + zoom.y - (z - (zMin + zMax) / 2) * scale;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`Drawing of ${design.name} from ahead`}
      caption="From ahead"
      underTools
    >
      <g aria-hidden="true">
        <path d={`M${u(-yMax) - 24} ${v(0)} H${u(yMax) + 24}`} stroke="var(--color-rule)" strokeDasharray="14 4 3 4" />
        <path d={`M${u(0)} ${v(zMax) - 24} V${v(zMin) + 24}`} stroke="var(--color-rule)" strokeDasharray="14 4 3 4" />
      </g>
      <FrontGeometry design={design} placed={placed} u={u} v={v} scale={scale} />
      {placed
        .filter((surface) => surface.mirrored && surface.role !== 'tipFin' && Math.abs(tipRise(surface)) > 1e-3)
        .map((surface) => {
          const tip = surface.stations.at(-1)!;
          return (
            <text
              key={surface.id}
              x={u(millimetresFromMetres(-tip.y))}
              y={v(millimetresFromMetres(tip.z)) - 12}
              fontSize={12}
              fill="var(--color-graphite)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {surface.source.name || surface.id}: tip {formatLength(millimetresFromMetres(tipRise(surface)), units)}{' '}
              up, as good as {decimal(effectiveDihedral(surface), 1)}°
            </text>
          );
        })}
      {cg && <BalanceMark x={u(0)} y={v(millimetresFromMetres(cg[2]))} />}
      {handles.map((handle) => (
        <HandleMark key={handle.id} handle={handle} x={u(handle.at[0])} y={v(handle.at[1])} perPixel={1 / scale} />
      ))}
    </Paper>
  );
}
