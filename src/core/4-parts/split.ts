import { millimetres, say } from '@/core/1-base/words/phrase';
import type { Millimetres } from '@/core/1-base/units/convert';
import { boundsOfPart, type PartLine } from '@/core/3-shape/outline/partOutline';
import { type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import type { CutPart } from './part';
import { common, cutOut, spanAt } from './polygons';

/** Where a part may rather be cut: at a line across it that is drawn anyway, this near to an even share [of the piece]. */
const RATHER = 0.25;
/** Half of a brace behind a joint, along the part [mm]. */
const BRACE: Millimetres = 50;

/** Places of lines that cross a part from edge to edge: frames, bends. */
const crossings = ({ outline }: CutPart): Millimetres[] =>
  outline.lines.flatMap(({ path: { vertices } }) => {
    const [a, b] = [vertices[0], vertices.at(-1)];
    return a && b && Math.abs(a.x - b.x) < 0.5 && Math.abs(a.y - b.y) > 5 ? [(a.x + b.x) / 2] : [];
  });

/** Lines as far as they lie between two places along the part. */
function linesBetween(lines: readonly PartLine[], from: Millimetres, to: Millimetres): PartLine[] {
  return lines.flatMap(({ kind, path }): PartLine[] => {
    if (path.isClosed || path.vertices.length !== 2) {
      const all = path.vertices.every(({ x }) => x >= from && x <= to);
      return all ? [{ kind, path }] : [];
    }
    const [a, b] = path.vertices as [Vertex, Vertex];
    const at = (x: Millimetres): Point => [x, a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x || 1)];
    const [low, high] = [Math.max(from, Math.min(a.x, b.x)), Math.min(to, Math.max(a.x, b.x))];
    if (high < low) return [];
    if (Math.abs(a.x - b.x) < 1e-6) return a.x >= from && a.x <= to ? [{ kind, path }] : [];
    if (high - low < 0.5) return [];
    const points = a.x < b.x ? [at(low), at(high)] : [at(high), at(low)];
    return [{ kind, path: { vertices: points.map(([x, y]) => ({ x, y })), isClosed: false } }];
  });
}

interface Vertex {
  readonly x: Millimetres;
  readonly y: Millimetres;
}

/**
 * A part that is longer than its sheet in pieces that are not, butted and
 * braced behind each joint; at a frame or bend where one is near. One that fits
 * stays what it is.
 */
export function splitToFit(part: CutPart, longest: Millimetres): CutPart[] {
  const { left, right, bottom, top } = boundsOfPart(part.outline);
  const length = right - left;
  if (length <= longest || part.kind === 'gauge' || part.kind === 'template') return [part];
  const pieces = Math.ceil(length / (longest * 0.98));
  const near = crossings(part);
  const cuts = Array.from({ length: pieces - 1 }, (_, index) => {
    const even = left + (length * (index + 1)) / pieces;
    const own = near.toSorted((a, b) => Math.abs(a - even) - Math.abs(b - even))[0];
    const isNear = own !== undefined && Math.abs(own - even) < (RATHER * length) / pieces;
    // What moves it must not make a neighbour too long.
    return isNear && Math.abs(own - even) <= longest - length / pieces ? own : even;
  });
  const places = [left - 1, ...cuts, right + 1];
  const parts = places.slice(1).flatMap((to, index): CutPart[] => {
    const from = places[index]!;
    const window = polygon([
      [from, bottom - 1],
      [to, bottom - 1],
      [to, top + 1],
      [from, top + 1],
    ]);
    const [edge] = common(part.outline.edge, window);
    if (!edge) return [];
    const region = cutOut({ edge, holes: [] }, part.outline.holes);
    const name = `${part.name}, piece ${index + 1} of ${pieces}`;
    return [
      {
        ...part,
        id: `${part.id}-piece-${index + 1}`,
        name,
        outline: {
          name,
          edge: region?.edge ?? edge,
          holes: region?.holes ?? [],
          lines: linesBetween(part.outline.lines, from, to),
          texts: [
            {
              words: name,
              at: [Math.max(from, left) + 12, middleAt(edge, Math.max(from, left) + 12)],
              height: 6,
              turn: 0,
            },
          ],
        },
        notes: [
          ...part.notes,
          ...(index < pieces - 1
            ? [
                say`butt joint ${millimetres(to - left, 0)} from the front or root, a brace of ${millimetres(2 * BRACE, 0)} behind it`,
              ]
            : []),
        ],
      },
    ];
  });
  const braces = cuts.map((cut, index): CutPart => {
    const reach = spanOf(part, cut);
    const high = Math.max(8, 0.8 * reach);
    const name = `${part.name}, brace ${index + 1}`;
    return {
      ...part,
      id: `${part.id}-brace-${index + 1}`,
      kind: 'brace',
      name,
      outline: {
        name,
        edge: polygon([
          [0, 0],
          [2 * BRACE, 0],
          [2 * BRACE, high],
          [0, high],
        ]),
        holes: [],
        lines: [
          {
            kind: 'mark',
            path: {
              vertices: [
                { x: BRACE, y: 0 },
                { x: BRACE, y: high },
              ],
              isClosed: false,
            },
          },
        ],
        texts: [{ words: name, at: [4, 0.3 * high], height: Math.min(5, 0.3 * high), turn: 0 }],
      },
      isAlongGrain: true,
      hasFace: false,
      notes: [say`glued over the joint, half on either piece`],
    };
  });
  return [...parts, ...braces];
}

const middleAt = (edge: Path, x: Millimetres): Millimetres => {
  const [low, high] = spanAt(edge, x);
  return low <= high ? (low + high) / 2 : 0;
};

const spanOf = ({ outline }: CutPart, x: Millimetres): Millimetres => {
  const [low, high] = spanAt(outline.edge, x);
  return Math.max(0, high - low);
};
