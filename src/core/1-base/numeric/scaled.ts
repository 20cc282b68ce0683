/** So many times each number. A loop: `map` of typed arrays takes several times as long. */
export function scaled(values: Float64Array, times: number): Float64Array {
  const made = new Float64Array(values.length);
  for (let index = 0; index < made.length; index++) made[index] = times * values[index]!;
  return made;
}
