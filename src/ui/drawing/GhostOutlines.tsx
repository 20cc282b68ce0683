import { useMemo } from 'react';
import type { Design } from '@/core/document/schema/design';
import { bodySide, type Outline, placeAll, planOutline, sideOutline } from './outlines';

interface GhostOutlinesProps {
  readonly design: Design;
  readonly path: (outline: Outline, vertical: (v: number) => number, close?: boolean) => string;
  readonly plan: (y: number) => number;
  readonly side: (z: number) => number;
  readonly both: (outline: Outline) => readonly Outline[];
}

/** Another state of the design, dashed, under the same scale. */
export function GhostOutlines({ design, path, plan, side, both }: GhostOutlinesProps) {
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
              <path key={`s${index}`} d={path(line, side, line.length > 2)} />
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
