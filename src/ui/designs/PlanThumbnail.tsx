import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import type { Path } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { bodyPlan, planOutline } from '@/core/3-shape/outline/views';

interface PlanThumbnailProps {
  readonly design: Design;
  readonly width?: number;
  readonly height?: number;
  /** Pixels per millimetre, for plans that are compared; without it as large as it can be. */
  readonly scale?: number;
}

/** Share of the paper that a plan may fill. */
const FILLED = 0.94;

/** Scale at which a plan fills its paper [px/mm]. */
export function fittedScale(design: Design, width: number, height: number): number {
  const { xMin, xMax, yMax } = extentsOf(design, placeAll(design.surfaces));
  return Math.min(width / (2 * yMax), height / (xMax - xMin)) * FILLED;
}

/** A small plan of a design, nose up. */
export function PlanThumbnail({ design, width = 112, height = 64, scale: wanted }: PlanThumbnailProps) {
  const placed = placeAll(design.surfaces);
  const { xMin, xMax } = extentsOf(design, placed);
  const scale = wanted ?? fittedScale(design, width, height);
  const draw = (path: Path, mirror: 1 | -1) =>
    svgPath(path, {
      place: ([x, y]) => [width / 2 + mirror * y * scale, (x - (xMin + xMax) / 2) * scale + height / 2],
      scale,
      isMirrored: mirror === 1,
    });
  return (
    <svg width={width} height={height} aria-hidden="true" className="shrink-0">
      <g fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1}>
        {design.bodies.flatMap((body) =>
          (body.mirrored ? ([1, -1] as const) : ([1] as const)).map((side) => (
            <path key={`${body.id}${side}`} d={draw(bodyPlan(body), side)} />
          )),
        )}
        {placed.flatMap((surface) => {
          const outline = planOutline(surface);
          return outline
            ? ([1, -1] as const).map((side) => <path key={`${surface.id}${side}`} d={draw(outline, side)} />)
            : [];
        })}
      </g>
    </svg>
  );
}
