import { field } from '@/core/2-document/edit/field';
import { degrees, nameOf, percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Beyond this share of the half span a stall takes the ailerons and drops a wing. */
export const OUTBOARD = 0.7;

/** The stall starts near the tip. */
export const tipStall = makeRule(
  { id: 'tipStall', stage: 'wing', source: 'Critical section (Abbott & von Doenhoff, section 1.5)' },
  (design, { stall }) => {
    if (stall.startsAtSpanFraction === null || stall.startsAtSpanFraction <= OUTBOARD) return null;
    const surface = design.surfaces.find(({ id }) => id === stall.surface);
    if (!surface) return null;
    const last = surface.stations.length - 1;
    const washout = (angle: number) => ({
      label: say`Give the tip ${degrees(angle, 0)} more washout`,
      change: [field('surfaces', surface.id, 'stations', last, 'twist').to(surface.stations[last]!.twist - angle)],
    });
    return {
      severity: 'caution',
      message: say`${nameOf(surface)} stalls first at ${percent(stall.startsAtSpanFraction, 0)} of its half span: near the tip a stall drops a wing.`,
      numbers: { spanFraction: percent(stall.startsAtSpanFraction) },
      remedies: [washout(2), washout(4)],
    };
  },
);
