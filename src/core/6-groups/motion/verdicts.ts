import { plain, say, seconds, type Words } from '@/core/1-base/words/phrase';
import type { ValueOf } from '../group';
import type { lateral as lateralGroup } from '../lateral/lateral';
import type { pitch as pitchGroup } from '../pitch/pitch';
import type { motion as motionGroup } from './motion';
import { runsAway } from './runsAway';

/** What a motion or a stiffness means at the sticks, in a word and a reason. */
export interface Verdict {
  readonly about: 'yaw' | 'roll' | 'bank' | 'wag' | 'nose' | 'speed';
  readonly word: string;
  readonly because: Words;
  readonly isGood: boolean;
}

/** Yaw stiffness per radian: below it wanders, above it turns into every gust (Etkin & Reid, section 3.9). */
export const YAW = { least: 0.03, most: 0.2 } as const;
/** Dihedral effect per radian of which nothing is felt. */
const UNFELT_SLIP = 0.005;
/** Bank doubling or halving slower than this is neutral to a pilot [s]. */
const NEUTRAL_BANK = 20;
/** Doubling faster than this a bank runs away before it is seen [s]; practice of the field. */
export const FAST_SPIRAL = 5;
/** Swings that a Dutch roll may take to halve (Etkin & Reid, section 6.8). */
export const MANY_SWINGS = 3;
/** Swings within which it is over before it is seen. */
const AT_ONCE = 1;

const inSeconds = (value: number) => seconds(value, value < 1 ? 2 : value < 10 ? 1 : 0);

/** Directional, roll and pitch behaviour of level flight in plain words; what is not known is left out. */
export function verdicts({
  lateral,
  motion,
  pitch,
}: {
  readonly lateral: ValueOf<typeof lateralGroup>;
  readonly motion: ValueOf<typeof motionGroup>;
  readonly pitch: Pick<ValueOf<typeof pitchGroup>, 'staticMargin'>;
}): Verdict[] {
  const list: Verdict[] = [];
  const add = (about: Verdict['about'], word: string, because: Words, isGood: boolean) =>
    list.push({ about, word, because, isGood });
  const { yawStiffnessInWind: yawStiffness, dihedralEffect } = lateral;
  if (yawStiffness !== null) {
    const said = say`yaw stiffness ${plain(yawStiffness, 3)} per radian`;
    if (yawStiffness <= 0) add('yaw', 'turns away from its path', said, false);
    else if (yawStiffness < YAW.least) add('yaw', 'wanders', said, false);
    else if (yawStiffness <= YAW.most) add('yaw', 'tracks', said, true);
    else add('yaw', 'turns into every gust', said, true);
  }
  if (dihedralEffect !== null)
    add(
      'roll',
      dihedralEffect < -UNFELT_SLIP
        ? 'rolls upright out of a slip'
        : dihedralEffect > UNFELT_SLIP
          ? 'rolls further into a slip'
          : 'does not mind a slip',
      say`dihedral effect ${plain(dihedralEffect, 3)} per radian`,
      dihedralEffect <= UNFELT_SLIP,
    );
  const spiral = motion.lateral.find(({ kind }) => kind === 'spiral');
  if (spiral) {
    const time = spiral.timeToHalf;
    if (time === null || time > NEUTRAL_BANK)
      add(
        'bank',
        'keeps its bank',
        time === null
          ? 'the spiral stands still'
          : say`the spiral ${spiral.grows ? 'doubles' : 'halves'} in ${inSeconds(time)}`,
        true,
      );
    else if (!spiral.grows)
      add('bank', 'rolls level by itself', say`half of a bank is gone in ${inSeconds(time)}`, true);
    else
      add(
        'bank',
        time < FAST_SPIRAL ? 'spirals in' : 'winds in slowly',
        say`a bank doubles in ${inSeconds(time)}`,
        time >= FAST_SPIRAL,
      );
  }
  const wag = motion.lateral.find(({ kind }) => kind === 'dutchRoll');
  if (wag && wag.period !== null) {
    const swings = wag.timeToHalf === null ? Infinity : wag.timeToHalf / wag.period;
    if (wag.grows)
      add(
        'wag',
        'wallows more and more',
        say`period ${inSeconds(wag.period)}, doubling in ${inSeconds(wag.timeToHalf ?? 0)}`,
        false,
      );
    else
      add(
        'wag',
        swings > MANY_SWINGS ? 'wallows' : swings > AT_ONCE ? 'wags its tail and settles' : 'settles at once',
        Number.isFinite(swings)
          ? say`half is gone after ${plain(swings, 1)} swings of ${inSeconds(wag.period)}`
          : say`swings of ${inSeconds(wag.period)} that do not die away`,
        swings <= MANY_SWINGS,
      );
  }
  const away = runsAway({ motion, pitch });
  const departing = away?.of === 'nose' ? away.mode : null;
  const nod = motion.longitudinal.find(({ kind }) => kind === 'shortPeriod');
  if (departing) add('nose', 'departs', say`the nose doubles in ${inSeconds(departing.timeToHalf ?? 0)}`, false);
  else if (nod)
    add(
      'nose',
      nod.grows ? 'nods more and more' : 'settles',
      nod.timeToHalf === null
        ? 'its nodding does not change'
        : say`nodding ${nod.grows ? 'doubles' : 'halves'} in ${inSeconds(nod.timeToHalf)}`,
      !nod.grows,
    );
  const quick = motion.longitudinal.find(({ kind, grows }) => kind === 'fast' && !grows);
  if (!departing && !nod && quick?.timeToHalf != null)
    add('nose', 'settles', say`without a swing, half in ${inSeconds(quick.timeToHalf)}`, true);
  if (away?.of === 'speed') {
    const time = away.mode.timeToHalf ?? 0;
    const isSlow = time > FAST_SPIRAL;
    add(
      'speed',
      isSlow ? 'leaves its speed slowly under power' : 'runs away under power',
      say`a change of speed doubles in ${inSeconds(time)}`,
      isSlow,
    );
  }
  const wave = motion.longitudinal.find(({ kind }) => kind === 'phugoid');
  if (wave && wave.period !== null)
    add(
      'speed',
      wave.grows ? 'swings up and down more and more' : 'swings up and down and calms',
      say`period ${inSeconds(wave.period)}${wave.timeToHalf === null ? '' : say`, ${wave.grows ? 'doubling' : 'halving'} in ${inSeconds(wave.timeToHalf)}`}`,
      !wave.grows || (wave.timeToHalf ?? 0) > NEUTRAL_BANK,
    );
  return list;
}
