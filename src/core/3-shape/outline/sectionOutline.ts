import type { Millimetres } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import { camberLine, contourOf } from '../section/contour';
import { buildOf } from '../section/kinds';
import type { InnerOutline } from '../section/kinds/kind';
import { openLine, type Path, type Point, polygon } from './path';

/** A section seen from its end: x aft of the nose, y up from the chord line it is drawn on [mm]. */
export interface SectionOutline {
  /** Closed, from the nose over the trailing edge and back. */
  readonly edge: Path;
  readonly within: readonly InnerOutline[];
  /** Camber line, from the nose to the trailing edge. */
  readonly camber: Path;
}

/** Lines of a section on a chord [mm], as its build says. */
export function sectionOutline(section: Section, chord: Millimetres): SectionOutline {
  const contour = contourOf(section, chord);
  const { x, upper, lower } = contour;
  const at = (index: number, height: number): Point => [x[index]! * chord, height * chord];
  const along = [...x.keys()];
  const nose = (upper[0]! + lower[0]!) / 2;
  const rear = (upper.at(-1)! + lower.at(-1)!) / 2;
  return {
    edge: polygon([
      ...along.map((index) => at(index, lower[index]!)),
      ...along.toReversed().map((index) => at(index, upper[index]!)),
    ]),
    within: buildOf(section).within(section, contour, chord),
    camber: openLine(
      Array.from(camberLine(contour), (height, index) => at(index, height + nose + (rear - nose) * x[index]!)),
    ),
  };
}
