import { memo, useMemo } from 'react';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { mirrored, type Path } from '@/core/3-shape/outline/path';
import { bodyPlan, hingeLines, planOutline, rodLines } from '@/core/3-shape/outline/views';
import type { SpanFrame } from './spanFrame';
import { Outline } from '../sheet/Outline';

export interface SpanPlanProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  readonly frame: SpanFrame;
}

const rightAndLeft =
  ({ path }: SpanFrame) =>
  (half: Path) => [path(half), path(mirrored(half))];

/** The aircraft from above, nose up. */
export function SpanPlan({ design, placed, frame }: SpanPlanProps) {
  const { u, plan } = frame;
  return (
    <g aria-hidden="true" fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.3}>
      <path
        d={`M${u(0)} ${plan.top - 6} V${plan.top + plan.height + 6}`}
        stroke="var(--color-rule)"
        strokeDasharray="14 4 3 4"
      />
      {design.bodies.map((body) => (
        <SpanBody key={body.id} body={body} frame={frame} />
      ))}
      {placed.map((surface) => (
        <SpanSurface key={surface.id} surface={surface} frame={frame} />
      ))}
    </g>
  );
}

/** It stays as it is while a wing is moved. */
const SpanBody = memo(function SpanBody({ body, frame }: { readonly body: Body; readonly frame: SpanFrame }) {
  const outlines = body.mirrored ? rightAndLeft(frame)(bodyPlan(body)) : [frame.path(bodyPlan(body))];
  return outlines.map((outline, index) => <Outline key={index} d={outline} />);
});

interface SpanSurfaceProps {
  readonly surface: PlacedSurface;
  readonly frame: SpanFrame;
}

const SpanSurface = memo(function SpanSurface({ surface, frame }: SpanSurfaceProps) {
  const both = rightAndLeft(frame);
  const outline = planOutline(surface);
  if (!outline) return null;
  return (
    <g data-part={`surface ${surface.id}`}>
      {both(outline).map((half, index) => (
        <Outline key={index} d={half} fillOpacity={0.82} />
      ))}
      {hingeLines(surface, 'plan')
        .flatMap(both)
        .map((line, index) => (
          <Outline key={`h${index}`} d={line} fill="none" strokeWidth={1} />
        ))}
      {rodLines(surface)
        .flatMap(({ path }) => both(path))
        .map((line, index) => (
          <Outline key={`r${index}`} d={line} fill="none" stroke="var(--color-rule)" strokeWidth={2} />
        ))}
    </g>
  );
});

/** Another state, dashed. */
export function GhostPlan({ design, frame }: Pick<SpanPlanProps, 'design' | 'frame'>) {
  const both = rightAndLeft(frame);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  return (
    <g
      aria-hidden="true"
      data-testid="ghost"
      fill="none"
      stroke="var(--color-balance)"
      strokeWidth={1.3}
      strokeDasharray="6 4"
    >
      {placed.flatMap((surface) => {
        const outline = planOutline(surface);
        return outline ? both(outline).map((half, index) => <path key={`${surface.id}${index}`} d={half} />) : [];
      })}
    </g>
  );
}
