import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { bodyPlan, planOutline } from '@/core/3-shape/outline/views';
import type { VariantBeside } from '@/store/compareSlice';
import { SIX, SIX_LOOKS, STROKES } from '../charts/looks';
import { letterOf } from './variantWords';

const [WIDTH, HEIGHT] = [560, 250];
const FILLED = 0.94;

/** All plans over one another, wings at the same place: leading edges of the foremost parts together. */
export function PlansOver({ variants }: { readonly variants: readonly VariantBeside[] }) {
  const all = variants.map(({ design }) => {
    const placed = placeAll(design.surfaces);
    return { design, placed, extents: extentsOf(design, placed) };
  });
  const [most, from, to] = [
    Math.max(...all.map(({ extents }) => extents.yMax)),
    Math.min(...all.map(({ extents }) => extents.xMin)),
    Math.max(...all.map(({ extents }) => extents.xMax)),
  ];
  const scale = Math.min(WIDTH / (2 * most), HEIGHT / (to - from)) * FILLED;
  const draw = (path: Parameters<typeof svgPath>[0], mirror: 1 | -1) =>
    svgPath(path, {
      place: ([x, y]) => [WIDTH / 2 + mirror * y * scale, (x - (from + to) / 2) * scale + HEIGHT / 2],
      scale,
      isMirrored: mirror === 1,
    });
  return (
    <figure className="max-w-3xl">
      <figcaption className="font-semibold">Plans to one scale, data at the same place</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label="Plans over one another">
        {all.map(({ design, placed }, index) => {
          const { color, width } = SIX_LOOKS[SIX[index]!];
          const sides = [1, -1] as const;
          return (
            <g key={index} fill="none" stroke={color} strokeWidth={width * 0.7} strokeDasharray={STROKES[SIX[index]!]}>
              {design.bodies.flatMap((body) =>
                sides
                  .slice(0, body.mirrored ? 2 : 1)
                  .map((side) => <path key={`${body.id}${side}`} d={draw(bodyPlan(body), side)} />),
              )}
              {placed.flatMap((surface) => {
                const outline = planOutline(surface);
                return outline
                  ? sides.map((side) => <path key={`${surface.id}${side}`} d={draw(outline, side)} />)
                  : [];
              })}
            </g>
          );
        })}
      </svg>
      <ul className="flex flex-wrap gap-x-4 text-label">
        {variants.map(({ key, name }, index) => (
          <li key={key} className="flex items-center gap-1.5">
            <svg width={34} height={8} aria-hidden="true">
              <line
                x1={0}
                x2={34}
                y1={4}
                y2={4}
                stroke={SIX_LOOKS[SIX[index]!].color}
                strokeWidth={2}
                strokeDasharray={STROKES[SIX[index]!]}
              />
            </svg>
            {letterOf(index)} {name}
          </li>
        ))}
      </ul>
    </figure>
  );
}
