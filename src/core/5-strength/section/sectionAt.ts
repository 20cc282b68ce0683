import {
  metresFromMillimetres,
  type Millimetres,
  millimetresFromMetres,
  type Metres,
} from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import type { Station } from '@/core/2-document/schema/surface';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { contourOf } from '@/core/3-shape/section/contour';
import type { Contour } from '@/core/3-shape/section/faces';
import { buildOf } from '@/core/3-shape/section/kinds';
import { tooLowToFold } from '@/core/3-shape/section/tooLowToFold';
import type { ChordPoint, SectionWall, SectionWalls } from '@/core/3-shape/section/walls';
import { type Covering, type Layup, layupOf, plateStiffness as plateOf } from '../materials/board';
import type { Board } from '../materials/ownBoard';
import { filmOf } from '../materials/covering';
import { coreOf } from '../materials/foam';
import { type RodMember, rodMember } from '../materials/rods';
import { type Composite, composite, type Fibre, type Member } from './composite';
import { clippedWalls, withoutWebs } from './clip';
import { blockFibre, lengthAlong, type Piece, rodFibre, sheetFibres } from './fibres';
import { type BuiltWall, shearCentre, solidOutline, twistStiffness } from './torsion';

/** A section of a surface as it bends and twists, square to its axis. SI. */
export interface BuiltSection {
  readonly whole: Composite;
  /** Twist stiffness G J [N·m²] and stiffness against shear up and down [N]. */
  readonly twist: number;
  readonly shear: number;
  /** Load up and down that its cores and webs bear in shear [N]. */
  readonly shearStrength: number;
  /** Where a load does not twist it, aft of the leading edge, and the middle of stiffness there [m]. */
  readonly axis: Metres;
  readonly height: Metres;
  /** Of its twist stiffness, how far off it may be. */
  readonly twistBand: number;
}

/** What a surface is made of, worked out once for all its sections. */
export interface SurfaceStuff {
  readonly surface: PlacedSurface;
  readonly material: Board | null;
  readonly covering: Covering | null;
  readonly rods: readonly LaidRod[];
  /** Walls at both ends of a panel, in fractions of the chord there. */
  readonly wallsOf: (panel: number) => PanelWalls;
  readonly layups: Map<string, Layup>;
}

type PanelWalls = readonly [inner: SectionWalls, outer: SectionWalls];

/** A rod along a surface: from where to where [m], aft of the root’s leading edge. */
export interface LaidRod {
  readonly id: string;
  readonly from: Metres;
  readonly to: Metres;
  readonly fromX: Metres;
  readonly toX: Metres;
  readonly level: 'upper' | 'middle' | 'lower';
  readonly member: RodMember;
}

export function surfaceStuff(surface: PlacedSurface, material: Board | null, covering: Covering | null): SurfaceStuff {
  const walls = new Map<number, PanelWalls>();
  return {
    surface,
    material,
    covering,
    rods: surface.source.spars.map((spar) => ({
      id: spar.id,
      from: metresFromMillimetres(spar.start.distanceFromRoot),
      to: metresFromMillimetres(spar.end.distanceFromRoot),
      fromX: metresFromMillimetres(spar.start.x),
      toX: metresFromMillimetres(spar.end.x),
      level: spar.level,
      member: rodMember(spar),
    })),
    wallsOf: (panel) => {
      const made = walls.get(panel) ?? panelWalls(surface, panel, material?.thickness ?? 5);
      walls.set(panel, made);
      return made;
    },
    layups: new Map(),
  };
}

export interface SectionPlace {
  readonly panel: number;
  /** 0 at the inboard station of the panel, 1 at the outboard one. */
  readonly within: number;
  /** From the root [m]. */
  readonly distance: Metres;
  readonly chord: Metres;
  /** Leading edge there, aft of the root’s [m]. */
  readonly edge: Metres;
  /** What is cut off behind a hinge, as a fraction of the chord; 1 for nothing. */
  readonly cutAt: number;
  /** cos of the sweep of the axis: a section square to it is so much shorter. */
  readonly cosine: number;
}

/** Upright slices of a block. */
const SLICES = 24;

interface KnownSection {
  readonly from: readonly unknown[];
  readonly section: BuiltSection;
}

/** Sections by the inner station of their panel: most of a wing stays as it is while one chord is dragged. Newest first. */
const known = new WeakMap<Station, readonly KnownSection[]>();
/** Of a panel with all its stretches, before and after. */
const KEPT = 24;

