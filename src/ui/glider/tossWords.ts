import type { Flown } from '@/core/7-flight/fly';
import type { Toss } from '@/core/7-flight/toss/settings';
import type { Landing } from '@/core/7-flight/toss/tossOften';
import { decimal, type DisplayUnits } from '@/words/formatQuantity';

/** What a flight did. */
export const DEED_WORDS: Readonly<Record<Landing['outcome'], string>> = {
  settles: 'settles into a glide',
  dives: 'dives',
  balloons: 'balloons',
  stalls: 'stalls',
  spiralsLeft: 'spirals to the left',
  spiralsRight: 'spirals to the right',
  snaps: 'snaps over',
  tumbles: 'tumbles',
  other: 'does none of what has a name',
};

/** A launch from rest begins no faster [m/s]. */
const AT_REST = 2;

/** What one flight did, with what line, wheels or power made of it. */
export function didWords({ outcome, samples, events, sinkRate }: Flown): string {
  const has = (name: Flown['events'][number]['name']) => events.some((event) => event.name === name);
  if (has('overturns')) return 'goes over, or touches, before it flies';
  if (samples.speed[0]! < AT_REST && !has('free')) return 'does not come off the ground';
  return outcome === 'settles' && sinkRate !== null && sinkRate < 0 ? 'settles into a climb' : DEED_WORDS[outcome];
}

/** What people call a toss, gentlest first. */
export const RESULT_WORDS: readonly (readonly [Toss['result'], string])[] = [
  ['steadyGlide', 'glided'],
  ['dived', 'dived'],
  ['ballooned', 'ballooned'],
  ['stalled', 'stalled'],
  ['snapped', 'snapped over'],
  ['turnedLeft', 'turned left'],
  ['turnedRight', 'turned right'],
  ['other', 'something else'],
];

const METRES_PER_FOOT = 0.3048;

/** A distance over the field, in metres or in feet. */
export const far = (metres: number, units: DisplayUnits, digits = 1): string =>
  units.length === 'in' ? `${decimal(metres / METRES_PER_FOOT, digits)} ft` : `${decimal(metres, digits)} m`;

/** Fewer metres than that along an axis are told in tenths. */
const SHORT = 5;

/** Numbers on an axis that is so many metres long. */
export const onAxis =
  (length: number, units: DisplayUnits) =>
  (metres: number): string =>
    far(metres, units, length < SHORT ? 1 : 0).replace(/ \D+$/, '');
