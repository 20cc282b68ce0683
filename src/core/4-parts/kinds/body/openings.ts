import { knownFrom } from '@/core/1-base/knownFrom';
import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import type { Body } from '@/core/2-document/schema/airframe';
import {
  type Bounds,
  boundsOf,
  circle,
  type Path,
  type Point,
  polygon,
  reversed,
  transformed,
} from '@/core/3-shape/outline/path';
import { isInside } from '@/core/3-shape/outline/partOutline';
import type { PartFault } from '../../part';
import {
  cutOut,
  grown,
  joined,
  MITRE,
  piecesLeft,
  type Region,
  spanAt,
  spansAt,
  straightened,
  withoutSlivers,
} from '../../polygons';
import { nameOfSurface } from '../panels';
import { type Passing, passingAt, type Swinging } from '../sectionAtWall';
import { framesBetween, LEAST, nameOfBody, profileOf, type Stuff } from './stuff';

/** A wall with everything that passes it cut out. */
export interface Opened extends Region {
  readonly notes: readonly Words[];
  readonly faults: readonly PartFault[];
  /** What was cut out, for doublers that lie on the wall. */
  readonly cuts: readonly Path[];
  /** Where top or bottom are cut away with it. */
  readonly gaps: readonly Gap[];
  /** Places of dowels that hold rubber bands. */
  readonly dowels: readonly Point[];
}

/** A stretch of top or bottom that a surface lies in. */
export interface Gap {
  readonly which: 'top' | 'bottom';
  readonly from: Millimetres;
  readonly to: Millimetres;
}

/** Dowels for rubber bands: how thick, how far before and behind the surface, how far below its seat [mm]; usual for bands of 6 mm. */
export const DOWEL: Millimetres = 4;
const DOWEL_BEFORE: Millimetres = 12;
const DOWEL_BELOW: Millimetres = 10;

const boxOf = (path: Path) => boundsOf([path]);

const ofWalls = knownFrom<Body, Opened>(3);
const untouched = knownFrom<Body, Opened>();
const ofRooms = knownFrom<Room, Opened>(2);

/** Cuts what passes the wall of a body, so much beside its middle, out of it: a saddle where it lies on an edge, a slot where it is within; what moves there has room for its travel. */
export function withOpenings(stuff: Stuff, wall: Millimetres): Opened {
  const { design, body } = stuff;
  const passing = passingAt(design.surfaces, Math.abs(body.position.y) < 1 ? wall : Infinity);
  return ofWalls(body, [...passing, design.materials], () => openWall(stuff, passing));
}

function openWall(stuff: Stuff, passing: readonly Passing[]): Opened {
  const { design, body, allowances } = stuff;
  let opened = untouched(body, [], () => ({ ...NOTHING, edge: profileOf(body) }));
  const reach = boxOf(opened.edge);
  const passes = (box: Bounds, more: Millimetres) =>
    box.right + more >= reach.left &&
    box.left - more <= reach.right &&
    box.bottom - more <= reach.top &&
    box.top + more >= reach.bottom;
  for (const one of passing) {
    // Most surfaces lie nowhere near: that shows before anything is cut.
    if (!passes(boxOf(localTo(body, one.edge)), MITRE * allowances.slot + stuff.wall)) continue;
    const room = roomOf(stuff, one);
    const [slot] = room.slots;
    if (!slot || !passes(boxOf(slot), 0)) continue;
    const before = opened;
    // What was cut before it stays where only a later one moves.
    opened = ofRooms(room, [before, design.materials], () => openedFor(stuff, before, { one, room, slot }));
  }
  const holes = opened.dowels
    .filter((at) => isHeld(opened, at, allowances.web))
    .map((at) => hole(at, DOWEL / 2 + allowances.slot));
  if (opened.dowels.length === holes.length) return { ...opened, holes: [...opened.holes, ...holes] };
  const message = say`${nameOfBody(body)} is too low for dowels that rubber bands hold on: make it higher before and behind the wing, or hold the wing otherwise.`;
  return {
    ...opened,
    holes: [...opened.holes, ...holes],
    faults: [...opened.faults, { owner: body.id, message }],
  };
}

