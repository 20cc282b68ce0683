import { degrees, say } from '@/core/1-base/words/phrase';
import { openLine, type Point, polygon } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import type { Body } from '@/core/2-document/schema/airframe';
import { develop, type Place3 } from '../../develop';
import type { CutPart } from '../../part';
import { anticlockwise } from '../../polygons';
import { flatSeat } from '../../seat';
import { nameOfSurface } from '../panels';
import { passingAt } from '../sectionAtWall';
import { type BodyParts, type Frame, LEAST, nameOfBody, partOf, type Stuff, textAt } from './stuff';

/** Points round a frame of a round body, from the middle below over the right side and back. */
const AROUND = 48;

/** Whether a surface lies within the length and height of a body. */
const meets = ({ frames, position }: Body, nose: number, tail: number, height: number): boolean =>
  tail > position.x + frames[0]!.x &&
  nose < position.x + frames.at(-1)!.x &&
  height > position.z + Math.min(...frames.map(({ bottom }) => bottom)) &&
  height < position.z + Math.max(...frames.map(({ top }) => top));

/** Between frames a strip that is bent round; formers are ellipses. */
export function round(stuff: Stuff): BodyParts {
  const { body, wall: thickness, allowances } = stuff;
  const name = nameOfBody(body);
  const ring = ({ x, width, top, bottom }: Frame): Place3[] =>
    Array.from({ length: AROUND + 1 }, (_, index) => {
      const turn = (2 * Math.PI * index) / AROUND - Math.PI / 2;
      // Along the middle of the board: that is what keeps its length.
      const [a, b] = [Math.max(0.5, (width - thickness) / 2), Math.max(0.5, (top - bottom - thickness) / 2)];
      return [x, a * Math.cos(turn), (top + bottom) / 2 + b * Math.sin(turn)];
    });
  const through = passingAt(stuff.design.surfaces, 0)
    .filter(({ nose, tail, height }) => meets(body, nose, tail, height))
    .map(
      ({ surface }) =>
        say`${nameOfSurface(surface)} passes it at ${degrees(surface.incidence, 2)}: hold its section or its gauge against the bent shell, draw round it and cut there`,
    );
  const shells = body.frames.slice(0, -1).map((a, index): CutPart => {
    const flat = develop(ring(a), ring(body.frames[index + 1]!));
    const label = body.frames.length > 2 ? `${name}, shell ${index + 1}` : `${name}, shell`;
    return partOf(
      stuff,
      'shell',
      `shell-${index + 1}`,
      {
        name: label,
        edge: anticlockwise(polygon([...flat.near, ...flat.far.toReversed()])),
        holes: [],
        lines: Array.from({ length: AROUND - 1 }, (_, line): PartLine => ({
          kind: 'dent',
          path: openLine([flat.near[line + 1]!, flat.far[line + 1]!]),
        })).filter((_, line) => line % 4 === 3),
        texts: textAt(label, [10, 12]),
      },
      { notes: [say`dent along the lines, bend it round the formers, butt it below`, ...through], hasFace: true },
    );
  });
  const formers = body.frames.flatMap(({ x, width, top, bottom }, index): CutPart[] => {
    const [a, b] = [width / 2 - thickness - allowances.former, (top - bottom) / 2 - thickness - allowances.former];
    if (a < LEAST || b < LEAST) return [];
    const label = `${name}, former ${index + 1}`;
    return [
      partOf(
        stuff,
        'former',
        `former-${index + 1}`,
        {
          name: label,
          edge: polygon(
            Array.from({ length: AROUND }, (_, point): Point => {
              const turn = (2 * Math.PI * point) / AROUND;
              return [a * Math.cos(turn), b * Math.sin(turn)];
            }),
          ),
          holes: [],
          lines: [
            {
              kind: 'mark',
              path: openLine([
                [0, -b],
                [0, b],
              ]),
            },
            {
              kind: 'mark',
              path: openLine([
                [-a, 0],
                [a, 0],
              ]),
            },
          ],
          texts: textAt(label, [-a * 0.7, b * 0.2], b / 4, 1.4 * a),
        },
        {
          seat: flatSeat(
            [body.position.x + x, body.position.y, body.position.z + (top + bottom) / 2],
            [0, 1, 0],
            [0, 0, 1],
          ),
        },
      ),
    ];
  });
  return { parts: [...shells, ...formers], faults: [] };
}
