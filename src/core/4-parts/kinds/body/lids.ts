import { knownFrom } from '@/core/1-base/knownFrom';
import { degreesFromRadians, type Millimetres } from '@/core/1-base/units/convert';
import { millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { Body } from '@/core/2-document/schema/airframe';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import { openLine, type Point, polygon, rectangle } from '@/core/3-shape/outline/path';
import type { CutPart } from '../../part';
import { anticlockwise, cutOut } from '../../polygons';
import { type Facet, type Seat, towards } from '../../seat';
import { type FinFoot, finFeet, type Which } from './finFeet';
import type { Gap } from './openings';
import {
  alongOf,
  type Frame,
  framesBetween,
  LEAST,
  nameOfBody,
  partOf,
  stretchedBy,
  type Stuff,
  textAt,
} from './stuff';

/** A stretch of a lid: up to where a surface lies in it, or to the ends of the hatch. */
interface Stretch {
  readonly from: Millimetres;
  readonly to: Millimetres;
  readonly isHatch: boolean;
}

/** Shorter bits of a lid are filled with scrap, shorter hatches are none [mm]. */
const LEAST_LID: Millimetres = 12;
const LEAST_HATCH: Millimetres = 40;

/** Top or bottom between the sides, in as many pieces as surfaces and hatch leave of it. */
export function lidsOf(
  stuff: Stuff,
  which: Which,
  { gaps, bay }: { readonly gaps: readonly Gap[]; readonly bay: readonly [Millimetres, Millimetres] | null },
): CutPart[] {
  const { frames } = stuff.body;
  const stretches = stretchesOf(
    [frames[0]!.x, frames.at(-1)!.x],
    gaps.filter((gap) => gap.which === which),
    which === 'top' ? bay : null,
  );
  const plain = stretches.filter(({ isHatch }) => !isHatch).length;
  let number = 0;
  return stretches.map((stretch) => {
    const suffix = stretch.isHatch ? 'hatch' : plain > 1 ? `${which}-${++number}` : which;
    const words = stretch.isHatch ? 'hatch' : plain > 1 ? `${which} ${number}` : which;
    return lidPart(stuff, which, { ...stretch, suffix, name: `${nameOfBody(stuff.body)}, ${words}` });
  });
}

/** From end to end, without the gaps; the bay of the pack by itself. */
function stretchesOf(
  [start, end]: readonly [Millimetres, Millimetres],
  gaps: readonly Gap[],
  bay: readonly [Millimetres, Millimetres] | null,
): Stretch[] {
  let left: Stretch[] = [{ from: start, to: end, isHatch: false }];
  for (const gap of gaps)
    left = left.flatMap(({ from, to }) => [
      { from, to: Math.min(to, gap.from), isHatch: false },
      { from: Math.max(from, gap.to), to, isHatch: false },
    ]);
  const open = left.filter(({ from, to }) => to - from >= LEAST_LID);
  if (!bay) return open;
  return open.flatMap(({ from, to }) => {
    const [a, b] = [Math.max(from, bay[0]), Math.min(to, bay[1])];
    if (b - a < LEAST_HATCH) return [{ from, to, isHatch: false }];
    return [
      { from, to: a, isHatch: false },
      { from: a, to: b, isHatch: true },
      { from: b, to, isHatch: false },
    ].filter((one) => one.to - one.from >= LEAST_LID);
  });
}

interface Lid extends Stretch {
  readonly suffix: string;
  readonly name: string;
}

const ofBodies = knownFrom<Body, CutPart>(8);

/** As wide as is left between the sides, as long as it is along its own slope; fins that stand on it have their slot or their mark. */
function lidPart(stuff: Stuff, which: Which, lid: Lid): CutPart {
  const { design, body } = stuff;
  const frames = framesBetween(body.frames, lid.from, lid.to);
  const feet = finFeet(stuff, which, frames);
  const from = [design.materials, which, lid.from, lid.to, lid.suffix, JSON.stringify(feet)];
  return ofBodies(body, from, () => layLid(stuff, which, lid, { frames, feet }));
}

function layLid(
  stuff: Stuff,
  which: Which,
  { isHatch, suffix, name }: Lid,
  { frames, feet }: { readonly frames: readonly Frame[]; readonly feet: readonly FinFoot[] },
): CutPart {
  const { body, wall, thickness, allowances } = stuff;
  const along = alongOf(frames, (frame) => frame[which]);
  const half = frames.map(({ width }) => Math.max(LEAST / 2, width / 2 - wall));
  const whole = anticlockwise(
    polygon([
      ...along.map((s, index): Point => [s, -half[index]!]),
      ...along.map((s, index): Point => [s, half[index]!]).toReversed(),
    ]),
  );
  const bends = along.slice(1, -1).map((s, index): PartLine => ({
    kind: Math.abs(turnAt(frames, index + 1, which)) > 1 ? 'score' : 'mark',
    path: openLine([
      [s, -half[index + 1]!],
      [s, half[index + 1]!],
    ]),
  }));
  const stretch = stretchedBy(frames, along);
  const fins = feet.map(({ name: fin, from: nose, to: tail, half: thick, play, isThrough }) => ({
    name: fin,
    isThrough,
    foot: rectangle(stretch(nose) - play, -thick - play, stretch(tail) + play, thick + play),
  }));
  const slots = fins.flatMap(({ isThrough, foot }) => (isThrough ? [foot] : []));
  const region = cutOut({ edge: whole, holes: [] }, slots) ?? { edge: whole, holes: [] };
  const notes: Words[] = fins.map(({ name: fin, isThrough }) =>
    isThrough
      ? say`${fin} goes through its slot, ${millimetres(allowances.slot, 1)} of play all round; the fin runs through`
      : say`${fin} stands on its mark`,
  );
  if (isHatch) notes.push(say`lies loose over the bay of the pack: held by tape or magnets, never glued`);
  const outline = {
    name,
    edge: region.edge,
    holes: region.holes,
    lines: [
      ...bends,
      ...fins.flatMap(({ isThrough, foot }): PartLine[] => (isThrough ? [] : [{ kind: 'mark', path: foot }])),
    ],
    texts: textAt(name, [along[0]! + Math.min(12, 0.1 * along.at(-1)!), 0], Math.min(6, half[0]!), 0.8 * along.at(-1)!),
  };
  return partOf(stuff, isHatch ? 'hatch' : which, suffix, outline, {
    count: body.construction!.layers,
    notes,
    seat: lidSeat(stuff, which, frames, { along, thickness }),
  });
}

/** How much a lid bends at a frame [°]. */
function turnAt(frames: readonly Frame[], index: number, which: Which): number {
  const slope = (a: Frame, b: Frame) => degreesFromRadians(Math.atan2(b[which] - a[which], b.x - a.x));
  return slope(frames[index]!, frames[index + 1]!) - slope(frames[index - 1]!, frames[index]!);
}

/** Flat from frame to frame, its outer face flush with the edges of the sides. */
function lidSeat(
  { body: { position } }: Stuff,
  which: Which,
  frames: readonly Frame[],
  { along, thickness }: { readonly along: readonly Millimetres[]; readonly thickness: Millimetres },
): Seat {
  const inwards = which === 'top' ? -thickness / 2 : thickness / 2;
  const facets = frames.slice(0, -1).map((a, index): Facet => {
    const b = frames[index + 1]!;
    const way = towards([a.x, 0, a[which]], [b.x, 0, b[which]]);
    return {
      from: along[index]!,
      origin: [position.x + a.x - inwards * way[2], position.y, position.z + a[which] + inwards * way[0]],
      along: way,
      up: [0, 1, 0],
    };
  });
  return facets as [Facet, ...Facet[]] as Seat;
}
