import { type Grams, gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import { changed } from '@/core/7-flight/toss/virtualToss';
import { type Drawn, drawnOf } from './faults';
import type { Flight } from './sights';

/** Less than that apart is the same mass [g]. */
const SAME_MASS: Grams = 0.5;

/** A design with the take-off mass that was weighed, where it balanced before. */
function weighing(drawn: Drawn, mass: Grams): Drawn {
  const more = mass - gramsFromKilograms(drawn.mass);
  if (Math.abs(more) < SAME_MASS) return drawn;
  const { design, about } = drawn;
  if (more > 0) {
    const loaded = changed(design, { mass: drawn.mass, balance: about[0] }, { what: 'mass', by: more });
    return drawnOf(loaded) ?? drawn;
  }
  // What is too much is taken off the heaviest thing on board; the balance point is put back after it.
  const heaviest = design.massItems.toSorted((a, b) => (b.measuredMass ?? b.mass) - (a.measuredMass ?? a.mass))[0];
  if (!heaviest) return drawn;
  const own = heaviest.measuredMass ?? heaviest.mass;
  const lighter = drawnOf({
    ...design,
    massItems: design.massItems.map((item) =>
      item === heaviest ? { ...item, measuredMass: Math.max(0, own + more / (item.mirrored ? 2 : 1)) } : item,
    ),
  });
  return lighter ? balancedAt(lighter, millimetresFromMetres(about[0])) : drawn;
}

/** A design with its balance point there, by moving the heaviest thing on board [mm]. */
function balancedAt(drawn: Drawn, x: number): Drawn {
  const balance = drawn.about[0];
  const moved = changed(
    drawn.design,
    { mass: drawn.mass, balance },
    { what: 'balance', by: x - millimetresFromMetres(balance) },
  );
  return drawnOf(moved) ?? drawn;
}

/** The aircraft as it took off: with the mass and the balance point that were noted. */
export function flownAs(drawn: Drawn, { mass, balance }: Pick<Flight, 'mass' | 'balance'>): Drawn {
  const weighed = mass === undefined ? drawn : weighing(drawn, mass);
  return balance === undefined ? weighed : balancedAt(weighed, balance);
}
