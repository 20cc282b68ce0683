import { type Grams, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';

type Glued = Pick<NonNullable<Body['construction']>, 'glueLength' | 'glueDensity' | 'glueTest'>;

/** A bead shorter than that says nothing of the next one, and more than that no bead weighs [mm, g/m]. */
const LEAST_JOINT = 10;
const MOST = 5000;

/** Glue per joint length that was weighed [g/m]; null where none was, or what no bead can weigh. */
export function weighedGlue({ glueTest }: Pick<Glued, 'glueTest'>): number | null {
  if (!glueTest || glueTest.length < LEAST_JOINT) return null;
  const seen = glueTest.weight / metresFromMillimetres(glueTest.length);
  return seen <= MOST ? seen : null;
}

/** Glue of one side of a part: as a joint of it was weighed, else as typed, times this builder’s own figure [g]. */
export const glueOf = (part: Glued, own = 1): Grams =>
  metresFromMillimetres(part.glueLength) * (weighedGlue(part) ?? part.glueDensity * own);
