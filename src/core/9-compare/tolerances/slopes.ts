import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { type Drawn, withFault } from '@/core/8-field/faults';
import { variedField } from '../variedInput';
import type { Tolerance } from './inputs';

/** What one unit of an input moves, by the whole analysis: neutral point [m], greatest lift coefficient, pitch control at cruise [rad]. */
export interface Slopes {
  readonly neutralPoint: number;
  readonly maximumLift: number;
  readonly elevator: number;
}

const FLAT: Slopes = { neutralPoint: 0, maximumLift: 0, elevator: 0 };

/** A design that is off by so much of an input, in its unit; null where that cannot be drawn. */
function offBy(drawn: Drawn, { kind, surface }: Tolerance, by: number): Design | null {
  switch (kind) {
    case 'incidence': {
      const varied = variedField(drawn.design, `/surfaces/${surface}/incidence`);
      const now = varied.ok ? varied.input.valueIn(drawn.design) : null;
      if (!varied.ok || now === null) return null;
      const set = varied.input.set(drawn.design, now + degreesFromRadians(by));
      return set.ok ? set.design : null;
    }
    case 'balance':
      return withFault(drawn, 'balance', millimetresFromMetres(by)).design;
    case 'mass':
      return withFault(drawn, 'mass', by).design;
    default:
      return null;
  }
}

/**
 * What an input moves that the linear pitch of one trimmed state does not have:
 * an angle shifts the neutral point with the camber of the whole, balance and
 * mass move the lift at which the first section stalls. Half the difference of
 * two analyses at ±1σ; nothing where one of them has no number.
 */
export function slopesOf(drawn: Drawn, tolerance: Tolerance): Slopes {
  const { sigma } = tolerance;
  if (!(sigma > 0)) return FLAT;
  const ends = [-sigma, sigma].map((by) => offBy(drawn, tolerance, by));
  const [less, more] = ends.map((end) => (end ? numbersOf(end, { without: ['bands'] }) : null));
  if (!less || !more) return FLAT;
  const slope = (pick: (numbers: Numbers) => number | null) => {
    const [a, b] = [pick(less), pick(more)];
    return a === null || b === null ? 0 : (b - a) / (2 * sigma);
  };
  return {
    neutralPoint: slope(({ pitch }) => pitch.neutralPoint),
    maximumLift: slope(({ stall }) => stall.liftCoefficient),
    elevator: slope(({ trim }) => trim.elevator),
  };
}

export const NO_SLOPES = FLAT;
