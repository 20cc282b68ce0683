import { field } from '@/core/2-document/edit/field';
import { nameOf, percent, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { MOST_OFF_THICKEST, offThickest, sparPlaces, type SparPlace } from '@/core/3-shape/pattern/sparPlace';
import type { Surface } from '@/core/2-document/schema/surface';
import { makeRule } from '../makeRule';

/** Ends as far aft as one another make a rod straight through both halves [mm]. */
const STRAIGHT = 2;
/** Chord fraction that a better place must win. */
const WORTH_MOVING = 0.03;

const isThrough = (surface: Surface, { start, end }: Surface['spars'][number]): boolean =>
  surface.mirrored && start.distanceFromRoot < STRAIGHT && Math.abs(end.x - start.x) < STRAIGHT;

/** Where a straight rod lies least far from the thickest places, all of it moved alike. */
function straightPlace(x: number, places: readonly SparPlace[]) {
  const misses = places.flatMap(({ fraction, thickest, chord }) =>
    thickest === null ? [] : [{ fraction, thickest, chord }],
  );
  const offAt = (shift: number) =>
    Math.max(...misses.map(({ fraction, thickest, chord }) => Math.abs(fraction + shift / chord - thickest)));
  const shifts = misses.map(({ fraction, thickest, chord }) => (thickest - fraction) * chord);
  // The greatest of straight lines is convex: thirds close in on its least.
  let [low, high] = [Math.min(...shifts), Math.max(...shifts)];
  while (high - low > 1e-3) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (offAt(a) <= offAt(b)) high = b;
    else low = a;
  }
  const best = (low + high) / 2;
  return { start: tenths(x + best), end: tenths(x + best), off: offAt(best) };
}

/** A rod does not lie where the section is thickest: it is lower there, and stiffness goes with the square of height. */
export const sparMisplaced = makeRule(
  {
    id: 'sparMisplaced',
    stage: 'section',
    source: 'Gere, Mechanics of Materials, ch. 5: bending stiffness grows with height squared',
  },
  (design) => {
    for (const surface of design.surfaces) {
      for (const spar of surface.spars) {
        const places = sparPlaces(surface, spar.id);
        const off = Math.max(0, ...places.map(offThickest));
        if (off <= MOST_OFF_THICKEST) continue;
        const [first, last] = [places[0]!, places.at(-1)!];
        if (first.thickest === null || last.thickest === null) continue;
        const at = (x: number, { fraction, chord }: SparPlace, thickest: number) =>
          tenths(x + (thickest - fraction) * chord);
        const laid = isThrough(surface, spar)
          ? straightPlace(spar.start.x, places)
          : {
              start: at(spar.start.x, first, first.thickest),
              end: at(spar.end.x, last, last.thickest),
              off: 0,
            };
        // A straight rod through both halves cannot follow a sweep or a taper: it lies where it can.
        if (off - laid.off < WORTH_MOVING) continue;
        return {
          severity: 'caution',
          message: say`${nameOf(spar)} in ${nameOf(surface).toLowerCase()} lies up to ${percent(off, 0)} of the chord away from the thickest place (${percent(first.fraction, 0)} at its inner end, thickest at ${percent(first.thickest, 0)}): it gives away height.`,
          numbers: { off: percent(off, 0) },
          remedies: [
            {
              label: 'Lay it through the thickest place',
              change: [
                field('surfaces', surface.id, 'spars', spar.id, 'start', 'x').to(laid.start),
                field('surfaces', surface.id, 'spars', spar.id, 'end', 'x').to(laid.end),
              ],
            },
          ],
        };
      }
    }
    return null;
  },
);
