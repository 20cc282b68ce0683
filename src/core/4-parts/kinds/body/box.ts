import { knownFrom } from '@/core/1-base/knownFrom';
import { say } from '@/core/1-base/words/phrase';
import type { Millimetres } from '@/core/1-base/units/convert';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import type { CutPart } from '../../part';
import { anticlockwise, clockwise, cutOut } from '../../polygons';
import { type Facet, plus, type Seat, times, towards } from '../../seat';
import { dowelRods, fittingsOf } from './fittings';
import { formersOf } from './formers';
import { lidsOf } from './lids';
import { type Opened, withOpenings } from './openings';
import { frameMarks } from './plank';
import { alongOf, type BodyParts, drawnOut, framesBetween, nameOfBody, partOf, type Stuff, textAt } from './stuff';
import { trayOf } from './tray';

/** Sides run through, top and bottom stand between them, formers within all four. */
export function box(stuff: Stuff): BodyParts {
  const widest = Math.max(...stuff.body.frames.map(({ width }) => width));
  const opened = withOpenings(stuff, widest / 2);
  const [side, ...doublers] = ofOpened(opened, [], () => [sideOf(stuff, opened), ...doublersOf(stuff, opened)]);
  const tray = trayOf(stuff);
  const bay = tray && ([tray.from, tray.to] as const);
  const parts: CutPart[] = [
    side!,
    ...(['top', 'bottom'] as const).flatMap((which) => lidsOf(stuff, which, { gaps: opened.gaps, bay })),
    ...formersOf(stuff, tray),
    ...doublers,
    ...fittingsOf(stuff),
  ];
  return {
    parts: tray ? [...parts, tray.part] : parts,
    faults: [...opened.faults],
    rods: dowelRods(stuff, opened),
  };
}

/** Sides and doublers follow from their body and what passes it alone. */
const ofOpened = knownFrom<Opened, readonly CutPart[]>();

function sideOf(stuff: Stuff, opened: Opened): CutPart {
  const { body, wall } = stuff;
  const { frames, construction } = body;
  const name = nameOfBody(body);
  const along = alongOf(frames, ({ width }) => width / 2);
  const flat = (path: Path) => drawnOut(path, frames, along);
  const side: PartOutline = {
    name: `${name}, side`,
    edge: anticlockwise(flat(opened.edge)),
    holes: opened.holes.map((path) => clockwise(isRound(path) ? path : flat(path))),
    lines: frameMarks(body).map((line) => ({ ...line, path: flat(line.path) })),
    texts: textAt(`${name}, side`, [12, (frames[0]!.top + frames[0]!.bottom) / 2]),
  };
  const { layers } = construction!;
  return partOf(stuff, 'side', 'side', side, {
    count: 2 * layers,
    mirrored: layers,
    notes: [say`the sides run through from nose to tail, top and bottom stand between them`, ...opened.notes],
    seat: sideSeat(stuff, along, wall / 2),
  });
}

/** Holes that are drilled stay round, wherever along a wall they lie. */
const isRound = ({ vertices }: Path): boolean => vertices.length === 2;

/** The right side: flat from frame to frame, so far within the outer face. */
function sideSeat({ body: { frames, position } }: Stuff, along: readonly Millimetres[], within: Millimetres): Seat {
  const facets = frames.slice(0, -1).map((a, index): Facet => {
    const b = frames[index + 1]!;
    const way = towards([a.x, a.width / 2, 0], [b.x, b.width / 2, 0]);
    const outer = plus([position.x, position.y, position.z], [a.x, a.width / 2, 0]);
    return {
      from: along[index]!,
      origin: plus(outer, times([way[1], -way[0], 0], within)),
      along: way,
      up: [0, 0, 1],
    };
  });
  return facets as [Facet, ...Facet[]] as Seat;
}

/** Doublers between top and bottom, with the same openings as the sides they lie on. */
function doublersOf(stuff: Stuff, { cuts }: Opened): CutPart[] {
  const { body, wall, thickness } = stuff;
  const { frames, construction } = body;
  const name = nameOfBody(body);
  return (construction?.doublers ?? []).flatMap(({ from, to, layers }, index): CutPart[] => {
    const reach = framesBetween(frames, Math.max(from, frames[0]!.x), Math.min(to, frames.at(-1)!.x));
    if (reach.length < 2) return [];
    const whole = anticlockwise(
      polygon([
        ...reach.map(({ x, bottom }): Point => [x, bottom + wall]),
        ...reach.toReversed().map(({ x, top }): Point => [x, top - wall]),
      ]),
    );
    const region = cutOut({ edge: whole, holes: [] }, cuts);
    if (!region) return [];
    const along = alongOf(reach, ({ width }) => width / 2);
    const flat = (path: Path) => drawnOut(path, reach, along);
    const outline: PartOutline = {
      name: `${name}, doubler ${index + 1}`,
      edge: anticlockwise(flat(region.edge)),
      holes: region.holes.map((path) => clockwise(flat(path))),
      lines: [],
      texts: textAt(`${name}, doubler`, [8, (reach[0]!.top + reach[0]!.bottom) / 2]),
    };
    const seat = sideSeat({ ...stuff, body: { ...body, frames: reach } }, along, wall + thickness / 2);
    return [partOf(stuff, 'doubler', `doubler-${index + 1}`, outline, { count: 2 * layers, mirrored: layers, seat })];
  });
}
