/** Thrust at an opening of the throttle between those at which it is known, none at nought; straight in between. */
export function thrustAt(thrusts: readonly number[], throttles: readonly number[], throttle: number): number {
  const places = [0, ...throttles];
  const values = [0, ...thrusts];
  const after = Math.max(
    1,
    places.findIndex((place) => place >= throttle),
  );
  const [from, to] = [places[after - 1]!, places[after]!];
  const share = Math.min(1, Math.max(0, (throttle - from) / (to - from)));
  return values[after - 1]! + (values[after]! - values[after - 1]!) * share;
}
