import { field } from '@/core/2-document/edit/field';
import { isWing } from '@/core/2-document/schema/roles';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { laidRod } from '@/core/2-document/laidRod';
import { metresPerSecond, plain, say } from '@/core/1-base/words/phrase';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';

/** Less than that a wing meets in any turn; or less than such a share of what a pull-up out of its dive may ask for; C, practice. */
const LEAST = 3.5;
const POOR = 0.4;
const SHORT = 0.7;
/** Rods that are offered, from the lightest on. */
const OFFERED = ['Carbon rod 3 mm', 'Carbon tube 6 × 4 mm', 'Carbon tube 8 × 6 mm', 'Spruce strip 3 × 10 mm, on edge'];

/** A wing that breaks before its own lift lets go of it in a pull-up. */
export const breaksInFlight = makeRule(
  { id: 'breaksInFlight', stage: 'strength', source: 'Megson, Aircraft Structures; strengths of boards ±30 %' },
  (design, { strength }) => {
    const { breakingAtDive: breaks, flightLoadFactor: asked, diveSpeed, breaksAt } = strength;
    if (breaks === null || asked === null || diveSpeed === null || breaks >= SHORT * asked) return null;
    const isPoor = breaks < LEAST || breaks < POOR * asked;
    return {
      severity: isPoor ? 'caution' : 'note',
      message: say`In a dive at ${metresPerSecond(diveSpeed, 0)} it bears ${plain(
        breaks,
        1,
      )} times its weight, and a hard pull-up there may ask for ${plain(asked, 1)}; ${
        breaksAt?.surface ?? 'the wing'
      } gives way first. Dive gently and pull softly, or stiffen it.`,
      numbers: { breaks: plain(breaks, 1), asked: plain(asked, 1) },
      remedies: isPoor ? rodRemedies(design, breaksAt?.surface) : [],
    };
  },
);

/** Rods through the wing that breaks, each by itself. */
function rodRemedies(design: Parameters<typeof breaksInFlight.check>[0], name: string | undefined): Remedy[] {
  const wing = design.surfaces.find((surface) => isWing(surface) && (surface.name || surface.id) === name);
  if (!wing) return [];
  return OFFERED.flatMap((wanted) => {
    const stock = ROD_STOCK.find((rod) => rod.name === wanted);
    return stock
      ? [
          {
            label: say`Lay a ${stock.name.toLowerCase()} through ${name!}`,
            change: [field('surfaces', wing.id, 'spars').to([...wing.spars, laidRod(wing, stock)])],
          },
        ]
      : [];
  });
}
