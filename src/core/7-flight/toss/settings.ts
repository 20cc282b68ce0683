import {
  kilogramsFromGrams,
  type Kilograms,
  type Metres,
  metresFromMillimetres,
  type MetresPerSecond,
  radiansFromDegrees,
} from '@/core/1-base/units/convert';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import { launchSpeed } from '@/core/6-groups/ceilings/launchSpeed';
import type { Glider } from './glider';
import type { TossSetting } from './flyGlider';

export type Toss = RecordOf<'tosses'>;

/** From shoulder height. */
const USUAL_HEIGHT: Metres = 1.8;
/** Speed of a throw of nobody knows how strong an arm [m/s]. */
const USUAL_SPEED: MetresPerSecond = 9;

/** Balance point of the drawing [m aft of the datum], at the scale of the glider. */
export const drawnBalance = ({ model, scale }: Glider): Metres => model.prepared.about[0] * scale;

/** What a glider of that scale weighs when it is dynamically alike: the drawing’s mass times the cube of the scale. */
export const likeMass = ({ model, scale }: Glider): Kilograms => model.body.mass * scale ** 3;

/** Speed at which an arm throws that mass, slower for a small one, which flies slower. */
export function usualSpeed({ model, scale }: Glider, mass: Kilograms): MetresPerSecond {
  const brief = { ...model.prepared.design.brief, launch: 'hand' as const };
  return (launchSpeed(brief, mass) ?? USUAL_SPEED) * Math.min(1, Math.sqrt(scale));
}

/** A glider as it is thrown when nobody says otherwise: as drawn, level, from the shoulder. */
export function usualSetting(glider: Glider): TossSetting {
  const mass = likeMass(glider);
  return { mass, balance: 0, shim: 0, speed: usualSpeed(glider, mass), path: 0, height: USUAL_HEIGHT, wind: 0 };
}

/** A logged toss as it was thrown; what nobody wrote down is as drawn, and ballast moves the balance point that nobody measured. */
export function settingOf(glider: Glider, toss: Toss): TossSetting {
  const usual = usualSetting(glider);
  const drawn = drawnBalance(glider);
  const ballast = kilogramsFromGrams(toss.ballast ?? 0);
  const mass = toss.mass === undefined ? usual.mass + ballast : kilogramsFromGrams(toss.mass);
  const at = toss.ballastAt === undefined ? drawn : metresFromMillimetres(toss.ballastAt);
  const moved = mass > 0 ? ((at - drawn) * ballast) / mass : 0;
  return {
    mass,
    balance: toss.balance === undefined ? moved : metresFromMillimetres(toss.balance) - drawn,
    shim: radiansFromDegrees(toss.shim ?? 0),
    speed: toss.launchSpeed ?? usualSpeed(glider, mass),
    path: radiansFromDegrees(toss.launchPath ?? 0),
    height: toss.launchHeight ?? USUAL_HEIGHT,
    wind: toss.wind ?? 0,
  };
}
