import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Steps } from '@/core/1-base/steps';
import type { MetresPerSecond } from '@/core/1-base/units/convert';

import type { Design } from '@/core/2-document/schema/design';
import { type Drawn, drawnOf, type Fault, FAULTS, sigmaOf, withFault } from './faults';
import { flownAs } from './flownAs';
import { type Predicted, predictAt } from './predict';
import { type Flight, type Sight, sightsOf } from './sights';

/** What was seen beside what was told beforehand. */
export interface Compared extends Sight {
  readonly predicted: number;
  /** How far apart, in what both are known to. */
  readonly sigmas: number;
}

/** A fault that may explain what was seen. */
export interface Cause {
  readonly fault: Fault;
  /** In its unit: millimetres aft, degrees, or a share. */
  readonly size: number;
  readonly sigma: number;
  /** How much likelier all that was seen is with it than without any (natural logarithm). */
  readonly gain: number;
  /** What each kind of sight would change by if it were put right, by the speed it was seen at. */
  readonly puts: readonly {
    readonly what: keyof Predicted;
    readonly speed: MetresPerSecond | null;
    readonly by: number;
  }[];
}

export type Diagnosis =
  | {
      readonly ok: true;
      readonly compared: readonly Compared[];
      /** Likeliest first. */
      readonly causes: readonly Cause[];
      /** The cause that is likelier than none; null where nothing has to be wrong. */
      readonly cause: Fault | null;
      /** What these flights cannot tell. */
      readonly untold: readonly Fault[];
    }
  | { readonly ok: false; readonly because: string };

const CANNOT = 'It cannot be trimmed as it is drawn: see the findings first.';
const NOTHING = 'Nothing was noted that can be told beforehand: note trims, a glide, a stall, or what it did.';

/** So much likelier than without any fault a cause has to make what was seen [natural logarithm]. */
const LIKELIER = 2;
/** A fault of one standard deviation that shows less than that, in standard deviations of all that was seen, is not told. */
const SHOWS = 0.7;
/** Control effect and greatest lift are known to so much (half of the bands of section data); a stall speed goes with the root of that. */
const CONTROL_EFFECT = 0.08;
const STALL_SPEED = 0.03;

/**
 * What explains flights: every cause alone, as large as it makes what was seen
 * likeliest, weighed by how much likelier all of it is than with none: normal
 * distributions, its prior that of hand building, common to all sights what
 * nobody knows of control effect and stall. Source: Bayes factor of a linear
 * model with one more parameter (Kass & Raftery, Bayes Factors, JASA 90, 1995).
 */
