import type { Millimetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import type { PartOutline, PartText } from '@/core/3-shape/outline/partOutline';
import type { Allowances } from '../../allowances';
import type { CutPart, PartFault, PartKind, RodPiece } from '../../part';
import { anticlockwise } from '../../polygons';

export type Frame = Body['frames'][number];

/** What a body is cut from, and what of it cannot be. */
export interface BodyParts {
  readonly parts: CutPart[];
  readonly faults: PartFault[];
  readonly rods?: RodPiece[];
}

/** A body with what its parts follow from; heights and lengths in its own axes. */
export interface Stuff {
  readonly design: Design;
  readonly body: Body;
  /** Of one layer of board, and of a wall with all its layers. */
  readonly thickness: Millimetres;
  readonly wall: Millimetres;
  readonly allowances: Allowances;
}

export const nameOfBody = ({ name, id }: Pick<Body, 'name' | 'id'>): string => name || id;

/** Thinner than that a frame is an edge, not a wall [mm]. */
export const LEAST: Millimetres = 2;
const TEXT: Millimetres = 6;
/** Letters are about half as wide as they are tall. */
const LETTER = 0.55;

/** Seen from the left, x aft of the body, y up: the wall between upper and lower edge. */
export function profileOf({ frames }: Body): Path {
  return anticlockwise(
    polygon([
      ...frames.map(({ x, bottom }): Point => [x, bottom]),
      ...frames.toReversed().map(({ x, top }): Point => [x, top]),
    ]),
  );
}

/** Words on a part, as tall as its room allows. */
export const textAt = (
  words: string,
  at: Point,
  height: Millimetres = TEXT,
  room: Millimetres = Infinity,
): PartText[] => [
  { words, at, height: Math.max(1.2, Math.min(TEXT, height, room / (LETTER * words.length))), turn: 0 },
];

/** A part of a body with what all of them share; a pair of bodies has each twice. */
export function partOf(
  { body }: Stuff,
  kind: PartKind,
  suffix: string,
  outline: PartOutline,
  more: Partial<CutPart> = {},
): CutPart {
  const sides = body.mirrored ? 2 : 1;
  const { count = 1, mirrored = 0, ...rest } = more;
  return {
    id: `${body.id}-${suffix}`,
    kind,
    owner: body.id,
    name: outline.name,
    material: body.construction!.material,
    outline,
    isAlongGrain: kind !== 'former' && kind !== 'firewall',
    hasFace: false,
    notes: [],
    ...rest,
    count: count * sides,
    mirrored: mirrored * sides,
  };
}

/** The frame at a place between others; null where the body does not reach. */
export function frameAt(frames: readonly Frame[], x: Millimetres): Frame | null {
  const after = frames.findIndex((frame) => frame.x >= x - 1e-9);
  if (after < 0 || (after === 0 && x < frames[0]!.x - 1e-9)) return null;
  const [a, b] = [frames[Math.max(0, after - 1)]!, frames[after]!];
  const share = b.x > a.x ? (x - a.x) / (b.x - a.x) : 0;
  const of = (key: 'width' | 'top' | 'bottom') => a[key] + (b[key] - a[key]) * share;
  return { x, width: of('width'), top: of('top'), bottom: of('bottom') } as Frame;
}

/** Frames from one place to another: both ends, and all between. */
export function framesBetween(frames: readonly Frame[], from: Millimetres, to: Millimetres): Frame[] {
  const ends = [frameAt(frames, from), frameAt(frames, to)];
  return [
    ...(ends[0] ? [ends[0]] : []),
    ...frames.filter(({ x }) => x > from + 1e-6 && x < to - 1e-6),
    ...(ends[1] ? [ends[1]] : []),
  ];
}

/** Board of the walls at a place, doublers and all [mm]. */
export const wallAt = ({ body, wall, thickness }: Stuff, x: Millimetres): Millimetres =>
  wall +
  (body.construction?.doublers ?? []).reduce(
    (sum, { from, to, layers }) => sum + (x >= from && x <= to ? layers * thickness : 0),
    0,
  );

/** How far each frame lies along a wall that bends with them. */
export function alongOf(frames: readonly Frame[], across: (frame: Frame) => Millimetres): Millimetres[] {
  let sum = 0;
  return frames.map((frame, index) => {
    if (index > 0) sum += Math.hypot(frame.x - frames[index - 1]!.x, across(frame) - across(frames[index - 1]!));
    return sum;
  });
}

/** Places along a wall for places along the body, straight from frame to frame, and on beyond both ends. */
export function stretchedBy(frames: readonly Frame[], along: readonly Millimetres[]): (x: Millimetres) => Millimetres {
  const last = frames.length - 1;
  return (x) => {
    const after = Math.min(
      last,
      Math.max(
        1,
        frames.findIndex((frame) => frame.x >= x),
      ),
    );
    const index = x > frames[last]!.x ? last : after;
    const [a, b] = [frames[index - 1]!, frames[index]!];
    const share = b.x > a.x ? (x - a.x) / (b.x - a.x) : 0;
    return along[index - 1]! + (along[index]! - along[index - 1]!) * share;
  };
}

/** A path drawn out along a wall: its corners, and where its sides cross a frame. */
export function drawnOut({ vertices, isClosed }: Path, frames: readonly Frame[], along: readonly Millimetres[]): Path {
  const stretch = stretchedBy(frames, along);
  const places = frames.slice(1, -1).map(({ x }) => x);
  const points = vertices.flatMap((a, index): Point[] => {
    const b = isClosed ? vertices[(index + 1) % vertices.length]! : vertices[index + 1];
    const own: Point = [a.x, a.y];
    if (!b) return [own];
    const crossed = places
      .filter((x) => (x - a.x) * (x - b.x) < -1e-9)
      .toSorted((p, q) => (b.x > a.x ? p - q : q - p))
      .map((x): Point => [x, a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)]);
    return [own, ...crossed];
  });
  return { vertices: points.map(([x, y]) => ({ x: stretch(x), y })), isClosed };
}
