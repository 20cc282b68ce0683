import { field, type FieldChange } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import {
  type Degrees,
  type Metres,
  metresFromMillimetres,
  millimetresFromMetres,
  type SquareMetres,
} from '@/core/1-base/units/convert';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { placeAll, placeSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms, referenceOf, tailVolume } from '@/core/3-shape/geometry/planform';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { numbersOf } from '@/core/6-groups/solve';
import { balanced, type WeighedBodies } from './balanced';

/** What a tail's area is spread against: its arm, or the angle of a V. */
export type MapAcross = 'arm' | 'angle';

/** Where a tail stands on its map. */
export interface TailPlace {
  /** Area of both sides along the board [m²]. */
  readonly area: SquareMetres;
  /** From the wings' quarter mean chord to its own, aft positive [m]; or the dihedral of its first panel [°]. */
  readonly across: Metres | Degrees;
}

/** Places at which the whole aircraft is computed, evenly spread from least to most. */
export interface TailAxes {
  readonly areas: readonly SquareMetres[];
  readonly across: readonly number[];
}

/** What comes of a tail at one place; null where it is not known. */
export interface MapPoint {
  readonly staticMargin: number | null;
  /** C_nβ per radian. */
  readonly yawStiffness: number | null;
}

/** A quarter of the panels of a whole analysis: margins within half a percent of the chord. */
const GRID = { strips: 8, chordwise: 3 } as const;
const AREAS = { count: 9, least: 0.4, most: 2 } as const;
const ARMS = { count: 7, least: 0.6, most: 1.45 } as const;
const ANGLES = { count: 7, least: 20, most: 50 } as const;

const spread = (from: number, to: number, count: number) =>
  Array.from({ length: count }, (_, index) => from + ((to - from) * index) / (count - 1));

/** Today's place of a tail; null without a wing, an area or an arm. */
export function placeOfTail(design: Design, surface: Surface, kind: MapAcross): TailPlace | null {
  const reference = referenceOf(placeAll(design.surfaces));
  const placed = placeSurface(surface);
  const area = integratePlanforms([placed], 'true')?.area ?? 0;
  if (!reference || area <= 0) return null;
  const { arm } = tailVolume(placed, reference);
  if (Math.abs(arm) < metresFromMillimetres(1)) return null;
  return { area, across: kind === 'arm' ? arm : surface.stations[0]!.dihedral };
}

/** Around today's tail, from less than half its area to double. */
export function tailAxes({ area, across }: TailPlace, kind: MapAcross): TailAxes {
  return {
    areas: spread(AREAS.least * area, AREAS.most * area, AREAS.count),
    across:
      kind === 'arm'
        ? spread(ARMS.least * across, ARMS.most * across, ARMS.count).sort((a, b) => a - b)
        : spread(Math.min(ANGLES.least, across), Math.max(ANGLES.most, across), ANGLES.count),
  };
}

/**
 * Fields that bring a tail to a place: scaled in shape, moved along or turned
 * up, and what slides takes the balance back to where it was, as far as its
 * bay lets it. Lengths [mm] and angles [°] to a tenth. @param bodies as for
 * `balanced`
 */
export function tailMovedTo(
  design: Design,
  surface: Surface,
  kind: MapAcross,
  { area, across }: TailPlace,
  bodies?: WeighedBodies,
): readonly FieldChange[] {
  const today = placeOfTail(design, surface, kind);
  if (!today) return [];
  const scaled = scaledSurface(surface, area / today.area);
  const [place, ...shape] = scaled;
  const tenth = (value: number) => Math.round(value * 10) / 10;
  if (kind === 'angle') {
    const up = surface.stations
      .slice(0, -1)
      .map((_, index) => field('surfaces', surface.id, 'stations', index, 'dihedral').to(tenth(across)));
    return balanced(design, [...scaled, ...up], bodies);
  }
  const x = (withFields(design, [place!]).surfaces.find(({ id }) => id === surface.id) ?? surface).position.x;
  const along = field('surfaces', surface.id, 'position', 'x').to(
    tenth(x + millimetresFromMetres(across - today.across)),
  );
  return balanced(design, [...shape, along], bodies);
}

export interface TailMapRowInput {
  readonly design: Design;
  readonly surface: string;
  readonly kind: MapAcross;
  readonly areas: readonly SquareMetres[];
  readonly across: number;
}

/** The whole aircraft at every area of one arm or angle, on a coarse lattice. */
export function tailMapRow({ design, surface: id, kind, areas, across }: TailMapRowInput): MapPoint[] {
  const surface = design.surfaces.find((candidate) => candidate.id === id);
  return areas.map((area) => {
    const checked =
      surface && designSchema.safeParse(withFields(design, tailMovedTo(design, surface, kind, { area, across })));
    if (!checked?.success) return { staticMargin: null, yawStiffness: null };
    const { pitch, lateral } = numbersOf(checked.data, { grid: GRID, without: ['bands'] });
    return { staticMargin: pitch.staticMargin, yawStiffness: lateral.yawStiffness };
  });
}
