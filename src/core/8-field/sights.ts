import { type MetresPerSecond, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { FLIGHT_DEEDS, RecordOf } from '@/core/2-document/records/recordKinds';
import type { Predicted } from './predict';

export type Flight = RecordOf<'flights'>;
export type FlightDeed = (typeof FLIGHT_DEEDS)[number];
export type FlightRun = Flight['runs'][number];

/** One thing that a flight showed and that can be told beforehand. */
export interface Sight {
  readonly flight: string;
  readonly what: keyof Predicted;
  /** At which it was seen; at cruise speed without. */
  readonly speed: MetresPerSecond | null;
  /** Radians, a ratio, or metres a second; what a word says, beyond what was told beforehand. */
  readonly value: number;
  readonly sigma: number;
  readonly isWord: boolean;
}

/** How far off what is noted in the air may be: a share of it, and for a trim no better than a click. C. */
const SHARE = 0.1;
const CLICK: Radians = radiansFromDegrees(0.25);

/** A trim that a word stands for: so much is what people call that, give or take. C. */
const WORD: Radians = radiansFromDegrees(2);
const WORD_SPREAD: Radians = radiansFromDegrees(0.8);

/** What each word says of trims: which, and to which side it would have to be turned. Others say nothing of these causes. */
const SAYS: Readonly<Partial<Record<FlightDeed, readonly [what: keyof Predicted, side: 1 | -1]>>> = {
  divesHandsOff: ['pitchGlide', -1],
  climbsHandsOff: ['pitchGlide', 1],
  balloonsWithPower: ['pitchFull', 1],
  noseDropsWithPower: ['pitchFull', -1],
  turnsLeft: ['roll', 1],
  turnsRight: ['roll', -1],
  dropsLeft: ['roll', 1],
  dropsRight: ['roll', -1],
};

const trimSigma = (value: Radians): Radians => Math.hypot(CLICK, SHARE * value) as Radians;

/** Everything that a flight says: its runs, and in words what no run tells. */
export function sightsOf({ id, runs, did }: Flight): Sight[] {
  const noted = runs.flatMap((run): Sight[] => {
    const seen = (what: keyof Predicted, value: number | undefined, sigma: (value: number) => number): Sight[] =>
      value === undefined
        ? []
        : [{ flight: id, what, speed: run.speed ?? null, value, sigma: sigma(value), isWord: false }];
    const trims = (pitch: keyof Predicted): Sight[] => [
      ...seen(pitch, run.pitch === undefined ? undefined : radiansFromDegrees(run.pitch), trimSigma),
      ...seen('roll', run.roll === undefined ? undefined : radiansFromDegrees(run.roll), trimSigma),
    ];
    const share = (value: number) => SHARE * value;
    if (run.kind === 'stall') return seen('stallSpeed', run.speed, share);
    if (run.kind === 'level') return trims('pitchPower');
    if (run.kind === 'climb') return trims('pitchFull');
    return [
      ...trims('pitchGlide'),
      ...seen('glideRatio', run.glideRatio && run.glideRatio > 0 ? run.glideRatio : undefined, share),
    ];
  });
  const worded = did.flatMap((deed): Sight[] => {
    const [what, side] = SAYS[deed] ?? [];
    if (!what || !side || noted.some((sight) => sight.what === what)) return [];
    return [{ flight: id, what, speed: null, value: side * WORD, sigma: WORD_SPREAD, isWord: true }];
  });
  // Two words for one thing, such as turning and dropping to the same side, say it once.
  return [...noted, ...worded.filter(({ what }, index) => worded.findIndex((other) => other.what === what) === index)];
}
