import { knownFrom } from '@/core/1-base/knownFrom';
import type { Design } from '@/core/2-document/schema/design';
import type { Section } from '@/core/2-document/schema/section';
import { type Body, type Material, materialSchema } from '@/core/2-document/schema/airframe';
import { type Contour, contourOf } from '@/core/3-shape/section/contour';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { SectionSheet } from '@/core/3-shape/section/sheet';
import type { Surface } from '@/core/2-document/schema/surface';
import { liesAlike, type PlacedSurface, placeSurface, planformAt } from '@/core/3-shape/geometry/layout';
import {
  kilogramsFromGrams,
  metresFromMillimetres,
  millimetresFromMetres,
  squareMetresFromSquareMillimetres,
  type Millimetres,
  type Vector3,
  vectorFromPoint,
} from '@/core/1-base/units/convert';
import { type BoardMass, bodyBoardMasses, surfaceBoardMasses } from '@/core/4-parts/boardMass';
import { glueOf } from '@/core/4-parts/glue';
import type { MassElement } from './massElement';

/** Sheets by contour: one that was measured is not measured again for every trial. */
const measured = new WeakMap<Contour, SectionSheet>();

/** Sheet needed by a section on a chord [mm]. */
export function sectionSheet(section: Section, chord: Millimetres): SectionSheet {
  const contour = contourOf(section, chord);
  const sheet = measured.get(contour) ?? buildOf(section).sheet(section, contour, chord);
  measured.set(contour, sheet);
  return sheet;
}

/** Strips per panel that carry its mass; enough for inertia to settle below a percent. */
const SLICES = 12;

interface KnownSurface extends Pick<Design, 'materials' | 'figures'> {
  readonly placed: PlacedSurface;
  readonly elements: readonly MassElement[];
}

/** By the surface as it is drawn: most of an aircraft stays as it is while one part is dragged. */
const knownSurfaces = new WeakMap<Surface, KnownSurface>();

/** Masses of a surface cut from board, with spars, glue and tape; scaled to its weighed mass when there is one. */
export function surfaceElements(design: Design, surface: PlacedSurface): readonly MassElement[] {
  const { materials, figures } = design;
  const before = knownSurfaces.get(surface.source);
  if (before?.materials === materials && before.figures === figures && liesAlike(before.placed, surface))
    return before.elements;
  const elements = weighedSurface(design, surface);
  knownSurfaces.set(surface.source, { materials, figures, placed: surface, elements });
  return elements;
}

function weighedSurface(design: Design, surface: PlacedSurface): MassElement[] {
  const { source } = surface;
  const material = design.materials.find(({ id }) => id === source.construction?.material);
  const closed = source.construction?.countedBy === 'parts' ? surfaceBoardMasses(design, source) : [];
  const elements = [...boardElements(surface, material, design.figures?.glue), ...closed, ...sparElements(surface)];
  // What was weighed is there, even where every bit of board is said to be cut away.
  return scaledTo(elements, design, source.measuredMass, () =>
    boardElements({ ...surface, source: { ...source, construction: undefined } }, PLACEHOLDER),
  );
}

/** Spreads a weighed mass when nothing says how it is built. */
const PLACEHOLDER: Material = materialSchema.parse({ id: 'sheet', thickness: 5, arealDensity: 400 });

/** Scaled to what was weighed; else as this builder’s boards come out. */
function scaledTo(
  elements: MassElement[],
  { figures }: Design,
  measured: number | undefined,
  spread: () => MassElement[],
): MassElement[] {
  const boards = figures?.boards ?? 1;
  if (measured === undefined)
    return boards === 1 ? elements : elements.map((element) => ({ ...element, mass: element.mass * boards }));
  const shape = totalOf(elements) > 0 ? elements : spread();
  const factor = kilogramsFromGrams(measured) / totalOf(shape);
  return shape.map((element) => ({ ...element, mass: element.mass * factor }));
}

const totalOf = (elements: readonly MassElement[]) => elements.reduce((sum, { mass }) => sum + mass, 0);

