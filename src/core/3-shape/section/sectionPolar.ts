import type { Section } from '@/core/2-document/schema/section';
import { profileDrag, sectionData } from './lowReynolds';

/** Profile drag at a lift coefficient of the section. */
export interface SectionPolarPoint {
  readonly lift: number;
  readonly drag: number;
}

const POINTS = 25;

/**
 * Polar of a section on a chord [mm] at a Reynolds number, from nought to its
 * greatest lift, with the sourced table's figures.
 */
export function sectionPolar(section: Section, chord: number, reynolds: number): SectionPolarPoint[] {
  const data = sectionData(section, chord, reynolds);
  return Array.from({ length: POINTS }, (_, index) => {
    const lift = (data.maximumLift * index) / (POINTS - 1);
    return { lift, drag: profileDrag(data, lift) };
  });
}
