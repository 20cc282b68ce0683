import type { Metres } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { ChordPoint, SectionWall, SectionWalls } from '@/core/3-shape/section/walls';
import { type Covering, type Layup, layupOf } from '../materials/board';
import { filmOf } from '../materials/covering';
import { coreOf } from '../materials/foam';
import type { Piece } from './fibres';
import { bendsOfLine } from './straight';
import type { SectionPlace, SurfaceStuff } from './surfaceStuff';
import type { BuiltWall } from './torsion';

/** What a fraction of the chord is along it, square to the axis, and up. */
export interface Scale {
  readonly x: Metres;
  readonly z: Metres;
}

/** Walls at a place between both stations of its panel. */
export function wallsBetween({ wallsOf }: SurfaceStuff, { panel, within }: SectionPlace): SectionWalls {
  const { inner, outer, isAlike } = wallsOf(panel);
  if (!isAlike) return within < 0.5 ? inner : outer;
  const mixed = ({ kind, line }: SectionWall, index: number): SectionWall => {
    const other = outer.walls[index]!.line;
    const between = line.map((from, point): ChordPoint => {
      const to = other[point]!;
      return [from[0] + (to[0] - from[0]) * within, from[1] + (to[1] - from[1]) * within];
    });
    return { kind, line: between };
  };
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
    const points = bendsOfLine(line).map((at) => [line[at]![0] * scale.x, line[at]![1] * scale.z] as const);
    const pieces = points.slice(1).map((b, index): Piece => ({ a: points[index]!, b }));
    return [{ place, pieces, layup, inCell: cell.includes(place) }];
  });
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
