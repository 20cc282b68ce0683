import type { Analysis } from '../analysis/types';

/** What a motion or a stiffness means at the sticks, in a word and a reason. */
export interface Verdict {
  readonly about: 'yaw' | 'roll' | 'bank' | 'wag' | 'nose' | 'speed';
  readonly word: string;
  readonly because: string;
  readonly isGood: boolean;
}

/** Yaw stiffness per radian: below it wanders, above it turns into every gust (Etkin & Reid, section 3.9). */
const YAW = { least: 0.03, most: 0.2 } as const;
/** Bank doubling or halving slower than this is neutral to a pilot [s]. */
const NEUTRAL_BANK = 20;
const FAST_SPIRAL = 5;
const MANY_SWINGS = 3;

const seconds = (value: number) => `${value.toFixed(value < 1 ? 2 : value < 10 ? 1 : 0)} s`;
const signed = (value: number) => value.toFixed(3).replace('-', '−');

/** Directional, roll and pitch behaviour of level flight in plain words; what is not known is left out. */
export function verdicts({ lateral, motion }: Pick<Analysis, 'lateral' | 'motion'>): Verdict[] {
  const list: Verdict[] = [];
  const add = (about: Verdict['about'], word: string, because: string, isGood: boolean) =>
    list.push({ about, word, because, isGood });
  const { yawStiffness, dihedralEffect } = lateral;
  if (yawStiffness !== null) {
    const said = `yaw stiffness ${signed(yawStiffness)} per radian`;
    if (yawStiffness <= 0) add('yaw', 'turns away from its path', said, false);
    else if (yawStiffness < YAW.least) add('yaw', 'wanders', said, false);
    else if (yawStiffness <= YAW.most) add('yaw', 'tracks', said, true);
    else add('yaw', 'turns into every gust', said, true);
  }
  if (dihedralEffect !== null)
    add(
      'roll',
      dihedralEffect < -0.005
        ? 'rolls upright out of a slip'
        : dihedralEffect > 0.005
          ? 'rolls further into a slip'
          : 'does not mind a slip',
      `dihedral effect ${signed(dihedralEffect)} per radian`,
      dihedralEffect <= 0.005,
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
          : `the spiral ${spiral.grows ? 'doubles' : 'halves'} in ${seconds(time)}`,
        true,
      );
    else if (!spiral.grows) add('bank', 'rolls level by itself', `half of a bank is gone in ${seconds(time)}`, true);
    else
      add(
        'bank',
        time < FAST_SPIRAL ? 'spirals in' : 'winds in slowly',
        `a bank doubles in ${seconds(time)}`,
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
        `period ${seconds(wag.period)}, doubling in ${seconds(wag.timeToHalf ?? 0)}`,
        false,
      );
    else
      add(
        'wag',
        swings > MANY_SWINGS ? 'wallows' : swings > 1 ? 'wags its tail and settles' : 'settles at once',
        Number.isFinite(swings)
          ? `half is gone after ${swings.toFixed(1)} swings of ${seconds(wag.period)}`
          : `swings of ${seconds(wag.period)} that do not die away`,
        swings <= MANY_SWINGS,
      );
  }
  const departing = motion.longitudinal.find(({ grows, period }) => grows && period === null);
  const nod = motion.longitudinal.find(({ kind }) => kind === 'shortPeriod');
  if (departing) add('nose', 'departs', `the nose doubles in ${seconds(departing.timeToHalf ?? 0)}`, false);
  else if (nod)
    add(
      'nose',
      nod.grows ? 'nods more and more' : 'settles',
      nod.timeToHalf === null
        ? 'its nodding does not change'
        : `nodding ${nod.grows ? 'doubles' : 'halves'} in ${seconds(nod.timeToHalf)}`,
      !nod.grows,
    );
  const quick = motion.longitudinal.find(({ kind, grows }) => kind === 'fast' && !grows);
  if (!departing && !nod && quick?.timeToHalf != null)
    add('nose', 'settles', `without a swing, half in ${seconds(quick.timeToHalf)}`, true);
  const wave = motion.longitudinal.find(({ kind }) => kind === 'phugoid');
  if (wave && wave.period !== null)
    add(
      'speed',
      wave.grows ? 'swings up and down more and more' : 'swings up and down and calms',
      `period ${seconds(wave.period)}${wave.timeToHalf === null ? '' : `, ${wave.grows ? 'doubling' : 'halving'} in ${seconds(wave.timeToHalf)}`}`,
      !wave.grows || (wave.timeToHalf ?? 0) > NEUTRAL_BANK,
    );
  return list;
}