/** The section at a place: walls between both stations, rods that pass there, covering. */
export function sectionAt(stuff: SurfaceStuff, place: SectionPlace): BuiltSection {
  const { surface, material, covering } = stuff;
  const { stations, spars } = surface.source;
  const { panel, within, cutAt, cosine, distance, edge } = place;
  const inner = stations[panel]!;
  const outer = stations[panel + 1]!;
  const rods = spars.length > 0 ? [spars, distance, edge] : [];
  const from = [outer, within, cutAt, cosine, material, covering?.solid, covering?.thickness, ...rods];
  const before = known.get(inner) ?? [];
  const same = before.find(
    (one) => one.from.length === from.length && one.from.every((of, index) => of === from[index]),
  );
  if (same) return same.section;
  const section = buildSection(stuff, place);
  known.set(inner, [{ from, section }, ...before].slice(0, KEPT));
  return section;
}

function buildSection(stuff: SurfaceStuff, place: SectionPlace): BuiltSection {
  const { surface } = stuff;
  const nearer = surface.stations[place.within < 0.5 ? place.panel : place.panel + 1]!;
  const drawn = clippedWalls(wallsBetween(stuff, place), place.cutAt);
  const scale = { x: place.chord * place.cosine, z: place.chord };
  const contour = contourOf(nearer.section, millimetresFromMetres(nearer.chord));
  const solid = drawn.isBlock ? blockOf(stuff, contour, place, scale) : null;
  const walls = builtWalls(stuff, nearer.section, solid ? solid.cover : drawn, scale);
  const fibres = [
    ...walls.flatMap(({ pieces, layup, place: at }) => {
      const { kind } = (solid ? solid.cover : drawn).walls[at]!;
      const member: Member | undefined = kind === 'web' ? 'web' : kind === 'film' && !solid ? 'film' : undefined;
      return pieces.flatMap((piece) => sheetFibres(piece, layup, at, member));
    }),
    ...(solid?.fibres ?? []),
    ...rodsAt(stuff, place, contour, scale.x),
  ];
  const whole = composite(fibres);
  const rods = twistOfRods(stuff, place);
  const ofWalls = twistStiffness(walls) + (solid?.twist ?? 0);
  const axis = solid && walls.length === 0 ? solid.axis : shearCentre(walls, whole);
  return {
    whole,
    twist: ofWalls + rods,
    ...shearOf(walls, solid),
    // Square to the axis everything aft of the edge is nearer by the cosine: back to the chord.
    axis: Number.isFinite(axis) ? axis / place.cosine : place.chord / 2,
    height: whole.z,
    twistBand: twistBandOf(walls, solid !== null),
  };
}

/** As it is cut: a panel has the spar of its inner end all along, and none where that cannot be folded. */
function panelWalls({ stations }: PlacedSurface, panel: number, sheet: number): PanelWalls {
  const [inner, outer] = [stations[panel]!, stations[panel + 1]!].map(({ section, chord }) => ({
    section,
    chord: millimetresFromMetres(chord),
  })) as [StationEnd, StationEnd];
  const wallsOf = ({ section, chord }: StationEnd) =>
    buildOf(section).walls(section, contourOf(section, chord), chord, sheet);
  const section = withSparOf(inner.section, outer.section);
  const walls = [wallsOf(inner), wallsOf({ ...outer, section })] as const;
  return tooLowToFold([inner, outer]) ? [withoutWebs(walls[0]), withoutWebs(walls[1])] : walls;
}

interface StationEnd {
  readonly section: Section;
  readonly chord: Millimetres;
}

const withSparOf = (inner: Section, outer: Section): Section =>
  inner.kind === 'foldedOverSpar' && outer.kind === 'foldedOverSpar' && inner.spar !== outer.spar
    ? { ...outer, spar: inner.spar }
    : outer;

function wallsBetween({ wallsOf, surface }: SurfaceStuff, { panel, within }: SectionPlace): SectionWalls {
  const [inner, outer] = wallsOf(panel);
  const isAlike =
    inner.walls.length === outer.walls.length &&
    inner.walls.every(({ kind }, index) => kind === outer.walls[index]!.kind) &&
    inner.isBlock === outer.isBlock &&
    inner.cell.length === outer.cell.length &&
    surface.stations[panel]!.section.kind === surface.stations[panel + 1]!.section.kind;
  if (!isAlike) return within < 0.5 ? inner : outer;
  const mixed = (wall: SectionWall, index: number): SectionWall => ({
    kind: wall.kind,
    line: wall.line.map(([x, z], point): ChordPoint => {
      const [toX, toZ] = outer.walls[index]!.line[point]!;
      return [x + (toX - x) * within, z + (toZ - z) * within];
    }),
  });
  return { ...inner, walls: inner.walls.map(mixed) };
}

