import type { Metres } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { ChordPoint, SectionWall, SectionWalls } from '@/core/3-shape/section/walls';
import { type Covering, type Layup, layupOf } from '../materials/board';
import { filmOf } from '../materials/covering';
import { coreOf } from '../materials/foam';
import { lengthAlong, type Piece } from './fibres';
import type { SectionPlace, SurfaceStuff } from './surfaceStuff';
import type { BuiltWall } from './torsion';

/** What a fraction of the chord is along it, square to the axis, and up. */
export interface Scale {
  readonly x: Metres;
  readonly z: Metres;
}

/** Walls at a place between both stations of its panel. */
export function wallsBetween({ wallsOf, surface }: SurfaceStuff, { panel, within }: SectionPlace): SectionWalls {
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

/** Walls with what they are made of. */
export function builtWalls(
  stuff: SurfaceStuff,
  section: Section,
  { walls, cell }: SectionWalls,
  scale: Scale,
): BuiltWall[] {
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
