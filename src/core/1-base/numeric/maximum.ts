const GOLDEN = (Math.sqrt(5) - 1) / 2;
const ROUNDS = 40;

/** Where a value is greatest between two places: the best of so many steps, then golden section about it to a ten-thousandth of the range. */
export function maximum(value: (at: number) => number, low: number, high: number, steps: number): number {
  let best = 0;
  let most = -Infinity;
  for (let step = 0; step <= steps; step++) {
    const here = value(low + ((high - low) * step) / steps);
    if (here > most) [most, best] = [here, step];
  }
  const at = (step: number) => low + ((high - low) * Math.min(steps, Math.max(0, step))) / steps;
  let [from, to] = [at(best - 1), at(best + 1)];
  let [a, b] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
  let [atA, atB] = [value(a), value(b)];
  for (let round = 0; round < ROUNDS && to - from > 1e-4 * (high - low); round++) {
    if (atA >= atB) {
      [to, b, atB] = [b, a, atA];
      a = to - GOLDEN * (to - from);
      atA = value(a);
    } else {
      [from, a, atA] = [a, b, atB];
      b = from + GOLDEN * (to - from);
      atB = value(b);
    }
  }
  return (from + to) / 2;
}
