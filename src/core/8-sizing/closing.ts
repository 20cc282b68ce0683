import { type Millimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { weigh } from '@/core/4-weight/massModel';
import { weighedBySkin } from '@/core/4-weight/skinEstimate';

/**
 * What drawing every part adds to a sketch that is weighed by its skin. A
 * search weighs sketches, a hundred of them a second, and takes this along;
 * each round draws the parts once and says it anew, so that in the end the
 * parts alone count.
 */
export interface Closing {
  /** Mass of the parts over that of the sketch, all that flies counted. */
  readonly share: number;
  /** How much further aft the parts balance. */
  readonly setback: Millimetres;
}

/** Before the first parts are drawn. */
export const UNKNOWN_CLOSING: Closing = { share: 1, setback: 0 };

const weighed = (design: Design) => weigh(design, placeAll(design.surfaces)).properties;

/** Of a design that is weighed part by part. */
export function closingOf(design: Design): Closing {
  const [parts, sketch] = [weighed(design), weighed(weighedBySkin(design))];
  if (!parts || !sketch) return UNKNOWN_CLOSING;
  return {
    share: parts.total / sketch.total,
    setback: millimetresFromMetres(parts.centreOfGravity[0] - sketch.centreOfGravity[0]),
  };
}
