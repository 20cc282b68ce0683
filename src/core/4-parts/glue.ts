import { type Grams, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';

type Glued = Pick<NonNullable<Body['construction']>, 'glueLength' | 'glueDensity' | 'glueTest'>;

/** Glue per joint length that was weighed [g/m]; null where none was. */
export function weighedGlue({ glueTest }: Pick<Glued, 'glueTest'>): number | null {
  return glueTest && glueTest.length > 0 ? glueTest.weight / metresFromMillimetres(glueTest.length) : null;
}

/** Glue of one side of a part: as a joint of it was weighed, else as typed, times this builder’s own figure [g]. */
export const glueOf = (part: Glued, own = 1): Grams =>
  metresFromMillimetres(part.glueLength) * (weighedGlue(part) ?? part.glueDensity * own);
