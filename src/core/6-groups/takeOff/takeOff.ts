import { z } from 'zod';
import { type Metres, type MetresPerSecond, type Newtons, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { groundRun, landingRun } from '@/core/5-power/launch/groundRun';
import { handLaunch } from '@/core/5-power/launch/handLaunch';
import { launchSpeed } from '../ceilings/launchSpeed';
import { emptyNumbers, numbersGroup, reasonsOfNulls } from '../group';
import { maybe } from '../keys';
import { flightOf, FULL, isFlight } from '../power/flight';
import { fullThrottle } from '../power/performance';
import { stall } from '../stall/stall';

const keys = z.object({
  groundRun: maybe('distance', 'Run on short grass to 1.2 stall speeds, full throttle, no wind'),
  landingRun: maybe('distance', 'Run on the grass, or slide on the belly, from 1.15 stall speeds to standing'),
  launchSpeed: maybe('speed', 'Speed out of the hand or the bungee'),
  launchHeightLost: maybe('length', 'How far it sinks after that at full throttle before it holds its height'),
  launchFliesAfter: maybe('time', 'When it then has a fifth over its stall; null where it never has'),
  handToDisc: maybe('length', 'From the hand at the balance point back to the disc of a pusher'),
});

/** Rolling on short grass, and foam that slides on it; C. */
const ROLLING = 0.08;
const SLIDING = 0.35;

const ROLLS = 'It has no wheels.';
const NO_RUN = 'Full throttle does not bring it to its stall speed on grass.';
const NO_THROW = 'It starts on wheels, or nobody can throw it.';
const NEVER = 'It does not reach a fifth over its stall within six seconds.';
const NO_PUSHER = 'No propeller turns behind the hand.';

/** How it gets into the air with its drive, and down again. */
export const takeOff = numbersGroup(keys, {
  id: 'takeOff',
  title: 'Take-off and launch',
  needs: { stall },
  compute: (solution, { stall: stalls }) => {
    const { design, about } = solution.prepared;
    const handToDisc = behindHand(design, about[0]);
    const flight = flightOf(solution, stalls);
    if (!isFlight(flight)) {
      const nothing = emptyNumbers(keys, flight);
      return {
        ...nothing,
        handToDisc,
        reasons: { ...nothing.reasons, handToDisc: handToDisc === null ? NO_PUSHER : undefined },
      };
    }
    const { drives, dragAt, weight, stallSpeed, mass } = flight;
    const thrustAt = (speed: MetresPerSecond) => fullThrottle(drives, speed, FULL).thrust;
    const run = { weight: weight as Newtons, stallSpeed, thrustAt, dragAt };
    const hasWheels = design.wheels.some(({ diameter }) => diameter > 0);
    const speed = launchSpeed(design.brief, mass);
    const launched = speed === null ? null : handLaunch({ speed, ...run });
    const values = {
      groundRun: hasWheels ? groundRun({ ...run, friction: ROLLING }) : null,
      landingRun: landingRun({ ...run, friction: hasWheels ? ROLLING : SLIDING }),
      launchSpeed: speed,
      launchHeightLost: launched?.heightLost ?? null,
      launchFliesAfter: launched?.fliesAfter ?? null,
      handToDisc,
    };
    return {
      ...values,
      reasons: {
        ...reasonsOfNulls(values, NO_THROW),
        ...(values.groundRun === null ? { groundRun: hasWheels ? NO_RUN : ROLLS } : {}),
        ...(launched && launched.fliesAfter === null ? { launchFliesAfter: NEVER } : {}),
        ...(handToDisc === null ? { handToDisc: NO_PUSHER } : {}),
      },
    };
  },
});

/** The nearest disc behind the balance point, where the hand holds it. */
function behindHand({ propulsion }: Design, x: Metres): Metres | null {
  const behind = propulsion
    .filter(({ kind, mirrored }) => kind === 'pusher' && !mirrored)
    .map(({ position }) => metresFromMillimetres(position.x) - x)
    .filter((way) => way > 0);
  return behind.length > 0 ? Math.min(...behind) : null;
}
