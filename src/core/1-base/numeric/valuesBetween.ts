/** Values from one end to the other, both among them. */
export const valuesBetween = (from: number, to: number, count: number): number[] =>
  count === 1
    ? [from]
    : Array.from({ length: count }, (_, index) =>
        index === count - 1 ? to : from + ((to - from) * index) / (count - 1),
      );
