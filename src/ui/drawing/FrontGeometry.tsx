import { memo } from 'react';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { Outline } from '../sheet/Outline';

interface FrontGeometryProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  /** Millimetres to the right and up, in pixels. */
  readonly u: (y: number) => number;
  readonly v: (z: number) => number;
  readonly scale: number;
}

/** Bodies, panels, propeller discs and wheels as they are met from ahead. */
export const FrontGeometry = memo(function FrontGeometry({ design, placed, u, v, scale }: FrontGeometryProps) {
  return (
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
          <Outline
            key={`${surface.id}${side}`}
            data-part={`surface ${surface.id}`}
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
  );
});