const NOTHING: Omit<Opened, 'edge'> = { holes: [], notes: [], faults: [], cuts: [], gaps: [], dowels: [] };

/** A path in document axes in those of a body. */
const localTo = ({ position }: Body, path: Path): Path => transformed(path, { by: [-position.x, -position.z] });

/** What passes a wall, and the room it takes there. */
interface Passer {
  readonly one: Passing;
  readonly room: Room;
  readonly slot: Path;
}

/** A wall with one more thing cut out. */
function openedFor(stuff: Stuff, before: Opened, { one: { surface }, room: { swings }, slot }: Passer): Opened {
  const { body, allowances } = stuff;
  const roof = roofOver(stuff, slot);
  const cut = roof?.cut ?? slot;
  if (!roof && (piecesLeft(before.edge, [cut]) > 1 || isThrough(stuff, slot))) {
    const message = say`${nameOfSurface(surface)} cuts ${nameOfBody(body)} in two: the wall is no higher there than the surface is thick. Make the body higher there, or lay the surface on it.`;
    return { ...before, faults: [...before.faults, { owner: body.id, message }] };
  }
  const left = cutOut(before, [cut, ...swings]);
  if (!left) return before;
  const notes: Words[] = [];
  if (left.edge.vertices.length !== before.edge.vertices.length || left.holes.length !== before.holes.length)
    notes.push(
      say`${nameOfSurface(surface)} ${roof ? 'lies in its saddle' : 'goes through its slot'} at ${degrees(surface.incidence, 2)}, ${millimetres(allowances.slot, 1)} of play all round; the surface runs through`,
    );
  if (swings.length > 0)
    notes.push(say`open behind the hinge of ${nameOfSurface(surface)}, for all its travel: nothing may rub there`);
  const own = boxOf(slot);
  const isTied = roof && surface.mount.kind === 'bands' && isWing(surface);
  return {
    edge: withoutSlivers(left.edge, LEAST),
    holes: left.holes,
    notes: [...before.notes, ...notes],
    faults: before.faults,
    cuts: [...before.cuts, cut, ...swings],
    gaps: roof ? [...before.gaps, { which: roof.which, from: own.left, to: own.right }] : before.gaps,
    dowels: isTied ? [...before.dowels, ...dowelsFor(slot, roof.which)] : before.dowels,
  };
}

/** The room that a surface takes in a wall of a body, and that what moves of it sweeps, with play all round. */
interface Room {
  readonly slots: readonly Path[];
  readonly swings: readonly Path[];
}

/** By what passes, for a few bodies. */
const ofPassing = knownFrom<Passing, Room>(4);

const roomOf = (stuff: Stuff, passing: Passing): Room =>
  ofPassing(passing, [stuff.body, stuff.wall, stuff.allowances.slot], () => {
    const through = (path: Path) =>
      grown(throughWall(stuff, straightened(localTo(stuff.body, path))), stuff.allowances.slot);
    return {
      slots: through(passing.edge),
      swings: passing.swinging.flatMap((swinging) => through(swingOf(passing, swinging))),
    };
  });

/**
 * The room that a section takes in a wall that is drawn along its outer face:
 * where the body widens or narrows, the inner face lies a bit ahead or behind.
 */
function throughWall({ body: { frames, kind }, wall }: Stuff, section: Path): Path {
  if (kind === 'plank') return section;
  const { left, right } = boxOf(section);
  const passed = framesBetween(frames, Math.max(left, frames[0]!.x), Math.min(right, frames.at(-1)!.x));
  const shifts = passed.slice(1).map((b, index) => {
    const a = passed[index]!;
    const aside = (b.width - a.width) / 2;
    return (-wall * aside) / Math.hypot(b.x - a.x, aside);
  });
  const [least, most] = [Math.min(0, ...shifts), Math.max(0, ...shifts)];
  if (most - least < 1e-3) return section;
  return joined([least, most].map((by) => transformed(section, { by: [by, 0] })))[0] ?? section;
}

/** A round hole, walked as holes are. */
export const hole = (at: Point, radius: Millimetres): Path => reversed(circle(at, radius));

