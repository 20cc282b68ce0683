import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { useMemo, useState } from 'react';
import { effectiveDihedral, tipRise } from '@/core/3-shape/geometry/dihedral';
import { decimal, formatLength } from '@/words/formatQuantity';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { BalanceMark } from '../marks/marks';
import { HandleMark } from './HandleMark';
import type { Handle } from './handles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
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
  const dragging = useAppSelector((state) => state.session.dragging);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const wanted = useMemo(() => extentsOf(design, placed), [design, placed]);
  const [held, setHeld] = useState(wanted);
  if (!dragging && held !== wanted) setHeld(wanted);
  const { yMax, zMin, zMax } = dragging ? held : wanted;
  const scale =
    Math.max(0.02, Math.min((width - 2 * PADDING) / (2 * yMax), (height - 2 * PADDING) / Math.max(zMax - zMin, 200))) *
    zoom.factor;
  const u = (y: number) => width / 2 + y * scale + zoom.x;
  const v = (z: number) => height / 2 + zoom.y - (z - (zMin + zMax) / 2) * scale;
  return (
    <div className="relative h-full min-h-0 w-full" ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={`Drawing of ${design.name} from ahead`}
          data-testid="drawing"
        >
          <g aria-hidden="true" fontSize={12} fill="var(--color-faint)">
            <text x={14} y={20}>
              From ahead
            </text>
            <path
              d={`M${u(-yMax) - 24} ${v(0)} H${u(yMax) + 24}`}
              stroke="var(--color-rule)"
              strokeDasharray="14 4 3 4"
            />
            <path
              d={`M${u(0)} ${v(zMax) - 24} V${v(zMin) + 24}`}
              stroke="var(--color-rule)"
              strokeDasharray="14 4 3 4"
            />
          </g>
          <g aria-hidden="true" fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.3}>
            {design.bodies.flatMap((body) => {
              const widest = Math.max(...body.frames.map((frame) => frame.width), body.kind === 'plank' ? 5 : 1);
              const top = Math.max(...body.frames.map((frame) => frame.top));
              const bottom = Math.min(...body.frames.map((frame) => frame.bottom));
              return (body.mirrored ? [1, -1] : [1]).map((side) => (
                <rect
                  key={`${body.id}${side}`}
                  x={u(side * body.position.y - widest / 2)}
                  y={v(body.position.z + top)}
                  width={widest * scale}
                  height={(top - bottom) * scale}
                  rx={body.kind === 'round' ? (widest * scale) / 2 : 0}
                />
              ));
            })}
            {placed.flatMap((surface) =>
              (surface.mirrored ? [1, -1] : [1]).map((side) => (
                <path
                  key={`${surface.id}${side}`}
                  d={surface.stations
                    .map(
                      ({ y, z }, index) =>
                        `${index ? 'L' : 'M'}${u(millimetresFromMetres(side * y))} ${v(millimetresFromMetres(z))}`,
                    )
                    .join(' ')}
                  fill="none"
                  strokeWidth={Math.max(2.5, 6 * scale)}
                  strokeLinejoin="round"
                />
              )),
            )}
            {design.propulsion.flatMap(({ id, position, propellerDiameter, mirrored }) =>
              (mirrored ? [1, -1] : [1]).map((side) => (
                <circle
                  key={`${id}${side}`}
                  cx={u(side * position.y)}
                  cy={v(position.z)}
                  r={(propellerDiameter / 2) * scale}
                  fill="none"
                  stroke="var(--color-faint)"
                  strokeDasharray="4 4"
                />
              )),
            )}
            {design.wheels.flatMap(({ id, position, diameter, mirrored }) =>
              (mirrored ? [1, -1] : [1]).map((side) => (
                <rect
                  key={`${id}${side}`}
                  x={u(side * position.y) - 4}
                  y={v(position.z + Math.max(diameter, 8) / 2)}
                  width={8}
                  height={Math.max(diameter, 8) * scale}
                  rx={3}
                />
              )),
            )}
          </g>
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
                  {surface.source.name || surface.id}: tip{' '}
                  {formatLength(millimetresFromMetres(tipRise(surface)), units)} up, as good as{' '}
                  {decimal(effectiveDihedral(surface), 1)}°
                </text>
              );
            })}
          {cg && <BalanceMark x={u(0)} y={v(millimetresFromMetres(cg[2]))} />}
          {handles.map((handle) => (
            <HandleMark key={handle.id} handle={handle} x={u(handle.at[0])} y={v(handle.at[1])} perPixel={1 / scale} />
          ))}
        </svg>
      )}
    </div>
  );
}
