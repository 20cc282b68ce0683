import { type Fraction, type Kilograms, metresFromMillimetres, type Pascals } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { boardNamed } from '../materials/ownBoard';
import { layupOf } from '../materials/board';
import { megapascals } from '../materials/solid';

/** What is checked beside wings and booms. */
export const CHECK_KINDS = [
  'bandsHold',
  'bandsBite',
  'joinerSocket',
  'finRoot',
  'packHeld',
  'noseLanding',
  'tailLanding',
  'saddle',
  'undercarriage',
  'motorMount',
  'coverPull',
] as const;

/** One check: a load against what bears it, in one unit. */
export interface Check {
  readonly kind: (typeof CHECK_KINDS)[number];
  /** Name of the part. */
  readonly part: string;
  readonly unit: 'force' | 'pressure' | 'moment';
  readonly load: number;
  readonly bears: number;
}

export interface CheckInput {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  /** Mass of all, load factor that flight may ask for, dynamic pressure of the dive. */
  readonly mass: Kilograms;
  /** Mass of one surface, both sides, by name. */
  readonly massOf: (surface: string) => Kilograms;
  readonly flightFactor: Fraction;
  readonly divePressure: Pascals;
  /** Moment about the root of a surface in flight at that factor [N·m], by name. */
  readonly rootMoments: ReadonlyMap<string, number>;
}

/** Glue on foam gives way in the foam. */
export const GLUE = megapascals(0.3);

export const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;

/** The board of a part, worked out; null where nobody says. */
export const boardOf = ({ design }: CheckInput, material: string | undefined) => {
  const sheet = boardNamed(design, material);
  return sheet
    ? { sheet, layup: layupOf(sheet, sheet.thickness), thickness: metresFromMillimetres(sheet.thickness) }
    : null;
};
