/** Times as long as an answer takes until the next is asked: what is left to the drawing, at least and at most. */
const SPARE = { least: 2, most: 8 } as const;
/** Whatever is drawn, numbers are not kept longer for its sake [ms]. */
const LONGEST = 250;

/**
 * How long after one was asked the next answer of a drag may be: numbers are
 * asked for less often while frames come late, so that the drawing keeps its own.
 * @param took how long an answer took [ms]
 * @param lateness of the frames, from 0 to 1
 */
export const answerPause = (took: number, lateness: number): number =>
  Math.max(SPARE.least * took, Math.min((SPARE.least + (SPARE.most - SPARE.least) * lateness) * took, LONGEST));