function boardElements(surface: PlacedSurface, material: Material | undefined, ownGlue?: number): MassElement[] {
  if (!material) return [];
  const { construction } = surface.source;
  const kept = 1 - (construction?.lighteningFraction ?? 0);
  const elements: MassElement[] = [];
  for (let panel = 0; panel + 1 < surface.stations.length; panel++) {
    const a = surface.stations[panel]!;
    const b = surface.stations[panel + 1]!;
    const length = b.distance - a.distance;
    const sheets = [a, b].map(({ section, chord }) => sectionSheet(section, millimetresFromMetres(chord)));
    for (let slice = 0; slice < SLICES; slice++) {
      const within = (slice + 0.5) / SLICES;
      const point = planformAt(surface, a.distance + within * length);
      const solid = buildOf(a.section).isSolid ? 1 / material.thickness : 1;
      /** What lies on this slice, from its two ends: mass per area of plan [g/m²], and its place in the chord. */
      const put = (ends: readonly { readonly weight: number; readonly centroid: number }[]) => {
        const at = (key: 'weight' | 'centroid') => ends[0]![key] + (ends[1]![key] - ends[0]![key]) * within;
        const mass = kilogramsFromGrams((at('weight') * point.chord * length) / SLICES);
        if (mass <= 0) return;
        const centre: Vector3 = [point.x + at('centroid') * point.chord, point.y, point.z];
        elements.push(...onBothSides(surface.mirrored, mass, centre, [point.chord, length / SLICES, 0]));
      };
      const ofBoard = (
        part: { readonly lengthRatio: number; readonly centroid: number } | undefined,
        share: number,
      ) => ({
        weight: (part?.lengthRatio ?? 0) * material.arealDensity * share,
        centroid: part?.centroid ?? 0.5,
      });
      put(sheets.map((sheet) => ofBoard(sheet, kept * solid)));
      put(sheets.map(({ ribs }) => ofBoard(ribs, 1)));
      put(sheets.map(({ film }) => film ?? NO_FILM));
    }
  }
  return construction ? [...elements, ...fastenings(construction, { ...surface, ownGlue }, elements)] : elements;
}

type Fastenings = Pick<
  NonNullable<Body['construction']>,
  'glueLength' | 'glueDensity' | 'glueTest' | 'tapeArea' | 'tapeDensity'
>;

interface Fastened {
  readonly mirrored: boolean;
  /** This builder’s own figure of glue. */
  readonly ownGlue: number | undefined;
}

const NO_FILM = { weight: 0, centroid: 0.5 };

/** Glue and tape lie where the board lies. */
function fastenings(
  { tapeArea, tapeDensity, ...glued }: Fastenings,
  { mirrored, ownGlue }: Fastened,
  board: readonly MassElement[],
): MassElement[] {
  const boardMass = totalOf(board);
  if (boardMass <= 0) return [];
  const glue = kilogramsFromGrams(glueOf(glued, ownGlue)) * (mirrored ? 2 : 1);
  const tape = kilogramsFromGrams(squareMetresFromSquareMillimetres(tapeArea) * tapeDensity);
  const factor = (glue + tape) / boardMass;
  return factor > 0 ? board.map((element) => ({ ...element, mass: element.mass * factor })) : [];
}

/** Pieces of a rod that carry its mass. */
const ROD_PIECES = 8;

function sparElements(surface: PlacedSurface): MassElement[] {
  const root = surface.stations[0]!;
  return surface.source.spars.flatMap((spar) => {
    const at = (end: { distanceFromRoot: number; x: number }): Vector3 => {
      const { y, z } = planformAt(surface, metresFromMillimetres(end.distanceFromRoot));
      return [root.x + metresFromMillimetres(end.x), y, z];
    };
    const start = at(spar.start);
    const end = at(spar.end);
    const length = Math.hypot(...start.map((value, axis) => end[axis]! - value));
    const mass = kilogramsFromGrams(spar.linearDensity * length);
    return Array.from({ length: ROD_PIECES }, (_, piece) => {
      const share = (piece + 0.5) / ROD_PIECES;
      const centre = start.map((value, axis) => value + (end[axis]! - value) * share) as [number, number, number];
      return onBothSides(surface.mirrored, mass / ROD_PIECES, centre, [0, length / ROD_PIECES, 0]);
    }).flat();
  });
}

const ofBodies = knownFrom<Body, readonly MassElement[]>();
const NO_PARTS: readonly BoardMass[] = [];

/** The skin of a body with its doublers, or its sticks and film; glue and tape lie where they lie. */
export function bodyElements(design: Design, body: Body): readonly MassElement[] {
  // What of it is cut knows by itself what that follows from.
  const parts = body.construction?.countedBy === 'parts' ? bodyBoardMasses(design, body) : NO_PARTS;
  return ofBodies(body, [design.materials, design.figures, parts], () => weighedBody(design, body, parts));
}

