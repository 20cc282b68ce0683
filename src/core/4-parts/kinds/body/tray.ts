import type { Millimetres } from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import { openLine, rectangle } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import type { CutPart } from '../../part';
import { flatSeat } from '../../seat';
import { framesBetween, LEAST, nameOfBody, partOf, type Stuff, textAt, wallAt } from './stuff';

/** The bay of the pack: from where to where along the body, how high its floor lies, and the tray in it. */
export interface Tray {
  readonly from: Millimetres;
  readonly to: Millimetres;
  /** Lower face of the tray over the body position. */
  readonly under: Millimetres;
  readonly packWidth: Millimetres;
  readonly part: CutPart;
}

/** What a pack without a size is taken for, and room before and behind it [mm]. */
const USUAL_PACK = { length: 60, width: 30, height: 15 } as const;
const ROUND: Millimetres = 5;

/** A tray for the pack over the whole bay it slides in, its place marked. */
export function trayOf(stuff: Stuff): Tray | null {
  const { design, body, thickness, wall, allowances } = stuff;
  const { frames, position } = body;
  const [front, rear] = [position.x + frames[0]!.x, position.x + frames.at(-1)!.x];
  const pack = design.massItems.find(
    ({ category, position: own }) =>
      category === 'battery' && own.x > front && own.x < rear && Math.abs(own.y - position.y) < 30,
  );
  if (!pack) return null;
  const size = pack.size ?? USUAL_PACK;
  const half = size.length / 2;
  const bay =
    pack.attachment.kind === 'slides' ? [pack.attachment.from, pack.attachment.to] : [pack.position.x, pack.position.x];
  const from = Math.max(front + thickness, bay[0]! - half - ROUND) - position.x;
  const to = Math.min(rear - thickness, bay[1]! + half + ROUND) - position.x;
  const room = framesBetween(frames, from, to);
  if (room.length === 0 || to - from < 10) return null;
  const width = Math.min(...room.map((frame) => frame.width - 2 * (wallAt(stuff, frame.x) + allowances.former)));
  if (width < LEAST) return null;
  const name = `${nameOfBody(body)}, tray`;
  const mark = (x: Millimetres): PartLine => ({
    kind: 'mark',
    path: openLine([
      [x - from - position.x, 0],
      [x - from - position.x, width],
    ]),
  });
  // On the floor of the body, or right under the pack where that is higher.
  const floor = Math.max(...room.map(({ bottom }) => bottom)) + wall;
  const under = Math.max(floor, pack.position.z - position.z - size.height / 2 - thickness);
  return {
    from,
    to,
    under,
    packWidth: size.width,
    part: partOf(
      stuff,
      'tray',
      'tray',
      {
        name,
        edge: rectangle(0, 0, to - from, width),
        holes: [],
        lines: [pack.position.x - half, pack.position.x, pack.position.x + half].map(mark),
        texts: textAt(name, [4, width * 0.35], width / 5),
      },
      {
        notes: [
          say`the pack is drawn between the outer marks, its middle ${millimetres(pack.position.x, 0)} behind the datum; it lies on the formers of the bay, which are open above it`,
        ],
        seat: flatSeat(
          [position.x + from, position.y - width / 2, position.z + under + thickness / 2],
          [1, 0, 0],
          [0, 1, 0],
        ),
      },
    ),
  };
}
