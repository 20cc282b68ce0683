import { z } from 'zod';
import { alphaForLift, balanceAt, balanceForCommand, CRUISE_TRAVEL_SHARE } from '@/core/5-aero/controlReach';
import { type Phrase, percent, say, type Words } from '@/core/1-base/words/phrase';
import type { Metres, Radians } from '@/core/1-base/units/convert';
import { numbersGroup } from '../group';
import { maybe, sentenceKey } from '../keys';
import { neutralPointBand } from '../pitch/workings';
import { pitch } from '../pitch/pitch';
import type { Solution } from '../solution/solution';
import { groundLoad } from '../solution/groundEffect';
import { stallAtCommand } from '../solution/stallAtCommand';
import { usableCommand } from '../solution/usableCommand';
import { stall } from '../stall/stall';
import { input } from '../working';

const keys = z.object({
  forward: maybe('length', 'Forward limit of the balance, aft of the datum'),
  aft: maybe('length', 'Rear limit of the balance, aft of the datum'),
  forwardBecause: sentenceKey('What binds in front').nullable(),
  aftBecause: sentenceKey('What binds behind').nullable(),
});

const NO_FLARE =
  'Further forward, full nose-up control (or the tail that carries it) no longer holds the lift of the stall for the flare near the ground.';

interface Limit {
  readonly x: Metres;
  readonly because: Words;
}

/** A margin as a share of the mean chord: tenths of a percent, and none where they are nought. */
const share = (fraction: number): Phrase =>
  say`${percent(fraction, Number.isInteger(Math.round(fraction * 1000) / 10) ? 0 : 1)}`;

/**
 * Where it may balance. Aft: the least wanted margin ahead of the neutral
 * point. Forward: the furthest place from which full nose-up control still
 * holds the lift of the stall, and a part of it that of cruise; without a pitch
 * control or without section data the greatest wanted margin.
 */
export const window = numbersGroup(keys, {
  id: 'window',
  title: 'Balance window',
  needs: { pitch, stall },
  compute: (solution, { stall: { liftCoefficient } }) => {
    const { prepared, pitch: slopes } = solution;
    const { minimumStaticMargin } = prepared.design.balance;
    const binding = forwardLimits(solution, liftCoefficient !== null).reduce((a, b) => (b.x > a.x ? b : a));
    return {
      forward: binding.x,
      aft: slopes.neutralPoint - minimumStaticMargin * prepared.reference.meanChord,
      forwardBecause: binding.because,
      aftBecause: say`The least wanted static margin is ${share(minimumStaticMargin)} of the mean chord.`,
      reasons: {},
    };
  },
  explain: ({ prepared }, { forward, aft }, { pitch: { neutralPointBand: ofWake } }) =>
    forward === null || aft === null
      ? []
      : [
          {
            id: 'window',
            name: 'Width of the balance window',
            symbol: 'Δx',
            value: aft - forward,
            unit: 'length',
            formula: 'From the forward limit (control power) to the aft limit (least margin)',
            inputs: [input('x_f', 'Forward limit', forward, 'length'), input('x_a', 'Aft limit', aft, 'length')],
            source: 'Etkin & Reid, Dynamics of Flight, section 2.4',
            range: 'Power off',
            band: neutralPointBand(ofWake, prepared.reference.meanChord, prepared.surfacesOnly),
            bandBecause: 'The aft limit moves with the neutral point.',
          },
        ],
});

/** Where it balances when full nose-up control, as far as the tail carries it, just stalls the wing near the ground. */
function flareLimit(solution: Solution, full: Radians): Metres | null {
  const { prepared, model } = solution;
  const { about, design } = prepared;
  const { statedMaximumLift } = design.balance;
  const { held } = prepared.reach.pitch;
  const stallAt = (command: Radians) =>
    statedMaximumLift === undefined
      ? stallAtCommand(solution, command)
      : alphaForLift(model, statedMaximumLift, command, about);
  const first = stallAt(held(full));
  if (first === null) return null;
  const usable = usableCommand(solution, full, first);
  const alpha = stallAt(usable);
  return alpha === null ? null : balanceAt(model, alpha, usable, about, groundLoad(solution, usable));
}

function forwardLimits(solution: Solution, isStallKnown: boolean): Limit[] {
  const { prepared, model, cruise, fullNoseUp: full, pitch: slopes } = solution;
  const { about, reference, design } = prepared;
  const { held } = prepared.reach.pitch;
  const limits: Limit[] = [];
  if (full !== null && isStallKnown) {
    const flare = flareLimit(solution, full);
    if (flare !== null) limits.push({ x: flare, because: NO_FLARE });
  }
  if (full !== null && cruise.isTrimmed) {
    const steady = balanceForCommand(model, cruise.state.lift, held(CRUISE_TRAVEL_SHARE * full), about);
    if (steady !== null)
      limits.push({
        x: steady,
        because: say`Further forward, steady cruise uses more than ${share(CRUISE_TRAVEL_SHARE)} of the nose-up travel.`,
      });
  }
  if (limits.length > 0) return limits;
  const { maximumStaticMargin } = design.balance;
  return [
    {
      x: slopes.neutralPoint - maximumStaticMargin * reference.meanChord,
      because: say`The greatest wanted static margin is ${share(maximumStaticMargin)} of the mean chord (control power could not be used).`,
    },
  ];
}
