export const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
export const least = (values: readonly number[]) => Math.min(...values);
export const show = (values: readonly number[]) =>
  `${least(values).toFixed(1)} least, ${median(values).toFixed(1)} median ms`;

/** How long a job takes [ms]. */
export function time(job: () => void): number {
  const start = performance.now();
  job();
  return performance.now() - start;
}
