/**
 * Nothing to be seen, as large as its picture. What lies between two clips is
 * painted in one piece: with this in it that keeps its size while things in it
 * move, and the page is not layered anew in each frame.
 */
export const Ground = () => (
  <rect width="100%" height="100%" fill="transparent" pointerEvents="none" aria-hidden="true" />
);
