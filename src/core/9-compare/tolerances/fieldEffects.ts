import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { variedField } from '../variedInput';
import type { Tolerance } from './inputs';

/** What one unit of a field that is off moves. */
export interface FieldEffect {
  /** Place of the neutral point and of the balance point [m]. */
  readonly neutralPoint: number;
  readonly balance: number;
  /** Moment without lift about the balance point. */
  readonly moment: number;
  /** Shares of mass, of the greatest lift, of the mean chord and of the wing area. */
  readonly mass: number;
  readonly greatestLift: number;
  readonly chord: number;
  readonly area: number;
}

export const NO_EFFECT: FieldEffect = {
  neutralPoint: 0,
  balance: 0,
  moment: 0,
  mass: 0,
  greatestLift: 0,
  chord: 0,
  area: 0,
};

/** Moment without lift, as hands off is told: by the slopes about the trimmed state. */
export function momentAtNoLift({ pitch, rigging, trim }: Numbers): number | null {
  if (pitch.momentSlope === null || pitch.liftSlope === null || rigging.handsOffMoment === null) return null;
  const stiffness = -pitch.momentSlope / pitch.liftSlope;
  return rigging.handsOffLift === null
    ? rigging.handsOffMoment + stiffness * (trim.liftCoefficient ?? 0)
    : stiffness * rigging.handsOffLift;
}

/**
 * What a field of the document does that is off by ±1σ, as half the difference
 * of two analyses, per unit of the field. Good as long as its ± is small enough
 * for what it does to be in proportion. Words where it cannot be varied or
 * nothing can be solved there.
 */
export function fieldEffect(design: Design, { id, sigma }: Tolerance): FieldEffect | { readonly because: string } {
  const varied = variedField(design, id);
  if (!varied.ok) return varied;
  const now = varied.input.valueIn(design);
  if (now === null) return { because: `${id} is not set: give it a value before its ±.` };
  if (sigma <= 0) return NO_EFFECT;
  const ends = [-sigma, sigma].map((by) => varied.input.set(design, now + by));
  for (const end of ends) if (!end.ok) return end;
  const [less, more] = ends.map((end) => (end.ok ? numbersOf(end.design, { without: ['bands'] }) : null)) as [
    Numbers,
    Numbers,
  ];
  const slope = (pick: (numbers: Numbers) => number | null): number | null => {
    const [a, b] = [pick(less), pick(more)];
    return a === null || b === null ? null : (b - a) / (2 * sigma);
  };
  const share = (pick: (numbers: Numbers) => number | null): number => {
    const [a, b] = [pick(less), pick(more)];
    return a === null || b === null ? 0 : (2 * (b - a)) / ((a + b) * 2 * sigma);
  };
  const neutralPoint = slope(({ pitch }) => pitch.neutralPoint);
  const balance = slope(({ mass }) => mass.cg?.[0] ?? null);
  const moment = slope(momentAtNoLift);
  if (neutralPoint === null || balance === null || moment === null)
    return { because: `${id} cannot be told: where it is off by its ± nothing is trimmed any more.` };
  return {
    neutralPoint,
    balance,
    moment,
    mass: share(({ mass }) => mass.total),
    greatestLift: share(({ stall }) => stall.liftCoefficient),
    chord: share(({ reference }) => reference.meanChord),
    area: share(({ reference }) => reference.area),
  };
}
