import { type Degrees, degreesFromRadians } from '@/core/1-base/units/convert';
import { degrees, millimetres, type Words, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { shimFor } from '@/core/3-shape/geometry/shim';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { BUILT_CAUTION } from '@/core/7-verdict/rules/builtAngle';
import { builtMoves } from '@/core/7-verdict/rules/builtErrors';
import { FAST_ROLL, ROLL_CAUTION, rollAsked } from '@/core/7-verdict/rules/leftRight';
import { type Gate, readingAt, type Side, withReading } from './gates';

/** From one reading to another, both included [°]. */
export type Range = readonly [least: Degrees, most: Degrees];

/** A shim under one edge of a seat or of a tip that is blocked up. */
export interface GateShim {
  readonly side: Side;
  readonly edge: 'leading' | 'trailing';
  /** [mm] */
  readonly thickness: number;
  /** What is read once it is in. */
  readonly reads: Degrees;
}

export interface GateVerdict {
  readonly gate: Gate;
  /** `open` until every side is read. */
  readonly state: 'open' | 'ok' | 'shim' | 'stop';
  readonly words: Words;
  /** Mean readings that it bears with everything else as it is built so far; null where nothing is known of it. */
  readonly bears: Range | null;
  /** How much more the right side may read than the left one. */
  readonly apart: Range | null;
  readonly shims: readonly GateShim[];
}

/** Half a degree more is no error of the gate but of the reading: what is borne is never asked finer [°]. */
const FINEST: Degrees = 0.1;
/** Farther off nothing is shimmed: it is cut or seated wrong [°], and no shim is thicker [mm]. C. */
const MOST_TURN: Degrees = 3;
const MOST_SHIM = 15;
/** Mean washout of the tips bears that much either way: more changes which part stalls first. C. */
const WASHOUT: Degrees = 1;
/** Difference from which slopes are told [°]. */
const NUDGE: Degrees = 1;
/** No angle of a build is off by more [°]. */
const FARTHEST: Degrees = 15;

const NONE: Range = [FARTHEST, -FARTHEST];
const within = (value: number, [least, most]: Range): boolean => value >= least && value <= most;
const isEmpty = ([least, most]: Range): boolean => !(most >= least);
const common = ([a, b]: Range, [c, d]: Range): Range => [Math.max(a, c), Math.min(b, d)];

/** Values of x for which |start + slope x| stays within a bound. */
function heldWithin(start: number, slope: number, bound: number): Range {
  if (Math.abs(slope) < 1e-12) return Math.abs(start) <= bound ? [-FARTHEST, FARTHEST] : NONE;
  const ends = [(-bound - start) / slope, (bound - start) / slope].toSorted((a, b) => a - b) as [number, number];
  return common(ends, [-FARTHEST, FARTHEST]);
}

/**
 * What every gate bears and what its reading means, with the whole aircraft
 * flown as it is built so far: the mean of both sides by what all errors
 * together do to hands-off lift (12 % of C_Lmax), their difference by what
 * holding the wings level takes (a quarter of the command) and by how fast it
 * rolls when nobody does. Both go straight with a small angle. Limits are those
 * of the findings, so that what passes every gate is told of by none.
 */
export function judgeGates(design: Design, gates: readonly Gate[]): GateVerdict[] {
  const numbers = numbersOf(design);
  const verdicts = gates.map((gate) => judged(design, gate, numbers));
  const isGlued = ({ gate }: GateVerdict) => design.built.includes(gate.glue);
  // What is glued no longer moves: a joint that is still loose and takes from what that bears gives way to it.
  const strained = verdicts.find((one) => isGlued(one) && (one.state === 'shim' || one.state === 'stop'));
  if (!strained) return verdicts;
  return verdicts.map((one) => (one.state === 'ok' && !isGlued(one) ? givingWay(design, one, strained.gate) : one));
}

/** A loose joint back to the drawing, for the sake of one that is glued. */
function givingWay(design: Design, verdict: GateVerdict, glued: Gate): GateVerdict {
  const { gate } = verdict;
  if (gate.quantity === 'square') return verdict;
  const shims = shimsTo(
    gate,
    gate.sides.map((side) => readingAt(design, gate, side) ?? gate.expected),
    gate.expected,
  );
  if (shims.length === 0) return verdict;
  return {
    ...verdict,
    state: 'shim',
    shims,
    words: say`Not yet: ${glued.name} is glued and no longer right with it. ${joinedBy(shims.map(shimWords))}, until it reads ${degrees(gate.expected, 1)}, left as right. Then read again.`,
  };
}

/** Shims that bring every side to a reading; none where it is as near as can be read. */
const shimsTo = (gate: Gate, known: readonly Degrees[], target: Degrees): GateShim[] =>
  gate.sides.flatMap((side, index): GateShim[] => {
    // More washout is a tip farther nose down.
    const turn = (gate.quantity === 'washout' ? -1 : 1) * (target - known[index]!);
    if (Math.abs(turn) < FINEST) return [];
    return [{ side, ...shimFor(gate.chord!, turn), reads: target }];
  });

const shimWords = ({ side, edge, thickness }: GateShim): Words =>
  say`${millimetres(thickness, 1)} under the ${edge} edge ${side === 'left' ? 'on the left' : 'on the right'}`;

function judged(design: Design, gate: Gate, numbers: Numbers): GateVerdict {
  const readings = gate.sides.map((side) => readingAt(design, gate, side));
  const known = readings.map((reading) => reading ?? gate.expected);
  const mean = known.reduce((sum, value) => sum + value, 0) / known.length;
  const difference = gate.sides.length === 2 ? known[1]! - known[0]! : mean;
  const bears = gate.quantity === 'square' ? null : meanBorne(design, gate, numbers);
  const apart = differenceBorne(design, gate, numbers);
  const shown = { gate, bears, apart: gate.quantity === 'square' ? null : apart };
  if (readings.some((reading) => reading === undefined))
    return { ...shown, state: 'open', words: openWords(gate, bears, apart), shims: [] };
  const isBorne = (bears === null || within(mean, bears)) && (apart === null || within(difference, apart));
  if (isBorne)
    return { ...shown, state: 'ok', words: say`Right as it is: ${bornWords(gate, bears, apart)}.`, shims: [] };
  return { ...shown, ...outside(gate, known, { bears, apart }) };
}

/** Farther apart nobody seats it: what it would bear then is not said. */
const atMost = (difference: Degrees): Words =>
  difference > MOST_TURN ? say`more than ${degrees(MOST_TURN, 0)}` : say`${degrees(difference, 1)}`;

const bornWords = (gate: Gate, bears: Range | null, apart: Range | null): Words =>
  gate.quantity === 'square'
    ? apart === null || isEmpty(apart)
      ? say`nothing is known of what it bears`
      : say`it bears ${degrees(apart[0], 1)} to ${degrees(apart[1], 1)}`
    : bears === null || isEmpty(bears)
      ? say`nothing is known of what it bears`
      : say`it bears readings from ${degrees(Math.max(bears[0], gate.expected - MOST_TURN), 1)} to ${degrees(Math.min(bears[1], gate.expected + MOST_TURN), 1)}${
          apart === null || isEmpty(apart) ? '' : say`, ${atMost(Math.min(-apart[0], apart[1]))} between left and right`
        }`;

const openWords = (gate: Gate, bears: Range | null, apart: Range | null): Words =>
  say`To be read: ${degrees(gate.expected, 2)}${gate.sides.length === 2 ? ', left as right' : ''}; ${bornWords(gate, bears, apart)}.`;

/** What a reading outside asks for: shims that bring it where it is borne, or an end. */
function outside(
  gate: Gate,
  known: readonly Degrees[],
  { bears, apart }: { readonly bears: Range | null; readonly apart: Range | null },
): Pick<GateVerdict, 'state' | 'words' | 'shims'> {
  if (gate.quantity === 'square')
    return {
      state: 'stop',
      words: say`Stop: the tail is turned by ${degrees(known[0]!, 1)} against the wing. Take it apart and stand both sides upright on the plan before the glue; a turned body cannot be shimmed.`,
      shims: [],
    };
  if ((bears && isEmpty(bears)) || (apart && isEmpty(apart)))
    return {
      state: 'stop',
      words: say`Stop: with what is built so far no angle of ${gate.name} sets it right. Bring the other seats back to the drawing first.`,
      shims: [],
    };
  // To the drawing where that is borne, else as near to it as is.
  const target = bears === null ? gate.expected : Math.min(bears[1], Math.max(bears[0], gate.expected));
  const shims = shimsTo(gate, known, target);
  const farthest = Math.max(...known.map((reading) => Math.abs(reading - target)));
  const thickest = Math.max(0, ...shims.map(({ thickness }) => thickness));
  if (farthest > MOST_TURN || thickest > MOST_SHIM)
    return {
      state: 'stop',
      words: say`Stop: ${gate.name} is ${degrees(farthest, 1)} off. That is no shim: look at the seat, at the face that was read and at the level of the datum, or cut it anew.`,
      shims: [],
    };
  return {
    state: 'shim',
    words: say`Not yet: ${joinedBy(shims.map(shimWords))}, until it reads ${degrees(target, 1)}, left as right. Then read again.`,
    shims,
  };
}

const joinedBy = ([first, second]: readonly Words[]): Words =>
  second ? say`${first!}, ${second}` : (first ?? say`shim it`);

/** Mean readings that all errors together bear at this gate. */
function meanBorne(design: Design, gate: Gate, numbers: Numbers): Range | null {
  if (gate.quantity === 'washout') return [gate.expected - WASHOUT, gate.expected + WASHOUT];
  const moves = builtMoves(design, numbers);
  const own = moves?.errors.find(({ line }) => line.surface === gate.part);
  if (!moves || !own) return null;
  const perDegree = own.line.momentPerRadian / moves.margin / degreesFromRadians(1);
  const others = moves.total - own.moved;
  const range = guarded(design, gate, heldWithin(others, perDegree, BUILT_CAUTION * moves.maximumLift));
  return isEmpty(range) ? NONE : widened([gate.expected + range[0], gate.expected + range[1]], gate.expected);
}

/**
 * What is read is known to a tenth of a degree at best: before the glue a gate
 * is that much stricter than what is borne, or by a tenth of it where little
 * is. C. What is glued is right as long as it is borne.
 */
function guarded(design: Design, { glue }: Gate, [least, most]: Range): Range {
  if (most <= least || design.built.includes(glue)) return [least, most];
  const guard = Math.min(FINEST, 0.1 * (most - least));
  return [least + guard, most - guard];
}

/** Nothing is asked finer than it can be read. */
const widened = ([least, most]: Range, about: number): Range =>
  within(about, [least, most]) ? [Math.min(least, about - FINEST), Math.max(most, about + FINEST)] : [least, most];

/** Differences, right less left, that all of them together bear at this gate; of a body its turn. */
function differenceBorne(design: Design, gate: Gate, numbers: Numbers): Range | null {
  const at = (difference: Degrees, own?: Numbers) => {
    const known = gate.sides.map((side) => readingAt(design, gate, side) ?? gate.expected);
    const mean = known.reduce((sum, value) => sum + value, 0) / known.length;
    const changed =
      gate.sides.length === 1
        ? withReading(design, gate, 'right', difference)
        : withReading(withReading(design, gate, 'left', mean - difference / 2), gate, 'right', mean + difference / 2);
    return rollAsked(changed, own ?? numbersOf(changed));
  };
  const [none, some] = [at(0), at(NUDGE)];
  if (!none || !some || !numbers.asymmetry) return null;
  const bySide = (of: (roll: NonNullable<typeof none>) => number, bound: number) =>
    heldWithin(of(none), (of(some) - of(none)) / NUDGE, bound);
  const rate = bySide((roll) => roll.rate, FAST_ROLL);
  const borne =
    none.command === null || !(none.travel > 0)
      ? rate
      : common(
          rate,
          bySide((roll) => roll.asked, ROLL_CAUTION * none.travel),
        );
  if (isEmpty(borne)) return NONE;
  const range = guarded(design, gate, borne);
  // A body that is turned farther is no longer told of by straight lines, and by no one’s eye either.
  return widened(gate.quantity === 'square' ? common(range, [-MOST_TURN, MOST_TURN]) : range, 0);
}
