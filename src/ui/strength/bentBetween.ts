/** A place along a beam, and how far it has moved there. */
export interface BentPlace {
  readonly place: number;
  readonly bends: number;
}

/** Slope at a place of the parabola through it and both its neighbours. */
const slopeBetween = (before: BentPlace, here: BentPlace, after: BentPlace): number => {
  const [inner, outer] = [here.place - before.place, after.place - here.place];
  const [rise, next] = [(here.bends - before.bends) / inner, (after.bends - here.bends) / outer];
  return (rise * outer + next * inner) / (inner + outer);
};

/**
 * The line of a beam that is held at the first of its places and free at the
 * last, so many steps for each stretch: cubics (Hermite) through all places,
 * level where it is held, straight at its free end, of one slope everywhere.
 */
export function bentBetween(known: readonly BentPlace[], steps: number): BentPlace[] {
  const slopes = known.map((here, index) => {
    const [before, after] = [known[index - 1], known[index + 1]];
    return before && after ? slopeBetween(before, here, after) : 0;
  });
  const [last, free] = [known.length - 2, known.length - 1];
  if (last >= 0) {
    const rise = (known[free]!.bends - known[last]!.bends) / (known[free]!.place - known[last]!.place);
    slopes[free] = (3 * rise - slopes[last]!) / 2;
  }
  return known.flatMap((from, index) => {
    const to = known[index + 1];
    if (!to) return [from];
    const width = to.place - from.place;
    return Array.from({ length: steps }, (_, step) => {
      const t = step / steps;
      const bends =
        (1 + 2 * t) * (1 - t) ** 2 * from.bends +
        t * (1 - t) ** 2 * width * slopes[index]! +
        t ** 2 * (3 - 2 * t) * to.bends +
        t ** 2 * (t - 1) * width * slopes[index + 1]!;
      return { place: from.place + t * width, bends };
    });
  });
}