export function* diagnose(design: Design, flights: readonly Flight[]): Steps<Diagnosis> {
  const seen = flights.flatMap((flight) => sightsOf(flight).map((sight) => ({ sight, flight })));
  if (seen.length === 0) return { ok: false, because: NOTHING };
  const drawn = drawnOf(design);
  if (!drawn) return { ok: false, because: CANNOT };
  // A take-off that was weighed is not heavier than thought.
  const isWeighed = flights.every(({ mass }) => mass !== undefined);
  const candidates = FAULTS.flatMap((fault) => {
    const sigma = sigmaOf(fault, drawn);
    return sigma === null || (fault === 'mass' && isWeighed) ? [] : [{ fault, sigma }];
  });
  const total = candidates.length + 1;
  const flown = new Map(flights.map((flight) => [flight, flownAs(drawn, flight)]));
  const without = predictAll(seen, (flight) => ({ design: flown.get(flight)!.design, boomsSofter: 1 }), drawn);
  yield { done: 1, total };
  const told = seen.flatMap(({ sight, flight }, index) => {
    const predicted = without[index];
    return predicted === null || predicted === undefined ? [] : [{ sight, flight, predicted, index }];
  });
  if (told.length === 0) return { ok: false, because: NOTHING };
  const columns: (readonly number[])[] = [];
  for (const [place, { fault, sigma }] of candidates.entries()) {
    const faulty = predictAll(seen, (flight) => withFault(flown.get(flight)!, fault, sigma), drawn);
    columns.push(told.map(({ index, predicted }) => (faulty[index] ?? predicted) - predicted));
    yield { done: place + 2, total };
  }
  const residuals = told.map(({ sight, predicted }) => (sight.isWord ? sight.value : sight.value - predicted));
  const known = covarianceOf(told);
  const solve = (right: readonly number[]) => known.solve(Matrix.columnVector([...right])).to1DArray();
  const through = solve(residuals);
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, value, index) => sum + value * b[index]!, 0);
  const weighed = candidates.map(({ fault, sigma }, place) => {
    const column = columns[place]!;
    const shows = dot(column, solve(column));
    const pull = dot(column, through);
    const size = pull / (1 + shows);
    const cause: Cause = {
      fault,
      size: size * sigma,
      sigma: sigma / Math.sqrt(1 + shows),
      gain: pull ** 2 / (1 + shows) / 2 - Math.log(1 + shows) / 2,
      puts: told.map(({ sight }, index) => ({ what: sight.what, speed: sight.speed, by: -size * column[index]! })),
    };
    return { cause, isTold: shows > SHOWS ** 2 };
  });
  const causes = weighed.flatMap(({ cause, isTold }) => (isTold ? [cause] : [])).toSorted((a, b) => b.gain - a.gain);
  const first = causes[0];
  return {
    ok: true,
    compared: told.map(({ sight, predicted }, index) => ({
      ...sight,
      value: sight.isWord ? sight.value + predicted : sight.value,
      predicted,
      sigmas: residuals[index]! / Math.sqrt(variancesOf(sight, predicted)),
    })),
    causes,
    cause: first && first.gain > LIKELIER ? first.fault : null,
    untold: weighed.flatMap(({ cause, isTold }) => (isTold ? [] : [cause.fault])),
  };
}

interface Seen {
  readonly sight: Sight;
  readonly flight: Flight;
}

/** What every sight would be of an aircraft; each state of flight is worked out once. */
function predictAll(
  seen: readonly Seen[],
  aircraft: (flight: Flight) => { readonly design: Design; readonly boomsSofter: number },
  { design }: Drawn,
): (number | null)[] {
  const known = new Map<string, Predicted>();
  return seen.map(({ sight, flight }) => {
    const speed =
      sight.what === 'stallSpeed' ? design.conditions.cruiseSpeed : (sight.speed ?? design.conditions.cruiseSpeed);
    const key = JSON.stringify([flight.mass, flight.balance, speed]);
    const made = known.get(key) ?? predictAt(...flownAt(aircraft(flight), speed));
    known.set(key, made);
    return made[sight.what];
  });
}

const flownAt = (
  { design, boomsSofter }: { readonly design: Design; readonly boomsSofter: number },
  speed: MetresPerSecond,
) => [design, speed, { boomsSofter }] as const;

/** What is common to all sights of a kind, per sight: what nobody knows of control effect and greatest lift. */
const commonOf = ({ what }: Sight, predicted: number): readonly [control: number, stall: number] =>
  what === 'stallSpeed'
    ? [0, STALL_SPEED * predicted]
    : what === 'glideRatio'
      ? [0, 0]
      : [CONTROL_EFFECT * predicted, 0];

const variancesOf = (sight: Sight, predicted: number): number =>
  sight.sigma ** 2 + commonOf(sight, predicted).reduce((sum, value) => sum + value ** 2, 0);

/** How far what is seen and what is told may lie apart with no fault. */
function covarianceOf(told: readonly { readonly sight: Sight; readonly predicted: number }[]): CholeskyDecomposition {
  const common = told.map(({ sight, predicted }) => commonOf(sight, predicted));
  const covariance = Matrix.zeros(told.length, told.length);
  told.forEach(({ sight }, row) =>
    told.forEach((_, column) => {
      const shared = common[row]![0] * common[column]![0] + common[row]![1] * common[column]![1];
      covariance.set(row, column, shared + (row === column ? sight.sigma ** 2 : 0));
    }),
  );
  return new CholeskyDecomposition(covariance);
}
