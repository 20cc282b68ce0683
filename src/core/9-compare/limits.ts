import { kilogramsFromGrams, metresFromMillimetres, secondsFromMinutes } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { OutputName } from './outputs';

/** What a number of the analysis is asked to keep to, in the unit of the analysis. */
export interface Limit {
  readonly name: OutputName;
  readonly kind: 'least' | 'most';
  readonly value: number;
}

/** Everything that the brief and the document ask of numbers: margin, mass, span, wing loading, duration and climb. */
export function limitsOf({ brief, balance }: Design): Limit[] {
  const limit = (name: OutputName, kind: Limit['kind'], value: number | undefined): Limit[] =>
    value === undefined ? [] : [{ name, kind, value }];
  return [
    ...limit('pitch.staticMargin', 'least', balance.minimumStaticMargin),
    ...limit('mass.total', 'most', brief.maximumMass === undefined ? undefined : kilogramsFromGrams(brief.maximumMass)),
    ...limit(
      'reference.span',
      'most',
      brief.maximumSpan === undefined ? undefined : metresFromMillimetres(brief.maximumSpan),
    ),
    ...limit(
      'mass.wingLoading',
      'most',
      brief.targetWingLoading === undefined ? undefined : kilogramsFromGrams(brief.targetWingLoading),
    ),
    ...limit('power.duration', 'least', brief.duration === undefined ? undefined : secondsFromMinutes(brief.duration)),
    ...limit('power.climbRate', 'least', brief.climbRate),
  ];
}

/** By what share of a limit a number misses it; nought where it keeps to it. A number that is not there misses all of it. */
export function missed({ kind, value }: Limit, number: number | null): number {
  if (number === null) return 1;
  const over = kind === 'most' ? number - value : value - number;
  return Math.max(0, over / Math.max(Math.abs(value), 1e-9));
}
