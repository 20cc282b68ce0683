import {
  metresFromMillimetres,
  type Millimetres,
  millimetresFromMetres,
  type Metres,
} from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { contourOf } from '@/core/3-shape/section/contour';
import { buildOf } from '@/core/3-shape/section/kinds';
import { tooLowToFold } from '@/core/3-shape/section/tooLowToFold';
import type { SectionWalls } from '@/core/3-shape/section/walls';
import type { Covering, Layup } from '../materials/board';
import type { Board } from '../materials/ownBoard';
import { type RodMember, rodMember } from '../materials/rods';
import { withoutWebs } from './clip';
import { bendsOfLine } from './straight';

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

interface PanelWalls {
  readonly inner: SectionWalls;
  readonly outer: SectionWalls;
  /** Whether both have the same walls, so that those between can be mixed of them point by point. */
  readonly isAlike: boolean;
}

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

/** As it is cut: a panel has the spar of its inner end all along, and none where that cannot be folded. */
function panelWalls({ stations }: PlacedSurface, panel: number, sheet: number): PanelWalls {
  const [inner, outer] = [stations[panel]!, stations[panel + 1]!].map(({ section, chord }) => ({
    section,
    chord: millimetresFromMetres(chord),
  })) as [StationEnd, StationEnd];
  const wallsOf = ({ section, chord }: StationEnd) =>
    buildOf(section).walls(section, contourOf(section, chord), chord, sheet);
  const section = withSparOf(inner.section, outer.section);
  const drawn = [wallsOf(inner), wallsOf({ ...outer, section })] as const;
  const [from, to] = tooLowToFold([inner, outer]) ? [withoutWebs(drawn[0]), withoutWebs(drawn[1])] : drawn;
  const isAlike =
    inner.section.kind === outer.section.kind &&
    from.isBlock === to.isBlock &&
    from.cell.length === to.cell.length &&
    from.walls.length === to.walls.length &&
    from.walls.every(
      ({ kind, line }, wall) => kind === to.walls[wall]!.kind && line.length === to.walls[wall]!.line.length,
    );
  return isAlike ? { ...bentAlike(from, to), isAlike } : { inner: from, outer: to, isAlike };
}

/** Both without the points that neither line bends at: fewer to be mixed. */
function bentAlike(from: SectionWalls, to: SectionWalls): Pick<PanelWalls, 'inner' | 'outer'> {
  const kept = from.walls.map(({ line }, wall) => {
    const bends = new Set([...bendsOfLine(line), ...bendsOfLine(to.walls[wall]!.line)]);
    return [...bends].sort((a, b) => a - b);
  });
  const thinned = (walls: SectionWalls): SectionWalls => ({
    ...walls,
    walls: walls.walls.map(({ kind, line }, wall) => ({ kind, line: kept[wall]!.map((at) => line[at]!) })),
  });
  return { inner: thinned(from), outer: thinned(to) };
}

interface StationEnd {
  readonly section: Section;
  readonly chord: Millimetres;
}

const withSparOf = (inner: Section, outer: Section): Section =>
  inner.kind === 'foldedOverSpar' && outer.kind === 'foldedOverSpar' && inner.spar !== outer.spar
    ? { ...outer, spar: inner.spar }
    : outer;
