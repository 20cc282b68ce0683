/** Which way arrow keys move what is drawn: to the right, and up. */
export const KEY_STEPS: Readonly<Record<string, readonly [right: number, up: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
