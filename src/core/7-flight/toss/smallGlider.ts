import type { Fraction, GramsPerSquareMetre, Kilograms, Millimetres } from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { areaOfPart, boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { cutListOf } from '@/core/4-parts/cutList';
import { CARD } from '@/core/4-parts/part';
import { weigh } from '@/core/4-weight/massModel';

/** What is cut of a design alone, full size, without equipment and drives. */
export interface Bare {
  readonly mass: Kilograms;
  /** Inertia of it about its own axes, roll, pitch and yaw, over that of all that flies. */
  readonly inertia: readonly [roll: Fraction, pitch: Fraction, yaw: Fraction];
}

/** @param arealDensity of the board that all of it is cut from instead of its own; null where nothing has a mass */
export function bareOf(design: Design, arealDensity?: GramsPerSquareMetre): Bare | null {
  const placed = placeAll(design.surfaces);
  const materials =
    arealDensity === undefined ? design.materials : design.materials.map((sheet) => ({ ...sheet, arealDensity }));
  const all = weigh(design, placed).properties;
  const board = weigh({ ...design, materials, massItems: [], propulsion: [] }, placed).properties;
  if (!all || !board) return null;
  const share = (axis: 'xx' | 'yy' | 'zz') => board.inertia[axis] / all.inertia[axis];
  return { mass: board.total, inertia: [share('xx'), share('yy'), share('zz')] };
}

/** Inertia of a small one of the same board over what would fly alike: λ⁴ of the board’s against λ⁵ of the whole. [exact] */
export const inertiaAlike = ({ inertia }: Bare, scale: number): Bare['inertia'] =>
  inertia.map((share) => share / scale) as unknown as Bare['inertia'];

/** Of a sheet so much is used when parts are nested; and left free at its edges [mm]. */
const USED = 0.7;
const MARGIN: Millimetres = 5;

/** A sheet that a small one is cut from. */
export type Sheet = Pick<Material, 'sheetLength' | 'sheetWidth'>;

/**
 * Largest scale at which all that is cut of board fits one sheet: by the area
 * that nesting uses, and by the sides of every part. Null where nothing is cut.
 * The layout of the plans has the last word.
 */
export function largestOnSheet(design: Design, { sheetLength, sheetWidth }: Sheet): number | null {
  const parts = cutListOf(design).parts.filter(({ material }) => material !== CARD);
  if (parts.length === 0) return null;
  const area = parts.reduce((sum, { outline, count }) => sum + count * Math.abs(areaOfPart(outline)), 0);
  const [long, short] = [Math.max(sheetLength, sheetWidth), Math.min(sheetLength, sheetWidth)].map(
    (side) => side - 2 * MARGIN,
  ) as [Millimetres, Millimetres];
  return parts.reduce(
    (scale, { outline }) => {
      const { left, right, bottom, top } = boundsOfPart(outline);
      const [longer, shorter] = [Math.max(right - left, top - bottom), Math.min(right - left, top - bottom)];
      return Math.min(scale, long / longer, short / shorter);
    },
    Math.sqrt((USED * long * short) / area),
  );
}

/** What a small one is made of and how large it may be, whatever its scale. */
export interface SmallMade {
  readonly bare: Bare | null;
  readonly largest: number | null;
}

/** @param board that all of it is cut from; as drawn without one, on the sheet of the first board */
export function smallMade(design: Design, board: Material | null): SmallMade {
  const sheet = board ?? design.materials[0];
  return { bare: bareOf(design, board?.arealDensity), largest: sheet ? largestOnSheet(design, sheet) : null };
}