interface Scale {
  readonly x: Metres;
  readonly z: Metres;
}

function builtWalls(stuff: SurfaceStuff, section: Section, { walls, cell }: SectionWalls, scale: Scale): BuiltWall[] {
  return walls.flatMap(({ kind, line }, place) => {
    const layup = layupFor(stuff, section, kind);
    if (!layup) return [];
    const points = withoutStraight(line).map(([x, z]) => [x * scale.x, z * scale.z] as const);
    const pieces = points.slice(1).map((b, index): Piece => ({ a: points[index]!, b }));
    return [{ place, pieces, layup, inCell: cell.includes(place) }];
  });
}

/** Points this near the straight line between their neighbours say nothing, share of the chord: a twentieth of a millimetre on a usual wing. */
const STRAIGHT = 2e-4;

/** A line without the points that it passes straight: one long piece bends and twists as its parts do. */
function withoutStraight(line: readonly ChordPoint[]): readonly ChordPoint[] {
  if (line.length < 3) return line;
  const kept: ChordPoint[] = [line[0]!];
  let from = 0;
  for (let to = 2; to < line.length; to++) {
    if (isStraight(line, from, to)) continue;
    from = to - 1;
    kept.push(line[from]!);
  }
  kept.push(line.at(-1)!);
  return kept;
}

/** True where everything between two points of a line lies on the way from one to the other. */
function isStraight(line: readonly ChordPoint[], from: number, to: number): boolean {
  const [[ax, az], [bx, bz]] = [line[from]!, line[to]!];
  const length = lengthAlong(bx - ax, bz - az);
  for (let index = from + 1; index < to; index++) {
    const [x, z] = line[index]!;
    if (Math.abs((x - ax) * (bz - az) - (z - az) * (bx - ax)) > STRAIGHT * length) return false;
  }
  return true;
}

/** The sheet of a wall; null where it is not said what the surface is made of. */
function layupFor(stuff: SurfaceStuff, section: Section, kind: SectionWall['kind']): Layup | null {
  const { material, covering } = stuff;
  const board = buildOf(section).board(section) ?? material?.thickness ?? 0;
  const key = `${kind} ${board}`;
  const known = stuff.layups.get(key);
  if (known) return known;
  const made =
    kind === 'film'
      ? filmLayup(section.kind === 'ribsUnderFilm' ? filmOf(section.filmDensity) : (covering ?? filmOf(FILM)))
      : material && board > 0
        ? layupOf(material, board, kind === 'board' ? covering : null)
        : null;
  if (made) stuff.layups.set(key, made);
  return made;
}

/** Film that closes a curved sheet below when nobody says which [g/m²]. */
const FILM = 40;

const filmLayup = ({ solid, thickness }: Covering): Layup => ({
  thickness,
  coreThickness: 0,
  core: coreOf('bead', 20),
  // Film only pulls; pressed it buckles, and what bears is what is under it.
  layers: [{ member: 'covering', solid, thickness, height: 0 }],
});

interface Block {
  readonly fibres: Fibre[];
  readonly twist: number;
  readonly axis: Metres;
  readonly area: number;
  readonly core: ReturnType<typeof coreOf>;
  readonly cover: SectionWalls;
}

/** Foam that fills the contour, and what it is covered with. */
function blockOf(stuff: SurfaceStuff, contour: Contour, { cutAt }: SectionPlace, scale: Scale): Block | null {
  const { material } = stuff;
  if (!material) return null;
  const { core } = layupOf({ ...material, faces: 'none' }, material.thickness);
  const fibres: Fibre[] = [];
  let [area, second, moment, weighted] = [0, 0, 0, 0];
  for (let slice = 0; slice < SLICES; slice++) {
    const x = ((slice + 0.5) / SLICES) * cutAt;
    const width = (cutAt / SLICES) * scale.x;
    const after = contour.x.findIndex((place) => place >= x);
    const [top, bottom] = [contour.upper[after]! * scale.z, contour.lower[after]! * scale.z];
    const height = Math.max(0, top - bottom);
    if (height === 0) continue;
    fibres.push(blockFibre(core, x * scale.x, width, [bottom, top]));
    area += width * height;
    second += (width * height ** 3) / 12;
    moment += width * height ** 3 * x * scale.x;
    weighted += width * height ** 3;
  }
  const isCovered = stuff.covering !== null;
  return {
    fibres,
    twist: solidOutline(core.shear, second, area, cutAt * scale.x),
    axis: weighted > 0 ? moment / weighted : scale.x / 2,
    area,
    core,
    cover: isCovered && cutAt === 1 ? coverOf(contour) : { walls: [], cell: [], isBlock: true },
  };
}

