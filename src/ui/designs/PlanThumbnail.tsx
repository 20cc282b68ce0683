import type { Design } from '@/core/document/schema/design';
import { bodyPlan, extentsOf, type Outline, placeAll, planOutline } from '../drawing/outlines';

const WIDTH = 112;
const HEIGHT = 64;

/** A small plan of a design, nose up. */
export function PlanThumbnail({ design }: { readonly design: Design }) {
  const placed = placeAll(design.surfaces);
  const { xMin, xMax, yMax } = extentsOf(design, placed);
  const scale = Math.min(WIDTH / (2 * yMax), HEIGHT / (xMax - xMin)) * 0.94;
  const draw = (outline: Outline, mirror: 1 | -1) =>
    `${outline
      .map(
        ([x, y], index) =>
          `${index ? 'L' : 'M'}${(WIDTH / 2 + mirror * y * scale).toFixed(1)} ${((x - (xMin + xMax) / 2) * scale + HEIGHT / 2).toFixed(1)}`,
      )
      .join(' ')} Z`;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true" className="shrink-0">
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
