import type { Fraction, Kilograms, Metres, MetresPerSecond, SquareMetres } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Numbers } from '@/core/6-groups/page';
import type { Built, Off } from './built';
import type { Errors } from './errors';
import type { WingsLevel } from './wingsLevel';

/** What of an aircraft as drawn its errors are taken from. */
export interface AsDrawn {
  readonly numbers: Numbers;
  readonly mass: Kilograms;
  readonly balance: Metres;
  readonly chord: Metres;
  readonly area: SquareMetres;
  readonly density: number;
  readonly staticMargin: Fraction;
  readonly neutralPoint: Metres;
  /** −dC_m/dC_L, and C_m of no lift. */
  readonly stiffness: number;
  readonly atNoLift: number;
  /** dC_m/dδ of the pitch control at the same lift; null without one. */
  readonly command: number | null;
}

/** With less margin nothing holds the nose; less lift is none. */
const LEAST_MARGIN: Fraction = 0.002;
const LEAST_LIFT = 0.02;
/** So much of its effect a control keeps. */
const LEAST_EFFECT = 0.1;

/**
 * One that is off: pitch is C_m = M₀ + Σ m_i ε_i − h C_L with the moment m_i of
 * one radian of every surface at the same lift, and h = (x_NP − x)/c̄ as it is
 * built: hands off it settles at C_L = (M₀ + Σ m_i ε_i)/h [exact for the linear
 * lattice]. Mass and greatest lift move the stall, V ~ √(m/C_L,max). The
 * forward limit goes with the effect of the control.
 */
export function linearAircraft(drawn: AsDrawn, errors: Errors, wings: WingsLevel): (off: Off) => Built {
  const { numbers, chord, area, density, neutralPoint, stiffness, atNoLift, command } = drawn;
  const { trim, stall, window } = numbers;
  const { of, byFields, bySlopes, angleMoment } = errors;
  const level = trim.liftCoefficient;

  return (off) => {
    const balance = drawn.balance + of(off, 'balance') + byFields(off, 'balance');
    // Hands off angles count as moments alone: what they shift besides is of second order there.
    const settled = neutralPoint + of(off, 'neutralPoint') + byFields(off, 'neutralPoint');
    const neutral = settled + bySlopes(off, 'neutralPoint');
    const ownChord = chord * (1 + byFields(off, 'chord'));
    const larger = 1 + byFields(off, 'area');
    const heavier = drawn.mass * (1 + of(off, 'mass') + of(off, 'boards') + byFields(off, 'mass'));
    const moment = atNoLift + angleMoment(off) + byFields(off, 'moment');
    const holds = stiffness + (settled - balance) / ownChord - drawn.staticMargin;
    const lift = holds > LEAST_MARGIN ? moment / holds : null;
    const levelLift = level === null ? null : (level * heavier) / drawn.mass / larger;
    const more = 1 + of(off, 'greatestLift') + byFields(off, 'greatestLift');
    const most = stall.liftCoefficient === null ? null : stall.liftCoefficient * more + bySlopes(off, 'maximumLift');
    const effect = Math.max(LEAST_EFFECT, 1 + of(off, 'control'));
    const warp = of(off, 'warp');

    const elevator =
      command === null || levelLift === null || trim.elevator === null || level === null
        ? null
        : trim.elevator - (moment - holds * levelLift) / (command * effect) + (atNoLift - stiffness * level) / command;
    return {
      staticMargin: (neutral - balance) / ownChord,
      neutralPoint: neutral,
      balance,
      window:
        window.forward === null || window.aft === null
          ? null
          : {
              // Nose-up control reaches as much further forward of the neutral point as it does more.
              forward: neutral - (neutralPoint - window.forward) * effect,
              aft: window.aft + neutral - neutralPoint,
            },
      handsOffLift: lift,
      handsOffSpeed:
        lift !== null && lift > LEAST_LIFT
          ? (Math.sqrt((2 * heavier * GRAVITY) / (density * area * larger * lift)) as MetresPerSecond)
          : null,
      levelLift,
      elevator,
      mass: heavier,
      maximumLift: most,
      stallSpeed:
        stall.speed === null || stall.liftCoefficient === null || most === null
          ? null
          : stall.speed *
            Math.sqrt((heavier / drawn.mass / larger) * (stall.liftCoefficient / Math.max(most, LEAST_LIFT))),
      rollCommand: wings.command(warp, effect),
      rollShare: wings.share(warp, effect),
      tipLeft: wings.tipLeft(warp),
    };
  };
}
