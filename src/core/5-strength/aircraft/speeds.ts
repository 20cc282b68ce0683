import type { MetresPerSecond } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/flowCase';
import { effectKept } from '../aeroelastic/effectKept';
import type { StripLoads } from '../aeroelastic/stripLoads';
import type { SuppleAircraft } from './suppleAircraft';

/** No model of board goes faster; beyond it a speed is said to be none [m/s]. */
export const FASTEST = 100;
const SLOWEST = 2;
const STEPS = 12;
const HALVINGS = 24;

/** First speed, from slow to fast, at which a value turns its sign; null up to the fastest. */
function firstTurn(value: (speed: number) => number): MetresPerSecond | null {
  let low = SLOWEST;
  const start = Math.sign(value(low)) || 1;
  for (let step = 1; step <= STEPS; step++) {
    let high = SLOWEST * (FASTEST / SLOWEST) ** (step / STEPS);
    if (Math.sign(value(high)) !== start) {
      for (let round = 0; round < HALVINGS && high - low > 3e-4 * high; round++) {
        const middle = (low + high) / 2;
        if (Math.sign(value(middle)) === start) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    }
    low = high;
  }
  return null;
}

const pressureAt = ({ stiff }: SuppleAircraft, speed: number) => (stiff.air.density * speed ** 2) / 2;

/** Where nothing holds against the air. */
export interface Divergence {
  readonly speed: MetresPerSecond;
  /** What then turns away: a surface, or the body that carries it. */
  readonly part: string;
}

/** Speed at which a twist feeds itself: the equations of bending and air have no answer; of both halves the slower. */
export function divergenceSpeed(body: SuppleAircraft): Divergence | null {
  const found = (['symmetric', 'antisymmetric'] as const).flatMap((parity) => {
    const speed = firstTurn((at) => body.equations(parity, pressureAt(body, at)).sign);
    return speed === null ? [] : [{ speed, parity }];
  });
  const first = found.toSorted((a, b) => a.speed - b.speed)[0];
  return first ? { speed: first.speed, part: partThatTurns(body, first.parity, first.speed) } : null;
}

/** Just below the speed of divergence whatever disturbs it is answered in the shape in which it will turn away. */
const JUST_BELOW = 0.999;

function partThatTurns(body: SuppleAircraft, parity: Parity, speed: MetresPerSecond): string {
  const { body: supple, held } = body.equations(parity, pressureAt(body, JUST_BELOW * speed));
  const turned = held?.(new Float64Array(supple.size).fill(1)) ?? new Float64Array(supple.size);
  const { surfaces, booms } = body;
  let row = 0;
  const parts = [
    ...supple.shapes.map(({ surface, values }) => {
      const atTip = values.reduce((sum, _, shape) => sum + turned[row + shape]!, 0);
      row += values.length;
      return { name: surfaces[surface]!.source.name || surfaces[surface]!.id, turn: Math.abs(atTip) };
    }),
    ...booms
      .filter(({ beam }) => beam !== null)
      .map((boom, mount) => {
        const first = supple.firstMount + 3 * mount;
        return {
          name: boom.body.name || boom.body.id,
          turn: Math.hypot(turned[first]!, turned[first + 1]!, turned[first + 2]!),
        };
      }),
  ];
  return parts.toSorted((a, b) => b.turn - a.turn)[0]!.name;
}

/** Moment of a command about the balance point as everything bends, over that of a stiff aircraft. */
export interface Kept {
  readonly at: (speed: MetresPerSecond) => number | null;
  readonly reverses: () => MetresPerSecond | null;
}

/** How much of the moment of a load about an axis is left at speed, in level flight at that speed; null where there is none to begin with. @param loads of one radian of the command, per dynamic pressure */
export function kept(body: SuppleAircraft, parity: Parity, loads: StripLoads, axis: 0 | 1 | 2): Kept | null {
  const supple = parity === 'symmetric' ? body.alike : body.opposite();
  const { about } = body.stiff;
  const effect = effectKept(supple, loads, { about, pick: ({ moment }) => moment[axis] }, (pressure) =>
    body.equations(parity, pressure),
  );
  return (
    effect && {
      at: (speed) => effect.at(pressureAt(body, speed)),
      reverses: () => firstTurn((speed) => effect.signAt(pressureAt(body, speed))),
    }
  );
}