function weighedBody(design: Design, body: Body, parts: readonly BoardMass[]): MassElement[] {
  const { construction } = body;
  const material = design.materials.find(({ id }) => id === construction?.material);
  const built = construction?.truss
    ? trussElements(body, construction.truss)
    : material && construction
      ? parts.length > 0
        ? [...parts]
        : sheetElements(body, construction, material.arealDensity)
      : [];
  const elements = [
    ...(construction
      ? [...built, ...fastenings(construction, { ...body, ownGlue: design.figures?.glue }, built)]
      : built),
    ...bodyRods(body),
  ];
  return scaledTo(elements, design, body.measuredMass, () => {
    const spread = skinElements(body, PLACEHOLDER.arealDensity);
    return totalOf(spread) > 0 ? spread : lineElements(body);
  });
}

/** Rods laid along a body, in pieces as rods of surfaces are. */
function bodyRods({ rods, position, mirrored }: Body): MassElement[] {
  const [originX, originY, originZ] = vectorFromPoint(position);
  return rods.flatMap((rod) => {
    const from = metresFromMillimetres(rod.from);
    const length = metresFromMillimetres(rod.to - rod.from);
    const mass = kilogramsFromGrams(rod.linearDensity * length);
    const y = metresFromMillimetres(rod.y);
    return Array.from({ length: ROD_PIECES }, (_, piece) => {
      const x = originX + from + ((piece + 0.5) / ROD_PIECES) * length;
      const place = (side: number) =>
        onBothSides(
          mirrored,
          mass / ROD_PIECES,
          [x, originY + side * y, originZ + metresFromMillimetres(rod.z)],
          [length / ROD_PIECES, 0, 0],
        );
      return [...place(1), ...(rod.mirrored ? place(-1) : [])];
    }).flat();
  });
}

/** Board on every wall, in layers, and more of it where walls are doubled. */
function sheetElements(
  body: Body,
  construction: NonNullable<Body['construction']>,
  arealDensity: number,
): MassElement[] {
  const { layers, extraFraction, doublers } = construction;
  return [
    ...skinElements(body, arealDensity * layers * (1 + extraFraction)),
    ...doublers.flatMap(({ from, to, layers: more }) => {
      const frames = framesBetween(body, from, to);
      return frames.length > 1 ? skinElements({ ...body, frames }, arealDensity * more, 'sides') : [];
    }),
  ];
}

/** The stretch of a body between two places, with frames in between at both. */
function framesBetween({ frames }: Body, from: number, to: number): Body['frames'] {
  const at = (x: number): Body['frames'][number] | null => {
    const after = frames.findIndex((frame) => frame.x >= x);
    if (after < 0 || (after === 0 && frames[0]!.x > x)) return null;
    if (after === 0) return frames[0]!;
    const [a, b] = [frames[after - 1]!, frames[after]!];
    const share = (x - a.x) / (b.x - a.x);
    const between = (key: 'width' | 'top' | 'bottom') => a[key] + (b[key] - a[key]) * share;
    return { x, width: between('width'), top: between('top'), bottom: between('bottom') } as typeof a;
  };
  const ends = [at(Math.max(from, frames[0]!.x)), at(Math.min(to, frames.at(-1)!.x))];
  const [start, end] = ends;
  return start && end && end.x > start.x ? [start, ...frames.filter(({ x }) => x > start.x && x < end.x), end] : [];
}

/**
 * Four sticks along the corners, at every bay two uprights and two cross
 * pieces, a diagonal in each side where there are some, and film all round.
 */
