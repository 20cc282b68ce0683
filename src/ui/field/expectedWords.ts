import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';

/** A turn that a pilot feels in the stick [°]. */
const FELT = 0.5;

/** Which way it will want to go, and with what it is held. */
export function wantsOf({ trim, power, asymmetry, torque, rigging, pitch, speeds }: Analysis): string[] {
  const noseUp = Math.sign(pitch.momentFromElevator ?? -1);
  const said: string[] = [];
  const more = (from: number | null, to: number | null) =>
    from === null || to === null ? 0 : noseUp * degreesFromRadians(to - from);
  const byPower = more(trim.elevatorPowerOff, power.pitchControlAtFullPower);
  if (Math.abs(byPower) > FELT)
    said.push(
      `At full throttle it wants to ${byPower > 0 ? 'drop its nose: hold back' : 'raise its nose: push'}, ${decimal(Math.abs(byPower), 1)}° of pitch.`,
    );
  const aileron = torque.aileron === null ? 0 : degreesFromRadians(torque.aileron);
  if (Math.abs(aileron) > FELT)
    said.push(
      `Off the hand its propeller rolls it ${aileron > 0 ? 'left: hold right' : 'right: hold left'}, ${decimal(Math.abs(aileron), 1)}°.`,
    );
  const roll = degreesFromRadians(asymmetry?.aileron ?? asymmetry?.rudder ?? 0);
  if (Math.abs(roll) > FELT)
    said.push(
      `As it was measured it turns ${roll > 0 ? 'left' : 'right'}: ${decimal(Math.abs(roll), 1)}° the other way.`,
    );
  const handsOff = rigging.handsOffSpeed;
  if (handsOff !== null && trim.speed !== null && speeds.stall !== null) {
    if (handsOff > 1.25 * trim.speed) said.push('Hands off it wants to fly faster than its cruise: hold back.');
    else if (handsOff < 1.1 * speeds.stall) said.push('Hands off it slows down to the stall: push.');
  }
  return said;
}

/** A throw a little over the stall keeps flying; slower it mushes down. */
const THROW_OVER_STALL = 1.1;

/** Speeds and trims that are known beforehand, each with its words. */
export function expectedOf(
  { speeds, trim, rigging, pitch }: Analysis,
  units: DisplayUnits,
): readonly (readonly [words: string, value: string])[] {
  const noseUp = Math.sign(pitch.momentFromElevator ?? -1);
  const speed = (value: number | null) => (value === null ? '–' : formatValue(value, 'speed', units));
  const trimmed = (value: number | null) => {
    if (value === null) return '–';
    const up = noseUp * degreesFromRadians(value);
    return Math.abs(up) < 0.05 ? 'in the middle' : `${decimal(Math.abs(up), 1)}° nose ${up > 0 ? 'up' : 'down'}`;
  };
  return [
    ['Throw at least at', speed(speeds.stall === null ? null : THROW_OVER_STALL * speeds.stall)],
    ['Stalls at', speed(speeds.stall)],
    ['Approach', speed(speeds.approach)],
    ['Flattest glide at', speed(speeds.bestGlide)],
    ['Settles hands off at', speed(rigging.handsOffSpeed)],
    [`Pitch trim, level at ${speed(trim.speed)}`, trimmed(trim.elevator)],
    ['Pitch trim, power off', trimmed(trim.elevatorPowerOff)],
  ];
}
