import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { openLine, type Point, polygon, transformed } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import { develop, type Place3 } from '../../develop';
import type { CutPart, PartFault } from '../../part';
import { anticlockwise, cutOut, grown, piecesLeft } from '../../polygons';
import { flatSeat } from '../../seat';
import { nameOfSurface } from '../panels';
import { passingAt } from '../sectionAtWall';
import { finFeet } from './finFeet';
import { crosswiseOpenings, footprint, isBeside, type RoundStrip } from './shellOpenings';
import { type BodyParts, type Frame, LEAST, nameOfBody, partOf, type Stuff, textAt } from './stuff';

/** Points round a frame of a round body, from the middle below over the right side and back. */
const AROUND = 48;

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
  const passing = sectionsThrough(stuff);
  const faults: PartFault[] = [];
  const shells = body.frames.slice(0, -1).map((a, index): CutPart => {
    const [near, far] = [ring(a), ring(body.frames[index + 1]!)];
    const flat = develop(near, far);
    const strip: RoundStrip = { near, far, flat };
    const label = body.frames.length > 2 ? `${name}, shell ${index + 1}` : `${name}, shell`;
    const whole = { edge: anticlockwise(polygon([...flat.near, ...flat.far.toReversed()])), holes: [] };
    const feet = (['top', 'bottom'] as const).flatMap((which) =>
      finFeet(stuff, which, [a, body.frames[index + 1]!]).map((foot) => ({
        ...foot,
        paths: footprint(strip, foot, which),
      })),
    );
    const crosswise = passing.flatMap(({ surface, section }) => {
      const cuts = isBeside(strip, section) ? crosswiseOpenings(strip, section) : [];
      return cuts.length > 0 ? [{ surface, cuts }] : [];
    });
    const cuts = [
      ...crosswise.flatMap((one) => one.cuts),
      ...feet.flatMap(({ isThrough, paths }) => (isThrough ? paths : [])),
    ];
    const isWhole = piecesLeft(whole.edge, cuts) === 1;
    if (!isWhole)
      faults.push({
        owner: body.id,
        message: say`What passes ${label} cuts it in pieces: it is drawn whole. Make the body larger there, or let less pass it.`,
      });
    const region = (isWhole ? cutOut(whole, cuts) : null) ?? whole;
    const dents = Array.from({ length: AROUND - 1 }, (_, line): PartLine => ({
      kind: 'dent',
      path: openLine([flat.near[line + 1]!, flat.far[line + 1]!]),
    })).filter((_, line) => line % 4 === 3);
    const notes: Words[] = [
      say`dent along the lines, bend it round the formers, butt it below`,
      ...crosswise.map(
        ({ surface }) =>
          say`${nameOfSurface(surface)} passes it at ${degrees(surface.incidence, 2)}, ${millimetres(allowances.slot, 1)} of play all round; the surface runs through`,
      ),
      ...feet.map(({ name: fin, isThrough }) =>
        isThrough ? say`${fin} goes through its slot, the fin runs through` : say`${fin} stands on its mark`,
      ),
    ];
    return partOf(
      stuff,
      'shell',
      `shell-${index + 1}`,
      {
        name: label,
        edge: region.edge,
        holes: region.holes,
        lines: [
          ...dents,
          ...feet.flatMap(({ isThrough, paths }) =>
            isThrough ? [] : paths.map((path): PartLine => ({ kind: 'mark', path })),
          ),
        ],
        texts: textAt(label, [10, 12]),
      },
      { notes, hasFace: true },
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
  return { parts: [...shells, ...formers], faults };
}

/** Sections of what passes the body crosswise, with its play, in the axes of the body; of a pod aside the section halfway in. */
function sectionsThrough({ design, body, allowances }: Stuff) {
  const half = Math.max(...body.frames.map(({ width }) => width)) / 2;
  return passingAt(design.surfaces, Math.abs(body.position.y) + half / 2).flatMap(({ surface, edge }) =>
    grown(transformed(edge, { by: [-body.position.x, -body.position.z] }), allowances.slot).map((section) => ({
      surface,
      section,
    })),
  );
}