function trussElements(body: Body, truss: NonNullable<NonNullable<Body['construction']>['truss']>): MassElement[] {
  const [originX, originY, originZ] = vectorFromPoint(body.position);
  const perMetre = kilogramsFromGrams(metresFromMillimetres(1000) * truss.stickDensity);
  const sticks: MassElement[] = [];
  const bays = Math.max(1, Math.round((body.frames.at(-1)!.x - body.frames[0]!.x) / truss.bay));
  const frameAt = (bay: number) => {
    const x = body.frames[0]!.x + ((body.frames.at(-1)!.x - body.frames[0]!.x) * bay) / bays;
    const after = Math.max(
      1,
      body.frames.findIndex((frame) => frame.x >= x - 1e-9),
    );
    const [a, b] = [body.frames[after - 1]!, body.frames[after]!];
    const share = (x - a.x) / (b.x - a.x);
    const between = (key: 'width' | 'top' | 'bottom') => metresFromMillimetres(a[key] + (b[key] - a[key]) * share);
    return { x: metresFromMillimetres(x), half: between('width') / 2, top: between('top'), bottom: between('bottom') };
  };
  const put = (length: number, x: number, y: number, z: number, along: number) => {
    if (length <= 0) return;
    sticks.push(
      ...onBothSides(body.mirrored, perMetre * length, [originX + x, originY + y, originZ + z], [along, 0, 0]),
    );
  };
  for (let bay = 0; bay <= bays; bay++) {
    const here = frameAt(bay);
    const middle = (here.top + here.bottom) / 2;
    put(2 * (here.top - here.bottom), here.x, 0, middle, 0);
    put(2 * 2 * here.half, here.x, 0, middle, 0);
    if (bay === bays) continue;
    const next = frameAt(bay + 1);
    const [dx, dy] = [next.x - here.x, next.half - here.half];
    const x = (here.x + next.x) / 2;
    for (const edge of ['top', 'bottom'] as const)
      put(2 * Math.hypot(dx, dy, next[edge] - here[edge]), x, 0, (here[edge] + next[edge]) / 2, dx);
    if (truss.diagonals) put(2 * Math.hypot(dx, next.top - here.bottom, dy), x, 0, (next.top + here.bottom) / 2, dx);
  }
  return [...sticks, ...skinElements(body, truss.filmDensity)];
}

/** A body without width or height weighs along its length. */
function lineElements({ frames, position, mirrored }: Body): MassElement[] {
  const [originX, originY, originZ] = vectorFromPoint(position);
  const from = metresFromMillimetres(frames[0]!.x);
  const length = metresFromMillimetres(frames.at(-1)!.x) - from;
  return onBothSides(mirrored, 1, [originX + from + length / 2, originY, originZ], [length, 0, 0]);
}

/** A quantity at both ends of a stretch, even in between. */
type Linear = readonly [number, number];

/** Integral over a stretch of unit length of the product of two or three that change evenly. Simpson’s rule is exact there. */
function integral(...factors: readonly Linear[]): number {
  const at = (share: number) => factors.reduce((product, [a, b]) => product * (a + (b - a) * share), 1);
  return (at(0) + 4 * at(0.5) + at(1)) / 6;
}

/** The board between one frame and the next: four sides, or the two upright ones, each at its own centroid. */
function skinElements(body: Body, arealDensity: number, walls: 'all' | 'sides' = 'all'): MassElement[] {
  const [originX, originY, originZ] = vectorFromPoint(body.position);
  const elements: MassElement[] = [];
  for (let index = 0; index + 1 < body.frames.length; index++) {
    const [a, b] = [body.frames[index]!, body.frames[index + 1]!];
    const ends = (of: (frame: typeof a) => number): Linear => [
      metresFromMillimetres(of(a)),
      metresFromMillimetres(of(b)),
    ];
    const x = ends((frame) => frame.x);
    const half = ends(({ width }) => width / 2);
    const width = ends((frame) => frame.width);
    const height = ends(({ top, bottom }) => top - bottom);
    const [top, bottom, middle] = [ends((f) => f.top), ends((f) => f.bottom), ends((f) => (f.top + f.bottom) / 2)];
    const length = x[1] - x[0];
    const round = body.kind === 'round' ? Math.PI / 4 : 1;
    const put = (breadth: Linear, y: Linear, z: Linear, side: number) => {
      const share = integral(breadth);
      if (share <= 0) return;
      const at = (place: Linear) => integral(breadth, place) / share;
      elements.push(
        ...onBothSides(
          body.mirrored,
          kilogramsFromGrams(arealDensity * length * share * round),
          [originX + at(x), originY + side * at(y), originZ + at(z)],
          [length, 0, 0],
        ),
      );
    };
    const none: Linear = [0, 0];
    if (body.kind === 'plank') {
      put(height, none, middle, 0);
      continue;
    }
    put(height, half, middle, 1);
    put(height, half, middle, -1);
    if (walls === 'sides') continue;
    put(width, none, top, 0);
    put(width, none, bottom, 0);
  }
  return elements;
}

/** One element, or two when the part is mirrored. */
export function onBothSides(mirrored: boolean, mass: number, [x, y, z]: Vector3, size: Vector3): MassElement[] {
  const right: MassElement = { mass, centre: [x, y, z], size };
  return mirrored ? [right, { mass, centre: [x, -y, z], size }] : [right];
}

/** Elements of one surface of a design by its id, for tests and tables. */
export function elementsOfSurface(design: Design, id: string): readonly MassElement[] {
  const source = design.surfaces.find((surface) => surface.id === id);
  return source ? surfaceElements(design, placeSurface(source)) : [];
}
