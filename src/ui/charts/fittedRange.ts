/** So little of itself a number changes that it is as good as the same: less than a hundredth is not drawn as a cliff. */
const ALIKE = 0.01;
const ROOM = 0.04;

/** From the least to the greatest that is drawn, with some room, and never closer than what counts as a change. */
export function fittedRange(lines: readonly { readonly y: readonly number[] }[]): readonly [number, number] {
  const all = lines.flatMap(({ y }) => y);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const span = Math.max(most - least, ALIKE * Math.max(Math.abs(least), Math.abs(most))) || 1;
  const middle = (least + most) / 2;
  return [middle - (0.5 + ROOM) * span, middle + (0.5 + ROOM) * span];
}
