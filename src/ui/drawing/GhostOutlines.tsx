import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { bodySide, planOutline, sideOutline } from '@/core/3-shape/outline/views';
import type { PlanFrame } from './planFrame';

interface GhostOutlinesProps {
  readonly design: Design;
  readonly frame: PlanFrame;
}

/** Another state of the design, dashed, under the same scale. */
export function GhostOutlines({ design, frame }: GhostOutlinesProps) {
  const { path, plan, side, both } = frame;
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
            {outline && both(outline).map((half, index) => <path key={index} d={path(half, plan)} />)}
            {sideOutline(surface, 1).map((line, index) => (
              <path key={`s${index}`} d={path(line, side)} />
            ))}
          </g>
        );
      })}
      {design.bodies.map((body) => (
        <path key={body.id} d={path(bodySide(body), side)} />
      ))}
    </g>
  );
}
