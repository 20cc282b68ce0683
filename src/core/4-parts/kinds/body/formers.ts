import { type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { circle, openLine, type Path, rectangle } from '@/core/3-shape/outline/path';
import type { PartLine, PartOutline } from '@/core/3-shape/outline/partOutline';
import type { CutPart } from '../../part';
import { clockwise, cutOut } from '../../polygons';
import { flatSeat, type Seat } from '../../seat';
import { type Frame, LEAST, nameOfBody, partOf, type Stuff, textAt, wallAt } from './stuff';
import type { Tray } from './tray';

/** A former at every frame that has room; the first one is the firewall where a motor pulls there. */
export function formersOf(stuff: Stuff, tray: Tray | null): CutPart[] {
  const { body } = stuff;
  return body.frames.flatMap((frame, index): CutPart[] => {
    const former = formerRoom(stuff, frame);
    if (!former) return [];
    const { width: w, height: h } = former;
    const motor = index === 0 ? motorAt(stuff.design, body) : null;
    const name = motor ? `${nameOfBody(body)}, firewall` : `${nameOfBody(body)}, former ${index + 1}`;
    const cuts = motor ? [] : cutsIn(stuff, frame, former, tray);
    const whole = rectangle(0, 0, w, h);
    const region = cutOut(
      { edge: whole, holes: [] },
      cuts.map(({ path }) => path),
    ) ?? { edge: whole, holes: [] };
    const outline: PartOutline = {
      name,
      edge: region.edge,
      holes: region.holes.map(clockwise),
      lines: [middle([w / 2, 0], [w / 2, former.clear]), ...(former.clear < h ? [] : [middle([0, h / 2], [w, h / 2])])],
      texts: textAt(name, [2, Math.min(0.2 * h, 0.3 * former.clear)], Math.min(6, former.clear / 5), w - 4),
    };
    const notes: Words[] = [
      say`${millimetres(frame.x, 0)} behind the front of the body, between the sides, under the top`,
    ];
    if (motor)
      notes.push(
        say`tilted ${degrees(motor.down, 1)} down and ${degrees(motor.right, 1)} right; glued and screwed, not board alone`,
      );
    notes.push(...cuts.map(({ note }) => note));
    return [
      partOf(stuff, motor ? 'firewall' : 'former', `former-${index + 1}`, outline, {
        notes,
        seat: seatOf(stuff, frame, former, { motor, isLast: index === body.frames.length - 1, isFirst: index === 0 }),
      }),
    ];
  });
}

const middle = (from: readonly [number, number], to: readonly [number, number]): PartLine => ({
  kind: 'mark',
  path: openLine([from, to]),
});

interface Room {
  readonly width: Millimetres;
  readonly height: Millimetres;
  /** Lower left corner above the body and to the right of its middle. */
  readonly left: Millimetres;
  readonly bottom: Millimetres;
  /** Height that nothing is cut from. */
  clear: Millimetres;
}

/** The room between sides, top and bottom at a frame, less the play of what is glued in. */
function formerRoom(stuff: Stuff, { x, width, top, bottom }: Frame): Room | null {
  const { wall, allowances } = stuff;
  const w = width - 2 * (wallAt(stuff, x) + allowances.former);
  const h = top - bottom - 2 * (wall + allowances.former);
  if (w < LEAST || h < LEAST) return null;
  return { width: w, height: h, left: -w / 2, bottom: bottom + wall + allowances.former, clear: h };
}

interface Cut {
  readonly path: Path;
  readonly note: Words;
}

/** How high and wide a slot for a pushrod is beside its rod, and how far from the side [mm]: it swings. */
const PUSHROD = { width: 5, height: 10, aside: 5 } as const;

/** Rods that run through, pushrods, and the bay of the pack. */
function cutsIn(stuff: Stuff, frame: Frame, room: Room, tray: Tray | null): Cut[] {
  const { body, allowances } = stuff;
  const { x } = frame;
  const rods = body.rods
    .filter(({ from, to }) => from <= x + 1e-6 && to >= x - 1e-6)
    .flatMap((rod) =>
      (rod.mirrored ? [rod.y, -rod.y] : [rod.y]).map((y): Cut => {
        const [cx, cy] = [y - room.left, rod.z - room.bottom];
        const [a, b] = [rod.width / 2 + allowances.slot, (rod.height || rod.width) / 2 + allowances.slot];
        return {
          path: rod.shape === 'rectangle' ? rectangle(cx - a, cy - b, cx + a, cy + b) : circle([cx, cy], a),
          note: say`${rod.name || rod.id} runs through, ${millimetres(allowances.slot, 1)} of play`,
        };
      }),
    );
  const count = pushrodsPast(stuff.design, body, x);
  const pushrods = Array.from({ length: count }, (_, index): Cut => {
    const near = PUSHROD.aside + Math.floor(index / 2) * (PUSHROD.width + 4);
    const left = index % 2 === 0 ? near : room.width - near - PUSHROD.width;
    const low = room.height / 2 - PUSHROD.height / 2;
    return {
      path: rectangle(left, low, left + PUSHROD.width, low + PUSHROD.height),
      note: say`slot for a pushrod, ${millimetres(PUSHROD.height, 0)} high: it may touch nowhere`,
    };
  }).filter(() => room.height > 2 * PUSHROD.height && room.width > 2 * (PUSHROD.aside + PUSHROD.width));
  if (!tray || x <= tray.from || x >= tray.to) return [...rods, ...pushrods];
  // Open upwards over the bay: the tray lies on what is left below.
  const floor = Math.max(allowances.web, tray.under - room.bottom);
  const aside = Math.max(allowances.web, (room.width - tray.packWidth) / 2 - 1);
  if (floor >= room.height || room.width - 2 * aside < 4) return [...rods, ...pushrods];
  room.clear = floor;
  return [
    ...rods,
    {
      path: rectangle(aside, floor, room.width - aside, room.height + 1),
      note: say`open above for the pack and its tray`,
    },
  ];
}

/** Pushrods that run past a place on their way from servos in the body to controls behind it. */
function pushrodsPast({ surfaces, massItems }: Design, { frames, position }: Body, x: Millimetres): number {
  const [front, rear] = [position.x + frames[0]!.x, position.x + frames.at(-1)!.x];
  const servos = massItems.filter(
    ({ category, position: own }) =>
      category === 'servo' && own.x > front && own.x < rear && Math.abs(own.y - position.y) < 40,
  );
  if (servos.length === 0) return 0;
  const first = Math.min(...servos.map(({ position: own }) => own.x)) - position.x;
  if (x <= first) return 0;
  return surfaces
    .filter(
      ({ position: own, stations }) => own.x + stations[0]!.chord / 2 - position.x > x && own.x > servos[0]!.position.x,
    )
    .flatMap(({ controls }) => controls)
    .filter(({ servo }) => servo?.pushrod).length;
}

/** The drive that pulls at the front of a body. */
function motorAt(
  { propulsion }: Design,
  { position, frames }: Body,
): { readonly down: number; readonly right: number } | null {
  const front = position.x + frames[0]!.x;
  const near = propulsion.find(
    ({ kind, position: own }) =>
      kind === 'tractor' && Math.abs(own.y - position.y) < 5 && own.x < front + 30 && own.x > front - 120,
  );
  return near ? { down: near.downThrust, right: near.rightThrust } : null;
}

interface Standing {
  readonly motor: { readonly down: number; readonly right: number } | null;
  readonly isFirst: boolean;
  readonly isLast: boolean;
}

/** Across the body at its frame; at the ends within it; a firewall square to the thrust line. */
function seatOf(
  { body: { position }, thickness }: Stuff,
  { x }: Frame,
  { left, bottom, width, height }: Room,
  { motor, isFirst, isLast }: Standing,
): Seat {
  const inwards = isFirst ? thickness / 2 : isLast ? -thickness / 2 : 0;
  const at = [position.x + x + inwards, position.y + left, position.z + bottom] as const;
  if (!motor) return flatSeat(at, [0, 1, 0], [0, 0, 1]);
  const [down, right] = [radiansFromDegrees(motor.down), radiansFromDegrees(motor.right)];
  // Turned about its own middle: the upper edge forward by the down thrust, the left edge by the right thrust.
  const along = [Math.sin(right), Math.cos(right), 0] as const;
  const up = [-Math.sin(down), 0, Math.cos(down)] as const;
  const shift = (axis: 0 | 1 | 2) => at[axis] + ((axis === 1 ? width : 0) + (axis === 2 ? height : 0)) / 2;
  const corner = (axis: 0 | 1 | 2) => shift(axis) - (along[axis] * width + up[axis] * height) / 2;
  return flatSeat([corner(0), corner(1), corner(2)], along, up);
}
