import type { MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import type { Solution } from '../solution/solution';

/** Drag of level flight at a speed, propellers pulling. */
export type DragAt = (speed: MetresPerSecond) => Newtons;

/**
 * Drag over speed from the polar without power, less its resting propellers:
 * straight between its points, beyond them with what goes with lift as it went
 * on the last stretch, C_D = C_D₀ + k C_L². Null without a polar.
 */
export function poweredDrag(solution: Solution, stallSpeed: MetresPerSecond): DragAt | null {
  const { prepared, model } = solution;
  const points = solution.glideFrom(stallSpeed)?.points;
  if (!points || points.length < 2) return null;
  const { area } = model.reference;
  const resting = prepared.restingPropellers / area;
  const [before, last] = [points.at(-2)!, points.at(-1)!];
  const byLift = (before.drag - last.drag) / (before.lift ** 2 - last.lift ** 2);
  const first = points[0]!;
  const coefficientAt = (speed: number): number => {
    if (speed <= first.speed) return first.drag;
    if (speed >= last.speed) {
      const lift = last.lift * (last.speed / speed) ** 2;
      return last.drag + byLift * (lift ** 2 - last.lift ** 2);
    }
    const after = points.findIndex((point) => point.speed >= speed);
    const [a, b] = [points[after - 1]!, points[after]!];
    return a.drag + ((b.drag - a.drag) * (speed - a.speed)) / (b.speed - a.speed);
  };
  return (speed) => (((prepared.air.density * speed ** 2) / 2) * area * (coefficientAt(speed) - resting)) as Newtons;
}
