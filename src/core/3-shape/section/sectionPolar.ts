import type { Section } from '@/core/2-document/schema/section';
import { sectionData } from './lowReynolds';

/** Profile drag at a lift coefficient of the section. */
export interface SectionPolarPoint {
  readonly lift: number;
  readonly drag: number;
}

const POINTS = 25;

/**
 * Polar of a section on a chord [mm] at a Reynolds number, from nought to its
 * greatest lift: C_d = C_d0 + k (C_l − C_l,best)² with the sourced table's figures.
 */
export function sectionPolar(section: Section, chord: number, reynolds: number): SectionPolarPoint[] {
  const { maximumLift, leastDrag, dragGrowth, bestLift } = sectionData(section, chord, reynolds);
  return Array.from({ length: POINTS }, (_, index) => {
    const lift = (maximumLift * index) / (POINTS - 1);
    return { lift, drag: leastDrag + dragGrowth * (lift - bestLift) ** 2 };
  });
}
