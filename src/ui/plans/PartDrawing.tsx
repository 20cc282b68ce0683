import { degreesFromRadians } from '@/core/1-base/units/convert';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { pieces, type Point } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import type { CutPart } from '@/core/4-parts/part';
import { LAYER_LOOKS, linesOf } from '@/files/plans/layers';
import { useAppSelector } from '@/store/hooks';
import { formatLength } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';

/** Room for dimensions round a part [px]. */
const ROOM = 56;
/** Edges shorter than this share of all of them, or than so many pixels, are not measured. */
const LONG_ENOUGH = 0.03;
const READABLE = 34;
const OFF = 12;

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly length: number;
}

/** Straight edges that are worth a dimension. */
function longEdges({ outline }: CutPart): Edge[] {
  const all = pieces(outline.edge)
    .filter(({ bulge }) => bulge === 0)
    .map(({ a, b }): Edge => ({ a: [a.x, a.y], b: [b.x, b.y], length: Math.hypot(b.x - a.x, b.y - a.y) }));
  const round = all.reduce((sum, { length }) => sum + length, 0);
  return all.filter(({ length }) => length > LONG_ENOUGH * round);
}

/** One part by itself, as large as there is room, with the length of its edges and the box round it. */
export function PartDrawing({ part }: { readonly part: CutPart }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const { left, right, bottom, top } = boundsOfPart(part.outline);
  const scale = Math.max(
    0.01,
    Math.min((width - 2 * ROOM) / (right - left || 1), (height - 2 * ROOM) / (top - bottom || 1)),
  );
  const [x0, y0] = [(width - (right - left) * scale) / 2, (height - (top - bottom) * scale) / 2];
  const place = ([x, y]: Point) => [x0 + (x - left) * scale, y0 + (top - y) * scale] as const;
  const paper = { place, scale, isMirrored: true };
  const edges = longEdges(part);
  const words = (length: number) => formatLength(length, units, 1);
  const [low, high] = [place([left, bottom]), place([right, top])];
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      role="img"
      name={`${part.name} by itself: ${words(right - left)} by ${words(top - bottom)}`}
      caption={part.name}
      over={
        <HiddenTable
          caption={`Edges of ${part.name}`}
          columns={['Edge', 'Length']}
          rows={() => edges.map(({ length }, index) => [String(index + 1), words(length)])}
        />
      }
    >
      {linesOf(part.outline).map(([layer, path], line) => (
        <path
          key={line}
          d={svgPath(path, paper)}
          fill={line === 0 ? 'white' : layer === 'cut' && path.isClosed ? 'var(--color-paper)' : 'none'}
          stroke={layer === 'cut' ? 'var(--color-graphite)' : LAYER_LOOKS[layer].colour}
          strokeWidth={layer === 'cut' ? 1.4 : 0.9}
          {...(LAYER_LOOKS[layer].dash === null ? {} : { strokeDasharray: LAYER_LOOKS[layer].dash! })}
        />
      ))}
      <g fill="var(--color-balance)" fontSize={11} aria-hidden="true">
        {edges.map(({ a, b, length }, index) => {
          const [from, to] = [place(a), place(b)];
          if (Math.hypot(to[0] - from[0], to[1] - from[1]) < READABLE) return null;
          const angle = degreesFromRadians(Math.atan2(to[1] - from[1], to[0] - from[0]));
          // Anticlockwise round the part, its outside lies to the right of the way, on the screen below it.
          const upright = angle > 90 || angle <= -90 ? angle + 180 : angle;
          const side = upright === angle ? 1 : -1;
          return (
            <text
              key={index}
              transform={`translate(${(from[0] + to[0]) / 2} ${(from[1] + to[1]) / 2}) rotate(${upright})`}
              textAnchor="middle"
              dy={side > 0 ? OFF : -4}
            >
              {words(length)}
            </text>
          );
        })}
      </g>
      <g stroke="var(--color-faint)" strokeWidth={0.8} fill="var(--color-faint)" fontSize={12} aria-hidden="true">
        <path d={`M${low[0]} ${low[1] + 34}H${high[0]}M${low[0]} ${low[1] + 29}v10M${high[0]} ${low[1] + 29}v10`} />
        <text x={(low[0] + high[0]) / 2} y={low[1] + 48} textAnchor="middle" stroke="none">
          {words(right - left)}
        </text>
        <path d={`M${low[0] - 34} ${low[1]}V${high[1]}M${low[0] - 39} ${low[1]}h10M${low[0] - 39} ${high[1]}h10`} />
        <text
          transform={`translate(${low[0] - 40} ${(low[1] + high[1]) / 2}) rotate(-90)`}
          textAnchor="middle"
          stroke="none"
        >
          {words(top - bottom)}
        </text>
      </g>
    </Paper>
  );
}