/** The skin of a block, as walls of film. */
function coverOf({ x, upper, lower }: Contour): SectionWalls {
  const every = 8;
  const line = (face: Float64Array): ChordPoint[] =>
    [...x.keys()].filter((index) => index % every === 0).map((index) => [x[index]!, face[index]!]);
  return {
    walls: [
      { kind: 'film', line: line(upper).toReversed() },
      { kind: 'film', line: line(lower) },
    ],
    cell: [0, 1],
    isBlock: true,
  };
}

/** Rods that pass a place, each at its level in the section. */
function rodsAt({ rods, surface }: SurfaceStuff, place: SectionPlace, contour: Contour, across: Metres): Fibre[] {
  return rods.flatMap((rod) => {
    const aft = rodAft(rod, place);
    if (aft === null || rod.member.section.area <= 0) return [];
    const share = Math.min(1, Math.max(0, aft / place.chord));
    const after = Math.max(
      0,
      contour.x.findIndex((x) => x >= share),
    );
    const [top, bottom] = [contour.upper[after]! * place.chord, contour.lower[after]! * place.chord];
    const half = rod.member.section.height / 2;
    const wall = metresFromMillimetres(
      buildOf(surface.stations[place.panel]!.section).isSolid ? 0 : skinOf(surface, place),
    );
    const z = {
      middle: (top + bottom) / 2,
      upper: Math.max((top + bottom) / 2, top - wall - half),
      lower: Math.min((top + bottom) / 2, bottom + wall + half),
    }[rod.level];
    return [rodFibre(rod.id, rod.member, share * across, z)];
  });
}

/** Skin that lies over a rod in a hollow section [mm]; a rod in a single sheet lies in it. */
function skinOf(surface: PlacedSurface, { panel }: SectionPlace): number {
  const { section } = surface.stations[panel]!;
  return section.kind === 'foldedOverSpar' ? section.boardThickness : 0;
}

/** How far aft of the leading edge a rod lies at a place; null where it does not reach [m]. */
export function rodAft(rod: LaidRod, { distance, edge }: SectionPlace): Metres | null {
  if (distance < rod.from || distance > rod.to || rod.to <= rod.from) return null;
  return rod.fromX + ((rod.toX - rod.fromX) * (distance - rod.from)) / (rod.to - rod.from) - edge;
}

function twistOfRods({ rods }: SurfaceStuff, place: SectionPlace): number {
  return rods.reduce(
    (sum, rod) => sum + (rodAft(rod, place) === null ? 0 : rod.member.solid.shear * rod.member.torsionConstant),
    0,
  );
}

/** Stiffness and strength up and down: upright walls in their plane, flat ones across their thickness, blocks all through. */
function shearOf(
  walls: readonly BuiltWall[],
  solid: Block | null,
): { readonly shear: number; readonly shearStrength: number } {
  let shear = solid ? (5 / 6) * solid.core.shear * solid.area : 0;
  let shearStrength = solid ? (2 / 3) * solid.core.shearStrength * solid.area : 0;
  for (const { pieces, layup } of walls) {
    const stiffness = plateOf(layup);
    for (const { a, b } of pieces) {
      const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
      const length = lengthAlong(dx, dz);
      if (length === 0) continue;
      shear += (stiffness.plane * dz ** 2 + stiffness.shear * dx ** 2) / length;
      const between = (layup.thickness + layup.coreThickness) / 2;
      shearStrength += (layup.core.shearStrength * between * dx ** 2) / length;
      // In its plane an upright sheet bears by its faces: half of what they bear pulled.
      for (const { solid: own, thickness } of layup.layers)
        shearStrength += (own.tension * thickness * dz ** 2) / (2 * length);
    }
  }
  return { shear, shearStrength };
}

/** The widest band of what holds the twist. */
function twistBandOf(walls: readonly BuiltWall[], isBlock: boolean): number {
  let widest = -Infinity;
  for (const { layup } of walls)
    for (const { member, solid } of layup.layers) if (member !== 'core') widest = Math.max(widest, solid.band);
  return widest >= 0 ? widest : isBlock ? 0.4 : 0.3;
}
