import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { bodySide, planOutline, sideOutline } from '@/core/3-shape/outline/views';
import { useAppSelector } from '@/store/hooks';
import type { PlanFrame } from './planFrame';

interface GhostOutlinesProps {
  readonly design: Design;
  readonly frame: PlanFrame;
  readonly steeper: number;
}

/** Length of equipment without a size [mm]. */
const ITEM = 20;

/** Another state of the design, dashed, under the same scale. */
export function GhostOutlines({ design, frame, steeper }: GhostOutlinesProps) {
  const { path, plan, side, both, u, sideOnly } = frame;
  const present = useAppSelector((state) => state.document.present);
  const moved = design.massItems.filter(({ id, position }) => {
    const now = present?.massItems.find((item) => item.id === id)?.position;
    return now?.x !== position.x || now.z !== position.z;
  });
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  return (
    <g
      aria-hidden="true"
      fill="none"
      stroke="var(--color-balance)"
      strokeWidth={1.2}
      strokeDasharray="5 4"
      data-testid="ghost"
    >
      {placed.map((surface) => {
        const outline = planOutline(surface);
        return (
          <g key={surface.id}>
            {outline && !sideOnly && both(outline).map((half, index) => <path key={index} d={path(half, plan)} />)}
            {sideOutline(surface, steeper).map((line, index) => (
              <path key={`s${index}`} d={path(line, side)} />
            ))}
          </g>
        );
      })}
      {design.bodies.map((body) => (
        <path key={body.id} d={path(bodySide(body), side)} />
      ))}
      {moved.map(({ id, position, size }) => {
        const half = (frame.scale * (size?.length ?? ITEM)) / 2;
        return (
          <rect
            key={id}
            x={u(position.x) - half}
            y={side(position.z) - 6}
            width={2 * half}
            height={12}
            strokeWidth={1.8}
          />
        );
      })}
    </g>
  );
}