/** Whether board is left all round a hole. */
const isHeld = ({ edge, holes }: Region, [x, y]: Point, web: Millimetres): boolean =>
  [
    [0, 0],
    [web, 0],
    [-web, 0],
    [0, web],
    [0, -web],
  ].every(([dx, dy]) => isInside([x + dx!, y + dy!], edge) && !holes.some((one) => isInside([x + dx!, y + dy!], one)));

function dowelsFor(slot: Path, which: 'top' | 'bottom'): Point[] {
  const { left, right, top, bottom } = boxOf(slot);
  const y = which === 'top' ? bottom - DOWEL_BELOW : top + DOWEL_BELOW;
  return [
    [left - DOWEL_BEFORE, y],
    [right + DOWEL_BEFORE, y],
  ];
}

/** Steps over the travel of a control. */
const SWINGS = 6;

/** The room that a control sweeps behind its hinge, in document axes, seen from the left. */
function swingOf({ turn, chord, nose, height, edge }: Passing, { control, hinge }: Swinging): Path {
  const [cosine, sine] = [Math.cos(turn), Math.sin(turn)];
  // Heights of the section at its hinge, along the turned chord.
  const untwisted = transformed(transformed(edge, { by: [-nose, -height] }), { turn: -turn });
  const [low, high] = spanAt(untwisted, hinge * chord);
  const at = (x: Millimetres, y: Millimetres): Point => [nose + x * cosine - y * sine, height + x * sine + y * cosine];
  const length = (1 - hinge) * chord;
  const middle = (low + high) / 2;
  const swept = Array.from({ length: SWINGS + 1 }, (_, step): Point => {
    const angle = radiansFromDegrees(control.throwUp - ((control.throwUp + control.throwDown) * step) / SWINGS);
    return at(hinge * chord + length * Math.cos(angle), middle + length * Math.sin(angle));
  });
  return polygon([at(hinge * chord, high), ...swept, at(hinge * chord, low)]);
}

/** Whether a slot leaves no wall worth the name over it and under it. */
function isThrough(stuff: Stuff, slot: Path): boolean {
  const { top, bottom } = boxOf(slot);
  const { roof, floor } = wallsAt(stuff, slot);
  return roof - top < stuff.allowances.web && bottom - floor < stuff.allowances.web;
}

/** The lowest upper and the highest lower edge of a body over a slot. */
function wallsAt({ body: { frames } }: Stuff, slot: Path): { readonly roof: Millimetres; readonly floor: Millimetres } {
  const { left, right } = boxOf(slot);
  const all = framesBetween(frames, Math.max(left, frames[0]!.x), Math.min(right, frames.at(-1)!.x));
  return { roof: Math.min(...all.map(({ top }) => top)), floor: Math.max(...all.map(({ bottom }) => bottom)) };
}

/** A slot with too little board over or under it is open there. */
function roofOver(stuff: Stuff, slot: Path): { readonly cut: Path; readonly which: 'top' | 'bottom' } | null {
  const { top, bottom } = boxOf(slot);
  const { roof, floor } = wallsAt(stuff, slot);
  const { frames } = stuff.body;
  const { web } = stuff.allowances;
  if (roof - top < web && bottom - floor > web)
    return { which: 'top', cut: openedTo(slot, Math.max(...frames.map((frame) => frame.top)) + 50) };
  if (bottom - floor < web && roof - top > web)
    return { which: 'bottom', cut: openedTo(slot, Math.min(...frames.map((frame) => frame.bottom)) - 50) };
  return null;
}

/** A slot and all the room over it, or under it, as one. */
function openedTo(slot: Path, far: Millimetres): Path {
  const xs = slot.vertices.map(({ x }) => x);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const isUp = far > boxOf(slot).top;
  // At its own corners: between them it is straight.
  const columns = [...new Set(xs)].toSorted((a, b) => a - b);
  const { low, high } = spansAt(
    slot,
    columns.map((x) => Math.min(right - 1e-3, Math.max(left + 1e-3, x))),
  );
  const inner = columns.map((x, index): Point => [x, (isUp ? low : high)[index]!]);
  return polygon(isUp ? [...inner, [right, far], [left, far]] : [[left, far], [right, far], ...inner.toReversed()]);
}
