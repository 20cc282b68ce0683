import { knownFrom } from '@/core/1-base/knownFrom';
import { type Metres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Station } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { plateStiffness as plateOf } from '../materials/board';
import { type Block, blockOf } from './block';
import { builtWalls, wallsBetween } from './builtWalls';
import { clippedWalls } from './clip';
import { type Composite, composite, type Member } from './composite';
import { lengthAlong, sheetFibres } from './fibres';
import { rodsAt, twistOfRods } from './laidRods';
import type { SectionPlace, SurfaceStuff } from './surfaceStuff';
import { type BuiltWall, shearCentre, twistStiffness } from './torsion';

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

/** By the inner station of their panel, all its stretches before and after: most of a wing stays as it is while one chord is dragged. */
const sections = knownFrom<Station, BuiltSection>(24);

/** The section at a place: walls between both stations, rods that pass there, covering. */
export function sectionAt(stuff: SurfaceStuff, place: SectionPlace): BuiltSection {
  const { surface, material, covering } = stuff;
  const { stations, spars } = surface.source;
  const { panel, within, cutAt, cosine, distance, edge } = place;
  const inner = stations[panel]!;
  const outer = stations[panel + 1]!;
  const rods = spars.length > 0 ? [spars, distance, edge] : [];
  const from = [outer, within, cutAt, cosine, material, covering?.solid, covering?.thickness, ...rods];
  return sections(inner, from, () => buildSection(stuff, place));
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
