import { millimetres, say } from '@/core/1-base/words/phrase';
import { openLine, type Path, rectangle } from '@/core/3-shape/outline/path';
import type { PartLine, PartOutline } from '@/core/3-shape/outline/partOutline';
import type { Body } from '@/core/2-document/schema/airframe';
import { clockwise, cutOut } from '../../polygons';
import { flatSeat } from '../../seat';
import { withOpenings } from './openings';
import { type BodyParts, framesBetween, nameOfBody, partOf, type Stuff, textAt } from './stuff';

/** A mark across the wall at every frame between the ends. */
export const frameMarks = ({ frames }: Body): PartLine[] =>
  frames.slice(1, -1).map(({ x, top, bottom }) => ({
    kind: 'mark',
    path: openLine([
      [x, bottom],
      [x, top],
    ]),
  }));

/** Equipment that is let into a board that stands upright. */
const LET_IN = new Set(['servo', 'receiver', 'battery', 'speedController']);
/** Round a box that is let in [mm]. */
const ROUND = 0.5;

/** Openings for the boxes that lie within the profile of an upright board. */
function boxesIn({ design, body, allowances }: Stuff): { readonly name: string; readonly path: Path }[] {
  const { frames, position } = body;
  return design.massItems.flatMap(({ category, size, position: own, name, id, inWind }) => {
    if (!LET_IN.has(category) || !size || inWind || Math.abs(own.y - position.y) > size.width / 2 + 1) return [];
    const [x, z] = [own.x - position.x, own.z - position.z];
    const [from, to] = [x - size.length / 2 - ROUND, x + size.length / 2 + ROUND];
    const [low, high] = [z - size.height / 2 - ROUND, z + size.height / 2 + ROUND];
    const walls = from > frames[0]!.x && to < frames.at(-1)!.x ? framesBetween(frames, from, to) : [];
    const isWithin =
      walls.length > 0 &&
      walls.every(({ top, bottom }) => high < top - allowances.web && low > bottom + allowances.web);
    return isWithin ? [{ name: name || id, path: rectangle(from, low, to, high) }] : [];
  });
}

/** One upright board, in as many layers; boxes are let into it. */
export function plank(stuff: Stuff): BodyParts {
  const { body } = stuff;
  const { layers } = body.construction!;
  const name = layers > 1 ? `${nameOfBody(body)}, layer` : nameOfBody(body);
  const opened = withOpenings(stuff, 0);
  const boxes = boxesIn(stuff);
  const withBoxes = cutOut(
    opened,
    boxes.map(({ path }) => path),
  );
  const region = withBoxes ?? opened;
  const place = body.frames[0]!;
  const outline: PartOutline = {
    name,
    edge: region.edge,
    holes: region.holes.map(clockwise),
    lines: frameMarks(body),
    texts: textAt(name, [place.x + 10, (place.top + place.bottom) / 2]),
  };
  const notes = [
    ...opened.notes,
    ...boxes.map(({ name: box }) => say`${box} is let in, ${millimetres(ROUND, 1)} of play all round`),
  ];
  const { x, y, z } = body.position;
  return {
    parts: [
      partOf(stuff, 'layer', 'layer', outline, {
        count: layers,
        notes,
        seat: flatSeat([x, y, z], [1, 0, 0], [0, 0, 1]),
      }),
    ],
    faults: [...opened.faults],
  };
}
