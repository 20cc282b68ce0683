import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { degreesFromRadians, type Millimetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { openLine, type Path, type Point, polygon, transformed } from '@/core/3-shape/outline/path';
import type { PartLine, PartOutline } from '@/core/3-shape/outline/partOutline';
import { type Allowances, allowancesOf } from '../allowances';
import { develop, type Place3 } from '../develop';
import type { CutPart, PartFault, PartKind } from '../part';
import { anticlockwise, cutOut, grown, piecesLeft, spanAt, withoutSlivers } from '../polygons';
import { nameOfSurface } from './panels';
import { passingAt } from './sectionAtWall';

type Frame = Body['frames'][number];

export interface BodyParts {
  readonly parts: CutPart[];
  readonly faults: PartFault[];
}

const nameOfBody = ({ name, id }: Body): string => name || id;

/** Thinner than that a frame is an edge, not a wall [mm]. */
const LEAST: Millimetres = 2;
const TEXT: Millimetres = 6;

/** Board parts of a body by its build. */
export function bodyParts(design: Design, body: Body): BodyParts {
  const { construction } = body;
  const sheet = design.materials.find(({ id }) => id === construction?.material);
  if (!construction || !sheet || construction.truss) return { parts: [], faults: [] };
  const stuff: Stuff = { design, body, thickness: sheet.thickness, allowances: allowancesOf(sheet) };
  return body.kind === 'plank' ? plank(stuff) : body.kind === 'round' ? round(stuff) : box(stuff);
}

interface Stuff {
  readonly design: Design;
  readonly body: Body;
  readonly thickness: Millimetres;
  readonly allowances: Allowances;
}

const part = (
  { body }: Stuff,
  kind: PartKind,
  suffix: string,
  outline: PartOutline,
  more: Partial<CutPart> = {},
): CutPart => {
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
};

/** Letters are about half as wide as they are tall. */
const LETTER = 0.55;
const textAt = (words: string, at: Point, height = TEXT, room = Infinity) => [
  { words, at, height: Math.max(1.2, Math.min(height, room / (LETTER * words.length))), turn: 0 },
];

/** Seen from the left, x aft of the first frame, y up: the wall between upper and lower edge. */
function profileOf({ frames }: Body): Path {
  return anticlockwise(
    polygon([
      ...frames.map(({ x, bottom }): Point => [x, bottom]),
      ...frames.toReversed().map(({ x, top }): Point => [x, top]),
    ]),
  );
}

/** What passes through the wall is cut out of it: a saddle where it lies on an edge, a slot where it is within. */
function withOpenings(
  stuff: Stuff,
  edge: Path,
  wall: Millimetres,
): { edge: Path; holes: readonly Path[]; notes: Words[]; faults: PartFault[] } {
  const { design, body, allowances } = stuff;
  const passing = passingAt(design.surfaces, Math.abs(body.position.y) < 1 ? wall : Infinity);
  const local = (path: Path) => transformed(path, { by: [-body.position.x, -body.position.z] });
  const notes: Words[] = [];
  const faults: PartFault[] = [];
  let region: { edge: Path; holes: readonly Path[] } = { edge, holes: [] };
  for (const { surface, edge: section } of passing) {
    const cuts = grown(local(section), allowances.slot);
    const [slot] = cuts;
    if (!slot) continue;
    const reach = boundsOf(edge);
    const own = boundsOf(slot);
    if (own.right < reach.left || own.left > reach.right || own.bottom > reach.top || own.top < reach.bottom) continue;
    // Laid on top it is a saddle: whatever is above it goes too.
    const roof = roofOver(stuff, slot);
    const cut = roof ?? slot;
    if (!roof && (piecesLeft(region.edge, [cut]) > 1 || isThrough(stuff, slot))) {
      faults.push({
        owner: body.id,
        message: say`${nameOfSurface(surface)} cuts ${nameOfBody(body)} in two: the wall is no higher there than the surface is thick. Make the body higher there, or lay the surface on it.`,
      });
      continue;
    }
    const left = cutOut(region, [cut]);
    if (!left) continue;
    if (left.edge.vertices.length !== region.edge.vertices.length || left.holes.length !== region.holes.length)
      notes.push(
        say`${nameOfSurface(surface)} ${roof ? 'lies in its saddle' : 'goes through its slot'} at ${degrees(surface.incidence, 2)}, ${millimetres(allowances.slot, 1)} of play all round; the surface runs through`,
      );
    region = { edge: withoutSlivers(left.edge, LEAST), holes: left.holes };
  }
  return { ...region, notes, faults };
}

/** Whether a slot leaves no wall worth the name over it and under it. */
function isThrough({ body, allowances }: Stuff, slot: Path): boolean {
  const { top, bottom } = boundsOf(slot);
  const { roof, floor } = wallsAt(body, slot);
  return roof - top < allowances.web && bottom - floor < allowances.web;
}

/** The lowest upper and the highest lower edge of a body over a slot. */
function wallsAt({ frames }: Body, slot: Path): { readonly roof: Millimetres; readonly floor: Millimetres } {
  const { left, right } = boundsOf(slot);
  const all = [...frames.filter(({ x }) => x >= left && x <= right), ...between(frames, [left, right])];
  return { roof: Math.min(...all.map(({ top }) => top)), floor: Math.max(...all.map(({ bottom }) => bottom)) };
}

/** Board that stays over a slot; less is cut away with it. */
function roofOver({ body, allowances }: Stuff, slot: Path): Path | null {
  const { top, bottom } = boundsOf(slot);
  const { roof, floor } = wallsAt(body, slot);
  const high = Math.max(...body.frames.map((frame) => frame.top)) + 50;
  const low = Math.min(...body.frames.map((frame) => frame.bottom)) - 50;
  if (roof - top < allowances.web && bottom - floor > allowances.web) return above(slot, high);
  if (bottom - floor < allowances.web && roof - top > allowances.web) return below(slot, low);
  return null;
}

/** From the lower side of a section up, and from its upper side down. */
function above(slot: Path, high: Millimetres): Path {
  const { left, right } = boundsOf(slot);
  return joinedUp(slot, [
    [left, (boundsOf(slot).top + boundsOf(slot).bottom) / 2],
    [right, (boundsOf(slot).top + boundsOf(slot).bottom) / 2],
    [right, high],
    [left, high],
  ]);
}

function below(slot: Path, low: Millimetres): Path {
  const { left, right, top, bottom } = boundsOf(slot);
  return joinedUp(slot, [
    [left, low],
    [right, low],
    [right, (top + bottom) / 2],
    [left, (top + bottom) / 2],
  ]);
}

/** A slot and the room over it as one. */
function joinedUp(slot: Path, room: readonly Point[]): Path {
  // The room begins within the slot along its whole length, at its lowest line over the chord.
  const xs = slot.vertices.map(({ x }) => x);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const isUp = room[2]![1] > room[0]![1];
  const far = isUp ? room[2]![1] : room[0]![1];
  // At its own corners: between them it is straight.
  const columns = [...new Set(xs)].toSorted((a, b) => a - b);
  const inner: Point[] = columns.map((x) => {
    const [low, high] = spanAt(slot, Math.min(right - 1e-3, Math.max(left + 1e-3, x)));
    return [x, isUp ? low : high];
  });
  return polygon(isUp ? [...inner, [right, far], [left, far]] : [[left, far], [right, far], ...inner.toReversed()]);
}

const boundsOf = ({ vertices }: Path) => ({
  left: Math.min(...vertices.map(({ x }) => x)),
  right: Math.max(...vertices.map(({ x }) => x)),
  bottom: Math.min(...vertices.map(({ y }) => y)),
  top: Math.max(...vertices.map(({ y }) => y)),
});

/** Frames at places between others. */
function between(frames: readonly Frame[], places: readonly Millimetres[]): Frame[] {
  return places.flatMap((x): Frame[] => {
    const after = frames.findIndex((frame) => frame.x >= x);
    if (after <= 0) return [];
    const [a, b] = [frames[after - 1]!, frames[after]!];
    const share = (x - a.x) / (b.x - a.x);
    const of = (key: 'width' | 'top' | 'bottom') => a[key] + (b[key] - a[key]) * share;
    return [{ x, width: of('width'), top: of('top'), bottom: of('bottom') } as Frame];
  });
}

/** One upright board, in as many layers. */
function plank(stuff: Stuff): BodyParts {
  const { body } = stuff;
  const { layers } = body.construction!;
  const name = layers > 1 ? `${nameOfBody(body)}, layer` : nameOfBody(body);
  const { edge, holes, notes, faults } = withOpenings(stuff, profileOf(body), 0);
  const place = body.frames[0]!;
  const outline: PartOutline = {
    name,
    edge,
    holes,
    lines: frameMarks(body),
    texts: textAt(name, [place.x + 10, (place.top + place.bottom) / 2]),
  };
  return { parts: [part(stuff, 'layer', 'layer', outline, { count: layers, notes })], faults };
}

const frameMarks = ({ frames }: Body): PartLine[] =>
  frames.slice(1, -1).map(({ x, top, bottom }) => ({
    kind: 'mark',
    path: openLine([
      [x, bottom],
      [x, top],
    ]),
  }));

/** A line along bent walls: how far each frame lies along them. */
const alongOf = (frames: readonly Frame[], across: (frame: Frame) => number): number[] => {
  let sum = 0;
  return frames.map((frame, index) => {
    if (index > 0) sum += Math.hypot(frame.x - frames[index - 1]!.x, across(frame) - across(frames[index - 1]!));
    return sum;
  });
};

/** Sides run through, top and bottom stand between them, formers within all four. */
function box(stuff: Stuff): BodyParts {
  const { body, thickness } = stuff;
  const { frames, construction } = body;
  const name = nameOfBody(body);
  const widest = Math.max(...frames.map(({ width }) => width));
  const opened = withOpenings(stuff, profileOf(body), widest / 2);
  const side: PartOutline = {
    name: `${name}, side`,
    edge: opened.edge,
    holes: opened.holes,
    lines: frameMarks(body),
    texts: textAt(`${name}, side`, [frames[0]!.x + 12, (frames[0]!.top + frames[0]!.bottom) / 2]),
  };
  const parts: CutPart[] = [
    part(stuff, 'side', 'side', side, {
      count: 2,
      mirrored: 1,
      notes: [say`the sides run through from nose to tail, top and bottom stand between them`, ...opened.notes],
    }),
    ...(['top', 'bottom'] as const).map((which) => part(stuff, which, which, lidOf(stuff, which))),
    ...formersOf(stuff),
  ];
  for (const [index, { from, to, layers }] of (construction?.doublers ?? []).entries()) {
    const reach = [
      ...between(frames, [from]),
      ...frames.filter(({ x }) => x > from && x < to),
      ...between(frames, [to]),
    ];
    if (reach.length < 2) continue;
    const doubler: PartOutline = {
      name: `${name}, doubler ${index + 1}`,
      edge: anticlockwise(
        polygon([
          ...reach.map(({ x, bottom }): Point => [x - from, bottom + thickness]),
          ...reach.toReversed().map(({ x, top }): Point => [x - from, top - thickness]),
        ]),
      ),
      holes: [],
      lines: [],
      texts: textAt(`${name}, doubler`, [8, (reach[0]!.top + reach[0]!.bottom) / 2]),
    };
    parts.push(part(stuff, 'doubler', `doubler-${index + 1}`, doubler, { count: 2 * layers, mirrored: layers }));
  }
  const tray = trayOf(stuff);
  return { parts: tray ? [...parts, tray] : parts, faults: opened.faults };
}

/** Top or bottom: as wide as is left between the sides, as long as it is along its own slope. */
function lidOf({ body, thickness }: Stuff, which: 'top' | 'bottom'): PartOutline {
  const { frames } = body;
  const along = alongOf(frames, (frame) => frame[which]);
  const half = frames.map(({ width }) => Math.max(LEAST / 2, width / 2 - thickness));
  const name = `${nameOfBody(body)}, ${which}`;
  return {
    name,
    edge: anticlockwise(
      polygon([
        ...along.map((s, index): Point => [s, -half[index]!]),
        ...along.map((s, index): Point => [s, half[index]!]).toReversed(),
      ]),
    ),
    holes: [],
    lines: along.slice(1, -1).map((s, index) => ({
      kind: Math.abs(turnAt(frames, index + 1, which)) > 1 ? 'score' : 'mark',
      path: openLine([
        [s, -half[index + 1]!],
        [s, half[index + 1]!],
      ]),
    })),
    texts: textAt(name, [along[0]! + 12, 0]),
  };
}

/** How much a lid bends at a frame [°]. */
function turnAt(frames: readonly Frame[], index: number, which: 'top' | 'bottom'): number {
  const slope = (a: Frame, b: Frame) => degreesFromRadians(Math.atan2(b[which] - a[which], b.x - a.x));
  return slope(frames[index]!, frames[index + 1]!) - slope(frames[index - 1]!, frames[index]!);
}

/** A former at every frame that has room; the first one is the firewall where a motor pulls there. */
function formersOf(stuff: Stuff): CutPart[] {
  const { body, thickness, allowances, design } = stuff;
  return body.frames.flatMap(({ x, width, top, bottom }, index): CutPart[] => {
    const w = width - 2 * (thickness + allowances.former);
    const h = top - bottom - 2 * (thickness + allowances.former);
    if (w < LEAST || h < LEAST) return [];
    const motor = index === 0 ? motorAt(design, body) : null;
    const name = motor ? `${nameOfBody(body)}, firewall` : `${nameOfBody(body)}, former ${index + 1}`;
    const outline: PartOutline = {
      name,
      edge: polygon([
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ]),
      holes: [],
      lines: [
        {
          kind: 'mark',
          path: openLine([
            [w / 2, 0],
            [w / 2, h],
          ]),
        },
        {
          kind: 'mark',
          path: openLine([
            [0, h / 2],
            [w, h / 2],
          ]),
        },
      ],
      texts: textAt(name, [2, 0.2 * h], Math.min(TEXT, h / 5), w - 4),
    };
    const notes: Words[] = [say`${millimetres(x, 0)} behind the front of the body, between the sides, under the top`];
    if (motor)
      notes.push(
        say`tilted ${degrees(motor.down, 1)} down and ${degrees(motor.right, 1)} right; glued and screwed, not board alone`,
      );
    return [part(stuff, motor ? 'firewall' : 'former', `former-${index + 1}`, outline, { notes })];
  });
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

/** A tray for the pack over the whole bay it slides in, its place marked. */
function trayOf(stuff: Stuff): CutPart | null {
  const { design, body, thickness, allowances } = stuff;
  const { frames, position } = body;
  const [front, rear] = [position.x + frames[0]!.x, position.x + frames.at(-1)!.x];
  const pack = design.massItems.find(
    ({ category, position: own }) =>
      category === 'battery' && own.x > front && own.x < rear && Math.abs(own.y - position.y) < 30,
  );
  if (!pack) return null;
  const half = (pack.size?.length ?? 60) / 2;
  const bay =
    pack.attachment.kind === 'slides' ? [pack.attachment.from, pack.attachment.to] : [pack.position.x, pack.position.x];
  const from = Math.max(front + thickness, bay[0]! - half - 5);
  const to = Math.min(rear - thickness, bay[1]! + half + 5);
  const local = [from - position.x, to - position.x];
  const room = [...between(frames, local), ...frames.filter(({ x }) => x > local[0]! && x < local[1]!)];
  if (room.length === 0 || to - from < 10) return null;
  const width = Math.min(...room.map((frame) => frame.width)) - 2 * (thickness + allowances.former);
  if (width < LEAST) return null;
  const name = `${nameOfBody(body)}, tray`;
  const at = (x: number): PartLine => ({
    kind: 'mark',
    path: openLine([
      [x - from, 0],
      [x - from, width],
    ]),
  });
  return part(
    stuff,
    'tray',
    'tray',
    {
      name,
      edge: polygon([
        [0, 0],
        [to - from, 0],
        [to - from, width],
        [0, width],
      ]),
      holes: [],
      lines: [at(pack.position.x - half), at(pack.position.x), at(pack.position.x + half)],
      texts: textAt(name, [4, width * 0.35], Math.min(TEXT, width / 5)),
    },
    {
      notes: [
        say`the pack is drawn between the outer marks, its middle ${millimetres(pack.position.x, 0)} behind the datum; let the formers pass under or over it`,
      ],
    },
  );
}

/** Points round a frame of a round body, from the middle below over the right side and back. */
const AROUND = 48;

/** Between frames a strip that is bent round; formers are ellipses. */
function round(stuff: Stuff): BodyParts {
  const { body, thickness, allowances } = stuff;
  const name = nameOfBody(body);
  const ring = ({ x, width, top, bottom }: Frame): Place3[] =>
    Array.from({ length: AROUND + 1 }, (_, index) => {
      const turn = (2 * Math.PI * index) / AROUND - Math.PI / 2;
      // Along the middle of the board: that is what keeps its length.
      const [a, b] = [Math.max(0.5, (width - thickness) / 2), Math.max(0.5, (top - bottom - thickness) / 2)];
      return [x, a * Math.cos(turn), (top + bottom) / 2 + b * Math.sin(turn)];
    });
  const shells = body.frames.slice(0, -1).map((a, index): CutPart => {
    const flat = develop(ring(a), ring(body.frames[index + 1]!));
    const label = body.frames.length > 2 ? `${name}, shell ${index + 1}` : `${name}, shell`;
    return part(
      stuff,
      'shell',
      `shell-${index + 1}`,
      {
        name: label,
        edge: anticlockwise(polygon([...flat.near, ...flat.far.toReversed()])),
        holes: [],
        lines: Array.from({ length: AROUND - 1 }, (_, line): PartLine => ({
          kind: line % 2 === 1 ? 'dent' : 'dent',
          path: openLine([flat.near[line + 1]!, flat.far[line + 1]!]),
        })).filter((_, line) => line % 4 === 3),
        texts: textAt(label, [10, 12]),
      },
      { notes: [say`dent along the lines, bend it round the formers, butt it below`], hasFace: true },
    );
  });
  const formers = body.frames.flatMap(({ width, top, bottom }, index): CutPart[] => {
    const [a, b] = [width / 2 - thickness - allowances.former, (top - bottom) / 2 - thickness - allowances.former];
    if (a < LEAST || b < LEAST) return [];
    const label = `${name}, former ${index + 1}`;
    return [
      part(stuff, 'former', `former-${index + 1}`, {
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
        texts: textAt(label, [-a * 0.7, b * 0.2], Math.min(TEXT, b / 4), 1.4 * a),
      }),
    ];
  });
  return { parts: [...shells, ...formers], faults: [] };
}
