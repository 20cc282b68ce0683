import type { Rule } from '../rule';
import { nameOf } from '../words';

/** Beyond this share of the half span a stall takes the ailerons and drops a wing. */
const OUTBOARD = 0.7;

/** The stall starts near the tip. */
export const tipStall: Rule = {
  id: 'tipStall',
  check: (design, { stall }) => {
    if (stall.startsAtSpanFraction === null || stall.startsAtSpanFraction <= OUTBOARD) return null;
    const surface = design.surfaces.find(({ id }) => id === stall.surface);
    if (!surface) return null;
    const last = surface.stations.length - 1;
    const washout = (degrees: number) => ({
      label: `Give the tip ${degrees}° more washout`,
      change: [
        {
          field: `/surfaces/${surface.id}/stations/${last}/twist`,
          value: surface.stations[last]!.twist - degrees,
        },
      ],
    });
    return {
      id: 'tipStall',
      severity: 'caution',
      stage: 'wing',
      message: `${nameOf(surface)} stalls first at ${Math.round(stall.startsAtSpanFraction * 100)} % of its half span: near the tip a stall drops a wing.`,
      numbers: { spanFraction: stall.startsAtSpanFraction },
      source: 'Critical section (Abbott & von Doenhoff, section 1.5)',
      remedies: [washout(2), washout(4)],
    };
  },
};
